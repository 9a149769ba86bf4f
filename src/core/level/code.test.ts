import fc from 'fast-check';
import { expect, test } from 'vitest';
import { patterns, supports } from '../shapes/facts';
import { parseLevelCode, printLevelCode } from './code';

const n = fc.integer({ min: 1, max: 99 });
const dose = fc.oneof(
  fc.record({ kind: fc.constant('reps' as const), reps: n, sets: n }),
  fc.record({ kind: fc.constant('holds' as const), holdS: n, sets: n }),
  fc.record({ kind: fc.constant('intervals' as const), workS: n, restS: fc.integer({ min: 0, max: 90 }), rounds: n }),
  fc.record({ kind: fc.constant('half-minute' as const), reps: n, everyS: n, rounds: n }),
);
const code = fc.record({
  pattern: fc.constantFrom(...patterns),
  rung: fc.integer({ min: 1, max: 9 }),
  heightCm: fc.option(fc.integer({ min: 10, max: 999 })),
  support: fc.constantFrom(...supports),
  loadKg: fc.option(fc.integer({ min: 1, max: 400 }).map((tenths) => tenths / 10)),
  dose: fc.option(dose),
});

test('printing and reading are exact inverses', () => {
  fc.assert(
    fc.property(code, (c) => {
      expect(parseLevelCode(printLevelCode(c))).toEqual(c);
    }),
  );
});
test.each([
  'S4/46/h@10x2',
  'L2/2@5x2',
  'H3/2@10x1',
  'B3/0@30/15x3',
  'S1/50/2@h15x3',
  'S8/43/0+3.5@12x2',
  'S5/46/h@10e30x4',
  'Q1/0@30/0x2',
])('%s reads and prints the same', (text) => {
  const read = parseLevelCode(text);
  expect(read && printLevelCode(read)).toBe(text);
});
test.each([
  's4/46/h',
  'S4/46/H',
  'S04/46/h',
  'S4/046/h',
  'S4/46',
  'S0/2',
  'S8/43/0+3.0',
  'S8/43/0+0',
  'S4/46/h@010x2',
  'S4/46/h@10x0',
  'S4/4/h',
  ' S4/46/h',
  'X1/0',
  '',
])('%j is not a level code', (text) => {
  expect(parseLevelCode(text)).toBeNull();
});
