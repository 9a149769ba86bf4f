import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../../catalogue/protocols';
import { chairStand30s } from '../../../catalogue/protocols/chair-stand-30s/protocol';
import type { Protocol } from '../../shapes/protocol';
import { readTrial } from '../readTrial';
import { countedIn } from '../trial';
import type { Act } from './bench';
import { Played, wallOf } from './played';
import { countdownMs, settleMs } from './step';

const go = countdownMs;
const started = (keys?: readonly string[], protocol: Protocol = chairStand30s): Played => {
  const played = new Played(protocol, keys);
  for (const key of played.store.keys()) played.press({ do: 'begin' }, 'key', key);
  played.to(go);
  return played;
};
const count: Act = { do: 'tap' };

describe('a press', () => {
  test('is pending until the browser has it; only then the number moves', () => {
    const played = started();
    played.slow = true;
    played.press(count);
    expect([played.shown(), played.lane().pending.length]).toEqual([0, 1]);
    played.comeBack();
    expect([played.shown(), played.lane().pending.length]).toEqual([1, 0]);
  });
  test('is stamped against the planned go and by the wall clock, in tenths of a millisecond', () => {
    const played = started();
    played.tMs = go + 1234.5678;
    played.press(count, 'touch');
    expect(played.store.get('one')?.at(-1)).toEqual({
      ...{ kind: 'rep', seq: 1, by: 'touch', atMs: 1234.6 },
      wallMs: Math.round(wallOf(go + 1234.5678) * 10) / 10,
    });
  });
  test('begins with the tones planned, the head kept and the start at go', () => {
    const played = new Played(chairStand30s);
    played.press({ do: 'begin' });
    expect(played.planned).toMatchObject([{ goMs: go, lastMs: 30_000 }]);
    expect(played.heads.get('one')).toMatchObject({ goWallMs: wallOf(go), closed: false });
    expect(played.store.get('one')).toMatchObject([{ kind: 'start', atMs: 0 }]);
  });
  test('too early: what was tapped is gone and the countdown begins again', () => {
    const played = started();
    played.to(go + 500);
    played.press(count);
    played.press({ do: 'again' });
    expect(played.kinds()).toEqual(['start', 'rep', 'false-start', 'start']);
    expect([played.shown(), played.lane().goMs]).toEqual([0, go + 500 + countdownMs]);
  });
});

describe('the end', () => {
  test('comes with the clock, at its very moment, once', () => {
    const played = started();
    played.slow = true;
    played.to(go + 31_000);
    played.comeBack();
    expect(played.store.get('one')?.filter((e) => e.kind === 'end')).toMatchObject([{ atMs: 30_000, by: 'page' }]);
    expect(played.lane().trial.state).toBe('half-way-open');
  });
  test('asks about the half-way stand: the keys answer from 0.7 s on, a touch counts still', () => {
    const played = started();
    played.press(count);
    played.to(go + 30_000);
    played.tMs = go + 30_000 + settleMs - 1;
    played.press(count);
    expect(played.lane().trial.state).toBe('half-way-open');
    played.tMs = go + 30_000 + settleMs;
    played.press(count, 'touch');
    expect(played.lane().trial.state).toBe('half-way-open');
    played.press(count);
    expect([played.lane().trial.state, played.lane().trial.value]).toEqual(['finished', 2]);
    expect(played.heads.get('one')?.closed).toBe(true);
    expect(played.sent.at(-1)).toMatchObject({ closed: true, leaving: false, events: null });
  });
  test('the undo key says no, and the answer can be taken back', () => {
    const played = started();
    played.press(count);
    played.to(go + 31_000);
    played.press({ do: 'undo' });
    expect(played.lane().trial.value).toBe(1);
    played.press({ do: 'reopen' });
    expect([played.lane().trial.state, played.heads.get('one')?.closed]).toEqual(['half-way-open', false]);
    played.press({ do: 'half', counts: true });
    expect(played.lane().trial.value).toBe(2);
  });
  test('a stop counts from the press that asked for it, not from the reason chosen afterwards', () => {
    const played = started();
    played.to(go + 4000);
    played.press({ do: 'ask-stop' });
    played.to(go + 9000);
    played.press({ do: 'stop', reason: 'pain' });
    expect(played.store.get('one')?.at(-1)).toMatchObject({ kind: 'stop', atMs: 4000 });
    expect(played.lane().trial.state).toBe('stopped');
  });
  test('while it is asked why, nothing counts and no clock ends it; a reload asks on, from the same press', () => {
    const played = started();
    played.press(count);
    played.to(go + 4000);
    played.press({ do: 'ask-stop' });
    played.press(count);
    expect(played.shown()).toBe(1);
    played.to(go + 20_000);
    played.tMs += 15_000;
    played.load();
    played.to(go + 40_000);
    expect(played.lane()).toMatchObject({ stopAsked: { atMs: go + 4000 }, trial: { state: 'running', gapMs: 0 } });
    played.press({ do: 'stop', reason: 'unsteady' });
    expect(played.store.get('one')?.at(-1)).toMatchObject({ kind: 'stop', reason: 'unsteady', atMs: 4000 });
    expect(played.lane()).toMatchObject({ stopAsked: null, trial: { state: 'stopped' } });
  });
  test('where it goes on, it goes on to its end; asked past the end it ends there', () => {
    const played = started();
    played.press(count);
    played.to(go + 4000);
    played.press({ do: 'ask-stop' });
    played.to(go + 5000);
    played.press({ do: 'go-on' });
    played.press(count);
    expect(played.shown()).toBe(2);
    played.to(go + 12_000);
    played.press({ do: 'ask-stop' });
    played.to(go + 33_000);
    expect(played.kinds()).not.toContain('end');
    played.press({ do: 'go-on' });
    played.to(go + 33_500);
    expect(played.store.get('one')?.findLast((e) => e.kind === 'end')).toMatchObject({ atMs: 30_000 });
    expect(played.heads.get('one')?.stopAskedWallMs ?? null).toBeNull();
  });
  test('going on after a reload marks how long nobody counted', () => {
    const played = started();
    played.to(go + 4000);
    played.press({ do: 'ask-stop' });
    played.to(go + 5000);
    played.tMs += 1500;
    played.load();
    played.press({ do: 'go-on' });
    played.to(played.tMs + 500);
    expect(played.kinds()).toContain('gap');
  });
  test('heel raises end with the 25th, by themselves', () => {
    const heel = protocols.find((p) => p.id === 'heel-rise');
    const played = started(['one'], heel);
    for (let n = 1; n <= 27; n++) {
      played.tMs += 1000;
      played.press(count);
    }
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 25 });
    expect(played.kinds().filter((k) => k === 'end')).toHaveLength(1);
  });
});

describe('a page that was away', () => {
  test('a reload under two seconds goes on with every stand, marked', () => {
    const played = started();
    played.press(count);
    played.to(go + 5000);
    played.tMs += 1500;
    played.load();
    expect(played.lane().trial).toMatchObject({ state: 'running', gapMs: 1500 });
    played.press(count);
    expect(played.shown()).toBe(2);
    played.to(go + 31_000);
    played.press({ do: 'undo' });
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 2 });
  });
  test('a longer one, or a sleep, breaks the try off and keeps its stands', () => {
    for (const away of ['reload', 'sleep'] as const) {
      const played = started();
      played.press(count);
      played.to(go + 5000);
      if (away === 'reload') {
        played.tMs += 2100;
        played.load();
      } else {
        played.aheadMs += 60_000;
        played.to(go + 5250);
      }
      expect([away, played.lane().trial.state, played.shown()]).toEqual([away, 'to-repeat', 1]);
    }
  });
  test('a page that was only slow, at its beats, had every press timed for it', () => {
    const played = started();
    played.tMs = go + 8000;
    played.input({ kind: 'tick' });
    expect(played.lane().trial).toMatchObject({ state: 'running', gapMs: 0 });
  });
  test('hidden and throttled over two seconds it broke off; before go an absence means nothing', () => {
    const played = started();
    played.input({ kind: 'hide' });
    played.tMs += 4000;
    played.input({ kind: 'tick' });
    expect(played.lane().trial.state).toBe('to-repeat');
    const early = new Played(chairStand30s);
    early.press({ do: 'begin' });
    early.tMs = 2500;
    early.load();
    expect(early.lane().trial).toMatchObject({ state: 'running', gapMs: 0 });
  });
  test('over midnight the try goes on: its day is that of its head, its clock the wall', () => {
    const played = started();
    played.aheadMs = Date.parse('2026-03-02T23:59:45Z') - wallOf(go);
    const later = new Played(chairStand30s);
    later.aheadMs = played.aheadMs;
    later.press({ do: 'begin' });
    later.to(go + 31_000);
    later.press({ do: 'undo' });
    expect(later.lane().trial).toMatchObject({ state: 'finished', gapMs: 0 });
  });
});

describe('a browser that can keep nothing more', () => {
  test('the page holds what follows, sends all of it, and sends again until the server has it', () => {
    const played = started();
    played.press(count);
    played.full = true;
    played.press(count);
    played.press(count);
    expect([played.shown(), played.lane().keeping]).toEqual([3, 'held']);
    const last = played.sent.at(-1);
    expect(last?.events?.map((e) => e.seq)).toEqual([0, 1, 2, 3]);
    const before = played.sent.length;
    played.to(played.tMs + 2500);
    expect(played.sent.length).toBeGreaterThan(before);
    played.input({ kind: 'answer', lane: 'one', taken: true, events: 4 });
    expect(played.lane().keeping).toBe('sent');
    const enough = played.sent.length;
    played.to(played.tMs + 5000);
    expect(played.sent.length).toBe(enough);
    played.press(count);
    expect([played.lane().keeping, played.shown()]).toEqual(['held', 4]);
  });
  test('an answer to an older list does not say that all is there', () => {
    const played = started();
    played.full = true;
    played.press(count);
    played.press(count);
    played.input({ kind: 'answer', lane: 'one', taken: true, events: 2 });
    expect(played.lane().keeping).toBe('held');
  });
});

test('taken over by another page, nothing is marked here any more', () => {
  const played = started();
  played.press(count);
  played.input({ kind: 'claim', lane: 'one', mine: false });
  played.press(count);
  played.to(go + 31_000);
  expect([played.lane().lost, played.kinds()]).toEqual([true, ['start', 'rep']]);
});

test('a page that goes away sends what every lane has', () => {
  const played = started(['one', 'two']);
  const before = played.sent.length;
  played.input({ kind: 'hide' });
  expect(played.sent.slice(before)).toMatchObject([
    { lane: 'one', leaving: true },
    { lane: 'two', leaving: true },
  ]);
});

test('four lanes at once: each counts its own, whatever the others do', () => {
  const keys = ['a', 'b', 'c', 'd'];
  const act = fc.record({ lane: fc.constantFrom(...keys), undo: fc.boolean() });
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const played = started(keys);
      for (const { lane, undo } of acts) {
        played.tMs += 100;
        played.press(undo ? { do: 'undo' } : count, 'key', lane);
      }
      for (const key of keys) {
        const own = acts.filter((a) => a.lane === key).reduce((n, a) => (a.undo ? Math.max(0, n - 1) : n + 1), 0);
        expect(played.shown(key)).toBe(own);
      }
    }),
  );
});

test('whatever is killed when, and however slow or full the browser: no painted count is lost and none is doubled', () => {
  const move = fc.oneof(
    { weight: 8, arbitrary: fc.constant('count' as const) },
    { weight: 2, arbitrary: fc.constantFrom('undo' as const, 'come-back' as const, 'tick' as const) },
    { weight: 1, arbitrary: fc.constantFrom('kill' as const, 'slow' as const, 'quick' as const, 'hide' as const) },
  );
  fc.assert(
    fc.property(fc.array(move, { maxLength: 80 }), fc.array(fc.nat(3), { maxLength: 12 }), (moves, drops) => {
      const played = started();
      let pressed = 0;
      for (const [i, move] of moves.entries()) {
        played.tMs += 90;
        if (move === 'count') {
          pressed++;
          played.press(count, i % 2 === 0 ? 'key' : 'touch');
        } else if (move === 'undo') played.press({ do: 'undo' });
        else if (move === 'come-back') played.comeBack();
        else if (move === 'tick') played.input({ kind: 'tick' });
        else if (move === 'hide') played.input({ kind: 'hide' });
        else if (move === 'kill') {
          const painted = played.lane().events;
          // Of what was on its way the browser wrote a first part, and said so to nobody.
          for (const { lane, event } of played.waiting.slice(0, drops[i % Math.max(1, drops.length)] ?? 0))
            played.write(lane, event);
          const kept = played.store.get('one') ?? [];
          expect(kept.slice(0, painted.length)).toEqual(painted);
          played.load();
        } else played.slow = move === 'slow';
        const { events, trial } = played.lane();
        expect(new Set(events.map((e) => e.seq)).size).toBe(events.length);
        expect(trial).toEqual(readTrial(chairStand30s, events));
        expect(countedIn(trial)).toBeLessThanOrEqual(pressed);
      }
    }),
    { numRuns: 300 },
  );
});

describe('what a device told', () => {
  const told = (n: number, boot = 'b'): Act => ({ do: 'heard', device: 'seat-1', boot, n });
  test('counts from go to the end, also when it comes after the tone, and once however often it is told', () => {
    const played = started();
    const at = (tMs: number, act: Act) => {
      const now = played.tMs;
      played.tMs = tMs;
      played.press(act, 'device');
      played.tMs = now;
    };
    at(go - 1, told(1));
    at(go + 2000, told(2));
    at(go + 2000, told(2));
    played.to(go + 30_100);
    at(go + 29_990, told(3));
    at(go + 30_001, told(4));
    expect([played.kinds(), played.shown(), played.lane().trial.state]).toEqual([
      ['start', 'rep', 'end', 'rep'],
      2,
      'half-way-open',
    ]);
    played.to(go + 31_000);
    played.press({ do: 'half', counts: false });
    at(go + 29_995, told(5));
    expect([played.shown(), played.lane().trial.state]).toEqual([2, 'to-agree']);
    played.press({ do: 'mark', mark: { kind: 'agree' } }, 'touch');
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 2 });
  });
  test('after a kill is known by its boot and place', () => {
    const played = started();
    played.to(go + 1500);
    played.press(told(7), 'device');
    played.load();
    played.press(told(7), 'device');
    played.press(told(7, 'b2'), 'device');
    const reps = played.store.get('one')?.filter((e) => e.kind === 'rep');
    expect(reps?.map(({ by, n, boot }) => [by, n, boot])).toEqual([
      ['device', 7, 'b'],
      ['device', 7, 'b2'],
    ]);
  });
});
