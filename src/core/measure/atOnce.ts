import type { AttemptView } from './attempt';

/** Two attempts that somebody cannot have made both, in the order in which they stand for their day. */
export type AtOnce = readonly [AttemptView, AttemptView];

/**
 * The same test of somebody taken twice at once, such as on two tablets: both are kept, and nobody has said yet which
 * is the result of the day.
 * @param attempts of one person, in the order in which they stand for their days
 * @param lastsMs how long the test takes: nobody does it twice within that
 */
export function takenAtOnce(attempts: readonly AttemptView[], lastsMs: (test: string) => number): AtOnce[] {
  const timed = attempts.filter((a) => a.trial.state === 'finished' && !a.trial.fromPaper);
  return timed.flatMap((a, i) =>
    timed.slice(i + 1).flatMap((b): AtOnce[] => {
      const together = isSame(a, b) && Math.abs(a.startedWallMs - b.startedWallMs) < lastsMs(a.test);
      return together && !timed.some((c) => c.trial.counts && isSame(a, c)) ? [[a, b]] : [];
    }),
  );
}

const isSame = (a: AttemptView, b: AttemptView): boolean =>
  a.test === b.test && a.side === b.side && a.sittingDate === b.sittingDate;
