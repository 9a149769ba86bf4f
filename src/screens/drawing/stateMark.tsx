export type Mark = 'ready' | 'watch' | 'stop' | 'unknown';

const titles: Readonly<Record<Mark, string>> = { ready: 'ready', watch: 'watch', stop: 'stop', unknown: 'unknown' };

/** State as shape and tone; the word stands beside it, or is read out where it does not. */
export function StateMark({ mark, silent = false }: { mark: Mark; silent?: boolean }) {
  return (
    <svg
      width="20"
      height="20"
      viewBox="0 0 20 20"
      className="shrink-0"
      role={silent ? undefined : 'img'}
      aria-label={silent ? undefined : titles[mark]}
      aria-hidden={silent || undefined}
    >
      {mark === 'ready' && <circle cx="10" cy="10" r="7.5" fill="none" stroke="var(--color-ready)" strokeWidth="3" />}
      {mark === 'watch' && (
        <>
          <path d="M10 1.5 18.5 10 10 18.5 1.5 10Z" fill="none" stroke="var(--color-watch)" strokeWidth="2.2" />
          <path d="M10 1.5V18.5L1.5 10Z" fill="var(--color-watch)" />
        </>
      )}
      {mark === 'stop' && <rect x="2.5" y="2.5" width="15" height="15" fill="var(--color-stop)" />}
      {mark === 'unknown' && (
        <circle
          cx="10"
          cy="10"
          r="7.5"
          fill="none"
          stroke="var(--color-ink-soft)"
          strokeWidth="2.5"
          strokeDasharray="4 3"
        />
      )}
    </svg>
  );
}
