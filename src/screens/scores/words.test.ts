import { describe, expect, test } from 'vitest';
import { protocolById } from '../../catalogue/protocols';
import type { TestResult } from '../../core/shapes/facts';
import { testViewOf, type DatedResult, type TestView } from '../../core/view/testView';
import { inPlainOrder, plainChange, plainPlace, plainStanding } from './plainWords';
import { summaryWords, togetherWords } from './summary';
import { resultWords, standingWords } from './testWords';

const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};
/** A woman of 77, tested each December and March. */
function view(id: string, ...results: (Partial<TestResult> | number)[]): TestView {
  const sats = results.map((result, i): DatedResult => {
    const on = ['2025-12-01', '2026-03-02'][i + 2 - results.length] ?? '';
    const more = typeof result === 'number' ? { value: result } : result;
    return {
      ...{ key: `${id}-${i}`, on, ageYears: 77, protocolVersion: 1, conditions: {}, fromPaper: true, who: null },
      result: { test: id, testedOn: on, outcome: 'done', value: null, ...more },
    };
  });
  const found = testViewOf(named(id), sats, 'female');
  if (!found) throw new Error('nothing taken down');
  return found;
}
const newest = (test: TestView) => {
  const found = test.series[0]?.results[0];
  if (!found) throw new Error('no scored');
  return found;
};
const standing = (test: TestView) => plainStanding(named(test.test), test, inPlainOrder([test]).next === test.test);
const change = (test: TestView) => plainChange(newest(test), test.series[0]?.results[1]?.on);

describe('words for the person', () => {
  test.each([
    [9, 'Next to work on. Many keep 13 stands when they manage on their own.'],
    [12, 'Like most people my age. Many keep 13 stands when they manage on their own.'],
    [13, 'Like most people my age. That is what many keep when they manage on their own.'],
    [16, 'More than most people my age. That is what many keep when they manage on their own.'],
  ])('%d stands', (value, words) => expect(standing(view('chair-stand-30s', value))).toBe(words));
  test('a time is needed or less, never kept', () => {
    expect(standing(view('up-and-go-8ft', 7))).toContain('Many need 6 s or less');
    // Over 1.3 times the limit no standard is held against it.
    expect(standing(view('up-and-go-8ft', 8.3))).toBe('Next to work on.');
  });
  test('where only a limit is known, not slower is as quick as most', () => {
    expect([standing(view('up-and-go-3m', 9)), standing(view('up-and-go-3m', 10.5))]).toEqual([
      'As quick as most people my age.',
      'Next to work on.',
    ]);
    expect(standing(view('heel-rise', 12))).toBe('');
  });
  test('a change is said in five words, a loss is looked at together', () => {
    const at = (is: number) => change(view('chair-stand-30s', 12, is));
    expect([16, 15, 13, 10, 8].map(at)).toEqual([
      'Clearly better since Dec 2025.',
      'Probably better since Dec 2025.',
      'About the same since Dec 2025.',
      'Perhaps a little less since Dec 2025.',
      'Less than before since Dec 2025; we look at it together.',
    ]);
    expect(change(view('chair-stand-30s', 9))).toBe('My first time.');
  });
  test('hands, the first clean one, the top of a test and an unknown error', () => {
    const hands = (value: number, cleanBeforeHands: number) => ({ value, handsUsed: true, cleanBeforeHands });
    expect(change(view('chair-stand-30s', hands(6, 0), 4))).toBe('Now without hands.');
    expect(change(view('chair-stand-30s', hands(6, 0), hands(8, 1)))).toBe(
      '1 of them without hands: my first. Better since Dec 2025.',
    );
    expect(change(view('four-stage', 4, 4))).toBe('The most this test can show.');
    expect([change(view('heel-rise', 12, 12)), change(view('heel-rise', 12, 15))]).toEqual([
      'The same since Dec 2025.',
      'Better since Dec 2025.',
    ]);
  });
  test('a place is said as so many of a hundred, and the side past a line is named', () => {
    expect(plainPlace(newest(view('chair-stand-30s', 12)).score)).toMatch(
      /^ As good as or better than about \d\d of 100 women my age\.$/,
    );
    const legs = testViewOf(
      named('one-leg'),
      (['L', 'R'] as const).map((side): DatedResult => ({
        ...{
          key: side,
          on: '2026-03-02',
          ageYears: 77,
          protocolVersion: 1,
          conditions: {},
          fromPaper: true,
          who: null,
        },
        result: { test: 'one-leg', testedOn: '2026-03-02', outcome: 'done', value: side === 'L' ? 12 : 4, side },
      })),
      'female',
    );
    expect(legs && standing(legs)).toContain('The right side is the one to bring along.');
  });
  test('what went well comes first, what asks to be worked on last and once, what is older behind with its day', () => {
    const older = view('arm-curl', 3);
    const tests = [view('chair-stand-30s', 8, 5), view('step-2min', 60), view('up-and-go-8ft', 8, 5.5)];
    const dated = {
      ...older,
      series: older.series.map((s) => ({ ...s, results: s.results.map((r) => ({ ...r, on: '2025-06-01' })) })),
    };
    const { tests: ordered, next } = inPlainOrder([...tests, dated]);
    expect(ordered.map((t) => t.test)).toEqual(['up-and-go-8ft', 'step-2min', 'chair-stand-30s', 'arm-curl']);
    expect(next).toBe('chair-stand-30s');
  });
});

test('what was done although it was closed stands behind all else, and is nothing to work on', () => {
  const reach = view('sit-reach', 9);
  const closed = {
    ...view('chair-stand-30s', 5),
    series: view('chair-stand-30s', 5).series.map((s) => ({
      ...s,
      results: s.results.map((r) => ({ ...r, conditions: { despite: 'knee pain from 5' } })),
    })),
  };
  const { tests, next } = inPlainOrder([closed, reach]);
  expect([tests.map((t) => t.test), next]).toEqual([['sit-reach', 'chair-stand-30s'], null]);
});

describe('one line of all tests', () => {
  test('at most three to work on, and three that are strong', () => {
    const low = ['chair-stand-30s', 'step-2min', 'arm-curl'].map((id) => view(id, 5));
    const words = summaryWords([...low, view('up-and-go-8ft', 9.5)]);
    expect(words).toBe('Next to work on: chair stands, two-minute step and arm curl.');
    expect(summaryWords([view('chair-stand-30s', 17)])).toBe(
      'Nothing is past a watch line or below the middle half. Above the middle half: chair stands.',
    );
  });
});

test('several tests together are said where they are clear, and only there', () => {
  const found = {
    tests: ['chair-stand-30s', 'step-2min'],
    verdict: 'clearly-better',
    ...{ z: 2.3, better: 4, of: 5 },
    ...{ from: '2025-12-01', on: '2026-03-02' },
  } as const;
  expect(togetherWords(found)).toBe(
    'Taken together (chair stands and two-minute step), about: clearly better since 1 Dec 2025; 4 of 5 better.',
  );
  expect(togetherWords({ ...found, verdict: 'about-the-same' })).toBe('');
});

describe('a result as it is said', () => {
  test.each([
    ['chair-stand-30s', { value: 12, handsUsed: true }, '12 with hands'],
    ['chair-stand-30s', { value: 1 }, '1 stand'],
    ['gait-4m', { value: 4.6 }, '4.6 s (0.87 m/s)'],
    ['floor-transfer', { value: null, help: 'person' as const }, 'with a person’s help'],
    ['floor-transfer', { value: 22, help: 'furniture' as const }, '22 s, holding on to furniture'],
    ['floor-transfer', { outcome: 'not-tried' as const }, 'not tried'],
    ['sit-reach', { value: -5.08, side: 'R' as const }, '-5.1 cm'],
  ])('%s %j', (id, result, words) => {
    expect(resultWords(named(id), newest(view(id, result)))).toBe(words);
  });
  test.each([
    ['chair-stand-30s', 9, 'about 17 in 100'],
    ['five-stands', 12.7, 'slower than average'],
    ['one-leg', { value: 9, side: 'L' as const }, 'under the mean of 16.7'],
    ['four-stage', 2, 'past the watch line'],
    ['four-stage', 3, 'not past the watch line'],
    ['heel-rise', 12, 'no norms'],
  ])('%s %j stands somewhere', (id, result, words) => {
    expect(standingWords(newest(view(id, result)).score)).toBe(words);
  });
});
