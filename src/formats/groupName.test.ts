import { expect, test } from 'vitest';
import { dayAndTimeIn } from './groupName';

test.each([
  ['Tuesday 10:00', 2, '10:00'],
  ['Fri 9.30', 5, '09:30'],
  ['Sundays', 7, ''],
  ['Friday walk', 5, ''],
  ['14:15, the lake', 0, '14:15'],
  ['Morning group', 0, ''],
  ['Room 2.75', 0, ''],
  ['10:000', 0, ''],
])('the name %j says day %i and time %j, and nothing is made up', (name, weekday, time) => {
  expect(dayAndTimeIn(name)).toEqual({ weekday, time });
});
