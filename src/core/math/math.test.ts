import fc from 'fast-check';
import { jStat } from 'jstat';
import { expect, test } from 'vitest';
import { addDays, daysBetween, isCalendarDay } from './days';
import { normalCdf, quartileZ } from './normal';
import { roundTo, roundUpTo } from './round';

test('the normal curve agrees with a general statistics library to 1e-12 (jstat)', () => {
  for (let z = -6.5; z <= 6.5; z += 0.013) {
    expect(Math.abs(normalCdf(z) - jStat.normal.cdf(z, 0, 1))).toBeLessThan(1e-12);
  }
});
test('a quarter lies under the quartile', () => {
  expect(normalCdf(-quartileZ)).toBeCloseTo(0.25, 14);
  expect(normalCdf(-9)).toBe(0);
  expect(normalCdf(9)).toBe(1);
  expect(() => normalCdf(NaN)).toThrow(RangeError);
});
test('29 February exists in 2024 only', () => {
  expect([isCalendarDay('2024-02-29'), isCalendarDay('2026-02-29'), isCalendarDay('2026-2-1')]).toEqual([
    true,
    false,
    false,
  ]);
});
test('adding days and counting them are inverses', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -40_000, max: 40_000 }),
      (n) => daysBetween('2026-03-02', addDays('2026-03-02', n)) === n,
    ),
  );
});
test('half goes up, and binary error does not push a tenth over', () => {
  expect([
    roundTo(17.25, 0.1),
    roundTo(1.005, 0.01),
    roundTo(48.2, 1),
    roundUpTo(8.4, 0.1),
    roundUpTo(8.33, 0.1),
  ]).toEqual([17.3, 1.01, 48, 8.4, 8.4]);
});
