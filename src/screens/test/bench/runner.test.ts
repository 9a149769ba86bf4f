import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { chairStand30s } from '../../../catalogue/protocols/chair-stand-30s/protocol';
import { countedIn } from '../../../core/measure/trial';
import type { AttemptEvent } from '../../../core/shapes/attempt';
import { Runner, type World } from './runner';
import type { KeptAttempt } from './store';
import type { Sent } from './sending';

const kept = (more: Partial<KeptAttempt> = {}): KeptAttempt => ({
  ...{
    clientKey: 'one',
    page: 'here',
    register: 'ours',
    personId: 'ada',
    personName: 'Ada',
    side: null,
    lane: 0,
    although: null,
    watchedBy: null,
    device: null,
  },
  ...{ test: 'chair-stand-30s', protocolVersion: 1, sittingDate: '2026-03-02', conditions: {} },
  ...{ goWallMs: null, beatWallMs: Date.now(), stopAskedWallMs: null, closed: false, acknowledged: 0, refused: null },
  ...more,
});

/** A browser on a fake clock: a store that can be full or slow, a server that can be dead, a sound card that takes notes. */
function browser() {
  const events: AttemptEvent[] = [];
  const log: string[] = [];
  const heads: KeptAttempt[] = [];
  const is = { full: false, mine: true, answer: 'sent' as Sent, keepMs: 0 };
  const world: World = {
    nowMs: () => performance.now(),
    wallMs: () => Date.now(),
    keep: async (_kept, known, event) => {
      if (is.keepMs > 0) await new Promise((kept) => setTimeout(kept, is.keepMs));
      if (is.full) throw new DOMException('full', 'QuotaExceededError');
      if (!is.mine) return null;
      expect(known).toEqual(events);
      const placed = { ...event, seq: events.length } as AttemptEvent;
      events.push(placed);
      return placed;
    },
    keepHead: (head) => {
      heads.push(head);
      log.push(head.goWallMs === null ? 'head' : 'head with go');
      return Promise.resolve(is.mine);
    },
    close: () => {
      log.push('closed');
      return Promise.resolve();
    },
    beat: () => Promise.resolve(is.mine),
    send: (_kept, { leaving, events: held }) => {
      log.push(`${leaving ? 'leaving' : 'sent'} ${held?.length ?? events.length}`);
      return Promise.resolve(is.answer);
    },
    sound: { plan: () => log.push('tones'), silence: () => log.push('silence') },
    callAt: (ms, call) => {
      const timer = setTimeout(call, Math.max(0, ms - performance.now()));
      return () => {
        clearTimeout(timer);
      };
    },
  };
  const runner = new Runner(world);
  const count = () => countedIn(runner.lane('one')?.trial ?? { tries: [] });
  return { runner, events, log, heads, is, count };
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date', 'performance'] });
});
afterEach(() => {
  vi.useRealTimers();
});
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);

describe('a whole test on a fake clock', () => {
  test('thirty seconds, twelve stands, the question answered, all of it sent', async () => {
    const { runner, events, log, count } = browser();
    runner.add(kept(), chairStand30s, []);
    runner.press('one', { do: 'begin' }, 'key');
    await pass(3000);
    for (let n = 1; n <= 12; n++) {
      await pass(2000);
      runner.press('one', { do: 'tap' }, 'key');
      await pass(0);
      expect(count()).toBe(n);
    }
    await pass(6000);
    expect(runner.lane('one')?.trial.state).toBe('half-way-open');
    expect(events.at(-1)).toMatchObject({ kind: 'end', atMs: 30_000 });
    await pass(800);
    runner.press('one', { do: 'tap' }, 'key');
    await pass(10);
    expect(runner.lane('one')?.trial).toMatchObject({ state: 'finished', value: 13 });
    expect(log.slice(0, 4)).toEqual(['silence', 'tones', 'head with go', 'sent 1']);
    expect(log.slice(-3)).toEqual(['silence', 'closed', `sent ${events.length}`]);
  });
  test('tells whoever draws it of each change, and of nothing once they look away', async () => {
    const { runner } = browser();
    let told = 0;
    const away = runner.subscribe(() => told++);
    runner.add(kept(), chairStand30s, []);
    runner.press('one', { do: 'begin' }, 'key');
    await pass(0);
    expect(told).toBeGreaterThan(1);
    away();
    const before = told;
    runner.press('one', { do: 'tap' }, 'key');
    await pass(0);
    expect(told).toBe(before);
  });
});

test('presses faster than the browser keeps stay in their order, none twice', async () => {
  const { runner, events, is, count } = browser();
  is.keepMs = 40;
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(3500);
  for (let n = 0; n < 5; n++) runner.press('one', { do: 'tap' }, 'key');
  expect(count()).toBe(0);
  await pass(300);
  expect(count()).toBe(5);
  expect(events.map((e) => e.seq)).toEqual([0, 1, 2, 3, 4, 5]);
});

test('a browser that fills up in the middle: the rest is held by the page, in its place, and sent in one piece', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const { runner, is, log, count } = browser();
  is.keepMs = 10;
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(4000);
  runner.press('one', { do: 'tap' }, 'key');
  await pass(20);
  is.full = true;
  is.answer = 'later';
  for (let n = 0; n < 3; n++) runner.press('one', { do: 'tap' }, 'key');
  // What is in line behind the one that failed is not tried: no two ever take the same place.
  await pass(15);
  is.full = false;
  await pass(50);
  const lane = runner.lane('one');
  expect([count(), lane?.keeping, lane?.events.map((e) => e.seq)]).toEqual([4, 'held', [0, 1, 2, 3, 4]]);
  is.answer = 'sent';
  await pass(2500);
  expect(runner.lane('one')?.keeping).toBe('sent');
  expect(log.at(-1)).toBe('sent 5');
});

test('another page took it over: the next beat says so and nothing is marked here', async () => {
  const { runner, is, events } = browser();
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(3500);
  is.mine = false;
  await pass(300);
  const before = events.length;
  runner.press('one', { do: 'tap' }, 'key');
  await pass(10);
  expect([runner.lane('one')?.lost, events.length]).toEqual([true, before]);
});

test('a page that slept while another took it over adds nothing when it wakes, not even that it was away', async () => {
  const { runner, is, events } = browser();
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(3500);
  is.mine = false;
  const before = events.length;
  runner.press('one', { do: 'tap' }, 'key');
  await pass(0);
  expect([runner.lane('one')?.lost, events.length]).toEqual([true, before]);
});

test('an attempt taken up after a reload goes on where the wall clock is, with the absence marked', async () => {
  const { runner, events } = browser();
  const go = Date.now() - 5000;
  const earlier: AttemptEvent[] = [{ kind: 'start', seq: 0, atMs: 0, wallMs: go, by: 'key' }];
  events.push(...earlier);
  runner.add(kept({ goWallMs: go, beatWallMs: Date.now() - 1200 }), chairStand30s, earlier);
  await pass(10);
  expect(events.at(-1)).toMatchObject({ kind: 'gap', lengthMs: 1200, by: 'page' });
  await pass(26_000);
  expect(runner.lane('one')?.trial.state).toBe('half-way-open');
});

test('a stop is kept before anybody said why, and asked on by the page that takes it up', async () => {
  const { runner, heads } = browser();
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(8000);
  const pressed = Date.now();
  runner.press('one', { do: 'ask-stop' }, 'key');
  await pass(10);
  expect(heads.at(-1)).toMatchObject({ stopAskedWallMs: pressed });
  const next = browser();
  next.events.push({ kind: 'start', seq: 0, atMs: 0, wallMs: pressed - 5000, by: 'key' });
  const go = pressed - 5000;
  next.runner.add(kept({ goWallMs: go, stopAskedWallMs: pressed, beatWallMs: pressed }), chairStand30s, [
    ...next.events,
  ]);
  await pass(40_000);
  expect(next.events.filter((e) => e.kind !== 'start')).toEqual([]);
  next.runner.press('one', { do: 'stop', reason: 'unwell' }, 'touch');
  await pass(10);
  expect(next.events.at(-1)).toMatchObject({ kind: 'stop', reason: 'unwell', atMs: 5000 });
});

test('looked at no more, it is silent and beats no longer', async () => {
  const { runner, log } = browser();
  runner.add(kept(), chairStand30s, []);
  runner.press('one', { do: 'begin' }, 'key');
  await pass(100);
  runner.remove('one');
  expect(log.at(-1)).toBe('silence');
  const calls = vi.getTimerCount();
  await pass(1000);
  expect(vi.getTimerCount()).toBeLessThanOrEqual(calls);
});
