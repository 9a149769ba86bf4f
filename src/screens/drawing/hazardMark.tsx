import type { Hazard } from '../../core/shapes/protocol';

/** Where the work is done, as a picture in the diamond of things to watch; its line stands beside it. */
export function HazardMark({ hazard }: { hazard: Hazard }) {
  return (
    <svg width="32" height="32" viewBox="0 0 32 32" className="shrink-0" aria-hidden data-hazard={hazard}>
      <path d="M16 1.5 30.5 16 16 30.5 1.5 16Z" fill="none" stroke="var(--color-watch)" strokeWidth="2.2" />
      <g fill="none" stroke="var(--color-ink)" strokeWidth="2.4" strokeLinecap="round" strokeLinejoin="round">
        {hazard === 'floor' && <path d="M8 20.5h16M16 8.5v7.5m-3.5-3.2 3.5 3.5 3.5-3.5" />}
        {hazard === 'one-leg' && (
          <>
            <circle cx="16" cy="7.4" r="1.6" />
            <path d="M12 25.5h8M16 10.5V25M16 17.5l4.2 1.6-1 3.4M10.8 13.6h10.4" />
          </>
        )}
        {hazard === 'slide' && <path d="M9 20.5h14M9.5 15.5h4.5v-5m4 5h5.5m-2.8-2.8 2.8 2.8-2.8 2.8" />}
      </g>
    </svg>
  );
}
