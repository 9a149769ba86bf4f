import { expect, test } from 'vitest';
import { restAfter } from './quiet';

test('a minute after the last write the log goes into the file, once; each write begins the minute anew', () => {
  const rest = restAfter(60_000);
  expect([0, 30_000, 59_999].map((ms) => rest.isDue('a', ms))).toEqual([false, false, false]);
  expect(rest.isDue('b', 59_999)).toBe(false);
  expect(rest.isDue('b', 119_998)).toBe(false);
  expect(rest.isDue('b', 119_999)).toBe(true);
  rest.done();
  expect(rest.isDue('b', 200_000)).toBe(false);
  expect(rest.isDue('c', 200_000)).toBe(false);
  expect(rest.isDue('c', 260_000)).toBe(true);
});

test('where somebody still reads, it is due again at the next look', () => {
  const rest = restAfter(60_000);
  rest.isDue('a', 0);
  expect([60_000, 65_000, 70_000].map((ms) => rest.isDue('a', ms))).toEqual([true, true, true]);
});
