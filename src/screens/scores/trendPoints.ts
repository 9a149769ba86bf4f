import { addDays, dayNumber, isCalendarDay } from '../../core/math/days';
import { errorReach } from '../../core/score/error';
import { rowFor } from '../../core/score/rank';
import { moreIsBetter, scoredUnit, scoredValue } from '../../core/score/scoreResult';
import type { IsoDate } from '../../core/shapes/facts';
import type { NormRow, NormTable } from '../../core/shapes/norms';
import type { Person } from '../../core/shapes/person';
import type { Protocol } from '../../core/shapes/protocol';
import type { TestSeries } from '../../core/view/testView';

export interface TrendPoint {
  /** Days since 1970, so that the axis is as long as the time was. */
  readonly day: number;
  readonly value: number | null;
  /** How far the error bar reaches down and up; no result is less than the test can show. */
  readonly reach: readonly [down: number, up: number];
  /** The middle half of the row of that day’s age; it steps at birthdays. */
  readonly middle: readonly [low: number, high: number] | null;
}

export interface TrendProps {
  readonly points: readonly TrendPoint[];
  readonly line: readonly { readonly day: number; readonly value: number }[];
  readonly unit: string;
  readonly higherIsBetter: boolean;
}

/** What the chart of one series shows, oldest first. */
export function trendPoints(protocol: Protocol, series: TestSeries, person: Person): TrendProps {
  const { birthDate, normTable: sex } = person;
  const sats = [...series.results].reverse();
  const points = sats.flatMap((s): TrendPoint[] => {
    const { value } = s.result;
    if (value === null || s.result.handsUsed) return [];
    const rank = s.score.rank;
    const row = rank.kind === 'ranked' ? rank.row : sex && rowFor(protocol.norms, { ageYears: s.ageYears, sex });
    return [
      {
        day: dayNumber(s.on),
        value: scoredValue(protocol, value),
        reach: reachOf(
          scoredValue(protocol, value),
          s.score.error ? errorReach(s.score.error) : 0,
          leastScored(protocol),
        ),
        middle: row ? middleOf(row) : null,
      },
    ];
  });
  const { trend } = series;
  const [first, last] = [points[0], points.at(-1)];
  const line =
    trend && first && last
      ? [first, last].map(({ day }) => ({ day, value: trend.at + (trend.perYear * (day - first.day)) / 365.25 }))
      : [];
  return {
    points: withSteps(points, protocol, birthDate, sex),
    line,
    unit: scoredUnit(protocol),
    higherIsBetter: moreIsBetter(protocol),
  };
}

/** Points without a result on each birthday that moved the row, so that the band steps there and not at the next test. */
function withSteps(
  points: readonly TrendPoint[],
  protocol: Protocol,
  birthDate: IsoDate,
  sex: NormTable,
): TrendPoint[] {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || !sex) return [...points];
  const steps = Array.from({ length: 111 }, (_, ageYears) => ageYears).flatMap((ageYears): TrendPoint[] => {
    const day = birthdayOf(birthDate, ageYears);
    if (day <= first.day || day > last.day) return [];
    const [before, after] = [ageYears - 1, ageYears].map((age) => rowFor(protocol.norms, { ageYears: age, sex }));
    if (!before || !after || before.ageLow === after.ageLow) return [];
    return [
      { day: day - 1, value: null, reach: [0, 0], middle: middleOf(before) },
      { day, value: null, reach: [0, 0], middle: middleOf(after) },
    ];
  });
  return [...points, ...steps].sort((a, b) => a.day - b.day);
}

/** A walk is scored as speed, whose least is none at all. */
const leastScored = (protocol: Protocol): number => (protocol.speedOverM === undefined ? protocol.range.min : 0);

const reachOf = (value: number, reach: number, least: number) => [Math.min(reach, value - least), reach] as const;

const middleOf = ({ p25, p75 }: NormRow) => [Math.min(p25, p75), Math.max(p25, p75)] as const;

/** Somebody born on 29 February has the birthday on 1 March in other years, as their age is counted. */
function birthdayOf(birthDate: IsoDate, ageYears: number): number {
  const date = `${String(Number(birthDate.slice(0, 4)) + ageYears)}${birthDate.slice(4)}`;
  return isCalendarDay(date) ? dayNumber(date) : dayNumber(date.replace('-02-29', '-03-01'));
}

/** A day of the axis as a date. */
export const dateOfDay = (day: number): string => addDays('1970-01-01', day);
