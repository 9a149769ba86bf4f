'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

const againMs = 2000;

/**
 * That some of what is shown is from before: after midnight, a start or a change of the hall a large register is worked
 * out anew while it goes on answering. Asks again until everything is of now; nothing where it is.
 */
export function StillRead({ behind, again }: { readonly behind: number; readonly again: () => void }) {
  useEffect(() => {
    if (behind === 0) return;
    const timer = setTimeout(again, againMs);
    return () => clearTimeout(timer);
  });
  if (behind === 0) return null;
  return (
    <p role="status" className="my-2 border-l-8 border-rule bg-board px-4 py-2">
      Still being brought up to today: {behind} {behind === 1 ? 'person' : 'people'}. Until then their lines are from
      before; a person’s own page is always of now.
    </p>
  );
}

/** The same for a page that the server puts together. */
export function StillReadPage({ behind }: { readonly behind: number }) {
  const router = useRouter();
  return <StillRead behind={behind} again={() => router.refresh()} />;
}
