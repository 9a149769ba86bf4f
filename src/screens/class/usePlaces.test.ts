import { expect, test } from 'vitest';
import { movesBetween } from './usePlaces';

test('only who was moved is sent: put somewhere, put elsewhere, let go', () => {
  const before = [
    { personId: 'stays', at: 'rail-1' },
    { personId: 'moves', at: 'rail-2' },
    { personId: 'goes', at: 'floor-1' },
  ] as const;
  const after = [
    { personId: 'moves', at: 'floor-1' },
    { personId: 'stays', at: 'rail-1' },
    { personId: 'comes', at: 'rail-2' },
  ] as const;
  expect(movesBetween(before, after)).toEqual([
    { personId: 'moves', at: 'floor-1' },
    { personId: 'goes', at: null },
    { personId: 'comes', at: 'rail-2' },
  ]);
  expect(movesBetween(before, before)).toEqual([]);
});
