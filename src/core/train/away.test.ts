import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Level } from '../level/answer';
import { levelAt, withAccessories } from '../level/assign';
import { done, legs, someone, stands } from '../level/madeUp';
import { isOpen, isOver } from '../level/standing';
import { addDays } from '../math/days';
import { supports, type Facts, type Pattern } from '../shapes/facts';
import type { ClassLogContent, WrittenLine } from '../shapes/classLog';
import { afterAway, cameBack, weeksWithout } from './away';
import type { HeldClass } from './past';
import type { Variant } from './variant';
import { printDose } from '../level/code';

const rules = withAccessories(levelRules);
const strong = someone({ results: [stands(14), done('four-stage', 4), ...legs(14)], sessionsLogged: 20 });
const at = (facts: Facts, pattern: Pattern, rung: number): Level => {
  const level = levelAt(rules, { ...facts, missedWeeks: 0 }, pattern, rung, null);
  if (!isOpen(level)) throw new Error(`${pattern}${rung} is closed`);
  return level;
};
const back = (missedWeeks: number, level: Level, facts: Facts = strong): Level => {
  const ladder = rules.ladders.find((l) => l.pattern === level.pattern);
  if (!ladder) throw new Error(level.pattern);
  return afterAway(rules, { ...facts, missedWeeks }, ladder, level, at(facts, level.pattern, level.rung));
};
const said = ({ rung, targetCm, support, dose }: Level) => [rung, targetCm, support, printDose(dose)];

describe('after weeks without a class', () => {
  test.each<[number, number, number | null, string, string]>([
    [3, 5, 48, 'h', '3x3'],
    [7, 5, 48, 'h', '3x3'],
    // On two feet nothing more is asked of the hands.
    [8, 5, 48, 'h', '3x3'],
    // The first dose of all: one round, as in the first two classes.
    [16, 5, 48, 'h', '3x1'],
  ])('%i weeks: from S5 to S%i, seat %s, hands %s, %s', (weeks, ...wanted) => {
    expect(said(back(weeks, at(strong, 'S', 5)))).toEqual(wanted);
  });
  test('from the eighth on, feet apart or on one leg are held as in the first sessions on a rung', () => {
    const level: Level = { ...at(strong, 'L', 6), support: 'h', dose: { kind: 'reps', reps: 8, sets: 2 } };
    const hands = (weeks: number) => supports.indexOf(back(weeks, level).support);
    expect(hands(7) - hands(8)).toBe(1);
    // Half of eight a side, then three, as whoever is new on it.
    expect([7, 8, 15].map((weeks) => printDose(back(weeks, level).dose))).toEqual(['4x2', '3x2', '3x2']);
  });
  test('from half a year on it is a rung down, held one step more, with the first dose', () => {
    const long = back(26, at(strong, 'L', 2));
    const under = at(strong, 'L', 1);
    expect([long.rung, printDose(long.dose)]).toEqual([1, '3x1']);
    expect(supports.indexOf(under.support) - supports.indexOf(long.support)).toBe(1);
    // Under the first rung there is nothing: one dial back.
    expect(back(30, at(strong, 'S', 1)).rung).toBe(1);
  });
  test('the longer away, never the more; never over what was in force, nor over what the rules give', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Pattern>('S', 'L', 'H', 'B'),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 3, max: 40 }),
        fc.integer({ min: 0, max: 30 }),
        fc.record({ n: fc.integer({ min: 3, max: 18 }), stage: fc.integer({ min: 1, max: 4 }) }),
        (pattern, rung, weeks, more, { n, stage }) => {
          const facts = someone({ results: [stands(n), done('four-stage', stage), ...legs(12)], sessionsLogged: 9 });
          const level = levelAt(rules, facts, pattern, rung, null);
          if (!isOpen(level)) return;
          const [sooner, later] = [back(weeks, level, facts), back(weeks + more, level, facts)];
          expect([isOver(sooner, level), isOver(later, sooner)]).toEqual([false, false]);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('weeks without one pattern', () => {
  const start = '2026-01-05';
  const variant = (pattern: Pattern, folded: Variant['folded'] = null): Variant => ({
    ...{ personId: 'p', shelf: 'B', pattern, rung: 2, name: 'Bridge', support: '2', targetCm: null, loadKg: null },
    ...{ dose: { kind: 'reps', reps: 5, sets: 2 }, code: 'B2/2@5x2', folded, why: null, spotter: null },
  });
  const held = (week: number, pattern: Pattern, more: Partial<HeldClass> & { folded?: Variant['folded'] } = {}) => ({
    ...{ key: `c${week}`, day: addDays(start, 7 * week), people: ['p'], lines: [] },
    doing: [{ block: 'b', parts: [[variant(pattern, more.folded ?? null)]] }],
    ...more,
  });
  /** In week 10, with a class in week 9: nobody was away from all. */
  const weeks = (classes: readonly HeldClass[], decidedOn = start, missedWeeks = 1) =>
    weeksWithout(classes, 'p', 'B', { missedWeeks, testedOn: addDays(start, 70) }, decidedOn);
  const line = (content: ClassLogContent): WrittenLine[] => [
    { writer: 't', seq: 0, wallMs: 1, personId: 'p', content },
  ];
  test('classes that went by without it count, also one in which it was left out, or they were not there', () => {
    expect(weeks([held(4, 'B'), held(9, 'S')])).toBe(6);
    expect(weeks([held(4, 'B'), held(9, 'B')])).toBe(1);
    const left = line({ kind: 'not-done', pattern: 'B', why: 'time' });
    expect(weeks([held(4, 'B'), held(9, 'B', { lines: left })])).toBe(6);
    expect(weeks([held(4, 'B'), held(9, 'B', { lines: line({ kind: 'absent' }) })])).toBe(6);
  });
  test('as long as without any class at least', () => {
    expect(weeks([held(5, 'B')], start, 5)).toBe(5);
    expect(weeks([held(9, 'B')], start, 4)).toBe(4);
  });
  test('a pattern that comes every month costs one step, not one each month; two months cost another', () => {
    expect(weeks([held(2, 'B'), held(6, 'B', { folded: 'away' }), held(9, 'S')])).toBe(1);
    expect(weeks([held(1, 'B', { folded: 'away' }), held(9, 'S')])).toBe(9);
    expect(weeks([held(1, 'B', { folded: 'away' }), held(2, 'B'), held(3, 'B'), held(9, 'S')])).toBe(7);
  });
  test('a class that was noted without a plan may have had it: nobody is away who came to one', () => {
    const unplanned = (week: number) =>
      weeksWithout(
        [held(4, 'B'), held(9, 'S')],
        'p',
        'B',
        { missedWeeks: 1, testedOn: addDays(start, 70) },
        start,
        addDays(start, 7 * week),
      );
    expect([unplanned(2), unplanned(6), unplanned(9)]).toEqual([6, 4, 1]);
  });
  test('never done since the level was decided, it counts from half a year on', () => {
    expect(weeks([held(9, 'S')])).toBe(1);
    expect(weeks([held(9, 'S')], addDays(start, 70 - 27 * 7))).toBe(27);
  });
});

describe('whoever comes back is tested again', () => {
  const back = (weeks: number, later: readonly number[] = []) => {
    const on = addDays('2026-01-05', weeks * 7);
    return cameBack(['2025-12-29', '2026-01-05', on, ...later.map((d) => addDays(on, d))], 3);
  };
  test.each<[number, number | null]>([
    [2, null],
    [3, 21],
    [7, 21],
    [8, 14],
    [25, 14],
    [26, 0],
  ])('after %i weeks: within %s days', (weeks, days) => {
    const on = addDays('2026-01-05', weeks * 7);
    expect(back(weeks)).toEqual(days === null ? null : { on, weeks, testBy: addDays(on, days) });
  });
  test('the third class is when it is held', () => {
    expect(back(8, [2, 5, 9])).toMatchObject({ testBy: addDays('2026-01-05', 8 * 7 + 5) });
  });
  test('the newest time counts, and somebody who was never away never came back', () => {
    expect(cameBack(['2026-01-05', '2026-03-02', '2026-03-09', '2026-04-06'], 3)).toMatchObject({ weeks: 4 });
    expect([cameBack([], 3), cameBack(['2026-01-05'], 3)]).toEqual([null, null]);
  });
});
