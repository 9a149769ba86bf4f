import { roundTo } from '../math/round';
import type { Facts, Pattern } from '../shapes/facts';
import type { LevelRules, LiftRule, Rung, SeatRule } from '../shapes/ladder';
import type { Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import type { Readings } from './needs';
import { seatAtLeast, type SeatAnswer } from './seat';

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
  if ('lifts' in rung.target) return liftFor(rung.target, one);
  return seatFor(pattern, rung, rung.target, one);
}

/** The lowest of the heights that was lifted from in class, at first the highest; a limiter keeps it up. */
function liftFor({ lifts }: LiftRule, { rules, facts, inForce }: TargetCase): TargetAnswer {
  const source = rules.house.source.cite;
  const [first = 0] = lifts;
  const kept = changesOf(inForce, 'lift-least');
  const least = Math.max(facts.liftHeightCm ?? first, ...kept.map(({ change }) => change.cm));
  const wishCm = lifts.findLast((cm) => cm >= least) ?? first;
  const where = wishCm === 0 ? 'stands on the floor' : `stands at ${wishCm} cm, on something firm`;
  const reasons = [
    { fact: 'target', text: `what is lifted ${where}`, source },
    ...kept.slice(0, 1).map(({ row, change }) => ({
      fact: row.kind,
      text: `${row.title}: never under ${change.cm} cm`,
      source,
    })),
  ];
  return { ...none, targetCm: wishCm === 0 ? null : wishCm, wishCm, reasons };
}

function seatFor(pattern: Pattern, rung: Rung, rule: SeatRule, one: TargetCase): TargetAnswer {
  const { rules, facts, readings, inForce } = one;
  const seats = seatsShown(one, rung);
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
  const plain = seatAtLeast(facts.kit, wishCm);
  const answer = (rung.withWalker !== undefined && walksWithWalker(facts) && armedSeat(facts, plain)) || plain;
  if (answer.kind === 'missing')
    return { targetCm: wishCm, from: null, wishCm, firmStepCm: 0, missing: answer.missing, reasons };
  const { heightCm, from } = answer.seat;
  return { targetCm: heightCm, from, wishCm, firmStepCm: Math.max(0, heightCm - most), missing: null, reasons };
}

export const walksWithWalker = ({ aidIndoors, walkingAid }: Facts): boolean => aidIndoors && walkingAid === 'walker';

/** The same height on a chair with arms, where the kit has one. */
function armedSeat({ kit }: Facts, plain: SeatAnswer): SeatAnswer | null {
  if (plain.kind === 'missing') return null;
  const armed = seatAtLeast({ ...kit, chairs: kit.chairs.filter((c) => c.arms) }, plain.seat.heightCm);
  if (armed.kind === 'missing' || armed.seat.heightCm !== plain.seat.heightCm) return null;
  const [chair = '', ...pads] = armed.seat.from;
  return { ...armed, seat: { ...armed.seat, from: [`${chair} with arms`, ...pads] } };
}

/** A fifth over the height of the kneecap, whole cm, rounded down; without a body no cap. */
export function highestSeat({ person }: Pick<Facts, 'person'>, { house }: Pick<LevelRules, 'house'>): number {
  const kneeCm =
    person.kneeHeightCm ?? (person.heightCm === null ? null : house.seatCap.kneeShareOfHeight * person.heightCm);
  return kneeCm === null ? Infinity : Math.floor(house.seatCap.share * kneeCm);
}

/**
 * The seat under the counted stands, and the lowest seat one clean stand was shown from, or classes showed. Rising with hands goes by the
 * seat of the count with hands, where there is one.
 */
function seatsShown({ rules, facts, readings }: TargetCase, rung: Rung): { testedCm: number; shownCm: number } {
  const clean = readings.get('cleanStands')?.reading.seatHeightCm ?? null;
  const hands = readings.get('standsWithHands')?.reading.seatHeightCm ?? null;
  const own = rung.rising === 'with-hands' ? (hands ?? clean) : (clean ?? hands);
  const testedCm = roundTo(own ?? rules.house.usualSeatCm, 1);
  const lowest = readings.get('lowestSeatCm')?.reading;
  const tested = lowest?.state === 'fresh' && lowest.measured ? Math.min(testedCm, lowest.measured) : testedCm;
  const shownCm = Math.min(tested, facts.shownSeatCm ?? tested);
  return { testedCm, shownCm: roundTo(shownCm, 1) };
}
