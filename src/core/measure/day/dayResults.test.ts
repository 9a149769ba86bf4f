import { expect, test } from 'vitest';
import { protocolById } from '../../../catalogue/protocols';
import type { AttemptEvent, Fresh } from '../../shapes/attempt';
import type { Side } from '../../shapes/facts';
import { readTrial } from '../readTrial';
import { dayResults, type DayAttempt } from './dayResults';

const attempt = (id: string, said: readonly Fresh[], side: Side | null = null, at = 1, why = ''): DayAttempt => {
  const protocol = protocolById(id);
  if (!protocol) throw new Error(id);
  const events = said.map((e, seq): AttemptEvent => ({ ...e, seq, atMs: seq * 500, wallMs: 0, by: 'hand' }));
  return { personId: 'a', test: id, side, trial: readTrial(protocol, events), why, endedWallMs: at };
};
const typed = (value: number | null, outcome?: 'not-tried' | 'stopped'): Fresh[] => [
  { kind: 'entered', value, handsUsed: false, ...(outcome ? { outcome } : {}) },
];
const results = (of: readonly DayAttempt[]) => dayResults(of, (id) => protocolById(id)?.sides ?? 'none');

test('a test of both sides is done with both, and not before', () => {
  expect(results([attempt('one-leg', typed(12), 'R', 1)])).toEqual([]);
  expect(results([attempt('one-leg', typed(12), 'R', 1), attempt('one-leg', typed(9), 'L', 2)])).toEqual([
    { personId: 'a', test: 'one-leg', state: 'done', values: [9, 12], why: '', stopReason: null, endedWallMs: 2 },
  ]);
});

test('not tried is a result, with why; stopped says why; what broke off is none', () => {
  expect(results([attempt('chair-stand-30s', typed(null, 'not-tried'), null, 3, 'tired')])).toEqual([
    {
      personId: 'a',
      test: 'chair-stand-30s',
      state: 'declined',
      values: [],
      why: 'tired',
      stopReason: null,
      endedWallMs: 3,
    },
  ]);
  const stopped: Fresh[] = [{ kind: 'start' }, { kind: 'rep' }, { kind: 'stop', reason: 'pain' }];
  expect(results([attempt('chair-stand-30s', stopped)])).toMatchObject([{ state: 'stopped', stopReason: 'pain' }]);
  expect(results([attempt('chair-stand-30s', [{ kind: 'start' }, { kind: 'halt' }])])).toEqual([]);
});

test('done after it was declined it is done', () => {
  const both = [
    attempt('chair-stand-30s', typed(null, 'not-tried'), null, 3),
    attempt('chair-stand-30s', typed(11), null, 9),
  ];
  expect(results(both)).toMatchObject([{ state: 'done', values: [11], endedWallMs: 9 }]);
});
