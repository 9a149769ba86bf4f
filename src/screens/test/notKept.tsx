import type { Keeping } from '../../core/measure/bench/bench';

/** A browser that can keep no more says so at once, and what to do; nothing is swallowed. */
export function NotKept({ keeping }: { keeping: Keeping }) {
  if (keeping === 'kept') return null;
  return (
    <p
      role="alert"
      className="relative z-20 border-y-[10px] border-stop bg-board px-7 py-2 text-lg font-bold text-ink max-md:px-4"
      data-testid="not-kept"
    >
      {keeping === 'sent'
        ? 'This browser can keep nothing more. The server has all of this test; use another tablet for the next.'
        : 'This browser can keep nothing more: the count stands on this page only and is being sent. Do not close or reload it; write the count down.'}
    </p>
  );
}
