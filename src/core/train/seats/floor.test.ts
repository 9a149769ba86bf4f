import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isPlaceId, type KeptPlace, type PlaceId } from '../../shapes/hallPlace';
import {
  isFixed,
  kindOf,
  layFloor,
  movedTo,
  placeFaults,
  sideBySide,
  turnsOn,
  type FloorStock,
  type Need,
  type ToPlace,
} from './floor';

const one = (personId: string, needs: Need, more: Partial<ToPlace> = {}): ToPlace => ({
  ...{ personId, needs, seat: null, rank: needs },
  ...more,
});
const hall = (more: Partial<FloorStock> = {}): FloorStock => ({
  rail: 2,
  tables: 0,
  straps: 0,
  wall: 5,
  spare: 40,
  ...more,
});
const where = (...args: Parameters<typeof layFloor>) =>
  Object.fromEntries(layFloor(...args).places.flatMap((p) => p.people.map((id) => [id, p.id])));

describe('the floor', () => {
  test('numbered along the rail, tables, straps and the wall, then row by row; who shares a seat shares a place', () => {
    const people = [
      ...[one('c', 'none', { seat: 's' }), one('d', 'none', { seat: 's' })],
      ...[one('b', 'either'), one('a', 'fixed'), one('e', 'fixed'), one('f', 'fixed')],
    ];
    const { places } = layFloor(people, hall({ rail: 1, tables: 1, straps: 1 }));
    expect(places.map((p) => [p.n, p.id, p.people])).toEqual([
      [1, 'rail-1', ['a']],
      [2, 'table-1', ['e']],
      [3, 'strap-1', ['f']],
      [4, 'wall-1', ['b']],
      [5, 'floor-1', ['c', 'd']],
    ]);
  });
  test('forty people: nobody stands on another or outside the hall; who finds no rail stands at the wall', () => {
    const people = Array.from({ length: 40 }, (_, i) => one(`p${i}`, i < 9 ? 'fixed' : i < 14 ? 'either' : 'none'));
    const { places, widthM, depthM } = layFloor(people, hall({ rail: 3, tables: 1, wall: 8 }));
    expect(places.filter((p) => isFixed(p.kind))).toHaveLength(4);
    // Of the ten others who hold on eight find a chair along the wall.
    expect(places.filter((p) => p.kind === 'wall')).toHaveLength(8);
    expect(places.flatMap((p) => p.people).sort()).toEqual(people.map((p) => p.personId).sort());
    for (const p of places) {
      expect(p.xM > 0 && p.xM < widthM && p.yM > 0 && p.yM < depthM).toBe(true);
      for (const q of places)
        if (p !== q) expect(Math.hypot(p.xM - q.xM, p.yM - q.yM)).toBeGreaterThanOrEqual(0.9 - 1e-9);
    }
  });
  test('along the wall stand as many as there are chairs: two that nobody sits on, and one who turns their own', () => {
    const people = ['a', 'b', 'c'].map((id) => one(id, 'either')).concat(one('d', 'either', { seat: 's' }));
    const { places } = layFloor(people, hall({ rail: 0, spare: 2 }));
    expect(places.map((p) => [p.id, p.people.join(), p.hasChair])).toEqual([
      ['wall-1', 'a', true],
      ['wall-2', 'b', true],
      ['wall-3', 'd', true],
      ['floor-1', 'c', false],
    ]);
    // Put there by hand there is no third chair to hold.
    const floor = layFloor(people, hall({ rail: 0, spare: 2 }), [
      { personId: 'c', at: 'wall-5' },
      { personId: 'b', at: 'wall-4' },
      { personId: 'a', at: 'wall-1' },
    ]);
    expect(placeFaults(floor, people, [])).toEqual([{ kind: 'nothing-to-hold', n: 4, personId: 'c' }]);
  });
  test('whom one spotter stands by in the same movement stand side by side, whatever else they need', () => {
    const hugo = { spotter: 'Hugo', people: ['a', 'c'] };
    const people = [one('a', 'fixed'), one('b', 'fixed'), one('c', 'either'), one('d', 'none')];
    const now = layFloor(sideBySide(people, [hugo]), hall());
    expect(now.places.map((p) => [p.id, ...p.people])).toEqual([
      ['rail-1', 'a'],
      ['rail-2', 'c'],
      ['wall-1', 'b'],
      ['floor-1', 'd'],
    ]);
    // A chair alone is left for b, who asks for more than c: it is said.
    expect(placeFaults(now, people, [hugo])).toEqual([{ kind: 'taken', n: 3, personId: 'b', by: 'c' }]);
  });
});

test('what a place is called', () => {
  expect(['rail-1', 'floor-12', 'ceiling-1', 'rail-0', 'rail-', 'rail-123', ' rail-1'].filter(isPlaceId)).toEqual([
    ...['rail-1', 'floor-12'],
  ]);
});

describe('holding on by turns', () => {
  const people = [one('a', 'fixed'), one('b', 'fixed'), one('c', 'either'), one('d', 'either'), one('e', 'none')];
  const holding = (...ids: readonly string[]) =>
    people.filter((p) => ids.includes(p.personId)).map((p) => ({ personId: p.personId, fixed: p.needs === 'fixed' }));
  test('first whoever stands where they can hold on, then the others in the same places', () => {
    const floor = layFloor(people, hall({ rail: 1, wall: 1 }));
    expect(turnsOn(floor, holding('a', 'b', 'c', 'd'))).toEqual([
      ['a', 'c'],
      ['b', 'd'],
    ]);
    expect(turnsOn(floor, holding('a', 'c'))).toEqual([['a', 'c']]);
    expect(turnsOn(floor, [])).toEqual([]);
  });
  test('whoever needs something fixed where there is nothing fixed is in no turn', () => {
    const floor = layFloor(people, hall({ rail: 0, wall: 2 }));
    expect(
      turnsOn(floor, holding('a', 'b', 'c', 'd'))
        .flat()
        .sort(),
    ).toEqual(['c', 'd']);
  });
  test('of two who share a seat one holds at a time', () => {
    const two = [one('a', 'either', { seat: 's1' }), one('b', 'either', { seat: 's1' })];
    const floor = layFloor(two, hall({ rail: 1 }));
    expect(
      turnsOn(
        floor,
        two.map((p) => ({ personId: p.personId, fixed: false })),
      ),
    ).toEqual([['a'], ['b']]);
  });
});

describe('a place kept by hand', () => {
  const people = [one('a', 'fixed'), one('b', 'either'), one('c', 'none')];
  test('stays, and the others are placed around it', () => {
    expect(where(people, hall())).toEqual({ a: 'rail-1', b: 'rail-2', c: 'floor-1' });
    expect(where(people, hall(), [{ personId: 'c', at: 'rail-1' }])).toEqual({
      ...{ a: 'rail-2', b: 'wall-1', c: 'rail-1' },
    });
  });
  test('nobody moves on because of it but whose place was taken, or who waited for what became free', () => {
    const four = [...people, one('d', 'fixed')];
    const now = { a: 'rail-1', d: 'rail-2', b: 'wall-1', c: 'floor-1' };
    expect(where(four, hall())).toEqual(now);
    expect(where(four, hall(), [{ personId: 'c', at: 'wall-3' }])).toEqual({ ...now, c: 'wall-3' });
    // There was no wall for b, and a leaves the rail.
    expect(where(four, hall({ wall: 0 }), [{ personId: 'a', at: 'floor-3' }])).toEqual({
      ...{ a: 'floor-3', d: 'rail-2', b: 'rail-1', c: 'floor-2' },
    });
  });
  test('where it is not there any more they are placed by their needs, and it is said', () => {
    const floor = layFloor(people, hall({ rail: 1 }), [{ personId: 'a', at: 'rail-2' }]);
    expect(floor.places.find((p) => p.people.includes('a'))?.id).toBe('rail-1');
    expect(placeFaults(floor, people, [])).toEqual([{ kind: 'gone', personId: 'a' }]);
  });
  test('off the rail: nothing to hold on the floor, and only a chair along the wall', () => {
    const faultsAt = (at: PlaceId) => placeFaults(layFloor(people, hall(), [{ personId: 'a', at }]), people, []);
    expect(faultsAt('floor-1')).toEqual([{ kind: 'nothing-to-hold', n: 2, personId: 'a' }]);
    expect(faultsAt('wall-1')).toEqual([{ kind: 'only-a-chair', n: 2, personId: 'a' }]);
    expect(faultsAt('rail-2')).toEqual([]);
  });
  test('somebody who holds nothing in the last place at the rail takes it from who does', () => {
    const kept: KeptPlace[] = [{ personId: 'c', at: 'rail-1' }];
    expect(placeFaults(layFloor(people, hall({ rail: 1 }), kept), people, [])).toEqual([
      { kind: 'taken', n: 3, personId: 'a', by: 'c' },
    ]);
    // One place is wanted by one: with two short of it the second is short whoever stands there.
    const four = [...people, one('d', 'fixed')];
    const short = placeFaults(layFloor(four, hall({ rail: 1, wall: 0 }), kept), four, []);
    expect(short.filter((f) => f.kind === 'taken')).toHaveLength(1);
    // A hall that is short by itself breaks nothing: how many turns it takes is told elsewhere.
    expect(placeFaults(layFloor([one('a', 'fixed'), one('b', 'fixed')], hall({ rail: 1 })), people, [])).toEqual([]);
  });
  test('two whom one spotter stands by, four places apart, by hand or because there is no place beside', () => {
    const two = [one('a', 'fixed'), one('b', 'fixed')];
    const hugo = [{ spotter: 'Hugo', people: ['a', 'b'] }];
    expect(placeFaults(layFloor(two, hall({ rail: 6 })), two, hugo)).toEqual([]);
    const far = layFloor(two, hall({ rail: 6 }), [{ personId: 'b', at: 'rail-5' }]);
    const told = { kind: 'apart', n: 2, spotter: 'Hugo', people: ['a', 'b'], metres: 3.6 };
    expect(placeFaults(far, two, hugo)).toEqual([told]);
    const lone = layFloor([...two, one('c', 'fixed')], hall({ rail: 1, wall: 0 }));
    expect(placeFaults(lone, two, hugo).map((f) => f.kind)).toEqual(['apart']);
  });
  test('of whom somebody put there they take the place and change with them; who stood there by the rules goes by them', () => {
    const floor = layFloor(people, hall());
    const kept = movedTo(floor, [], 'a', 'floor-1');
    expect(kept).toEqual([{ personId: 'a', at: 'floor-1' }]);
    const now = layFloor(people, hall(), kept);
    expect(now.places.map((p) => [p.id, ...p.people])).toEqual([
      ...[
        ['rail-2', 'b'],
        ['floor-1', 'a'],
        ['floor-2', 'c'],
      ],
    ]);
    expect(movedTo(now, kept, 'b', 'floor-1')).toEqual([
      { personId: 'b', at: 'floor-1' },
      { personId: 'a', at: 'rail-2' },
    ]);
    expect(movedTo(floor, [], 'a', 'rail-1')).toEqual([]);
  });
  test('who shares a seat goes along', () => {
    const shared = [one('a', 'none', { seat: 's' }), one('b', 'none', { seat: 's' })];
    const kept = movedTo(layFloor(shared, hall()), [], 'b', 'rail-2');
    expect(where(shared, hall(), kept)).toEqual({ a: 'rail-2', b: 'rail-2' });
  });

  const anyHall = fc.record({
    ...{ rail: fc.nat({ max: 5 }), tables: fc.nat({ max: 2 }), straps: fc.nat({ max: 2 }) },
    ...{ wall: fc.constantFrom(0, 2, 6, Infinity), spare: fc.nat({ max: 8 }) },
  });
  const anybody = fc
    .array(
      fc.record({
        needs: fc.constantFrom<Need>('fixed', 'either', 'none'),
        seat: fc.option(fc.constantFrom('s1', 's2', 's3')),
      }),
      { minLength: 1, maxLength: 40 },
    )
    .map((all) => all.map((p, i): ToPlace => ({ personId: `p${i}`, rank: p.needs, ...p })));
  const puts = fc.array(
    fc.record({
      who: fc.nat({ max: 39 }),
      at: fc.tuple(fc.constantFrom('rail', 'table', 'strap', 'wall', 'floor'), fc.integer({ min: 1, max: 12 })),
    }),
    { maxLength: 8 },
  );
  test('in any hall, kept anyhow: everybody once, a place once, no more than there are, and the same again is the same', () => {
    fc.assert(
      fc.property(anyHall, anybody, puts, (stock, people, moves) => {
        const kept = moves.flatMap(({ who, at: [kind, i] }): KeptPlace[] =>
          people[who] ? [{ personId: people[who].personId, at: `${kind}-${i}` }] : [],
        );
        const floor = layFloor(people, stock, kept);
        expect(floor.places.flatMap((p) => p.people).sort()).toEqual(people.map((p) => p.personId).sort());
        const ids = [...floor.places, ...floor.free].map((s) => s.id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const [kind, most] of [
          ['rail', stock.rail],
          ['table', stock.tables],
          ['strap', stock.straps],
          ['wall', stock.wall],
        ] as const)
          expect(ids.filter((id) => kindOf(id) === kind).length).toBeLessThanOrEqual(most);
        for (const p of floor.places.filter((one) => one.kept))
          expect(kept.some((k) => k.at === p.id && p.people.includes(k.personId))).toBe(true);
        const byRule = floor.places.filter((p) => p.kind === 'wall' && p.seat === null && !p.kept);
        expect(byRule.length).toBeLessThanOrEqual(stock.spare);
        expect(layFloor(people, stock, kept)).toEqual(floor);
      }),
    );
  });
  test('by turns everybody who holds on does so once, and in no turn more than there are places that will do for them', () => {
    fc.assert(
      fc.property(anyHall, anybody, (stock, people) => {
        const holding = people
          .filter((p) => p.needs !== 'none')
          .map((p) => ({ personId: p.personId, fixed: p.needs === 'fixed' }));
        const floor = layFloor(people, stock);
        const turns = turnsOn(floor, holding);
        const fixed = floor.places.filter((p) => isFixed(p.kind)).length;
        const chairs = floor.places.filter((p) => p.kind === 'wall' && p.hasChair).length;
        const able = holding.filter((h) => (h.fixed ? fixed : fixed + chairs) > 0);
        expect(turns.flat().sort()).toEqual(able.map((h) => h.personId).sort());
        for (const turn of turns) {
          const close = turn.filter((id) => holding.some((h) => h.personId === id && h.fixed)).length;
          expect(close).toBeLessThanOrEqual(fixed);
          expect(turn.length).toBeLessThanOrEqual(fixed + chairs);
        }
      }),
    );
  });
  /** Two or three of a spotter each, nobody of two spotters. */
  const spotting = fc.array(fc.integer({ min: 2, max: 3 }), { maxLength: 5 });
  test('whom one spotter stands by: everybody once and those of one in a row; they are in reach of each other, or it is told', () => {
    fc.assert(
      fc.property(anyHall, anybody, spotting, (stock, all, sizes) => {
        const left = all.map((p) => p.personId);
        const spotted = sizes
          .map((n, i) => ({ spotter: `s${i}`, people: left.splice(0, n) }))
          .filter((s) => s.people.length > 1);
        const people = sideBySide(all, spotted);
        expect(people.map((p) => p.personId).sort()).toEqual(all.map((p) => p.personId).sort());
        for (const { people: theirs } of spotted) {
          const at = theirs.map((id) => people.findIndex((p) => p.personId === id)).sort((a, b) => a - b);
          expect((at.at(-1) ?? 0) - (at[0] ?? 0)).toBe(theirs.length - 1);
        }
        const floor = layFloor(people, stock);
        const told = placeFaults(floor, people, spotted).flatMap((f) => (f.kind === 'apart' ? f.spotter : []));
        for (const { spotter, people: theirs } of spotted) {
          const at = floor.places.filter((p) => p.people.some((id) => theirs.includes(id)));
          const farthest = Math.max(...at.flatMap((a) => at.map((b) => Math.hypot(a.xM - b.xM, a.yM - b.yM))));
          expect(told.includes(spotter)).toBe(farthest > 2);
        }
      }),
    );
  });
  test('a move puts them exactly there, and is undone by moving back', () => {
    fc.assert(
      fc.property(anyHall, anybody, fc.nat(), fc.nat(), (stock, people, a, b) => {
        const floor = layFloor(people, stock);
        const slots = [...floor.places, ...floor.free];
        const [who, to] = [people[a % people.length], slots[b % slots.length]];
        if (!who || !to) throw new RangeError('nobody');
        const from = floor.places.find((p) => p.people.includes(who.personId));
        if (!from) throw new RangeError('nowhere');
        const moved = layFloor(people, stock, movedTo(floor, [], who.personId, to.id));
        expect(moved.places.find((p) => p.people.includes(who.personId))?.id).toBe(to.id);
        const back = layFloor(
          people,
          stock,
          movedTo(moved, movedTo(floor, [], who.personId, to.id), who.personId, from.id),
        );
        expect(back.places.find((p) => p.people.includes(who.personId))?.id).toBe(from.id);
      }),
    );
  });
});
