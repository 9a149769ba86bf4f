import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import { measuredFacts } from '../../catalogue/rules/margins';
import type { Level } from '../level/answer';
import { levelAt, withAccessories } from '../level/assign';
import { done, legs, someone, stands } from '../level/madeUp';
import { isOpen, isOver } from '../level/standing';
import type { Facts, Pattern } from '../shapes/facts';
import type { Ladder } from '../shapes/ladder';
import { nextDial, oneDialBack } from './dials';

const rules = withAccessories(levelRules);
const testOf = (fact: string) => measuredFacts.find((f) => f.id === fact)?.test;
const ladderOf = (pattern: Pattern): Ladder => {
  const found = rules.ladders.find((l) => l.pattern === pattern);
  if (!found) throw new Error(pattern);
  return found;
};
const at = (facts: Facts, pattern: Pattern, rung: number, more: Partial<Level> = {}): Level => {
  const level = levelAt(rules, facts, pattern, rung, null);
  if (!isOpen(level)) throw new Error(`${pattern}${rung} is closed`);
  return { ...level, ...more };
};
const next = (facts: Facts, level: Level) => nextDial(rules, facts, ladderOf(level.pattern), level, testOf);
const strong = someone({ results: [stands(12), done('four-stage', 4), ...legs(12)] });

describe('the next dial', () => {
  test('a seat over the one allowed comes down by three centimetres at most, before anything else', () => {
    const high = at(strong, 'S', 5, { targetCm: 48 });
    expect(next(strong, high)).toMatchObject({ state: 'open', dial: 'seat', level: { rung: 5, targetCm: 46 } });
  });
  test('then the hands, one step freer; hovering or free hands are a risk dial', () => {
    const held = at(strong, 'H', 4, { support: '1' });
    expect(next(strong, held)).toMatchObject({ dial: 'hands', level: { support: 'f', rung: 4 }, risk: false });
    expect(next(strong, { ...held, support: 'f' })).toMatchObject({
      dial: 'hands',
      level: { support: 'h' },
      risk: true,
    });
  });
  test('then the next rung; from L5, H6, B5 on it is a risk dial', () => {
    expect(next(strong, at(strong, 'S', 5))).toMatchObject({ dial: 'rung', level: { rung: 6 }, risk: false });
    expect(next(strong, at(strong, 'L', 4))).toMatchObject({ dial: 'rung', level: { rung: 5 }, risk: true });
  });
  test.each<[string, Facts, Pattern, number, string | null]>([
    ['limiter', someone({ ...strong, limiters: [{ kind: 'knee-pain', pain: 4 }] }), 'S', 5, null],
    ['test', someone({ results: [stands(12)] }), 'S', 5, 'four-stage'],
    ['need', someone({ results: [stands(9), done('four-stage', 4), ...legs(12)] }), 'S', 5, null],
    ['none', strong, 'A', 4, null],
  ])('%s keeps it, and it is said why', (state, facts, pattern, rung, tests) => {
    const level = pattern === 'A' ? { ...at(facts, 'A', 3), rung } : at(facts, pattern, rung);
    expect(next(facts, level)).toMatchObject({ state, level: null, test: tests });
    expect(next(facts, level).why).not.toBe('');
  });
});

describe('one dial back', () => {
  test('a seat at least five centimetres up and half the dose', () => {
    const level = at(strong, 'S', 5);
    const back = oneDialBack(rules, strong, ladderOf('S'), level);
    expect([level.targetCm, back.targetCm, back.dial]).toEqual([43, 48, 'seat']);
    expect(back.code).toMatch(/^S5\/48\/h@/);
  });
  test('without a seat one step more support', () => {
    const level = at(strong, 'H', 4, { support: '0' });
    expect(oneDialBack(rules, strong, ladderOf('H'), level)).toMatchObject({ support: 'h', dial: 'support', rung: 4 });
  });
});

test('no dial passes what the rules allow, and one back never asks more than before', () => {
  const bodies = fc.record({
    n: fc.integer({ min: 1, max: 18 }),
    stage: fc.integer({ min: 1, max: 4 }),
    leg: fc.integer({ min: 0, max: 30 }),
  });
  fc.assert(
    fc.property(
      bodies,
      fc.constantFrom<Pattern>('S', 'L', 'H', 'B'),
      fc.integer({ min: 1, max: 9 }),
      ({ n, stage, leg }, pattern, rung) => {
        const facts = someone({ results: [stands(n), done('four-stage', stage), ...legs(leg)] });
        const level = levelAt(rules, facts, pattern, rung, null);
        if (!isOpen(level)) return;
        const { level: up } = next(facts, level);
        const allowed = up && levelAt(rules, facts, pattern, up.rung, null);
        if (up && allowed) expect(isOpen(allowed) && !isOver(up, allowed)).toBe(true);
        const back = oneDialBack(rules, facts, ladderOf(pattern), level);
        expect(isOver(back, level)).toBe(false);
      },
    ),
    { numRuns: 150 },
  );
});
