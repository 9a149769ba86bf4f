import type { MeasurementError } from '../score/error';
import { moreIsBetter, scoredValue, scoreResult, type Score } from '../score/scoreResult';
import { sideDifference, sidesFlagged, type SideDifference } from '../score/sides';
import { baselineOf, changeBetween, type Change, type Sat } from '../retest/change';
import { splitPercentile, type PercentileSplit } from '../retest/split';
import { trendOf, type Trend } from '../retest/trend';
import { dayNumber } from '../math/days';
import type { Conditions } from '../shapes/attempt';
import type { IsoDate, Side } from '../shapes/facts';
import type { NormTable } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';

/** A result with the day and the conditions it was had under. */
export interface DatedResult extends Sat {
  readonly key: string;
  readonly conditions: Conditions;
  readonly fromPaper: boolean;
  readonly who: string | null;
}

/** One result scored at the age of its day, and held against those before it. */
export interface ScoredResult extends DatedResult {
  readonly score: Score;
  /** Against the one before. */
  readonly change: Change;
}

/** The results of one test and side. */
export interface TestSeries {
  readonly side: Side | null;
  /** Newest first, one a day: the first of its day. */
  readonly results: readonly ScoredResult[];
  /** The newest against the result later ones are held against; `null` where that is the one before it. */
  readonly sinceBaseline: { readonly on: IsoDate; readonly change: Change } | null;
  readonly split: PercentileSplit | null;
  readonly trend: Trend | null;
}

export interface TestView extends NewestTest {
  /** The side gone by first: of two the better one, as norms were taken of the leg people chose. */
  readonly series: readonly TestSeries[];
  /** Left against right on the newest day both were tested. */
  readonly sides: (SideDifference & { readonly flagged: boolean }) | null;
}

/** The newest result of each side of a test, scored: what a grid of many people shows. */
export interface NewestTest {
  readonly test: string;
  /** The newest day it was tried, whatever came of it; `null` where it was only ever noted as not tried. */
  readonly triedOn: IsoDate | null;
  /** The side gone by first. */
  readonly series: readonly {
    readonly results: readonly (Pick<DatedResult, 'result'> & { readonly score: Score })[];
  }[];
}

/**
 * Everything that can be said of one test of one person.
 * @param sats oldest first; several of one day and side are allowed, the first counts
 * @returns null where nothing was ever taken down
 */
export function testViewOf(protocol: Protocol, sats: readonly DatedResult[], sex: NormTable): TestView | null {
  const days = sidesTested(protocol).map((side) => ({ side, sats: firstOfDays(sats, side) }));
  const series = days.flatMap(({ side, sats }) => seriesOf(protocol, sats, side, sex) ?? []);
  if (series.length === 0) return null;
  const triedOn = newestTried(days.map((d) => d.sats));
  return { test: protocol.id, triedOn, series: series.sort(betterFirst(protocol)), sides: sidesOf(protocol, series) };
}

/** The same of the newest results alone, which is a small part of the work; `null` where nothing was ever taken down. */
export function newestOf(protocol: Protocol, sats: readonly DatedResult[], sex: NormTable): NewestTest | null {
  const days = sidesTested(protocol).map((side) => firstOfDays(sats, side));
  const series = days.flatMap((ofSide) => {
    const newest = ofSide.at(-1);
    if (!newest) return [];
    const score = scoreResult(protocol, newest.result, { ageYears: newest.ageYears, sex, aid: aidOf(newest) });
    return [{ results: [{ result: newest.result, score }] }];
  });
  if (series.length === 0) return null;
  return { test: protocol.id, triedOn: newestTried(days), series: series.sort(betterFirst(protocol)) };
}

/** @param days of each side, oldest first */
const newestTried = (days: readonly (readonly DatedResult[])[]): IsoDate | null =>
  days
    .flatMap((ofSide) => ofSide.findLast(({ result }) => result.outcome !== 'not-tried')?.on ?? [])
    .sort()
    .at(-1) ?? null;

const aidOf = ({ conditions }: DatedResult) => conditions.aid ?? undefined;

const sidesTested = ({ sides }: Protocol): readonly (Side | null)[] => (sides === 'both' ? ['L', 'R'] : [null]);

function betterFirst(protocol: Protocol) {
  type Newest = NewestTest['series'][number];
  const newest = (s: Newest) => s.results[0]?.score.scored ?? -Infinity;
  return (a: Newest, b: Newest): number => (moreIsBetter(protocol) ? newest(b) - newest(a) : newest(a) - newest(b));
}

function firstOfDays(sats: readonly DatedResult[], side: Side | null): DatedResult[] {
  const byDay = new Map<IsoDate, DatedResult>();
  for (const sat of sats) if ((side === null || sat.result.side === side) && !byDay.has(sat.on)) byDay.set(sat.on, sat);
  return [...byDay.values()];
}

function seriesOf(
  protocol: Protocol,
  sats: readonly DatedResult[],
  side: Side | null,
  sex: NormTable,
): TestSeries | null {
  if (sats.length === 0) return null;
  const results = sats.map((sat, i): ScoredResult => ({
    ...sat,
    score: scoreResult(protocol, sat.result, { ageYears: sat.ageYears, sex, aid: aidOf(sat) }),
    change: changeBetween(protocol, sats[i - 1], sat, sex),
  }));
  const [newest, before] = [sats.at(-1), sats.at(-2)];
  const base = baselineOf(sats);
  const far = newest && base && base !== newest && base !== before;
  return {
    side,
    results: results.reverse(),
    sinceBaseline: far ? { on: base.on, change: changeBetween(protocol, base, newest, sex) } : null,
    split: newest && before ? splitBetween(protocol, before, newest, sex) : null,
    trend: trendOf(
      sats.flatMap(({ on, result }) =>
        result.value === null || result.handsUsed
          ? []
          : [{ day: dayNumber(on), value: scoredValue(protocol, result.value) }],
      ),
    ),
  };
}

function splitBetween(
  protocol: Protocol,
  before: DatedResult,
  newest: DatedResult,
  sex: NormTable,
): PercentileSplit | null {
  const at = ({ result, ageYears }: DatedResult) =>
    sex === null || result.value === null || result.handsUsed
      ? null
      : { value: scoredValue(protocol, result.value), peer: { ageYears, sex } };
  const [older, newer] = [at(before), at(newest)];
  return older && newer ? splitPercentile(protocol.norms, older, newer) : null;
}

function sidesOf(protocol: Protocol, series: readonly TestSeries[]): TestView['sides'] {
  const [left, right] = (['L', 'R'] as const).map((side) => series.find((s) => s.side === side));
  if (!left || !right) return null;
  const found = left.results.flatMap((l) => {
    const r = right.results.find(({ on }) => on === l.on);
    const error: MeasurementError | null = l.score.error;
    return r && l.result.value !== null && r.result.value !== null
      ? [sideDifference(protocol, { left: l.result.value, right: r.result.value }, error?.mdc95 ?? null)]
      : [];
  });
  const [newest, before] = found;
  return newest ? { ...newest, flagged: sidesFlagged(newest, before ?? null) } : null;
}

/**
 * Whether a newest result is past a line that sets the date, of either side: the tests that are counted and marked as to
 * watch. The other lines are drawn only.
 */
export const isWatched = ({ series }: NewestTest): boolean =>
  series.some((s) => s.results[0]?.score.cutoffs.some((c) => c.past && c.setsDate));

/** How much this test asks to be looked at: past lines first, then below the middle half, then the rest. */
export function attentionOf(test: TestView): number {
  const { series, sides } = test;
  const score = series[0]?.results[0]?.score;
  if (!score) return 0;
  const past = isWatched(test);
  const { rank } = score;
  const low = rank.kind === 'ranked' ? rank.band === 'below' : rank.kind === 'limit' && rank.worse;
  return (past ? 4 : 0) + (sides?.flagged ? 2 : 0) + (low ? 1 : 0);
}
