import { expect, test } from 'vitest';
import { evenPace } from './pace';

test('the ghost is at half the median after half the time, and stays at it when time is up', () => {
  expect([-500, 0, 15_000, 30_000, 34_000].map((ms) => evenPace(12.5, 30, ms))).toEqual([0, 0, 6.25, 12.5, 12.5]);
});
