import { roundTo } from '../math/round';
import type { Facts, Pattern } from '../shapes/facts';
import type { HoverRule, LevelRules, LiftRule, Rung, SeatRule } from '../shapes/ladder';
import type { Reason } from './answer';
import type { Block } from './blocks';
import { hoverReasons, hoverSeat, type HoverAid, type HoverCase } from './hover';
import { limitersInForce, type LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import { readAll, type Readings } from './needs';
import { seatAtLeast, type SeatAnswer } from './seat';

export interface TargetAnswer {
  readonly targetCm: number | null;
  readonly from: readonly string[] | null;
  /** Asked for before the kit answered. */
  readonly wishCm: number | null;
  /** Goes under the feet where the kit only makes a higher seat than the legs are long for; 0 for none. */
  readonly firmStepCm: number;
  readonly missing: string | null;
  /** What helps over a seat that the ankles alone do not let them hover over. */
  readonly aid: HoverAid;
  /** Worked out for the rung that is given only. */
  readonly reasons: () => readonly Reason[];
  /** What keeps the rung closed, where no seat does. */
  readonly blocks: readonly Block[];
}

/** What bears on the height of a rung. */
export interface TargetCase {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
}

const none: TargetAnswer = {
  ...{ targetCm: null, from: null, wishCm: null, firmStepCm: 0, missing: null, aid: 'none' },
  ...{ reasons: () => [], blocks: [] },
};

/**
 * How high the seat or the thing to touch stands, or what is lifted.
 *
 * A seat goes by the seat that was shown, and where somebody hovers over it by the load model; the wish is the largest of
 * the rung's own rule and what pain asks for, at most what the legs are long for; then the lowest height at or above it that
 * the kit makes.
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
  return { ...none, targetCm: wishCm === 0 ? null : wishCm, wishCm, reasons: () => reasons };
}

function seatFor(pattern: Pattern, rung: Rung, rule: SeatRule | HoverRule, one: TargetCase): TargetAnswer {
  const { rules, facts, inForce } = one;
  const { house } = rules;
  const source = house.source.cite;
  const { testedCm, shownCm } = seatsShown(one, rung);
  const here = ({ change }: { change: { pattern: Pattern; rungs: readonly [number, number] } }) =>
    change.pattern === pattern && change.rungs[0] <= rung.rung && rung.rung <= change.rungs[1];
  const pains = changesOf(inForce, 'seat-up').filter(here);
  const added = changesOf(inForce, 'seat-add').filter(here);
  const addCm = Math.max(0, ...added.map(({ change }) => change.cm));
  const legsCm = Math.max(testedCm, highestSeat(facts, rules));
  const near = 'hovers' in rule && rule.nearTested;
  const mostCm = near ? Math.min(legsCm, testedCm + house.hover.raisedOverTestedCm) : legsCm;
  /** What limiters make of the own wish; what one adds is added to no less than the seat shown. */
  const askedFor = (own: number): number =>
    roundTo(
      Math.max(addCm > 0 ? Math.max(own, shownCm) + addCm : own, ...pains.map(({ change }) => testedCm + change.cm)),
      1,
    );
  const raised = (own: number): number => Math.min(askedFor(own), mostCm);
  const capCm = 'hovers' in rule ? hoverCapCm(rule, facts, rules, testedCm) : legsCm;
  const hover: HoverCase = { ...one, shownCm, capCm, raised };
  const own = 'hovers' in rule ? hoverSeat(rule, hover) : ownSeat(rule, one, { testedCm, shownCm });
  if ('blocks' in own) return { ...none, blocks: own.blocks };
  const wishCm = raised(own.lowestCm);
  const limits = [
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
    ...(wishCm < askedFor(own.lowestCm)
      ? [
          {
            fact: 'target',
            text:
              mostCm < legsCm
                ? `at most ${wishCm} cm: ${house.hover.raisedOverTestedCm} cm over the seat tested on`
                : `at most ${wishCm} cm: a fifth over the height of the kneecap`,
            source,
          },
        ]
      : []),
  ];
  const plain = seatAtLeast(facts.kit, wishCm);
  const answer = (rung.withWalker !== undefined && walksWithWalker(facts) && armedSeat(facts, plain)) || plain;
  const reasonsAt = (cm: number): Reason[] =>
    'hovers' in rule && 'aid' in own ? hoverReasons(rule, hover, own, cm) : 'reason' in own ? [own.reason] : [];
  const aid = 'aid' in own ? own.aid : 'none';
  if (answer.kind === 'missing') {
    const reasons = () => [...reasonsAt(wishCm), ...limits];
    return { ...none, targetCm: wishCm, wishCm, missing: answer.missing, aid, reasons };
  }
  const { heightCm, from } = answer.seat;
  const firmStepCm = Math.max(0, heightCm - mostCm);
  const reasons = () => [...reasonsAt(heightCm - firmStepCm), ...limits];
  return { ...none, targetCm: heightCm, from, wishCm, firmStepCm, aid, reasons };
}

/** The wish of a rung that goes by a seat that was shown. */
function ownSeat(
  rule: SeatRule,
  { rules, readings }: TargetCase,
  { testedCm, shownCm }: { testedCm: number; shownCm: number },
): { readonly lowestCm: number; readonly reason: Reason } {
  const start = rule.from === 'shown-seat' ? shownCm : testedCm;
  const { more } = rule;
  const raiseCm = more && (readings.get(more.fact)?.reading.cautious ?? 0) < more.under ? more.raiseCm : rule.raiseCm;
  const seatWords = rule.from === 'shown-seat' ? `lowest seat shown ${start} cm` : `seat tested on ${start} cm`;
  const text = raiseCm > 0 ? `${seatWords}, ${raiseCm} cm more to start with` : seatWords;
  return { lowestCm: start + raiseCm, reason: { fact: 'target', text, source: rules.house.source.cite } };
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

/** How high a seat to hover over may be wished. */
export const hoverCapCm = (
  { nearTested }: HoverRule,
  body: WithLegs,
  rules: Pick<LevelRules, 'house'>,
  testedCm: number,
): number =>
  Math.min(
    Math.max(testedCm, highestSeat(body, rules)),
    nearTested ? testedCm + rules.house.hover.overTestedCm : Infinity,
  );

/** How long the legs are. */
interface WithLegs {
  readonly person: Pick<Facts['person'], 'heightCm' | 'kneeHeightCm'>;
}

/** A fifth over the height of the kneecap, whole cm, rounded down; without a body no cap. */
export function highestSeat({ person }: WithLegs, { house }: Pick<LevelRules, 'house'>): number {
  const kneeCm =
    person.kneeHeightCm ?? (person.heightCm === null ? null : house.seatCap.kneeShareOfHeight * person.heightCm);
  return kneeCm === null ? Infinity : Math.floor(house.seatCap.share * kneeCm);
}

/** What the seat of somebody's slow squats hangs on, as it stands in the records. */
export function hoverBodyOf(
  rules: LevelRules,
  facts: Facts,
): { heightCm: number | null; shownCm: number; wallCm: number | null } {
  const inForce = limitersInForce(rules.limiters, facts.limiters, facts.testedOn);
  const readings = readAll(rules, facts, inForce);
  const { shownCm } = seatsShown({ rules, facts, readings, inForce }, {});
  const wall = readings.get('kneeToWallCm')?.reading;
  return { heightCm: facts.person.heightCm, shownCm, wallCm: wall?.state === 'fresh' ? wall.measured : null };
}

/**
 * The seat under the counted stands, and the lowest seat one clean stand was shown from, or classes showed. Rising with hands goes by the
 * seat of the count with hands, where there is one.
 */
function seatsShown(
  { rules, facts, readings }: TargetCase,
  rung: Pick<Rung, 'rising'>,
): { testedCm: number; shownCm: number } {
  const clean = readings.get('cleanStands')?.reading.seatHeightCm ?? null;
  const hands = readings.get('standsWithHands')?.reading.seatHeightCm ?? null;
  const own = rung.rising === 'with-hands' ? (hands ?? clean) : (clean ?? hands);
  const testedCm = roundTo(own ?? rules.house.usualSeatCm, 1);
  const lowest = readings.get('lowestSeatCm')?.reading;
  const tested = lowest?.state === 'fresh' && lowest.measured ? Math.min(testedCm, lowest.measured) : testedCm;
  const shownCm = Math.min(tested, facts.shownSeatCm ?? tested);
  return { testedCm, shownCm: roundTo(shownCm, 1) };
}
