import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lengthWords, massWords, readLength, readMass } from './units';

describe('a length as it is typed', () => {
  test.each([
    ['160', 'cm', 160],
    ['160,5 cm', 'cm', 160.5],
    ['1.60', 'cm', 160],
    ['1.6 m', 'in', 160],
    ['63', 'in', 160],
    ['63 in', 'cm', 160],
    ['63"', 'cm', 160],
    ["5'3", 'cm', 160],
    ['5’3”', 'cm', 160],
    ['5 ft 3 in', 'cm', 160],
    ['5 ft 3 1/2', 'cm', 161.3],
    ['5 ft 3½', 'in', 161.3],
    ['6 ft', 'cm', 182.9],
    ["5'12", 'cm', null],
    ['tall', 'cm', null],
    ['', 'cm', null],
    ['-160', 'cm', null],
  ] as const)('%s, bare numbers in %s, is %s cm (an inch is 2.54 cm, exactly)', (typed, bare, cm) => {
    expect(readLength(typed, bare)).toBe(cm);
  });
});

test.each([
  ['64', 'kg', 64],
  ['141', 'lb', 64],
  ['141 lb', 'kg', 64],
  ['64,2 kg', 'lb', 64.2],
  ['heavy', 'kg', null],
] as const)('%s, bare numbers in %s, is %s kg (a pound is 0.45359237 kg, exactly)', (typed, bare, kg) => {
  expect(readMass(typed, bare)).toBe(kg);
});

test('what is shown in feet or pounds reads back to within half a step', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1200, max: 2200 }), (mm) => {
      const back = readLength(lengthWords(mm / 10, 'in'), 'in');
      expect(Math.abs((back ?? NaN) - mm / 10)).toBeLessThanOrEqual(0.7);
    }),
  );
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 2500 }), (hg) => {
      expect(Math.abs((readMass(massWords(hg / 10, 'lb'), 'lb') ?? NaN) - hg / 10)).toBeLessThanOrEqual(0.28);
    }),
  );
});
