import { expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Facts, Pattern } from '../shapes/facts';
import { assignLevels } from './assign';
import { sidesToMind } from './sides';
import { done, legs, someone, stands } from './madeUp';

const sidesOf = (pattern: Pattern, more: Partial<Facts>) =>
  assignLevels(levelRules, someone(more)).levels.find((l) => l.pattern === pattern)?.sides;
const tested = [stands(12), done('four-stage', 3)];

test('a sore knee goes in front in the step stance and behind in the lunges after it', () => {
  const sore = { limiters: [{ kind: 'knee-pain', side: 'R', pain: 3 }] } as const;
  expect(sidesOf('L', { ...sore, results: [stands(4), done('four-stage', 1)] })).toEqual([
    'right knee to be minded: that leg goes in front',
    'the spotter stands on the right, the sore side',
  ]);
  expect(sidesOf('L', { ...sore, results: [stands(9), done('four-stage', 3)] })?.[0]).toBe(
    'right knee to be minded: that leg goes behind',
  );
});
test('the spotter stands on the weaker side where both were tested, whatever else is sore', () => {
  const results = [...tested, ...legs(12, 6)];
  expect(sidesOf('L', { results })).toEqual(['the spotter stands on the right, the weaker side']);
  expect(sidesOf('L', { results, limiters: [{ kind: 'hip-pain', side: 'L', pain: 2 }] })).toHaveLength(1);
  expect(sidesOf('L', { results, limiters: [{ kind: 'hip-pain', side: 'L', pain: 4 }] })).toEqual([
    'left hip to be minded',
    'the spotter stands on the right, the weaker side',
  ]);
});
test('both knees sore, or no side known: nothing is said to go anywhere', () => {
  const both = (['L', 'R'] as const).map((side) => ({ kind: 'knee-pain', side, pain: 3 }) as const);
  expect(sidesOf('L', { results: tested, limiters: both })).toEqual([
    'left knee to be minded',
    'right knee to be minded',
    'the spotter stands where no hand holds on',
  ]);
});
test('on two feet and lying on both nothing is said', () => {
  const results = [...tested, ...legs(12, 6)];
  expect([sidesOf('S', { results }), sidesOf('B', { results })]).toEqual([[], []]);
});
test('at the station the side is told where one is known, and nothing where none is', () => {
  const told = (more: Partial<Facts>) => sidesToMind(levelRules, someone(more));
  expect(told({ results: tested })).toEqual([]);
  expect(told({ results: [...tested, ...legs(4, 9)] })).toEqual(['the spotter stands on the left, the weaker side']);
  expect(told({ limiters: [{ kind: 'knee-replaced', side: 'R', since: '2026' }] })).toEqual([
    'right knee to be minded',
    'the spotter stands on the right, the sore side',
  ]);
});
