import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import type { AttemptEvent } from '../shapes/attempt';
import { closingOf } from './abandoned';
import { conditionsOf } from './conditions';
import { inCountingOrder, type Countable } from './countingOrder';
import { liveEvents, movedTo } from './live';
import { phaseOf } from './phase';

type Loose = { kind: AttemptEvent['kind'] } & Record<string, unknown>;
const list = (...events: Loose[]): AttemptEvent[] =>
  events.map((e, seq) => ({ seq, atMs: 0, wallMs: 0, by: 'key', ...e }) as unknown as AttemptEvent);
const strike = (ofSeq: number): Loose => ({ kind: 'strike', ofSeq, reason: 'slip' });
const move = (toPersonId: string): Loose => ({ kind: 'move', toPersonId, reason: 'swapped chairs' });

describe('what stands of a list', () => {
  test('a struck strike gives back what it took, a third strike takes it again', () => {
    const seqs = (...events: Loose[]) => liveEvents(list({ kind: 'rep' }, ...events)).map((e) => e.seq);
    expect(seqs(strike(0))).toEqual([1]);
    expect(seqs(strike(0), strike(1))).toEqual([0, 2]);
    expect(seqs(strike(0), strike(1), strike(2))).toEqual([1, 3]);
  });
  test('a move taken back is no move; of two that stand the newer one counts', () => {
    expect(movedTo(liveEvents(list(move('bea'))))).toBe('bea');
    expect(movedTo(liveEvents(list(move('bea'), move('cleo'))))).toBe('cleo');
    expect(movedTo(liveEvents(list(move('bea'), move('cleo'), strike(1))))).toBe('bea');
    expect(movedTo(liveEvents(list(move('bea'), strike(0))))).toBeNull();
  });
  test('any strikes in any order: the same as asking of each event whether a strike that stands is on it', () => {
    const slow = (events: AttemptEvent[]): number[] => {
      const stands = (e: AttemptEvent): boolean =>
        !events.some((s) => s.kind === 'strike' && s.ofSeq === e.seq && s.seq > e.seq && stands(s));
      return events.filter(stands).map((e) => e.seq);
    };
    const event = fc.oneof(fc.constant<Loose>({ kind: 'rep' }), fc.integer({ min: 0, max: 12 }).map(strike));
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), (events) => {
        const all = list(...events);
        expect(liveEvents(all.toReversed()).map((e) => e.seq)).toEqual(slow(all));
      }),
    );
  });
  test('conditions are as sent with each correction that stands; what a correction leaves out stays', () => {
    const sent = { seatHeightCm: 43, aid: 'none', shoes: 'flat' } as const;
    const put = (more: object): Loose => ({ kind: 'condition', reason: 'the other chair', ...more });
    expect(conditionsOf(sent, list(put({ seatHeightCm: 46 }), put({ aid: 'stick' })))).toEqual({
      seatHeightCm: 46,
      aid: 'stick',
      shoes: 'flat',
    });
    expect(conditionsOf(sent, list(put({ seatHeightCm: 46 }), strike(0)))).toEqual(sent);
  });
});

describe('which result of a day stands for it', () => {
  const result = (name: string, fromPaper: boolean, startedWallMs: number, receivedAt: string, counts = false) => ({
    name,
    ...({ trial: { counts, fromPaper }, startedWallMs, receivedAt } satisfies Countable),
  });
  const order = (...of: ReturnType<typeof result>[]) => of.sort(inCountingOrder).map((r) => r.name);
  test('a paper result typed in later, or dated noon, does not displace the timed one', () => {
    expect(order(result('paper', true, 1, '08:00'), result('timed', false, 99, '09:00'))).toEqual(['timed', 'paper']);
  });
  test('timed ones by their start, also where the earlier one arrived later; paper ones as they arrived', () => {
    expect(order(result('second', false, 20, '09:00'), result('first', false, 10, '11:00'))).toEqual([
      'first',
      'second',
    ]);
    expect(order(result('late', true, 1, '11:00'), result('early', true, 2, '09:00'))).toEqual(['early', 'late']);
  });
  test('what somebody said counts comes before all, the newest such word first', () => {
    expect(
      order(
        result('timed', false, 1, '08:00'),
        result('said', true, 5, '10:00', true),
        result('said again', true, 5, '11:00', true),
      ),
    ).toEqual(['said again', 'said', 'timed']);
  });
});

describe('a try that no page runs any more', () => {
  const { capture } = chairStand30s;
  const go = 1_000_000;
  const left = { goWallMs: go, beatWallMs: go + 10_000, stopAskedWallMs: null };
  const running = list({ kind: 'start' }, { kind: 'rep' });
  const closed = (events: AttemptEvent[], closing: readonly object[]) =>
    phaseOf(capture, liveEvents([...events, ...list(...(closing as Loose[])).map((e) => ({ ...e, seq: e.seq + 50 }))]));
  test('up to two seconds it may be taken up and is left alone', () => {
    expect(closingOf(chairStand30s, running, left, go + 12_000)).toEqual([]);
  });
  test('longer, and it broke off, its stands kept', () => {
    const closing = closingOf(chairStand30s, running, left, go + 12_001);
    expect(closing).toEqual([{ kind: 'gap', lengthMs: 2001, atMs: 12_001 }]);
    expect(closed(running, closing)).toBe('to-repeat');
  });
  test('left while it was asked why it was stopped, it is asked on; after half an hour it was stopped, at the press', () => {
    const asked = { ...left, stopAskedWallMs: go + 7000 };
    expect(closingOf(chairStand30s, running, asked, go + 60_000)).toEqual([]);
    const closing = closingOf(chairStand30s, running, asked, go + 31 * 60_000);
    expect(closing).toEqual([{ kind: 'stop', reason: 'other', atMs: 7000 }]);
    expect(closed(running, closing)).toBe('stopped');
  });
  test('closed by the battery only after the tone: the count is whole, the stand nobody was asked about is not counted', () => {
    const asked = [...running, ...list({ kind: 'end', atMs: 30_000 }).map((e) => ({ ...e, seq: 9 }))];
    const late = { ...left, beatWallMs: go + 31_000 };
    expect(closed(asked, closingOf(chairStand30s, asked, late, go + 60_000))).toBe('finished');
    expect(closingOf(chairStand30s, running, late, go + 60_000).map((e) => e.kind)).toEqual(['end', 'half-rep']);
  });
  test('one that has ended, or whose countdown never began, needs nothing', () => {
    expect(
      closingOf(chairStand30s, list({ kind: 'start' }, { kind: 'stop', reason: 'pain' }), left, go + 60_000),
    ).toEqual([]);
    expect(
      closingOf(chairStand30s, list({ kind: 'practice', reps: 2 }), { ...left, goWallMs: null }, go + 60_000),
    ).toEqual([]);
  });
});
