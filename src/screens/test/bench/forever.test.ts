import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { forever } from './forever';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('a round that breaks off is told of, and the next one comes all the same, for ever', async () => {
  let rounds = 0;
  const failed: unknown[] = [];
  const end = forever(
    () => {
      rounds++;
      return rounds % 2 === 0 ? Promise.reject(new Error(`round ${rounds}`)) : Promise.resolve();
    },
    2000,
    (error) => failed.push(error),
  );
  await vi.advanceTimersByTimeAsync(2000 * 9);
  expect(rounds).toBe(10);
  expect(failed).toHaveLength(5);
  end();
  await vi.advanceTimersByTimeAsync(20_000);
  expect(rounds).toBe(10);
});

test('ended while a round is on its way, no other begins', async () => {
  let rounds = 0;
  const end = forever(
    async () => {
      rounds++;
      await new Promise((later) => setTimeout(later, 500));
    },
    2000,
    () => undefined,
  );
  end();
  await vi.advanceTimersByTimeAsync(20_000);
  expect(rounds).toBe(1);
});
