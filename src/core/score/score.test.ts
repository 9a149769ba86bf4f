import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import { risePowerRule } from '../../catalogue/rules/risePower';
import type { TestResult } from '../shapes/facts';
import { measurementError } from './error';
import { percentileWords, rankAmongPeers, rankOpen, valueAt } from './rank';
import { risePower } from './risePower';
import { scoreResult } from './scoreResult';

const { norms, reliability } = chairStand30s;
const result = (value: number, more: Partial<TestResult> = {}): TestResult => ({
  test: chairStand30s.id,
  testedOn: '2026-03-02',
  outcome: 'done',
  value,
  ...more,
});

describe('rank among peers', () => {
  test('all 14 rows give back 25 and 75 at their printed quartiles (Rikli & Jones 1999, from memory)', () => {
    expect(norms.rows).toHaveLength(14);
    for (const row of norms.rows) {
      for (const [value, percentile] of [
        [row.p25, 25],
        [row.p75, 75],
      ] as const) {
        const rank = rankAmongPeers(norms, value, { sex: row.sex, ageYears: row.ageLow });
        expect(rank.kind === 'ranked' && Math.abs(rank.percentile - percentile)).toBeLessThan(1e-9);
        expect(rank).toMatchObject({ row, band: 'middle' });
      }
    }
  });
  test('women 75-79 with 9 stands: z -0.94, 17.3 (by hand: (9 - 12.5) / 3.7065)', () => {
    const rank = rankAmongPeers(norms, 9, { sex: 'female', ageYears: 77 });
    expect(rank.kind === 'ranked' && [rank.z.toFixed(2), rank.percentile.toFixed(1), rank.p50, rank.band]).toEqual([
      '-0.94',
      '17.3',
      12.5,
      'below',
    ]);
  });
  test('a row ends with the day before the next fifth birthday; 59 and 95 are not covered', () => {
    const rowLow = (ageYears: number) => {
      const rank = rankAmongPeers(norms, 12, { sex: 'male', ageYears });
      return rank.kind === 'ranked' ? rank.row.ageLow : rank.kind === 'no-norm' && rank.why;
    };
    expect([59, 60, 64, 65, 94, 95].map(rowLow)).toEqual(['age-not-covered', 60, 60, 65, 90, 'age-not-covered']);
  });
  test('more stands never rank lower', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.constantFrom(...norms.rows), (value, row) => {
        const [a, b] = [value, value + 1].map((v) => rankAmongPeers(norms, v, { sex: row.sex, ageYears: row.ageLow }));
        return a?.kind === 'ranked' && b?.kind === 'ranked' && a.percentile <= b.percentile;
      }),
    );
  });
  test('for times the slower quartile is the 25th (up and go, women 75-79: 7.4 and 5.2 s, from memory)', () => {
    const times = { ...norms, rows: [{ sex: 'female', ageLow: 75, ageHigh: 79, p25: 7.4, p75: 5.2 } as const] };
    const at = (value: number) => rankAmongPeers(times, value, { sex: 'female', ageYears: 77 });
    expect(at(7.4)).toMatchObject({ band: 'middle' });
    expect(at(7.5)).toMatchObject({ band: 'below' });
    expect(at(5.1)).toMatchObject({ band: 'above' });
  });
  test('with the norm table left open the lower rank is gone by', () => {
    const { rank, both } = rankOpen(norms, 12, 77, null);
    expect(both?.female).not.toEqual(both?.male);
    expect(rank).toEqual(both?.male);
  });
  test('0 stands are not ranked, and a value that is no number is refused', () => {
    expect(rankAmongPeers(norms, 0, { sex: 'male', ageYears: 70 })).toEqual({
      kind: 'no-norm',
      why: 'zero-not-ranked',
    });
    expect(() => rankAmongPeers(norms, NaN, { sex: 'male', ageYears: 70 })).toThrow(RangeError);
  });
  test('the rail asks for the value at a percentile and gets the quartile back', () => {
    for (const row of norms.rows) expect(valueAt(row, -0.6744897501960817)).toBeCloseTo(row.p25, 12);
  });
  test('percentiles are said in whole numbers with "about" inside 5 to 95', () => {
    expect([4.9, 17.3, 96].map(percentileWords)).toEqual([
      'among the lowest 5 in 100',
      'about 17 in 100',
      'among the highest 5 in 100',
    ]);
  });
});

describe('error and power', () => {
  test('women 75-79: SD 3.706, SEM 1.229, MDC90 2.86, MDC95 3.41 (from r 0.89, Rikli & Jones 1999, from memory)', () => {
    const row = norms.rows.find((r) => r.sex === 'female' && r.ageLow === 75);
    if (!row) throw new Error('row missing');
    const error = measurementError(row, reliability);
    expect([error.sem.toFixed(3), error.mdc90?.toFixed(2), error.mdc95.toFixed(2)]).toEqual(['1.229', '2.86', '3.41']);
  });
  test('65 kg, 1.60 m, seat 0.43 m, five stands in 12.0 s: 176.95 W, 2.722 W/kg (Alcazar et al. 2018, by hand)', () => {
    const power = risePower(
      { massKg: 65, heightM: 1.6, seatM: 0.43, secondsPerStand: 2.4, sex: 'female' },
      risePowerRule,
    );
    expect([power?.watts.toFixed(2), power?.wattsPerKg.toFixed(3), power?.low]).toEqual(['176.95', '2.722', false]);
  });
  test('a seat at half the body height lifts nothing', () => {
    expect(
      risePower({ massKg: 65, heightM: 1.6, seatM: 0.8, secondsPerStand: 2, sex: null }, risePowerRule),
    ).toBeNull();
  });
});

describe('a scored result', () => {
  const woman = { ageYears: 77, sex: 'female' } as const;
  test('women 75-79: 9 is under the watch line of 10, not under 8, and the standard is 13 (from memory)', () => {
    const score = scoreResult(chairStand30s, result(9), woman);
    expect(score.cutoffs.map((c) => [c.id, c.limit, c.past])).toEqual([
      ['chair-stand-below-average', 10, true],
      ['chair-stand-risk', 8, false],
    ]);
    expect(score.standard).toMatchObject({ limit: 13, met: false });
  });
  test('10 is not past the line of 10, 13 meets the standard of 13', () => {
    expect(scoreResult(chairStand30s, result(10), woman).cutoffs.map((c) => c.past)).toEqual([false, false]);
    expect(scoreResult(chairStand30s, result(13), woman).standard?.met).toBe(true);
  });
  test('14 stands of a woman of 77 meet the standard of the 70-74 row, 9 meet none up to 89 (Rikli & Jones 2013)', () => {
    expect(scoreResult(chairStand30s, result(14), woman).standard?.meets).toEqual({ ageLow: 70, ageHigh: 74 });
    expect(scoreResult(chairStand30s, result(11), woman).standard?.meets).toEqual({ ageLow: 85, ageHigh: 89 });
    expect(scoreResult(chairStand30s, result(9), woman).standard?.meets).toBeNull();
    const open = scoreResult(chairStand30s, result(14), { ageYears: 77, sex: null });
    expect(open.standard?.meets).toEqual({ ageLow: 75, ageHigh: 79 });
  });
  test('from 90 on no standard is shown', () => {
    expect(scoreResult(chairStand30s, result(9), { ageYears: 89, sex: 'male' }).standard).not.toBeNull();
    expect(scoreResult(chairStand30s, result(9), { ageYears: 90, sex: 'male' }).standard).toBeNull();
  });
  test('12 with hands is not ranked, is past both lines and says "12 with hands"', () => {
    const score = scoreResult(chairStand30s, result(12, { handsUsed: true }), woman);
    expect(score.rank).toEqual({ kind: 'no-norm', why: 'hands-used' });
    expect(score.cutoffs.every((c) => c.past)).toBe(true);
    expect(score.notes[0]).toContain('12 with hands');
  });
});
