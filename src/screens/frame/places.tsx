'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';

/** The places that are built, in the order of the work. */
const places = [
  ['Today', '/'],
  ['People', '/people'],
  ['Test', '/test'],
  ['Scores', '/scores'],
  ['Levels', '/levels'],
  ['Retest', '/retest'],
  ['Library', '/library'],
] as const;

/** A page of one person lies in the place of its step. */
function placeOf(path: string): string {
  const step = /^\/people\/[^/]+\/(scores|levels|retest|report)(?:\/|$)/.exec(path)?.[1];
  const first = `/${(step === 'report' ? 'scores' : step) ?? path.split('/')[1] ?? ''}`;
  return places.some(([, href]) => href === first) ? first : '';
}

export function Places() {
  const active = placeOf(usePathname());
  return (
    <nav aria-label="Places" className="order-3 flex flex-wrap items-end gap-x-1 max-lg:w-full lg:order-2">
      {places.map(([name, href]) => {
        const here = href === active;
        const classes = `relative flex min-h-11 items-center px-2.5 pb-1 ${here ? 'font-extrabold text-ink max-sm:underline max-sm:decoration-4 max-sm:underline-offset-4' : 'font-semibold text-ink-soft'}`;
        const arc = here && (
          <span
            aria-hidden
            className="absolute -bottom-1 left-1/2 h-3 max-sm:hidden w-11 -translate-x-1/2 rounded-t-full border-4 border-b-0 border-ink bg-floor"
          />
        );
        // The station page lives on without a server once it is open, so it is entered with a whole page.
        return href === '/test' ? (
          <a key={href} href={href} className={classes} aria-current={here ? 'page' : undefined}>
            {name}
            {arc}
          </a>
        ) : (
          <Link key={href} href={href} className={classes} aria-current={here ? 'page' : undefined}>
            {name}
            {arc}
          </Link>
        );
      })}
    </nav>
  );
}
