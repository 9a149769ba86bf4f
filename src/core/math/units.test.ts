import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lengthFigure, lengthWords, massWords, readLength, readMass, sentenceIn } from './units';

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
    ['17', 'in', 43.2],
    ['17 in', 'cm', 43.2],
    ['17 1/4', 'in', 43.8],
    ['17¾"', 'cm', 45.1],
    ['17 1/4', 'cm', null],
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

test('a seat in quarters of an inch reads back to the centimetre it was, and no two centimetres read alike', () => {
  const seats = Array.from({ length: 56 }, (_, i) => 25 + i);
  expect(seats.map((cm) => Math.round(readLength(lengthFigure(cm, 'in'), 'in') ?? NaN))).toEqual(seats);
  expect(new Set(seats.map((cm) => lengthFigure(cm, 'in'))).size).toBe(seats.length);
  expect([43, 46, 5, 0, -5.08, 0.5].map((cm) => lengthFigure(cm, 'in'))).toEqual(['17', '18', '2', '0', '-2', '¼']);
});

test.each([
  ['Knee pain 3 or 4: seat 5 cm up.', 'Knee pain 3 or 4: seat 2 in up.'],
  ['a firm chair of 30 to 60 cm', 'a firm chair of 11¾ to 23½ in'],
  ['the highest is 61 cm (chair 50 + pad 8)', 'the highest is 24 in (chair 19¾ + pad 3¼)'],
  ['2 kg held close', '4 lb held close'],
  ['8 in 10 days', '8 in 10 days'],
])('%s, in a hall in inches: %s', (metric, us) => {
  expect(sentenceIn(metric, 'us')).toBe(us);
  expect(sentenceIn(metric, 'metric')).toBe(metric);
});
