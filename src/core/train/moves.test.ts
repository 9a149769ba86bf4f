import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Level } from '../level/answer';
import { levelAt, withAccessories } from '../level/assign';
import { parseDose, printDose } from '../level/code';
import { done, legs, someone, stands } from '../level/madeUp';
import { isOpen } from '../level/standing';
import { addDays } from '../math/days';
import type { Grade } from '../shapes/progress';
import { dialBetween, restsUntil, undone, wholeAgain, type Moved } from './moves';
import type { PastSession } from './past';

const rules = withAccessories(levelRules);
const facts = someone({ results: [stands(14), done('four-stage', 4), ...legs(30)] });
const level = (rung: number, more: Partial<Level> = {}, dose = '8x2'): Level => {
  const at = levelAt(rules, facts, 'S', rung, null);
  const read = parseDose(dose);
  if (!isOpen(at) || !read) throw new Error(`S${rung}`);
  return { ...at, dose: read, ...more };
};
const day = '2026-03-02';
const week = (n: number) => addDays(day, 7 * n);
/** Only what is read of a session. */
const graded = (...of: readonly (readonly [week: number, grade: Grade | null])[]): PastSession[] =>
  of.map(([n, grade]) => {
    const read: Pick<PastSession, 'day' | 'grade'> = { day: week(n), grade };
    return read as PastSession;
  });
const up = (n: number, from: Level, to: Level): Moved => ({ day: week(n), way: 'up', from, to, halfDoseFor: 0 });
const back = (n: number, from: Level, to: Level, halfDoseFor: 1 | 2 = 1): Moved => ({
  ...{ day: week(n), way: 'back', from, to, halfDoseFor },
});

test('what differs between two levels is one dial; the dose is none', () => {
  expect(dialBetween(level(5), level(6))).toBe('rung');
  expect(dialBetween(level(5), level(5, { within: { step: 1, words: 'deeper' } }))).toBe('within');
  expect(dialBetween(level(5), level(5, { targetCm: 48 }))).toBe('seat');
  expect(dialBetween(level(5), level(5, { support: '2' }))).toBe('hands');
  expect(dialBetween(level(5, { loadKg: 1 }), level(5, { loadKg: 2 }))).toBe('load');
  expect(dialBetween(level(5, {}, '8x2'), level(5, {}, '4x2'))).toBeNull();
});

describe('a down-sign goes back to where the last dial came from', () => {
  const [low, high] = [level(5, { targetCm: 48 }), level(5, { targetCm: 46 })];
  test('within four sessions, with half its dose', () => {
    const found = undone(high, [up(0, low, high)], graded([4, 'D'], [3, 'C'], [2, 'C'], [1, 'C']));
    expect([found?.targetCm, found && printDose(found.dose)]).toEqual([48, '4x2']);
    expect(found?.code).toContain('/48/');
  });
  test('after the fifth, after a way back, or where the level is another by now, the general rule holds', () => {
    const five = graded([5, 'D'], [4, 'C'], [3, 'C'], [2, 'C'], [1, 'C']);
    expect(undone(high, [up(0, low, high)], five)).toBeNull();
    expect(undone(high, [back(0, low, high)], graded([1, 'D']))).toBeNull();
    expect(undone(level(6), [up(0, low, high)], graded([1, 'D']))).toBeNull();
    expect(undone(high, [], graded([1, 'D']))).toBeNull();
  });
  test('what was folded or left out is no session', () => {
    const past = graded([6, 'D'], [5, null], [4, null], [3, 'C'], [2, 'C'], [1, 'C']);
    expect(undone(high, [up(0, low, high)], past)).not.toBeNull();
  });
});

describe('half the dose ends by itself', () => {
  const [was, now] = [level(6, {}, '8x2'), level(5, {}, '4x2')];
  test('after one session of it, or two; then the whole is back at once', () => {
    expect(wholeAgain(now, [back(0, was, now, 1)], graded([1, 'U']))?.code).toMatch(/@8x2$/);
    expect(wholeAgain(now, [back(0, was, now, 2)], graded([1, 'U']))).toBeNull();
    expect(wholeAgain(now, [back(0, was, now, 2)], graded([2, 'U'], [1, 'C']))?.dose).toEqual(was.dose);
  });
  test('nothing was halved, or another dial was turned since: the dose goes step by step', () => {
    expect(wholeAgain(now, [], graded([1, 'U']))).toBeNull();
    expect(wholeAgain(was, [up(1, now, was), back(0, was, now)], graded([2, 'U']))).toBeNull();
    // Whole already: it goes on from there.
    expect(wholeAgain(was, [back(0, was, now)], graded([2, 'U'], [1, 'U']))).toBeNull();
    expect(wholeAgain(level(5, {}, 'h5x3'), [back(0, was, level(5, {}, 'h5x3'))], graded([1, 'U']))).toBeNull();
  });
});

describe('a dial that went up and back twice within eight weeks rests for eight', () => {
  const [low, high] = [level(5), level(6)];
  const twice = [back(7, high, low), up(5, low, high), back(3, high, low), up(1, low, high)];
  test('from the second way back on', () => {
    expect(restsUntil('rung', twice, week(8))).toBe(week(15));
    expect(restsUntil('rung', twice.slice(1), week(8))).toBeNull();
  });
  test('for eight weeks; another dial, or twice in more than eight weeks, does not count', () => {
    expect(restsUntil('hands', twice, week(8))).toBeNull();
    expect([14, 15].map((n) => restsUntil('rung', twice, week(n)))).toEqual([week(15), null]);
    const slower = [back(11, high, low), up(9, low, high), back(3, high, low), up(1, low, high)];
    expect(restsUntil('rung', slower, week(12))).toBeNull();
  });
});
