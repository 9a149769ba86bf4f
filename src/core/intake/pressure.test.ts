import { expect, test } from 'vitest';
import { readingsOf } from './pressure';

const high = { systolic: 172, diastolic: 96 };
const lower = { systolic: 148, diastolic: 88 };
const at = Date.UTC(2026, 2, 2, 9, 0);
const minutes = (n: number) => at + n * 60_000;

test('one reading stands alone; none is no reading', () => {
  expect(readingsOf(null, high, at, 300)).toEqual({ kind: 'readings', pressures: [high] });
  expect(readingsOf(null, null, at, 300)).toEqual({ kind: 'readings', pressures: [] });
});
test('the second counts from five minutes after the first, not a millisecond sooner', () => {
  const first = { pressure: high, atMs: at };
  expect(readingsOf(first, lower, minutes(5) - 1, 300)).toEqual({ kind: 'too-soon', fromMs: minutes(5) });
  expect(readingsOf(first, lower, minutes(5), 300)).toEqual({ kind: 'readings', pressures: [high, lower] });
});
test('a check put again without a reading leaves the first waiting', () => {
  expect(readingsOf({ pressure: high, atMs: at }, null, minutes(9), 300)).toEqual({ kind: 'readings', pressures: [] });
});
