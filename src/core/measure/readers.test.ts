import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../catalogue/protocols';
import { eventKindsOf, type AttemptEvent } from '../shapes/attempt';
import type { Capture, Protocol } from '../shapes/protocol';
import { dropsIn } from './drops';
import { liveEvents } from './live';
import { readTrial, ruledBy } from './readTrial';

type Loose = { readonly kind: AttemptEvent['kind'] } & Readonly<Record<string, unknown>>;
const list = (...events: readonly Loose[]): AttemptEvent[] =>
  events.map((e, seq) => ({ seq, atMs: 0, wallMs: 0, by: 'key', ...e }) as unknown as AttemptEvent);
const of = (id: string): Protocol => {
  const protocol = protocols.find((p) => p.id === id);
  if (!protocol) throw new Error(`no ${id}`);
  return protocol;
};
const value = (id: string, ...events: readonly Loose[]) => readTrial(of(id), list(...events)).value;
const start = (atMs = 0, nth = 0): Loose => ({ kind: 'start', atMs, try: nth });
const end = (atMs: number): Loose => ({ kind: 'end', atMs });

describe('a count', () => {
  const reps = (n: number): Loose[] => Array.from({ length: n }, (_, i) => ({ kind: 'rep', atMs: 1000 * (i + 1) }));
  test('heel raises end at 25: what was tapped after it is left out, and no tone asks for a half one', () => {
    const trial = readTrial(of('heel-rise'), list(start(), ...reps(27), end(27_000)));
    expect(trial).toMatchObject({ state: 'finished', value: 25 });
    expect(trial.tries[0]?.atMs).toHaveLength(25);
  });
  test('one said not to be full is left out, and counts again when that is taken back', () => {
    const short: Loose = { kind: 'not-full', ofSeq: 2, atMs: 4000 };
    expect(value('heel-rise', start(), ...reps(3), short, end(9000))).toBe(2);
    expect(value('heel-rise', start(), ...reps(3), short, { kind: 'undo' }, end(9000))).toBe(3);
  });
  test('what a switch told and a hand tapped within 0.6 s is one stand; an undo takes it back whole', () => {
    const told = (atMs: number, n: number): Loose => ({
      kind: 'rep',
      atMs,
      by: 'device',
      device: 'seat-1',
      boot: 'b',
      n,
    });
    const tap = (atMs: number): Loose => ({ kind: 'rep', atMs });
    const both = [start(), told(2000, 1), tap(2600), tap(4000), told(4400, 2), tap(5001), told(8000, 3)];
    const counted = (...more: Loose[]) => readTrial(of('step-2min'), list(...both, ...more, end(120_000))).tries[0];
    expect(counted()?.atMs).toEqual([2000, 4400, 5001, 8000]);
    expect(counted({ kind: 'undo' }, { kind: 'undo' })?.atMs).toEqual([2000, 4400]);
  });
  test('what a device counted waits for a yes and is no result before; what a hand counted does not', () => {
    const told: Loose = { kind: 'rep', atMs: 2000, by: 'device', device: 'steps-1', boot: 'b', n: 1 };
    const read = (...more: Loose[]) => readTrial(of('step-2min'), list(start(), told, ...more));
    expect(read(end(120_000))).toMatchObject({ state: 'to-agree', value: null, tries: [{ value: 1 }] });
    expect(read(end(120_000), { kind: 'agree' })).toMatchObject({ state: 'finished', value: 1 });
    expect(readTrial(of('step-2min'), list(start(), ...reps(1), end(120_000)))).toMatchObject({ state: 'finished' });
  });
  test('a rest in the two minutes is told beside the steps and takes nothing from them', () => {
    const rest: Loose[] = [
      { kind: 'rest', atMs: 2500 },
      { kind: 'touch', atMs: 2600 },
      { kind: 'go-on', atMs: 9000 },
    ];
    expect(readTrial(of('step-2min'), list(start(), ...reps(2), ...rest, end(120_000)))).toMatchObject({
      value: 2,
      marks: { rests: 1, touches: 1 },
    });
  });
});

describe('a hold', () => {
  const letGo = (atMs: number, nth = 0): Loose => ({ kind: 'let-go', atMs, try: nth });
  test('the better of two tries, in tenths of a second', () => {
    const twice = [start(), letGo(12_340), start(40_000, 1), letGo(49_960, 1), end(60_000)];
    const trial = readTrial(of('one-leg'), list(...twice));
    expect([trial.value, trial.tries.map((t) => t.value)]).toEqual([12.3, [12.3, 10]]);
  });
  test('one that goes on past the cap is the cap, and one nobody ended was held to the end', () => {
    expect(value('one-leg', start(), letGo(61_000), end(62_000))).toBe(45);
    expect(value('one-leg', start(), end(20_000))).toBe(20);
  });
  test('an end taken back: the hold goes on; a start too early clears the try', () => {
    const undo: Loose = { kind: 'undo', try: 0 };
    expect(value('one-leg', start(), letGo(5000), undo, letGo(9000), end(10_000))).toBe(9);
    expect(
      value('one-leg', start(), letGo(300), { kind: 'false-start', try: 0 }, start(10_000), letGo(18_000), end(20_000)),
    ).toBe(8);
  });
});

describe('a time', () => {
  test('five stands end at the fifth that was full; a walk at its line, the faster of two', () => {
    const stands = [2, 4, 6, 8, 10, 12].map((s): Loose => ({ kind: 'rep', atMs: 1000 * s }));
    expect(value('five-stands', start(), ...stands, end(13_000))).toBe(10);
    expect(value('five-stands', start(), ...stands, { kind: 'not-full', ofSeq: 1 }, end(13_000))).toBe(12);
    const finish = (atMs: number, nth: number): Loose => ({ kind: 'finish', atMs, try: nth });
    expect(value('gait-4m', start(), finish(4821, 0), start(20_000, 1), finish(24_504, 1), end(30_000))).toBe(4.5);
  });
  test('past the cap there is no time; hands are told', () => {
    expect(value('five-stands', start(), { kind: 'hands', atMs: 1 }, end(70_000))).toBeNull();
    const slow = [13, 26, 39, 52, 65].map((s): Loose => ({ kind: 'rep', atMs: 1000 * s }));
    expect(value('five-stands', start(), ...slow, end(70_000))).toBeNull();
  });
});

describe('a distance', () => {
  test('the mean of three reaches; one in which they were caught does not count; the last reading of a try stands', () => {
    const reach = (cm: number, nth: number): Loose => ({ kind: 'reading', value: cm, try: nth });
    const three = [reach(20, 0), reach(25, 0), reach(28, 1), reach(40, 2)];
    expect(value('reach-forward', ...three, end(9))).toBe(31);
    expect(value('reach-forward', ...three, { kind: 'caught', try: 2 }, end(9))).toBe(26.5);
  });
});

describe('a pressure seated and standing', () => {
  const reading = (id: string, answer: number, second?: number): Loose => ({ kind: 'stage', id, answer, second });
  const drops = (...events: Loose[]) => dropsIn(of('stand-up-pressure'), list(...events));
  test('15 of the upper or 7 of the lower figure from seated is past the limit (Shaw 2017, from memory)', () => {
    expect(drops(reading('seated', 140, 80), reading('1 min', 126, 73), reading('3 min', 130, 76))).toEqual({
      ...{ upper: 14, lower: 7, past: true },
    });
    expect(drops(reading('seated', 140, 80), reading('1 min', 126, 74))).toMatchObject({ lower: 6, past: false });
    expect(drops(reading('seated', 140), reading('1 min', 125))).toEqual({ upper: 15, lower: null, past: true });
  });
  test('a lower figure left out once says nothing of the fall; one reading alone neither', () => {
    expect(drops(reading('seated', 140, 80), reading('1 min', 139), reading('3 min', 139, 60))?.lower).toBeNull();
    expect(drops(reading('seated', 140, 80))).toBeNull();
    expect(dropsIn(of('four-stage'), list(reading('tandem', 4)))).toBeNull();
  });
});

describe('stages', () => {
  const stage = (id: string, more: object): Loose => ({ kind: 'stage', id, ...more });
  test('positions count up to the first that was not held, with the seconds of each', () => {
    const said = [
      stage('sideBySide', { held: true }),
      stage('semiTandem', { held: true }),
      stage('tandem', { held: false, answer: 4.2 }),
    ];
    expect(readTrial(of('four-stage'), list(...said, end(1)))).toMatchObject({
      value: 2,
      seconds: { sideBySide: 10, semiTandem: 10, tandem: 4.2, oneLeg: 0 },
    });
  });
  test('the lowest seat stood up from; the drop from the first pressure; the touches that were felt', () => {
    const seats = [
      stage('a', { seatCm: 46, held: true }),
      stage('b', { seatCm: 43, held: true }),
      stage('c', { seatCm: 40, held: false }),
    ];
    expect(value('lowest-seat', ...seats, end(1))).toBe(43);
    const pressures = [
      stage('seated', { answer: 140 }),
      stage('1 min', { answer: 118 }),
      stage('3 min', { answer: 131 }),
    ];
    expect(value('stand-up-pressure', ...pressures, end(1))).toBe(22);
    expect(
      value(
        'foot-feel',
        stage('R1', { held: true }),
        stage('L1', { held: false }),
        stage('R3', { held: true }),
        end(1),
      ),
    ).toBe(2);
  });
});

test('a result is read by the rules of the version it was taken under', () => {
  const newer: Protocol = {
    ...of('chair-stand-30s'),
    version: 2,
    earlier: [{ version: 1, capture: { kind: 'count', ends: { time: 20 }, capS: 20, halfAtTone: false } }],
  };
  const events = list(start(), { kind: 'rep', atMs: 5000 }, { kind: 'rep', atMs: 25_000 }, end(30_000), {
    kind: 'half-rep',
    counts: false,
  });
  expect([1, 2].map((version) => readTrial(ruledBy(newer, version), events).value)).toEqual([1, 2]);
});

/** The same said slowly: of each try the events that stand, one question after the other, no list kept in between. */
function slow(protocol: Protocol, events: readonly AttemptEvent[]): unknown {
  const live = liveEvents(events);
  const taps = ['rep', 'hands', 'not-full', 'let-go', 'finish', 'touch', 'rest', 'go-on', 'stage', 'reading', 'caught'];
  const nth = (e: AttemptEvent) => e.try ?? 0;
  const beginsAnew = (e: AttemptEvent) =>
    e.kind === 'false-start' || (e.kind === 'gap' && e.try !== undefined && e.lengthMs > 2000);
  const inTry = (n: number) => live.filter((e) => nth(e) === n);
  const standing = (n: number): AttemptEvent[] => {
    const all = inTry(n);
    const fresh = all.slice(all.findLastIndex(beginsAnew) + 1);
    return fresh.reduce<AttemptEvent[]>(
      (left, e) => (e.kind === 'undo' ? left.slice(0, -1) : taps.includes(e.kind) ? seenOnce(left, e) : left),
      [],
    );
  };
  // Seen by a device and by a hand within 0.6 s it is one, at the place of the first, in the words of the device.
  const seenOnce = (left: readonly AttemptEvent[], e: AttemptEvent): AttemptEvent[] => {
    const same = left.filter(
      (l) => l.kind === 'rep' && e.kind === 'rep' && (l.by === 'device') !== (e.by === 'device'),
    );
    const near = same.filter((l) => l.atMs >= e.atMs - 600 && l.atMs <= e.atMs + 600);
    if (near.length === 0) return [...left, e];
    if (e.by !== 'device') return [...left];
    return left.flatMap((l) => (l === near[0] ? [e] : near.includes(l) ? [] : [l]));
  };
  const startOf = (n: number) => {
    const all = inTry(n);
    return all.slice(all.findLastIndex(beginsAnew) + 1).findLast((e) => e.kind === 'start')?.atMs;
  };
  const count = Math.max(0, ...live.filter((e) => e.kind === 'start' || taps.includes(e.kind)).map((e) => nth(e) + 1));
  const to = protocol.readTo ?? 1;
  const half = (s: number) => Number((Math.round(s / to + 1e-7) * to).toFixed(2));
  const full = (n: number) =>
    standing(n).filter((e) => e.kind === 'rep' && !standing(n).some((s) => s.kind === 'not-full' && s.ofSeq === e.seq));
  const valueOf: Readonly<Record<Capture['kind'], (n: number) => number | null>> = {
    count: () => {
      if (protocol.capture.kind !== 'count') return null;
      const { ends, capS } = protocol.capture;
      const lastMs = 1000 * (ends !== 'stop-sign' && 'time' in ends ? ends.time : capS);
      const most = ends !== 'stop-sign' && 'count' in ends ? ends.count : Infinity;
      const half = live.filter((e) => e.kind === 'half-rep' && e.counts).length > 0 ? 1 : 0;
      return Math.min(most, full(0).filter((e) => e.atMs >= 0 && e.atMs <= lastMs).length) + half;
    },
    hold: (n) => {
      const from = startOf(n);
      const until =
        standing(n).find((e) => e.kind === 'let-go' && from !== undefined && e.atMs >= from)?.atMs ??
        live.findLast((e) => e.kind === 'end')?.atMs;
      if (from === undefined || until === undefined) return null;
      const cap = protocol.capture.kind === 'hold' ? protocol.capture.capS : 0;
      return half(Math.min(cap, Math.max(0, until - from) / 1000));
    },
    timed: (n) => {
      const from = startOf(n);
      if (from === undefined || protocol.capture.kind !== 'timed') return null;
      const { reps, capS } = protocol.capture;
      const last =
        reps === undefined
          ? standing(n).findLast((e) => e.kind === 'finish')
          : full(n).filter((e) => e.atMs >= from)[reps - 1];
      if (!last || last.atMs < from || (last.atMs - from) / 1000 > capS) return null;
      return half((last.atMs - from) / 1000);
    },
    distance: (n) => {
      const reading = standing(n).findLast((e) => e.kind === 'reading');
      return reading?.kind === 'reading' && !standing(n).some((e) => e.kind === 'caught') ? reading.value : null;
    },
    staged: () => {
      if (protocol.capture.kind !== 'staged') return null;
      const { stages, ends } = protocol.capture;
      const all = [0, 1, 2, 3].flatMap(standing);
      const last = (id: string) => all.findLast((e) => e.kind === 'stage' && e.id === id);
      const held = stages.map(({ id }) => {
        const told = last(id);
        return told?.kind === 'stage' && told.held === true;
      });
      if (ends === 'first-not') return held.includes(false) ? held.indexOf(false) : held.length;
      return held.filter(Boolean).length;
    },
  };
  const once = protocol.capture.kind === 'count' || protocol.capture.kind === 'staged';
  const said =
    protocol.capture.kind === 'staged' && [0, 1, 2, 3].flatMap(standing).some((e) => e.kind === 'stage') ? 1 : 0;
  const lanes = once ? (protocol.capture.kind === 'count' ? 1 : said) : count;
  return Array.from({ length: lanes }, (_, n) => valueOf[protocol.capture.kind](n));
}

describe.each([
  ...['chair-stand-30s', 'step-2min', 'heel-rise', 'one-leg', 'thigh-hold', 'five-stands', 'up-and-go-8ft'],
  ...['reach-forward', 'knee-to-wall', 'four-stage', 'foot-feel'],
])('%s', (id) => {
  const protocol = of(id);
  const { capture } = protocol;
  const stageIds = capture.kind === 'staged' ? capture.stages.map((s) => s.id) : ['none'];
  const event = fc.record({
    kind: fc.constantFrom(
      ...eventKindsOf[protocol.capture.kind].filter(
        (k) => !['strike', 'entered', 'add', 'move', 'condition'].includes(k),
      ),
    ),
    atMs: fc.oneof(fc.integer({ min: -500, max: 70_000 }), fc.integer({ min: 0, max: 3000 })),
    by: fc.constantFrom('key', 'key', 'device'),
    try: fc.integer({ min: 0, max: 2 }),
    ofSeq: fc.nat(20),
    value: fc.integer({ min: 1, max: 40 }),
    lengthMs: fc.nat(4000),
    reason: fc.constant('pain'),
    counts: fc.boolean(),
    id: fc.constantFrom(...stageIds),
    held: fc.boolean(),
  });
  test('any stream of events gives the tries of a slow, obvious second reading', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 24 }), (events) => {
        const all = list(...(events as Loose[]));
        expect(readTrial(protocol, all).tries.map((t) => t.value)).toEqual(slow(protocol, all));
      }),
    );
  });
  test('undo is exact: a mark and its undo leave everything as it was', () => {
    const mark = fc.constantFrom('rep', 'hands', 'let-go', 'finish', 'touch', 'caught');
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), mark, fc.integer({ min: 0, max: 2 }), (events, kind, nth) => {
        const before = list(...(events as Loose[]), { kind: 'start', atMs: 1, try: nth });
        const tap = {
          seq: before.length,
          kind,
          atMs: 99_000,
          wallMs: 0,
          by: 'key',
          try: nth,
          value: 9,
          id: stageIds[0],
        };
        const undo = { ...tap, seq: before.length + 1, kind: 'undo' };
        const after = [...before, tap, undo] as unknown as AttemptEvent[];
        expect(readTrial(protocol, after)).toEqual(readTrial(protocol, before));
      }),
    );
  });
});
