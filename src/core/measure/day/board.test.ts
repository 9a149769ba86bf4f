import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../../catalogue/protocols';
import { daySets } from '../../../catalogue/testing-day/daySets';
import { instructor, type DayEvent, type DayNote, type DayResult, type DayStaff, type DayTest } from '../../shapes/day';
import { boardAt } from './board';
import { conditionsFor, dayState } from './dayState';
import { hallSeconds } from './hallSeconds';
import { triesToday, type DayGuest } from './sitting';

const tests: readonly DayTest[] = protocols.map(({ id, station }) => ({ ...station, id }));
const start = Date.UTC(2026, 2, 2, 9, 0);
const minute = 60_000;
const staff: readonly DayStaff[] = [
  { id: instructor, may: ['instructor', 'spots', 'counts'] },
  { id: 'mira', may: ['spots', 'counts'] },
];
const guest = (id: string, more: Partial<DayGuest> = {}): DayGuest => ({
  ...{ id, withCare: false, over85: false, alone: false, closed: {} },
  ...more,
});
const note = (event: DayEvent, atMin = 0): DayNote => ({
  ...{ key: `${event.kind} ${atMin}`, day: '2026-03-02', wallMs: start + atMin * minute, event },
});
const planned = (...more: readonly DayNote[]): DayNote[] => [
  note({ kind: 'plan', tests: daySets.first, staff: [instructor, 'mira'], minutes: 60 }),
  ...more,
];
const done = (personId: string, test: string, atMin: number, more: Partial<DayResult> = {}): DayResult => ({
  ...{ personId, test, state: 'done', values: [12], why: '', stopReason: null, endedWallMs: start + atMin * minute },
  ...more,
});
const board = (notes: readonly DayNote[], guests: readonly DayGuest[], results: readonly DayResult[], atMin: number) =>
  boardAt(dayState(notes), { guests, results, tests, staff, sets: daySets }, start + atMin * minute);
const abc = ['a', 'b', 'c', 'd'].map((id) => guest(id));
const call = (people: readonly string[], atMin: number, by = instructor, of = ['four-stage', 'one-leg']) =>
  note({ kind: 'call', staff: by, people, tests: of }, atMin);

describe('the board', () => {
  test('each station has who is there, who comes next and then; balance is one visit', () => {
    const b = board(planned(call(['a'], 1)), abc, [], 1);
    expect(b.stations[0]?.now?.people).toEqual(['a']);
    expect(b.stations[1]?.now).toBeNull();
    expect(b.stations[1]?.queue[0]).toMatchObject({ people: ['b'], tests: ['four-stage', 'one-leg'], startS: 0 });
    expect(b.waiting).toEqual(['b', 'c', 'd']);
  });
  test('a station is free again once all of its call has a result', () => {
    const half = board(planned(call(['a'], 1)), abc, [done('a', 'four-stage', 3)], 3);
    expect(half.stations[0]?.now).toMatchObject({ people: ['a'], open: ['one-leg'] });
    const whole = [done('a', 'four-stage', 3), done('a', 'one-leg', 5)];
    expect(board(planned(call(['a'], 1)), abc, whole, 5).stations[0]?.now).toBeNull();
  });
  test('not now is two places back, at the third time to the end; the station is free at once', () => {
    const names = (notes: readonly DayNote[]) => {
      const calls = board(notes, abc, [], 2).stations.flatMap((s) => s.queue.map((c) => ({ ...c, at: s.staff })));
      return calls
        .filter((c) => c.tests.includes('four-stage'))
        .sort((x, y) => x.startS - y.startS || (x.people[0] ?? '').localeCompare(y.people[0] ?? ''))
        .map((c) => c.people[0]);
    };
    expect(names(planned())[0]).toBe('a');
    const back = planned(call(['a'], 1), note({ kind: 'not-now', personId: 'a' }, 1));
    expect(board(back, abc, [], 2).stations[0]?.now).toBeNull();
    expect(names(back).indexOf('a')).toBe(2);
    const third = [1, 2, 3].map((at) => note({ kind: 'not-now', personId: 'a' }, at));
    expect(names(planned(...third)).indexOf('a')).toBe(3);
    // Two calls later their turn has come, and they are at no station until they are called.
    const later = planned(call(['a'], 1), note({ kind: 'not-now', personId: 'a' }, 1), call(['b'], 1, 'mira'));
    expect(board([...later, call(['c'], 2)], abc, [], 2).stations.flatMap((s) => s.now?.people ?? [])).toEqual([
      'c',
      'b',
    ]);
  });
  test('friends are called one after the other', () => {
    const guests = ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => guest(id));
    const alone = { ...staff[0], id: instructor } as DayStaff;
    const order = (notes: readonly DayNote[]) =>
      boardAt(dayState(notes), { guests, results: [], tests, staff: [alone], sets: daySets }, start)
        .stations[0]?.queue.filter((c) => c.tests.includes('four-stage'))
        .map((c) => c.people[0]);
    const only = note({ kind: 'plan', tests: ['four-stage'], staff: [instructor], minutes: 60 });
    expect(order([only])).toEqual(['a', 'b', 'c', 'd', 'e', 'f']);
    const together = note({ kind: 'together', people: ['b', 'f'] }, 1);
    expect(order([only, together])).toEqual(['a', 'b', 'f', 'c', 'd', 'e']);
    expect(order([only, together, note({ kind: 'apart', people: ['b', 'f'] }, 2)])).toEqual([
      'a',
      'b',
      'c',
      'd',
      'e',
      'f',
    ]);
  });
  test('who walks in does four positions and the chair stand, after everybody who was planned', () => {
    const b = board(planned(note({ kind: 'walk-in', personId: 'w' }, 8)), [...abc, guest('w')], [], 8);
    expect(b.sittings.get('w')?.map((s) => s.test)).toEqual(daySets.walkIn);
    const all = b.stations.flatMap((s) => s.queue).sort((x, y) => x.startS - y.startS);
    const first = all.findIndex((c) => c.people.includes('w'));
    expect(all.slice(first + 1).every((c) => c.people.includes('w') || c.startS >= (all[first]?.startS ?? 0))).toBe(
      true,
    );
    expect(first).toBeGreaterThan(3);
  });
  test('who left, whose test is closed, put off, on paper or declined is not called for it; each says why', () => {
    const guests = [guest('a', { closed: { 'four-stage': 'Not today' } }), guest('b'), guest('c'), guest('d')];
    const b = board(
      planned(
        note({ kind: 'left', personId: 'b', why: 'the bus' }, 2),
        note({ kind: 'paper', personId: 'c', tests: ['four-stage'] }, 2),
        note({ kind: 'later', personId: 'c', tests: ['one-leg'] }, 2),
      ),
      guests,
      [done('d', 'four-stage', 2, { state: 'declined', values: [], why: 'tired' })],
      3,
    );
    const said = (id: string) => b.sittings.get(id)?.map((s) => [s.test, s.state, s.why]);
    expect(said('a')?.[0]).toEqual(['four-stage', 'closed', 'Not today']);
    expect(said('b')?.[1]).toEqual(['one-leg', 'left', 'the bus']);
    expect(said('c')).toEqual([
      ['four-stage', 'paper', 'on paper'],
      ['one-leg', 'later', 'on the next class day'],
      ['chair-stand-30s', 'open', ''],
    ]);
    expect(said('d')?.[0]).toEqual(['four-stage', 'declined', 'tired']);
    const called = b.stations.flatMap((s) => s.queue).map((c) => [c.people[0], ...c.tests]);
    expect(called.some(([who]) => who === 'b')).toBe(false);
    expect(called.filter(([, ...of]) => of.includes('four-stage'))).toEqual([]);
  });
  test('rests are kept from what was done: nobody is called to a leg test within two minutes of another', () => {
    const notes = planned(note({ kind: 'plan', tests: daySets.full, staff: [instructor, 'mira'], minutes: 60 }, 0));
    // Balance came last, out of turn: the rest after the stands is kept all the same.
    const results = [done('a', 'chair-stand-30s', 9), done('a', 'four-stage', 9.3), done('a', 'one-leg', 9.6)];
    const queues = board(notes, [guest('a')], results, 10).stations.flatMap((s) => s.queue);
    const [next] = queues.sort((x, y) => x.startS - y.startS);
    expect(next).toMatchObject({ tests: ['up-and-go-8ft'], startS: 60 });
  });
  test('a closed station calls nobody; with nobody left who may spot the balances are said to have no one', () => {
    const closed = board(planned(note({ kind: 'close', staff: instructor }, 1)), abc, [], 1);
    expect(closed.stations.map((s) => s.staff)).toEqual(['mira']);
    const counters = [{ id: 'mira', may: ['counts' as const] }];
    const b = boardAt(
      dayState(planned(note({ kind: 'close', staff: instructor }, 1))),
      { guests: abc, results: [], tests, staff: counters, sets: daySets },
      start,
    );
    expect(b.unstaffed).toEqual(['four-stage', 'one-leg']);
  });
  test('after a quarter of an hour seated and not about to be called there is something to do', () => {
    const guests = Array.from({ length: 20 }, (_, i) => guest(`p${i}`));
    expect(board(planned(), guests, [], 14).idle).toEqual([]);
    const b = board(planned(), guests, [], 16);
    expect(b.idle.length).toBeGreaterThan(10);
    expect(b.idle).not.toContain(b.stations[0]?.queue[0]?.people[0]);
  });
  test('what is dropped goes by its list, never four positions or the chair stand, and spares its time', () => {
    const notes = [note({ kind: 'plan', tests: daySets.full, staff: [instructor, 'mira'], minutes: 60 })];
    const guests = Array.from({ length: 12 }, (_, i) => guest(`p${i}`));
    let [now, needsS] = [notes, Infinity];
    const gone: string[] = [];
    for (;;) {
      const b = board(now, guests, [], 0);
      expect(b.needsS).toBeLessThan(needsS);
      if (!b.dropNext) break;
      needsS = b.needsS;
      gone.push(b.dropNext.id);
      now = [...now, note({ kind: 'drop', drop: b.dropNext.id }, gone.length)];
    }
    expect(gone).toEqual(['one-leg-third', 'step', 'up-and-go-second', 'up-and-go', 'one-leg-second']);
    const left = board(now, guests, [], 0).sittings.get('p0');
    expect(left?.map((s) => s.test)).toEqual(['four-stage', 'one-leg', 'chair-stand-30s']);
    for (const { does } of daySets.drops)
      expect(['four-stage', 'chair-stand-30s']).not.toContain('test' in does && does.test);
  });
  test('what is done beyond the plan is for those it decides something for, and is left out first', () => {
    const also = planned(note({ kind: 'also', personId: 'a', tests: ['knee-to-wall'] }, 1));
    const b = board(also, abc, [], 1);
    expect(b.sittings.get('a')?.map((s) => s.test)).toContain('knee-to-wall');
    expect(b.sittings.get('b')?.map((s) => s.test)).not.toContain('knee-to-wall');
    expect(b.dropNext?.id).toBe('further');
    const dropped = board([...also, note({ kind: 'drop', drop: 'further' }, 2)], abc, [], 2);
    expect(dropped.sittings.get('a')?.map((s) => s.test)).toEqual(daySets.first);
    const back = [...also, note({ kind: 'drop', drop: 'further' }, 2), note({ kind: 'keep', drop: 'further' }, 3)];
    expect(
      board(back, abc, [], 3)
        .sittings.get('a')
        ?.map((s) => s.test),
    ).toContain('knee-to-wall');
  });
  test('the conditions of the hall hold for everybody but for what was noted of one', () => {
    const state = dayState(
      planned(
        note({ kind: 'conditions', put: { seatCm: 43, shoes: 'flat', floor: 'wood' } }, 1),
        note({ kind: 'conditions', personId: 'a', put: { seatCm: 48 } }, 2),
        note({ kind: 'conditions', put: { warmUp: true } }, 3),
      ),
    );
    expect(conditionsFor(state, 'a')).toEqual({ seatCm: 48, shoes: 'flat', floor: 'wood', warmUp: true });
    expect(conditionsFor(state, 'b')).toEqual({ seatCm: 43, shoes: 'flat', floor: 'wood', warmUp: true });
  });
  test('fewer tries are said at the station, by the last that was left out', () => {
    const tries = (...drops: string[]) =>
      triesToday('one-leg', dayState(drops.map((drop, i) => note({ kind: 'drop', drop }, i))), daySets.drops);
    expect([tries(), tries('one-leg-third'), tries('one-leg-third', 'one-leg-second')]).toEqual([
      null,
      'Two tries a side today.',
      'One try a side today.',
    ]);
  });
  test('minutes left are told from the plan, the closing kept', () => {
    expect(board(planned(), abc, [], 10).leftS).toBe(47 * 60);
    expect(board([], abc, [], 10).leftS).toBeNull();
  });
  test('whatever happens nobody is in two places, called while away, or called for what is not open', () => {
    const ids = ['a', 'b', 'c', 'd', 'e'];
    const event = fc.oneof(
      fc.record({
        kind: fc.constant('call' as const),
        staff: fc.constantFrom(instructor, 'mira'),
        people: fc.subarray(ids, { minLength: 1, maxLength: 2 }),
        tests: fc.constantFrom(['four-stage', 'one-leg'], ['chair-stand-30s']),
      }),
      fc.record({ kind: fc.constant('not-now' as const), personId: fc.constantFrom(...ids) }),
      fc.record({ kind: fc.constant('left' as const), personId: fc.constantFrom(...ids), why: fc.constant('bus') }),
      fc.record({ kind: fc.constant('back' as const), personId: fc.constantFrom(...ids) }),
      fc.record({
        kind: fc.constantFrom('close' as const, 'open' as const),
        staff: fc.constantFrom(instructor, 'mira'),
      }),
      fc.record({ kind: fc.constant('walk-in' as const), personId: fc.constantFrom(...ids) }),
      fc.record({ kind: fc.constant('together' as const), people: fc.subarray(ids, { minLength: 2, maxLength: 2 }) }),
    );
    const result = fc.record({
      personId: fc.constantFrom(...ids),
      test: fc.constantFrom(...daySets.first),
      at: fc.integer({ min: 0, max: 30 }),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 14 }), fc.array(result, { maxLength: 8 }), (events, had) => {
        const notes = planned(...events.map((e, i) => note(e as DayEvent, i)));
        const b = board(
          notes,
          ids.map((id) => guest(id)),
          had.map((r) => done(r.personId, r.test, r.at)),
          20,
        );
        const state = dayState(notes);
        const here = b.stations.flatMap((s) => s.now?.people ?? []);
        expect(new Set(here).size).toBe(here.length);
        for (const { queue, staff: at } of b.stations) {
          expect(state.closed.has(at)).toBe(false);
          for (const c of queue)
            for (const id of c.people) {
              expect(state.left.has(id)).toBe(false);
              const open = (b.sittings.get(id) ?? []).filter((s) => s.state === 'open').map((s) => s.test);
              expect(c.tests.every((t) => open.includes(t))).toBe(true);
            }
        }
        const times = b.stations
          .flatMap((s) => s.queue)
          .flatMap((c) => c.people.flatMap((id) => c.tests.map((t) => `${id} ${t}`)));
        expect(new Set(times).size).toBe(times.length);
      }),
    );
  });
});

test('a hall’s own seconds replace the table’s after five calls, from call to result; slips and interruptions do not count', () => {
  const at = [2, 2, 2, 3, 4, 20];
  const day = (n: number) => ({
    notes: planned(...at.slice(0, n).map((_, i) => call([`p${i}`], 20 * i, instructor, ['chair-stand-30s']))),
    results: at.slice(0, n).map((took, i) => done(`p${i}`, 'chair-stand-30s', 20 * i + took)),
  });
  expect(hallSeconds([day(4)], tests).size).toBe(0);
  expect(hallSeconds([day(6)], tests).get('chair-stand-30s')).toBe(120);
});
