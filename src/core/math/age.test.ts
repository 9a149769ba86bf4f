import { expect, test } from 'vitest';
import { ageOn } from './age';

test('the age changes on the birthday, not the day before', () => {
  expect([ageOn('1950-03-02', '2026-03-01'), ageOn('1950-03-02', '2026-03-02')]).toEqual([75, 76]);
});
test('born on 29 February: older on 1 March in a year without one', () => {
  expect([ageOn('1948-02-29', '2026-02-28'), ageOn('1948-02-29', '2026-03-01')]).toEqual([77, 78]);
});
test('a day before birth is refused', () => {
  expect(() => ageOn('1950-03-02', '1950-03-01')).toThrow(RangeError);
});
