import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import { rankAmongPeers } from '../score/rank';
import { baselineOf } from './change';
import { retestDue } from './due';
import { splitPercentile } from './split';
import { trendOf, type TrendPoint } from './trend';

describe('several results', () => {
  test('the second within 14 days is the better baseline, as by then the test was known', () => {
    const at = (...days: string[]) => baselineOf(days.map((on) => ({ on })))?.on;
    expect(at('2026-01-01', '2026-01-15', '2026-03-02')).toBe('2026-01-15');
    expect(at('2026-01-01', '2026-01-16', '2026-03-02')).toBe('2026-01-01');
    expect([at('2026-01-01'), at()]).toEqual(['2026-01-01', undefined]);
  });
  const points = (...values: number[]): TrendPoint[] => values.map((value, i) => ({ day: i * 90, value }));
  test('three results make a trend, two do not; one odd day does not tip it', () => {
    expect(trendOf(points(9, 10))).toBeNull();
    expect(trendOf(points(9, 10, 11))?.perYear).toBeCloseTo((1 / 90) * 365.25, 9);
    expect(trendOf(points(9, 10, 11, 2, 13, 14, 15))?.perYear).toBeCloseTo((1 / 90) * 365.25, 9);
  });
  // Slopes a day of 1, 3, 2, 5, 4 on days 0 to 4, sorted: -1 -1 1/2 2/3 3/4 1 1 4/3 2 3; median 7/8; n = 5: C = 8.0,
  // so ranks 1 and 10 (by hand).
  test('five points: the median slope and its 95 % interval by hand', () => {
    const trend = trendOf([1, 3, 2, 5, 4].map((value, day) => ({ day, value })));
    expect(trend?.perYear).toBeCloseTo(0.875 * 365.25, 9);
    expect([trend?.interval.low, trend?.interval.high].map((s) => (s ?? NaN) / 365.25)).toEqual([-1, 3]);
    expect(trend?.interval.coversPercent).toBe(95);
  });
  test('with three results the interval covers 67 %, with four 92 % (2 of n! orders miss it)', () => {
    expect(trendOf(points(9, 10, 12))?.interval.coversPercent).toBe(67);
    expect(trendOf(points(9, 10, 12, 11))?.interval.coversPercent).toBe(92);
  });
  test('turned upside down the trend is turned upside down', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 3, maxLength: 9 }), (values) => {
        const [up, down] = [trendOf(points(...values)), trendOf(points(...values.map((v) => -v)))];
        expect(down?.perYear).toBeCloseTo(-(up?.perYear ?? NaN), 9);
        expect(down?.interval.low).toBeCloseTo(-(up?.interval.high ?? NaN), 9);
      }),
    );
  });
});

describe('a change of percentile in two parts', () => {
  const { norms } = chairStand30s;
  // Women: 10 stands at 79 is 25.0; the same 10 at 80, z -0.405, is 34.3; 12 there, z 0.135, is 55.4 (by hand, table of the normal curve).
  test('a birthday lifts the same 10 stands from 25 to 34; the rest is the woman’s own', () => {
    const split = splitPercentile(
      norms,
      { value: 10, peer: { ageYears: 79, sex: 'female' } },
      { value: 12, peer: { ageYears: 80, sex: 'female' } },
    );
    expect(split?.before).toBeCloseTo(25, 9);
    expect(split?.birthday).toBeCloseTo(9.3, 1);
    expect(split?.own).toBeCloseTo(21.1, 1);
  });
  test('the parts add up exactly; without a birthday there is no birthday part', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 60, max: 94 }),
        fc.integer({ min: 60, max: 94 }),
        (a, b, young, old) => {
          const at = (value: number, ageYears: number) => ({ value, peer: { ageYears, sex: 'male' as const } });
          const split = splitPercentile(norms, at(a, young), at(b, old));
          if (!split) throw new Error('every count from 1 has a rank');
          expect(split.birthday + split.own).toBeCloseTo(split.after - split.before, 12);
          if (young === old) expect(split.birthday).toBe(0);
        },
      ),
    );
  });
  test('without a rank there is no split', () => {
    const at = (ageYears: number) => ({ value: 10, peer: { ageYears, sex: 'male' as const } });
    expect(rankAmongPeers(norms, 10, { ageYears: 95, sex: 'male' }).kind).toBe('no-norm');
    expect(splitPercentile(norms, at(94), at(95))).toBeNull();
  });
});

test('12 weeks, 8 past a watch line or ready with care, 4 while a question is open (common practice, no published source)', () => {
  const due = (pastCutoff: boolean, readiness: 'ready' | 'ready-with-care' | 'ask-first', steppedBack = false) =>
    retestDue('2026-03-02', { pastCutoff, readiness, steppedBack, upset: null, cameBack: null });
  expect(due(false, 'ready', true)).toMatchObject({ weeks: 8, why: 'a level was taken back' });
  expect(due(false, 'ready')).toMatchObject({ on: '2026-05-25', weeks: 12 });
  expect([due(true, 'ready').weeks, due(false, 'ready-with-care').weeks, due(true, 'ask-first').weeks]).toEqual([
    8, 8, 4,
  ]);
});

test('back after weeks away it is sooner, never later than it would be', () => {
  const due = (testBy: string) =>
    retestDue('2026-03-02', {
      ...{ pastCutoff: false, readiness: 'ready', steppedBack: false, upset: null },
      cameBack: { weeks: 5, testBy },
    });
  expect(due('2026-04-20')).toMatchObject({ on: '2026-04-20', why: 'back after 5 weeks without a class' });
  expect(due('2026-06-20')).toMatchObject({ on: '2026-05-25', why: 'the usual interval' });
});

test('a fall, surgery or strong new pain since the test: due from that day, before the next class', () => {
  const due = (by: 'fall' | 'surgery' | 'pain') =>
    retestDue('2026-03-02', {
      ...{ pastCutoff: false, readiness: 'ready', steppedBack: false, cameBack: null },
      upset: { on: '2026-03-20', by },
    });
  expect(due('fall')).toEqual({
    on: '2026-03-20',
    weeks: 0,
    why: 'a fall since the last test: before the next class',
  });
  expect([due('surgery').why, due('pain').on]).toEqual([
    'surgery since the last test: before the next class',
    '2026-03-20',
  ]);
});
