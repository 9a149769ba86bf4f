import { describe, expect, test } from 'vitest';
import { protocolById } from '../../catalogue/protocols';
import type { TestResult } from '../shapes/facts';
import { attentionOf, testViewOf, type DatedResult } from './testView';

const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};
let n = 0;
const sat = (test: string, on: string, value: number | null, more: Partial<TestResult> = {}): DatedResult => ({
  ...{ key: `key-${n++}`, on, ageYears: 77, protocolVersion: named(test).version, conditions: {}, fromPaper: true },
  who: null,
  result: { test, testedOn: on, outcome: value === null ? 'unable' : 'done', value, ...more },
});
const stands = (...values: (readonly [on: string, value: number])[]) =>
  testViewOf(
    named('chair-stand-30s'),
    values.map(([on, value]) => sat('chair-stand-30s', on, value)),
    'female',
  );
const leg = (on: string, left: number, right: number) => [
  sat('one-leg', on, left, { side: 'L' }),
  sat('one-leg', on, right, { side: 'R' }),
];

describe('results of one test, day by day', () => {
  test('newest first; of one day the first counts, a repeat does not', () => {
    const view = stands(['2025-12-01', 9], ['2026-03-02', 10], ['2026-03-02', 14]);
    expect(view?.series[0]?.results.map((s) => s.result.value)).toEqual([10, 9]);
  });
  test('each is scored at the age of its own day and held against the one before it', () => {
    const view = testViewOf(
      named('chair-stand-30s'),
      [
        { ...sat('chair-stand-30s', '2025-12-01', 10), ageYears: 79 },
        { ...sat('chair-stand-30s', '2026-03-02', 14), ageYears: 80 },
      ],
      'female',
    );
    const [newest, before] = view?.series[0]?.results ?? [];
    expect([before, newest].map((s) => s?.score.rank.kind === 'ranked' && s.score.rank.row.ageLow)).toEqual([75, 80]);
    expect([before?.change.kind, newest?.change.kind]).toEqual(['first-time', 'clearly-better']);
  });
  test('against the first result is told only where that is not the one before', () => {
    expect(stands(['2025-06-01', 8], ['2025-12-01', 9])?.series[0]?.sinceBaseline).toBeNull();
    const since = stands(['2025-06-01', 8], ['2025-12-01', 9], ['2026-03-02', 12])?.series[0]?.sinceBaseline;
    expect([since?.on, since?.change.kind]).toEqual(['2025-06-01', 'clearly-better']);
  });
  test('a second result within 14 days is the baseline, so against it the third is one step', () => {
    const view = stands(['2025-12-01', 8], ['2025-12-10', 10], ['2026-03-02', 12]);
    expect(view?.series[0]?.sinceBaseline).toBeNull();
  });
  test('hands and unable make no trend, but stay among the results', () => {
    const view = testViewOf(
      named('chair-stand-30s'),
      [
        sat('chair-stand-30s', '2025-03-01', 5, { handsUsed: true }),
        sat('chair-stand-30s', '2025-06-01', null),
        sat('chair-stand-30s', '2025-09-01', 8),
        sat('chair-stand-30s', '2025-12-01', 9),
      ],
      'female',
    );
    expect(view?.series[0]?.results).toHaveLength(4);
    expect(view?.series[0]?.trend).toBeNull();
  });
  test('nothing taken down is no view', () => {
    expect(stands()).toBeNull();
  });
});

describe('left and right', () => {
  test('the better side is gone by: the longer hold, in results and in what asks to be looked at', () => {
    const view = testViewOf(named('one-leg'), leg('2026-03-02', 3, 12), 'female');
    expect(view?.series.map((s) => [s.side, s.results[0]?.result.value])).toEqual([
      ['R', 12],
      ['L', 3],
    ]);
  });
  test('far apart once is looked at again, twice running on the same side it is told', () => {
    const once = testViewOf(named('one-leg'), leg('2026-03-02', 3, 12), 'female');
    expect(once?.sides).toMatchObject({ by: 9, lower: 'L', large: true, flagged: false });
    const twice = [...leg('2025-12-01', 4, 11), ...leg('2026-03-02', 3, 12)];
    expect(testViewOf(named('one-leg'), twice, 'female')?.sides?.flagged).toBe(true);
    const turned = [...leg('2025-12-01', 11, 4), ...leg('2026-03-02', 3, 12)];
    expect(testViewOf(named('one-leg'), turned, 'female')?.sides?.flagged).toBe(false);
  });
  test('sides tested on different days are not held against each other', () => {
    const apart = [
      sat('one-leg', '2025-12-01', 3, { side: 'L' as const }),
      sat('one-leg', '2026-03-02', 12, { side: 'R' as const }),
    ];
    expect(testViewOf(named('one-leg'), apart, 'female')?.sides).toBeNull();
  });
});

test('what asks to be looked at: a line before the middle half, and the middle half before nothing', () => {
  const at = (value: number) => {
    const view = stands(['2026-03-02', value]);
    return view ? attentionOf(view) : NaN;
  };
  // Women 75-79: the watch lines are 10, which is drawn only, and 8, the 25th percentile 10 (from memory).
  expect([at(12), at(10), at(9), at(7)]).toEqual([0, 0, 1, 5]);
  const slow = testViewOf(named('up-and-go-3m'), [sat('up-and-go-3m', '2026-03-02', 10.5)], 'female');
  expect(slow && attentionOf(slow)).toBe(1);
});
