import { roundTo } from '../math/round';
import type { Facts, Pattern } from '../shapes/facts';
import type { LevelRules, Rung, SeatRule } from '../shapes/ladder';
import type { Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import type { Readings } from './needs';
import { seatAtLeast } from './seat';

export interface TargetAnswer {
  readonly targetCm: number | null;
  readonly from: readonly string[] | null;
  /** Asked for before the kit answered. */
  readonly wishCm: number | null;
  /** Goes under the feet where the kit only makes a higher seat than the legs are long for; 0 for none. */
  readonly firmStepCm: number;
  readonly missing: string | null;
  readonly reasons: readonly Reason[];
}

/** What bears on the height of a rung. */
export interface TargetCase {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
}

const none: TargetAnswer = { targetCm: null, from: null, wishCm: null, firmStepCm: 0, missing: null, reasons: [] };

/**
 * How high the seat or the thing to touch stands, or what is lifted.
 *
 * A seat goes by the seat that was shown; the wish is the largest of the rung's own rule and what pain asks for, at most
 * what the legs are long for; then the lowest height at or above it that the kit makes.
 */
export function targetFor(pattern: Pattern, rung: Rung, one: TargetCase): TargetAnswer {
  if (!rung.target) return none;
  const source = one.rules.house.source.cite;
  if ('lifts' in rung.target) {
    const [first = 50] = rung.target.lifts;
    const text = `what is lifted stands at ${first} cm first, on something firm`;
    return { ...none, targetCm: first, wishCm: first, reasons: [{ fact: 'target', text, source }] };
  }
  return seatFor(pattern, rung, rung.target, one);
}

function seatFor(pattern: Pattern, rung: Rung, rule: SeatRule, one: TargetCase): TargetAnswer {
  const { rules, facts, readings, inForce } = one;
  const seats = seatsShown(rules, readings, rung);
  const start = rule.from === 'shown-seat' ? seats.shownCm : seats.testedCm;
  const { more } = rule;
  const raise = more && (readings.get(more.fact)?.reading.cautious ?? 0) < more.under ? more.raiseCm : rule.raiseCm;
  const here = ({ change }: { change: { pattern: Pattern; rungs: readonly [number, number] } }) =>
    change.pattern === pattern && change.rungs[0] <= rung.rung && rung.rung <= change.rungs[1];
  const pains = changesOf(inForce, 'seat-up').filter(here);
  const added = changesOf(inForce, 'seat-add').filter(here);
  const addCm = Math.max(0, ...added.map(({ change }) => change.cm));
  const source = rules.house.source.cite;
  const own = start + raise + addCm;
  const asked = roundTo(Math.max(own, ...pains.map(({ change }) => seats.testedCm + change.cm)), 1);
  const most = Math.max(seats.testedCm, highestSeat(facts, rules));
  const wishCm = Math.min(asked, most);
  const seatWords = rule.from === 'shown-seat' ? `lowest seat shown ${start} cm` : `seat tested on ${start} cm`;
  const reasons = [
    { fact: 'target', text: raise > 0 ? `${seatWords}, ${raise} cm more to start with` : seatWords, source },
    ...pains.map(({ row, change }) => ({
      fact: row.kind,
      text: `${row.title}: at least ${change.cm} cm over the seat tested on`,
      source,
    })),
    ...added.slice(0, 1).map(({ row, change }) => ({
      fact: row.kind,
      text: `${row.title}: ${change.cm} cm higher`,
      source,
    })),
    ...(wishCm < asked
      ? [{ fact: 'target', text: `at most ${wishCm} cm: a fifth over the height of the kneecap`, source }]
      : []),
  ];
  const answer = seatAtLeast(facts.kit, wishCm);
  if (answer.kind === 'missing')
    return { targetCm: wishCm, from: null, wishCm, firmStepCm: 0, missing: answer.missing, reasons };
  const { heightCm, from } = answer.seat;
  return { targetCm: heightCm, from, wishCm, firmStepCm: Math.max(0, heightCm - most), missing: null, reasons };
}

/** A fifth over the height of the kneecap, whole cm, rounded down; without a body no cap. */
export function highestSeat({ person }: Pick<Facts, 'person'>, { house }: Pick<LevelRules, 'house'>): number {
  const kneeCm =
    person.kneeHeightCm ?? (person.heightCm === null ? null : house.seatCap.kneeShareOfHeight * person.heightCm);
  return kneeCm === null ? Infinity : Math.floor(house.seatCap.share * kneeCm);
}

/**
 * The seat under the counted stands, and the lowest seat one clean stand was shown from. Rising with hands goes by the
 * seat of the count with hands, where there is one.
 */
function seatsShown(rules: LevelRules, readings: Readings, rung: Rung): { testedCm: number; shownCm: number } {
  const clean = readings.get('cleanStands')?.reading.seatHeightCm ?? null;
  const hands = readings.get('standsWithHands')?.reading.seatHeightCm ?? null;
  const own = rung.rising === 'with-hands' ? (hands ?? clean) : (clean ?? hands);
  const testedCm = roundTo(own ?? rules.house.usualSeatCm, 1);
  const lowest = readings.get('lowestSeatCm')?.reading;
  const shownCm = lowest?.state === 'fresh' && lowest.measured ? Math.min(testedCm, lowest.measured) : testedCm;
  return { testedCm, shownCm: roundTo(shownCm, 1) };
}
