import { limitersInForce } from '../intake/inForce';
import { daysBetween } from '../math/days';
import { cutoffsOf } from '../score/scoreResult';
import { setPatterns, type Facts, type IsoDate } from '../shapes/facts';
import type { Ladder, LevelRules, Offer, OfferReason } from '../shapes/ladder';
import type { OwnExercise } from '../shapes/own';
import type { ClosedLadder, Level, LevelsAnswer } from './answer';
import { assignLevels, itemsOf } from './assign';
import { readAll, type Readings } from './needs';
import { levelOfOwn, ownLadder } from './own';
import { isOpen, isOver, standingsOf, type Decided, type Standing, type StandingState } from './standing';

/** A level beside the four ladders. */
export interface Accessory extends Level {
  /** The how-manieth of those offered; `null` of what is open and not offered. */
  readonly offered: number | null;
  /** What is known of the person that offers it. */
  readonly offeredFor: string | null;
}

export interface Accessories {
  /** Every open ladder, and of a set every open item, in the order of the ladders. */
  readonly open: readonly Accessory[];
  readonly closed: readonly ClosedLadder[];
}

/**
 * Levels beside the four ladders by the same engine, with the first few that something known of the person offers. Whoever
 * may do nothing today is offered nothing.
 * @param given the levels of the four ladders for the same facts
 */
export function assignAccessories(rules: LevelRules, facts: Facts, given: readonly Level[]): Accessories {
  const { levels, closed } = assignLevels({ ...rules, ladders: rules.accessories }, facts);
  const inForce = limitersInForce(rules.limiters, facts.limiters, facts.testedOn);
  const known: Known = { rules, facts, given, readings: readAll(rules, facts, inForce) };
  const offers = rules.offers
    .flatMap((offer) => {
      const level = levels.find((l) => l.pattern === offer.pattern && (offer.rung ?? l.rung) === l.rung);
      const why = level && whyOffered(offer, known);
      return why ? [{ level, why }] : [];
    })
    .slice(0, rules.house.offersMost);
  const open = levels.map((level): Accessory => {
    const at = offers.findIndex((o) => o.level === level);
    return { ...level, offered: at < 0 ? null : at + 1, offeredFor: offers[at]?.why ?? null };
  });
  return { open, closed };
}

/** One ladder beside the four, or one item of the set, and how somebody stands on it. */
export interface Beside {
  /** Of a set the one item alone. */
  readonly ladder: Ladder;
  /** Which item of a set. */
  readonly item: number | null;
  readonly standing: Standing;
  readonly offeredFor: string | null;
  /** Of a movement of the hall’s own. */
  readonly own?: OwnExercise;
}

/**
 * How somebody stands on all there is beside the four: what is in force first, then what is offered, then the rest in the
 * order of the ladders.
 * @param given the levels of the four ladders for the same facts
 * @param decided oldest first
 */
export function besideOf(
  rules: LevelRules,
  facts: Facts,
  given: readonly Level[],
  decided: readonly Decided[],
  lastTestedOn: IsoDate | null,
): Beside[] {
  const { open, closed } = assignAccessories(rules, facts, given);
  const ladders = rules.accessories.flatMap(itemsOf);
  const standings = standingsOf(ladders, { levels: open, closed }, decided, lastTestedOn);
  const all = ladders.flatMap((ladder, i) => {
    const standing = standings[i];
    if (!standing) return [];
    const item = setPatterns.has(ladder.pattern) ? (ladder.rungs[0]?.rung ?? null) : null;
    const level = open.find((l) => l === standing.ceiling);
    const taken = standing.inForce && standing.state !== 'aside';
    const order = taken ? 0 : (level?.offered ?? Infinity);
    return [{ order, beside: { ladder, item, standing, offeredFor: level?.offeredFor ?? null } }];
  });
  return all.sort((a, b) => (a.order === b.order ? 0 : a.order - b.order)).map(({ beside }) => beside);
}

/** The same for the movements of the hall's own that are not put aside, and those that somebody has in force. */
export function besideOwn(
  rules: LevelRules,
  facts: Facts,
  owns: readonly OwnExercise[],
  given: Pick<LevelsAnswer, 'levels' | 'closed'>,
  decided: readonly Decided[],
): Beside[] {
  return owns.flatMap((own) => {
    const inForce = decided.findLast((d) => d.level.own?.id === own.id) ?? null;
    if (own.aside && (!inForce || inForce.level.byHand?.word === 'not-this')) return [];
    const ceiling = levelOfOwn(rules, facts, own, given);
    const standing = { pattern: own.pattern, ceiling, inForce, state: ownState(ceiling, inForce, own) };
    return [{ ladder: ownLadder(own, rules), item: null, standing, offeredFor: null, own }];
  });
}

/** In force while it is open and asks no more than it did; a movement that was changed or put aside since is looked at anew. */
function ownState(
  ceiling: Level | ClosedLadder,
  inForce: Decided | null,
  { version, aside }: OwnExercise,
): StandingState {
  if (!inForce) return 'none';
  if (inForce.level.byHand?.word === 'not-this') return 'aside';
  if (!isOpen(ceiling) || aside) return 'closed';
  if (isOver(inForce.level, ceiling)) return 'over';
  return inForce.level.own?.version === version ? 'holds' : 'more';
}

interface Known {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly given: readonly Level[];
  readonly readings: Readings;
}

/** The first reason of each that must hold; `null` where one of them has none. */
function whyOffered({ when }: Offer, known: Known): string | null {
  const held = when.map((any) => any.find((reason) => holds(reason, known)));
  return held.every((r) => r !== undefined) ? held.map((r) => r.because).join(', and ') : null;
}

function holds(reason: OfferReason, { rules: { house }, facts, given, readings }: Known): boolean {
  if ('limiter' in reason) {
    const { limiter, painAtLeast = 0 } = reason;
    return facts.limiters.some((l) => l.kind === limiter && !l.unasked && (l.pain ?? 10) >= painAtLeast);
  }
  if ('fallsAtLeast' in reason) return facts.falls12m >= reason.fallsAtLeast;
  if ('test' in reason) {
    const tried = facts.results.filter((r) => r.test === reason.test && r.outcome !== 'not-tried');
    const newest = tried.reduce<(typeof tried)[number] | undefined>(
      (last, r) => (last && last.testedOn >= r.testedOn ? last : r),
      undefined,
    );
    if (!newest || daysBetween(newest.testedOn, facts.testedOn) > house.untestedAfterDays) return false;
    const value = newest.outcome === 'done' ? newest.value : null;
    return cutoffsOf({ cutoffs: reason.past }, value, null, facts.person.sex).some((c) => c.past);
  }
  if ('given' in reason) {
    if (reason.afterFirstClasses && facts.sessionsLogged < house.firstClasses) return false;
    const [from, to] = reason.rungs;
    return given.some((l) => l.pattern === reason.given && from <= l.rung && l.rung <= to);
  }
  if ('wish' in reason) return facts.wishes.includes(reason.wish);
  if ('seen' in reason) return facts[reason.seen];
  const reading = readings.get('notManaged' in reason ? reason.notManaged : reason.fact)?.reading;
  if (!reading || reading.state === 'untested') return false;
  if ('notManaged' in reason) return reading.cautious === 0;
  return 'under' in reason ? (reading.measured ?? 0) < reason.under : reading.cautious >= reason.atLeast;
}
