import { lastDayOf } from '../intake/inForce';
import { daysBetween } from '../math/days';
import { roundTo, roundUpTo } from '../math/round';
import type { Facts, IsoDate, Side, TestResult } from '../shapes/facts';
import type { HouseRules, Margin, MeasuredFact } from '../shapes/ladder';

const readingStates = ['fresh', 'old', 'half-year', 'untested'] as const;
/** `old` and `half-year` carry a confirmed level, or what lies under it, and open nothing new; `untested` opens nothing. */
export type ReadingState = (typeof readingStates)[number];

/** What the records say of one measured fact today. */
export interface Reading {
  readonly state: ReadingState;
  /** Read down by the margin of a bad day; 0 while untested. */
  readonly cautious: number;
  readonly measured: number | null;
  readonly on: IsoDate | null;
  /** Of the newest count, however old it is. */
  readonly seatHeightCm: number | null;
  /** What the newest said, read down, however old it is and whatever came since; of two sides the weaker. */
  readonly once?: number;
  /** A second count of another day that says the same: rises with hands beside rises without. */
  readonly beside?: Reading;
  /** Of a test done on both sides: the one that showed less; nothing where they are alike. */
  readonly weaker?: Side;
}

export const untested: Reading = { state: 'untested', cautious: 0, measured: null, on: null, seatHeightCm: null };

/**
 * Reads a fact from the newest day on which its test was done; the first result of that day counts, later repeats do
 * not. Of two sides the weaker one counts, and a side that is missing leaves the fact untested.
 */
export function readFact(fact: MeasuredFact, facts: Facts, house: HouseRules): Reading {
  const done = facts.results.filter(
    (r) => r.test === fact.test && r.outcome !== 'not-tried' && r.testedOn <= facts.testedOn,
  );
  const { reads } = fact;
  if (reads === 'all') return readRises(fact, done, facts, house);
  if (!fact.bothSides) return readOne(fact, reads, done, facts, house);
  const both = ['L', 'R'] as const;
  const sides = both.map((side) =>
    readOne(
      fact,
      reads,
      done.filter((r) => r.side === side),
      facts,
      house,
    ),
  );
  const states = sides.map((s) => s.state);
  const onces = sides.flatMap((s) => s.once ?? []);
  if (states.includes('untested')) return onces.length === 0 ? untested : { ...untested, once: Math.min(...onces) };
  const least = sides.reduce((a, b) => (b.cautious < a.cautious ? b : a));
  const weaker = sides.every((s) => s.cautious === least.cautious) ? undefined : both[sides.indexOf(least)];
  const oldest = (['half-year', 'old'] as const).find((state) => states.includes(state));
  return { ...least, ...(weaker ? { weaker } : {}), ...(oldest ? { state: oldest } : {}) };
}

/**
 * Rises with hands and rises without are two facts: a try without hands does not replace a count with them, and each
 * clean rise is one with hands too. The fresher that shows any comes first, the other stands beside it.
 */
function readRises(fact: MeasuredFact, done: readonly TestResult[], facts: Facts, house: HouseRules): Reading {
  const both = [readOne(fact, 'hands', done, facts, house), readOne(fact, 'clean', done, facts, house)];
  const order = (r: Reading) => readingStates.indexOf(r.state) + (r.cautious > 0 ? 0 : readingStates.length);
  const [first = untested, beside] = both.sort((a, b) => order(a) - order(b) || b.cautious - a.cautious);
  const seatHeightCm = first.seatHeightCm ?? beside?.seatHeightCm ?? null;
  return {
    ...first,
    seatHeightCm,
    ...(beside && beside.state !== 'untested' && beside.cautious > 0 ? { beside } : {}),
  };
}

type OneRead = Exclude<MeasuredFact['reads'], 'all'> | 'hands';

function readOne(
  fact: MeasuredFact,
  reads: OneRead,
  all: readonly TestResult[],
  facts: Facts,
  house: HouseRules,
): Reading {
  const done = reads === 'hands' ? all.filter((r) => r.handsUsed) : all;
  const newest = done.reduce<IsoDate>((day, r) => (r.testedOn > day ? r.testedOn : day), '');
  const ofDay = done.filter((r) => r.testedOn === newest);
  const found = firstOfKind(reads, ofDay);
  if (!found) return untested;
  const age = daysBetween(newest, facts.testedOn);
  const seatHeightCm = found.result.seatHeightCm ?? null;
  const once = cautiousValue(fact.margin, found.measured, found.result.trials ?? []);
  if (age > house.untestedAfterDays || upsetSince(facts, newest)) return { ...untested, seatHeightCm, once };
  return {
    state: age > house.halfYearAfterDays ? 'half-year' : age > house.oldAfterDays ? 'old' : 'fresh',
    ...{ cautious: once, once },
    measured: found.measured,
    on: newest,
    seatHeightCm,
  };
}

interface Found {
  readonly result: TestResult;
  readonly measured: number;
}

function firstOfKind(reads: OneRead, ofDay: readonly TestResult[]): Found | undefined {
  const unaided = ofDay.find((r) => !r.handsUsed || typeof r.cleanBeforeHands === 'number');
  switch (reads) {
    case 'hands':
      return ofDay[0] && found(ofDay[0], ofDay[0].value);
    case 'value': {
      // A rise with the hands shows nothing of one without.
      const own = ofDay.find((r) => !r.handsUsed);
      return own && found(own, own.value);
    }
    case 'clean':
      // A day with nothing but hands says how many were clean: as many as noted before them, else none.
      return unaided
        ? found(unaided, unaided.handsUsed ? (unaided.cleanBeforeHands ?? 0) : unaided.value)
        : ofDay[0] && found(ofDay[0], 0);
    case 'time': {
      const first = ofDay[0];
      if (!first) return undefined;
      return first.outcome === 'done' && first.value !== null
        ? found(first, first.value)
        : { result: first, measured: neverS };
    }
    case 'managed': {
      const first = ofDay[0];
      return first && { result: first, measured: first.outcome === 'done' && first.help !== 'person' ? 1 : 0 };
    }
  }
}

/** Unable, or stopped, is a result of nothing, and a result all the same; of a walk it is past its line. */
function found(result: TestResult, measured: number | null): Found {
  return { result, measured: result.outcome === 'done' ? (measured ?? 0) : 0 };
}

/** Seconds that stand for a walk that was tried and not done: past every line. */
const neverS = 999;

/** What makes tests from before it no longer true: a fall, surgery, a new joint, pain of 5 and over. */
export interface Upset {
  readonly on: IsoDate;
  readonly by: 'fall' | 'surgery' | 'pain';
}

/** The newest that came after a test; `null` where the test still is true. */
export function upsetAfter(
  { limiters, lastFallOn }: Pick<Facts, 'limiters' | 'lastFallOn'>,
  testedOn: IsoDate,
): Upset | null {
  const all = limiters.flatMap(({ kind, since, pain }): Upset[] => {
    // A pain without a number is the worst; a joint replaced is surgery too, however long it is healed.
    const surgery = kind === 'recent-surgery' || kind.endsWith('-replaced');
    const strong = kind.endsWith('-pain') && (pain ?? 10) >= 5;
    if (since == null || !(surgery || strong)) return [];
    return [{ on: lastDayOf(since), by: surgery ? 'surgery' : 'pain' }];
  });
  if (lastFallOn !== null) all.push({ on: lastFallOn, by: 'fall' });
  return all.filter((u) => u.on > testedOn).reduce<Upset | null>((a, b) => (a && a.on >= b.on ? a : b), null);
}

export const upsetSince = (facts: Pick<Facts, 'limiters' | 'lastFallOn'>, testedOn: IsoDate): boolean =>
  upsetAfter(facts, testedOn) !== null;

/** One margin, once. `trials` are all tries of a test that keeps the best. */
export function cautiousValue(margin: Margin, measured: number, trials: readonly number[]): number {
  switch (margin.kind) {
    case 'as-seen':
      return measured;
    case 'less':
      return measured >= margin.from ? Math.max(0, roundTo(measured - margin.by, 0.01)) : measured;
    case 'longer':
      return roundTo(measured + Math.max(margin.by, margin.share * measured), 0.01);
    case 'share':
      return roundTo(margin.of * measured, 0.01);
    case 'second-best': {
      const [best = measured, second, third] = [...trials].sort((a, b) => b - a);
      const share = roundTo(margin.singleShare * best, 0.01);
      // Of three the second best; of two the larger of the second and a share of the best; of one that share.
      return second === undefined ? share : third === undefined ? Math.max(second, share) : second;
    }
  }
}

/**
 * Smallest measured result, in steps of the test, whose cautious value reaches `atLeast`.
 * For a best-of-three test this is what a single try would have to show.
 */
export function measuredFor(fact: MeasuredFact, atLeast: number): number {
  const { margin } = fact;
  const near =
    margin.kind === 'share'
      ? atLeast / margin.of
      : margin.kind === 'second-best'
        ? atLeast / margin.singleShare
        : atLeast;
  let measured = roundUpTo(near, fact.step);
  while (cautiousValue(margin, measured, []) < atLeast) measured = roundUpTo(measured + fact.step, fact.step);
  return measured;
}

/** Largest measured time, in steps of the test, whose cautious value stays under `under`. */
export function measuredUnder(fact: MeasuredFact, under: number): number {
  let measured = roundUpTo(under, fact.step);
  while (cautiousValue(fact.margin, measured, []) >= under) measured = roundTo(measured - fact.step, fact.step);
  return measured;
}
