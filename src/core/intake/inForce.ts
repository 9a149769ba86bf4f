import type { Limiter } from '../shapes/facts';
import type { LimiterRow } from '../shapes/ladder';

/** A row of the limiter table that holds for this person now, and the limiter it holds for. */
export interface LimiterInForce {
  readonly row: LimiterRow;
  readonly limiter: Limiter;
}

/** Numb feet may be told as a limiter or as a fact; either suffices, and the schema folds the fact in. */
export function limitersInForce(rows: readonly LimiterRow[], limiters: readonly Limiter[]): LimiterInForce[] {
  return rows.flatMap((row) => limiters.filter((limiter) => holds(row, limiter)).map((limiter) => ({ row, limiter })));
}

function holds(row: LimiterRow, limiter: Limiter): boolean {
  if (row.kind !== limiter.kind) return false;
  if (row.untilLifted && limiter.limitsLifted === true) return false;
  // A pain without a number was not asked; it is read as the worst, never as none.
  return row.painAtLeast === undefined || (limiter.pain ?? 10) >= row.painAtLeast;
}
