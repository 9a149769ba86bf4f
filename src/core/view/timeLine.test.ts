import { expect, test } from 'vitest';
import type { AttemptEvent } from '../shapes/attempt';
import { asTakenDown, correctionsFrom, timeLineOf } from './timeLine';

const at = (seq: number, more: object): AttemptEvent =>
  ({ seq, atMs: seq * 1000, wallMs: 0, by: 'key', ...more }) as AttemptEvent;
const events = [
  at(0, { kind: 'start' }),
  at(1, { kind: 'rep' }),
  at(2, { kind: 'rep' }),
  at(correctionsFrom, { kind: 'strike', ofSeq: 2, reason: 'tapped twice' }),
];

test('a struck event stays in its place, with who struck it and why', () => {
  const line = timeLineOf([...events].reverse());
  expect(line.map((l) => [l.event.seq, l.struckBy?.reason ?? null])).toEqual([
    [0, null],
    [1, null],
    [2, 'tapped twice'],
    [correctionsFrom, null],
  ]);
});
test('a strike taken back: the event stands again, and both strikes are there to be seen', () => {
  const back = [...events, at(correctionsFrom + 1, { kind: 'strike', ofSeq: correctionsFrom, reason: 'it was right' })];
  const line = timeLineOf(back);
  expect(line.map((l) => l.struckBy?.reason ?? null)).toEqual([null, null, null, 'it was right', null]);
});
test('what the station took down is told apart from what the desk put right', () => {
  expect(asTakenDown(events)).toHaveLength(3);
});
