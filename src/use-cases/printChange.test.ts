import { describe, expect, test } from 'vitest';
import { askScore } from './askStateless';

const person = { age: 77, sex: 'female', heightCm: 160, massKg: 64 };
interface Answer {
  results: { change?: Record<string, unknown> }[];
  together: Record<string, unknown> | null;
}
function scored(results: object[], more: object = {}): Answer {
  const answer = askScore({ person: { ...person, ...more }, testedOn: '2026-03-02', results }, '2026-03-02');
  if (answer.kind !== 'answered') throw new Error(JSON.stringify(answer));
  return answer.body as Answer;
}
const [then, now] = ['2026-01-05', '2026-03-02'];
const stands = (testedOn: string, value: number, more: object = {}) => ({
  ...{ test: 'chair-stand-30s', testedOn, value, seatHeightCm: 43.2 },
  ...more,
});
const upAndGo = (testedOn: string, value: number) => ({ test: 'up-and-go-8ft', testedOn, value });

describe('two days of one test in one request', () => {
  test('the newer gets its change, the older none; a time that is shorter is a gain', () => {
    const { results } = scored([stands(now, 12), stands(then, 9), upAndGo(then, 8), upAndGo(now, 6.4)]);
    expect(results[0]?.change).toMatchObject({
      ...{ from: { testedOn: then, value: 9 }, by: 3, z: 1.73, verdict: 'probably-better' },
      ...{ smallestRealChange: 3.41, noticed: 2 },
    });
    expect(results[1]).not.toHaveProperty('change');
    expect(results[3]?.change).toMatchObject({ by: 1.6, z: 1.96, verdict: 'clearly-better', smallestRealChange: 1.6 });
  });
  test('z rounds to a hundredth: 1.73 of stands and 1.96 of the walk are 2.61 over two, clearly better together', () => {
    const both = [stands(then, 9), stands(now, 12), upAndGo(then, 8), upAndGo(now, 6.4)];
    expect(scored(both).together).toEqual({
      ...{ tests: ['chair-stand-30s', 'up-and-go-8ft'], z: 2.61, verdict: 'clearly-better' },
    });
    expect(scored([stands(then, 9), stands(now, 12)]).together).toBeNull();
  });
  test('stands with hands go against stands with hands, another seat is not like for like, hands against none neither', () => {
    const hands = { handsUsed: true };
    const { results } = scored([stands(then, 9), stands(then, 12, hands), stands(now, 10), stands(now, 15, hands)]);
    expect([results[2]?.change?.['verdict'], results[3]?.change]).toMatchObject([
      'about-the-same',
      { by: 3, z: null, verdict: 'told', from: { value: 12 } },
    ]);
    expect(scored([stands(then, 9), stands(now, 12, { seatHeightCm: 46 })]).results[1]?.change).toMatchObject({
      ...{ by: 3, z: null, verdict: 'not-comparable' },
    });
    expect(scored([stands(then, 9, hands), stands(now, 5)]).results[1]?.change).toMatchObject({
      ...{ by: null, verdict: 'not-comparable' },
    });
  });
  test('one leg by its tries, a side against the same side; of one day the first counts', () => {
    const leg = (testedOn: string, side: 'L' | 'R', ...trials: number[]) => ({
      ...{ test: 'one-leg', testedOn, side, value: Math.max(...trials), trials },
    });
    const { results } = scored([
      ...[leg(then, 'L', 4, 5, 6), leg(now, 'L', 7, 8, 9), leg(now, 'R', 7, 8, 9)],
      ...[stands(then, 9), stands(now, 9), stands(now, 14)],
    ]);
    expect(results[1]?.change).toMatchObject({ by: 3, z: null, verdict: 'clearly-better', smallestRealChange: null });
    expect(results[2]).not.toHaveProperty('change');
    expect([results[4]?.change?.['by'], results[5]]).toMatchObject([0, {}]);
    expect(results[5]).not.toHaveProperty('change');
  });
});

test('unable is past every line of its test; no standard is held against who is far beyond it', () => {
  const answer = scored([{ test: 'up-and-go-8ft', outcome: 'unable' }, stands(now, 18)]) as unknown as {
    results: { cutoffs: { past: boolean }[]; standard: unknown }[];
  };
  expect(answer.results[0]?.cutoffs.map((c) => c.past)).toEqual([true, true]);
  expect(answer.results[1]?.standard).toBeNull();
});
