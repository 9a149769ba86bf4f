import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { AttemptEvent } from '../shapes/attempt';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import { paceOf } from './pace';
import { readTrial } from './readTrial';
import { countedIn, repsIn } from './trial';

type Loose = { kind: AttemptEvent['kind']; atMs?: number } & Record<string, unknown>;
/** Events in the order given, at the times given. */
const list = (...events: Loose[]): AttemptEvent[] =>
  events.map((e, seq) => ({ seq, atMs: 0, wallMs: 0, by: 'key', ...e }) as unknown as AttemptEvent);
const reps = (...atMs: number[]): Loose[] => atMs.map((ms) => ({ kind: 'rep', atMs: ms }));
const start: Loose = { kind: 'start' };
const done: Loose[] = [
  { kind: 'end', atMs: 30_000 },
  { kind: 'half-rep', counts: false, atMs: 31_000 },
];
/** With what was counted and how it was spread, which are read out of the tries. */
const told = (events: readonly AttemptEvent[]) => {
  const trial = readTrial(chairStand30s, events);
  return { ...trial, ...paceOf(repsIn(trial), 30), counted: countedIn(trial), repsMs: repsIn(trial) };
};
const read = (...events: Loose[]) => told(list(...events));

describe('what counts', () => {
  test('a stand at 30.000 s counts, at 30.001 s it does not', () => {
    expect(read(start, ...reps(2000, 30_000), ...done).value).toBe(2);
    expect(read(start, ...reps(2000, 30_001), ...done).value).toBe(1);
  });
  test('a stand before the tone does not count', () => {
    expect(read(start, ...reps(-1, 0.1), ...done).value).toBe(1);
  });
  test('undo takes back the newest stand, and on nothing does nothing', () => {
    expect(
      read(start, { kind: 'undo' }, ...reps(2000, 4000), { kind: 'undo', atMs: 4100 }, ...reps(5000), ...done).repsMs,
    ).toEqual([2000, 5000]);
  });
  test('undo takes back the newest press: a tap after the tone goes before a stand that counted', () => {
    const late = [start, ...reps(2000, 4000), { kind: 'end', atMs: 30_000 }, ...reps(30_200)] as Loose[];
    const undo = (atMs: number): Loose => ({ kind: 'undo', atMs });
    expect(read(...late, undo(30_400)).repsMs).toEqual([2000, 4000]);
    expect(read(...late, undo(30_400), undo(30_500)).repsMs).toEqual([2000]);
  });
  test('hands noticed after the tone are hands', () => {
    const trial = read(start, ...reps(2000, 4000), { kind: 'end', atMs: 30_000 }, { kind: 'hands', atMs: 31_000 });
    expect(trial).toMatchObject({ handsUsed: true, cleanBeforeHands: 2 });
  });
  test('over half-way up at 30 s counts as a stand (Rikli & Jones 1999, from memory)', () => {
    const half: Loose[] = [
      { kind: 'end', atMs: 30_000 },
      { kind: 'half-rep', counts: true, atMs: 31_000 },
    ];
    expect(read(start, ...reps(2000), ...half).value).toBe(2);
  });
  test('hands used is 0 by rule (Rikli & Jones 1999, from memory), and the clean stands before are kept', () => {
    const trial = read(start, ...reps(2000, 4000), { kind: 'hands', atMs: 5000 }, ...reps(6000), ...done);
    expect(trial).toMatchObject({ value: 0, counted: 3, handsUsed: true, cleanBeforeHands: 2 });
  });
  test('undo takes back a hands mark too', () => {
    expect(
      read(start, ...reps(2000), { kind: 'hands', atMs: 3000 }, { kind: 'undo', atMs: 3100 }, ...done),
    ).toMatchObject({ value: 1, handsUsed: false });
  });
  test('a false start clears what was tapped before it', () => {
    expect(read(start, ...reps(100), { kind: 'false-start' }, start, ...reps(2000), ...done)).toMatchObject({
      value: 1,
      falseStarts: 1,
    });
  });
});

describe('the state of a trial', () => {
  test('runs until the end, then asks about the half-way stand', () => {
    expect(read().state).toBe('waiting');
    expect(read(start, ...reps(1000))).toMatchObject({ state: 'running', value: null, counted: 1 });
    expect(read(start, { kind: 'end', atMs: 30_000 }).state).toBe('half-way-open');
  });
  test('a gap up to 2 s goes on and is marked, a longer one is to be repeated (common practice, no published source)', () => {
    expect(read(start, { kind: 'gap', lengthMs: 2000 }, ...done)).toMatchObject({ state: 'finished', gapMs: 2000 });
    expect(read(start, ...reps(1000), { kind: 'gap', lengthMs: 2001 })).toMatchObject({
      state: 'to-repeat',
      value: null,
      counted: 1,
    });
  });
  test('a stopped trial has no value and keeps its reason', () => {
    expect(read(start, ...reps(1000), { kind: 'stop', reason: 'pain' })).toMatchObject({
      state: 'stopped',
      value: null,
      stopReason: 'pain',
    });
  });
  test('a paper result is finished at once', () => {
    expect(read({ kind: 'entered', value: 12, handsUsed: true, cleanBeforeHands: 11 })).toMatchObject({
      value: 0,
      counted: 12,
      cleanBeforeHands: 11,
      fromPaper: true,
    });
  });
  test('a struck event is left out, a correction sets the count', () => {
    expect(read(start, ...reps(1000, 2000), ...done, { kind: 'strike', ofSeq: 1, reason: 'tapped twice' }).value).toBe(
      1,
    );
    expect(read(start, ...reps(1000), ...done, { kind: 'add', value: 4, reason: 'counted on paper' }).value).toBe(4);
  });
});

describe('splits and slowing', () => {
  test('first five and each ten seconds', () => {
    const trial = read(start, ...reps(2000, 4000, 6000, 8000, 10_000, 12_040, 30_000), ...done);
    expect(trial.firstFiveS).toBe(10);
    expect(trial.perTenS).toEqual([5, 1, 1]);
  });
  test('last third over first third: two seconds a stand, then three, is 1.5', () => {
    expect(read(start, ...reps(2000, 4000, 6000, 8000, 11_000, 14_000), ...done).slowing).toBe(1.5);
    expect(read(start, ...reps(2000, 4000, 6000, 8000, 11_000), ...done).slowing).toBeNull();
  });
});

test('events in any order give the same trial, and the count is never negative', () => {
  const kinds = fc.constantFrom('rep', 'undo', 'hands', 'false-start');
  const event = fc.record({ kind: kinds, atMs: fc.integer({ min: -500, max: 31_000 }) });
  fc.assert(
    fc.property(fc.array(event, { maxLength: 40 }), fc.nat(), (events, turn) => {
      const all = list(...(events as Loose[]));
      const cut = all.length === 0 ? 0 : turn % all.length;
      const trial = told(all);
      expect(told([...all.slice(cut), ...all.slice(0, cut)])).toEqual(trial);
      expect(trial.counted).toBe(trial.perTenS.reduce((a, b) => a + b, 0));
      expect(trial.cleanBeforeHands).toBeLessThanOrEqual(trial.counted);
    }),
  );
});
