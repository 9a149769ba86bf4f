import type { Facts, Limiter, Pattern, Readiness } from '../shapes/facts';
import type { LevelRules, LimiterChange, LimiterRow } from '../shapes/ladder';

/** A row of the limiter table that holds for this person now, and the limiter it holds for. */
export interface LimiterInForce {
  readonly row: LimiterRow;
  readonly limiter: Limiter;
}

/** Numb feet may be told as a limiter or as a fact; either suffices, and the schema folds the fact in. */
export function limitersInForce(rules: LevelRules, limiters: readonly Limiter[]): LimiterInForce[] {
  return rules.limiters.flatMap((row) =>
    limiters.filter((limiter) => holds(row, limiter)).map((limiter) => ({ row, limiter })),
  );
}

function holds(row: LimiterRow, limiter: Limiter): boolean {
  if (row.kind !== limiter.kind) return false;
  if (row.untilLifted && limiter.limitsLifted === true) return false;
  // A pain without a number was not asked; it is read as the worst, never as none.
  return row.painAtLeast === undefined || (limiter.pain ?? 10) >= row.painAtLeast;
}

export function closing(inForce: readonly LimiterInForce[], pattern: Pattern, rung: number): LimiterInForce[] {
  return inForce.filter(({ row }) => row.closes[pattern]?.some(([from, to]) => from <= rung && rung <= to));
}

export function changesOf<K extends LimiterChange['change']>(
  inForce: readonly LimiterInForce[],
  change: K,
): (LimiterInForce & { readonly change: Extract<LimiterChange, { change: K }> })[] {
  return inForce.flatMap((entry) =>
    entry.row.changes.flatMap((c) =>
      c.change === change ? [{ ...entry, change: c as Extract<LimiterChange, { change: K }> }] : [],
    ),
  );
}

/** What the readiness questions gave, or `ask-first` where a limiter needs a release that is not there. */
export function readinessOf(facts: Facts, inForce: readonly LimiterInForce[]): Readiness {
  const asks = changesOf(inForce, 'ask-first').length > 0;
  return asks && facts.readiness !== 'not-today' ? 'ask-first' : facts.readiness;
}
