import { roundTo } from '../math/round';
import type { Facts, Pattern } from '../shapes/facts';
import type { LevelRules, Rung } from '../shapes/ladder';
import type { Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import type { Readings } from './needs';
import { seatAtLeast } from './seat';

export interface TargetAnswer {
  readonly targetCm: number | null;
  readonly from: readonly string[] | null;
  readonly missing: string | null;
  readonly reasons: readonly Reason[];
}

/**
 * How high the seat or the thing to touch stands.
 *
 * Goes by the seat that was shown; the wish is the largest of the rung's own rule and what pain asks for, plus a step
 * when the level is carried by an old result; then the lowest height at or above it that the kit makes.
 */
export function targetFor(
  pattern: Pattern,
  rung: Rung,
  rules: LevelRules,
  facts: Facts,
  readings: Readings,
  inForce: readonly LimiterInForce[],
  oldRaiseCm: number,
): TargetAnswer {
  if (!rung.target) return { targetCm: null, from: null, missing: null, reasons: [] };
  const seats = seatsShown(rules, readings);
  const start = rung.target.from === 'shown-seat' ? seats.shownCm : seats.testedCm;
  const { more } = rung.target;
  const raise =
    more && (readings.get(more.fact)?.reading.cautious ?? 0) < more.under ? more.raiseCm : rung.target.raiseCm;
  const pains = changesOf(inForce, 'seat-up').filter(
    ({ change }) => change.pattern === pattern && change.rungs[0] <= rung.rung && rung.rung <= change.rungs[1],
  );
  const source = rules.house.source.cite;
  const own = start + raise;
  const wishCm = roundTo(Math.max(own, ...pains.map(({ change }) => seats.testedCm + change.cm)) + oldRaiseCm, 1);
  const seatWords = rung.target.from === 'shown-seat' ? `lowest seat shown ${start} cm` : `seat tested on ${start} cm`;
  const reasons = [
    { fact: 'target', text: raise > 0 ? `${seatWords}, ${raise} cm more to start with` : seatWords, source },
    ...pains.map(({ row, change }) => ({
      fact: row.kind,
      text: `${row.title}: at least ${change.cm} cm over the seat tested on`,
      source,
    })),
    ...(oldRaiseCm > 0
      ? [{ fact: 'target', text: `tested long ago: ${oldRaiseCm} cm higher until tested again`, source }]
      : []),
  ];
  const answer = seatAtLeast(facts.kit, wishCm);
  return answer.kind === 'built'
    ? { targetCm: answer.seat.heightCm, from: answer.seat.from, missing: null, reasons }
    : { targetCm: wishCm, from: null, missing: answer.missing, reasons };
}

/** The seat under the counted stands, and the lowest seat one clean stand was shown from. */
function seatsShown(rules: LevelRules, readings: Readings): { testedCm: number; shownCm: number } {
  const clean = readings.get('cleanStands')?.reading;
  const hands = readings.get('standsWithHands')?.reading;
  const testedCm = roundTo(clean?.seatHeightCm ?? hands?.seatHeightCm ?? rules.house.usualSeatCm, 1);
  const lowest = readings.get('lowestSeatCm')?.reading;
  const shownCm = lowest?.state === 'fresh' && lowest.measured ? Math.min(testedCm, lowest.measured) : testedCm;
  return { testedCm, shownCm: roundTo(shownCm, 1) };
}
