import type { LimiterInForce } from '../intake/inForce';
import type { Facts, Pattern, Readiness } from '../shapes/facts';
import type { LimiterChange } from '../shapes/ladder';

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
