import { describe, expect, test } from 'vitest';
import { protocolById } from '../../catalogue/protocols';
import { dayNumber } from '../../core/math/days';
import { testViewOf } from '../../core/view/testView';
import { dateOfDay, trendPoints } from './trendPoints';

const stands = protocolById('chair-stand-30s');
const walk = protocolById('gait-4m');
if (!stands || !walk) throw new Error('the catalogue lacks a test');

const person = (birthDate: string) => ({ id: 'p', name: 'P', birthDate, normTable: 'female' as const });
/** Somebody born on 15 January 1946 turns 80 between the two results. */
function chart(protocol: NonNullable<typeof stands>, values: readonly (number | null)[], birthDate = '1946-01-15') {
  const days = ['2025-12-01', '2026-03-02', '2026-06-01'];
  const sats = values.map((value, i) => {
    const on = days[i] ?? '';
    const ageYears = i === 0 ? 79 : 80;
    const outcome = value === null ? ('unable' as const) : ('done' as const);
    return {
      ...{ key: String(i), on, ageYears, protocolVersion: 1, conditions: {}, fromPaper: true, who: null },
      result: { test: protocol.id, testedOn: on, outcome, value },
    };
  });
  const series = testViewOf(protocol, sats, 'female')?.series[0];
  if (!series) throw new Error('nothing taken down');
  return trendPoints(protocol, series, person(birthDate));
}

describe('the chart of one test', () => {
  test('the band steps from the row of 75-79 (10 to 15) to that of 80-84 (9 to 14) on the birthday, not at the test', () => {
    const { points } = chart(stands, [10, 11]);
    expect(points.map((p) => [dateOfDay(p.day), p.value, p.middle])).toEqual([
      ['2025-12-01', 10, [10, 15]],
      ['2026-01-14', null, [10, 15]],
      ['2026-01-15', null, [9, 14]],
      ['2026-03-02', 11, [9, 14]],
    ]);
  });
  test('born on 29 February, the birthday of a common year is 1 March', () => {
    const { points } = chart(stands, [10, 11], '1946-02-28');
    const leap = chart(stands, [10, 11], '1944-02-29');
    expect(points.filter((p) => p.value === null).map((p) => dateOfDay(p.day))).toEqual(['2026-02-27', '2026-02-28']);
    expect(leap.points.filter((p) => p.value === null)).toEqual([]);
  });
  test('an error bar never reaches under what the test can show', () => {
    const low = chart(stands, [1, 1]).points.find((p) => p.value === 1);
    expect(low?.reach[0]).toBe(1);
    expect(low?.reach[1]).toBeGreaterThan(2);
  });
  test('a walk is drawn as speed; a result without a result is no point', () => {
    const { points, unit, higherIsBetter } = chart(walk, [5, null, 4]);
    expect([points.map((p) => p.value).filter((v) => v !== null), unit, higherIsBetter]).toEqual([
      [0.8, 1],
      'm/s',
      true,
    ]);
  });
  test('three results have a line from the first to the last; two have none', () => {
    expect(chart(stands, [10, 11]).line).toEqual([]);
    const { line } = chart(stands, [10, 11, 12]);
    expect(line.map((p) => p.day)).toEqual([dayNumber('2025-12-01'), dayNumber('2026-06-01')]);
    expect(line[0]?.value).toBeCloseTo(10, 1);
    expect(line[1]?.value).toBeCloseTo(12, 1);
  });
});
