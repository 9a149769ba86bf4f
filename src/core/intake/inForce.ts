import { addDays } from '../math/days';
import type { IsoDate, Limiter, Pattern } from '../shapes/facts';
import type { LimiterRow } from '../shapes/ladder';

/** A row of the limiter table that holds for this person now, and the limiter it holds for. */
export interface LimiterInForce {
  readonly row: LimiterRow;
  readonly limiter: Limiter;
}

/**
 * The rows that hold on a day. Numb feet may be told as a limiter or as a fact; either suffices, and the schema folds
 * the fact in.
 */
export function limitersInForce(
  rows: readonly LimiterRow[],
  limiters: readonly Limiter[],
  day: IsoDate,
): LimiterInForce[] {
  return rows.flatMap((row) =>
    limiters.filter((limiter) => holds(row, limiter, day)).map((limiter) => ({ row, limiter })),
  );
}

function holds(row: LimiterRow, limiter: Limiter, day: IsoDate): boolean {
  if (row.kind !== limiter.kind) return false;
  if (row.untilLifted && limiter.limitsLifted === true) return false;
  if (row.eye !== undefined && row.eye !== (limiter.ofTheEye === true)) return false;
  if (row.forDays !== undefined && limiter.since && addDays(lastDayOf(limiter.since), row.forDays) < day) return false;
  // A pain without a number was not asked; it is read as the worst, never as none.
  return row.painAtLeast === undefined || (limiter.pain ?? 10) >= row.painAtLeast;
}

/** A year alone is its last day: nobody knows which. */
export const lastDayOf = (since: string): IsoDate => (since.length === 4 ? `${since}-12-31` : since);

/** Whether a row in force closes a rung. */
export function closesRung({ row, limiter }: LimiterInForce, pattern: Pattern, rung: number): boolean {
  if (row.asTicked) return limiter.closes?.includes(pattern) === true;
  if (row.unlessNamed && limiter.names?.includes(`${pattern}${rung}`) === true) return false;
  return row.closes[pattern]?.some(([from, to]) => from <= rung && rung <= to) === true;
}
