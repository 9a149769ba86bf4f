import { closesRung, type LimiterInForce } from '../intake/inForce';
import { askFirstKinds, type AskFirstKind, type Facts, type Pattern, type Readiness } from '../shapes/facts';
import { forbiddenIn, loadsSpared } from '../shapes/forbids';
import type { LimiterChange, Rung } from '../shapes/ladder';
import { goneBlock, limiterBlock, type Block } from './blocks';

export const closing = (inForce: readonly LimiterInForce[], pattern: Pattern, rung: number): LimiterInForce[] =>
  inForce.filter((limiter) => closesRung(limiter, pattern, rung));

/** What closes a movement of the hall's own besides: the kinds it names, what it has in its words, its loads and its slide. */
export function closingOwn(inForce: readonly LimiterInForce[], rung: Rung): Block[] {
  const { own } = rung;
  if (!own) return [];
  return inForce.flatMap((entry) => {
    const { row } = entry;
    const slid = own.slides && row.changes.some((c) => c.change === 'no-slide');
    const named = own.closedBy.includes(row.kind) || slid;
    if (!named && forbiddenIn(row, rung).length === 0 && !loadsSpared(row, rung)) return [];
    // A release names rungs of the ladders, never this; and what it names itself no lifted limit opens.
    const lifts = row.untilLifted === true && !named;
    return [lifts ? limiterBlock(entry) : goneBlock(entry)];
  });
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

/** Why somebody is asked first, the strictest of all that ask; `null` where nobody is. */
export function askFirstKindOf(facts: Facts, inForce: readonly LimiterInForce[]): AskFirstKind | null {
  const asked = [
    ...(facts.readiness === 'ask-first' ? [facts.askFirstKind] : []),
    ...changesOf(inForce, 'ask-first').map(({ change }) => change.as),
  ];
  return askFirstKinds.find((kind) => asked.includes(kind)) ?? null;
}
