import { closesRung, type LimiterInForce } from '../intake/inForce';
import { askFirstKinds, type AskFirstKind, type Facts, type Pattern, type Readiness } from '../shapes/facts';
import type { LimiterChange } from '../shapes/ladder';

export const closing = (inForce: readonly LimiterInForce[], pattern: Pattern, rung: number): LimiterInForce[] =>
  inForce.filter((limiter) => closesRung(limiter, pattern, rung));

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

/** Why somebody is asked first, the strictest of all that ask; `null` where nobody is. */
export function askFirstKindOf(facts: Facts, inForce: readonly LimiterInForce[]): AskFirstKind | null {
  const asked = [
    ...(facts.readiness === 'ask-first' ? [facts.askFirstKind] : []),
    ...changesOf(inForce, 'ask-first').map(({ change }) => change.as),
  ];
  return askFirstKinds.find((kind) => asked.includes(kind)) ?? null;
}
