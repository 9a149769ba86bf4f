import { expect, test } from 'vitest';
import { sideNext, type SideState } from './turns';

const side = (nth: number, sinceMs: number | null = null, state: SideState['state'] = 'running'): SideState => ({
  state,
  now: { nth, sinceMs },
});

test('the sides take turns, the first in a tie', () => {
  expect(sideNext([side(0), side(0)])).toBe(0);
  expect(sideNext([side(1), side(0)])).toBe(1);
  expect(sideNext([side(1), side(1)])).toBe(0);
});
test('a clock that runs keeps its side; a side that is over is passed by', () => {
  expect(sideNext([side(0), side(2, 500)])).toBe(1);
  expect(sideNext([side(3, null, 'finished'), side(1)])).toBe(1);
  expect(sideNext([side(3, null, 'finished'), side(3, null, 'stopped')])).toBeNull();
});
