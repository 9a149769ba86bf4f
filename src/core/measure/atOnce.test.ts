import { expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import type { AttemptEvent } from '../shapes/attempt';
import { takenAtOnce } from './atOnce';
import type { AttemptView } from './attempt';
import { inCountingOrder } from './countingOrder';
import { readTrial } from './readTrial';

function taken(key: string, startS: number, more: Partial<AttemptView> = {}, last: object[] = []): AttemptView {
  const events = [{ kind: 'start' }, { kind: 'end' }, { kind: 'half-rep', counts: false }, ...last].map(
    (e, seq) => ({ ...e, seq, atMs: 0, wallMs: startS * 1000, by: 'key' }) as AttemptEvent,
  );
  return {
    ...{ clientKey: key, personId: 'ada', test: 'chair-stand-30s', protocolVersion: 1, sittingDate: '2026-03-02' },
    ...{ side: null, conditions: {}, startedWallMs: startS * 1000, receivedAt: key },
    trial: readTrial(chairStand30s, events),
    ...more,
  };
}
const pairs = (...attempts: AttemptView[]) =>
  takenAtOnce(attempts, () => 60_000).map((pair) => pair.map((a) => a.clientKey));

test('the same test of a day begun within its time is two at once; another side, test, day or hour is not', () => {
  expect(pairs(taken('a', 0), taken('b', 20))).toEqual([['a', 'b']]);
  expect(pairs(taken('a', 0), taken('b', 60))).toEqual([]);
  expect(pairs(taken('a', 0), taken('b', 20, { side: 'L' }))).toEqual([]);
  expect(pairs(taken('a', 0), taken('b', 20, { test: 'step-2min' }))).toEqual([]);
  expect(pairs(taken('a', 0), taken('b', 20, { sittingDate: '2026-03-03' }))).toEqual([]);
  expect(pairs(taken('a', 0), taken('b', 20), taken('c', 40))).toEqual([
    ['a', 'b'],
    ['a', 'c'],
    ['b', 'c'],
  ]);
});

test('once somebody said which is kept it is not asked again, and that one stands for the day', () => {
  const kept = taken('b', 20, {}, [{ kind: 'prefer', reason: 'seen by two' }]);
  const first = taken('a', 0);
  expect(pairs(first, kept, taken('c', 40))).toEqual([]);
  expect([first, kept].sort(inCountingOrder).map((a) => a.clientKey)).toEqual(['b', 'a']);
});
