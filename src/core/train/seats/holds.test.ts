import { describe, expect, test } from 'vitest';
import { emptyCupboard } from '../../intake/cupboard';
import { layFloor, type ToPlace } from './floor';
import { heldIn, holdStock, type HoldStock } from './holds';

const block = (fixed: number, either: number, sitting = 0) => ({
  ...{ title: 'Lunge', sitting },
  holding: [
    ...Array.from({ length: fixed }, (_, i) => ({ personId: `f${i}`, fixed: true })),
    ...Array.from({ length: either }, (_, i) => ({ personId: `e${i}`, fixed: false })),
  ],
});
const stock = (more: Partial<HoldStock> = {}): HoldStock => ({ fixed: 4, wall: 3, chairs: 12, ...more });

describe('holding on', () => {
  test('a chair that is held takes 0.9 m of wall: 2.7 m are three chairs, 2.6 m two; rails, tables and straps are fixed', () => {
    const hall = (wallM: number | null) => ({ ...emptyCupboard, railPlaces: 4, tables: 2, straps: 1, wallM });
    expect([2.7, 2.6, null].map((m) => holdStock(hall(m)).wall)).toEqual([3, 2, null]);
    expect(holdStock(hall(0)).fixed).toBe(7);
  });
  test.each<[number, number, number, Partial<HoldStock>, number | null, readonly (readonly [string, number])[]]>([
    [4, 3, 0, {}, 1, []],
    [4, 4, 0, {}, 2, [['wall', 0.9]]],
    [5, 0, 0, {}, 2, [['rail', 1]]],
    // A chair that is sat on is not held by another at once.
    [0, 7, 10, {}, 2, [['chair', 1]]],
    [
      0,
      20,
      0,
      {},
      3,
      [
        ['wall', 11.7],
        ['chair', 4],
      ],
    ],
    [1, 0, 0, { fixed: 0 }, null, [['rail', 1]]],
    [0, 5, 0, { fixed: 0, wall: null, chairs: 5 }, 1, []],
    [0, 0, 9, {}, 1, []],
  ])(
    '%i only at something fixed, %i at either, %i sitting, %j: in %s turns; short: %j',
    (f, e, sit, more, turns, short) => {
      const said = heldIn(block(f, e, sit), stock(more));
      expect([said.turns, said.short.map(({ what, by }) => [what, by])]).toEqual([turns, short]);
    },
  );
});

describe('the floor', () => {
  const one = (personId: string, needs: ToPlace['needs'], seat: string | null = null): ToPlace => ({
    personId,
    needs,
    seat,
  });
  test('numbered along the rail and the wall, then row by row; who shares a seat shares a place', () => {
    const { places } = layFloor(
      [one('a', 'rail'), one('b', 'wall'), one('c', 'floor', 's'), one('d', 'floor', 's')],
      { rail: 2, fixed: 2 },
      5,
    );
    expect(places.map((p) => [p.n, p.kind, p.people])).toEqual([
      [1, 'rail', ['a']],
      [2, 'wall', ['b']],
      [3, 'floor', ['c', 'd']],
    ]);
  });
  test('forty people: nobody stands on another, nobody outside the hall, whoever finds no rail stands at the wall', () => {
    const people = Array.from({ length: 40 }, (_, i) => one(`p${i}`, i < 9 ? 'rail' : i < 14 ? 'wall' : 'floor'));
    const { places, widthM, depthM } = layFloor(people, { rail: 3, fixed: 4 }, 8);
    expect(places.filter((p) => p.kind === 'rail')).toHaveLength(4);
    // Of the ten others who hold on eight find a chair along the wall.
    expect(places.filter((p) => p.kind === 'wall')).toHaveLength(8);
    expect(places.flatMap((p) => p.people).sort()).toEqual(people.map((p) => p.personId).sort());
    for (const p of places) {
      expect(p.xM > 0 && p.xM < widthM && p.yM > 0 && p.yM < depthM).toBe(true);
      for (const q of places)
        if (p !== q) expect(Math.hypot(p.xM - q.xM, p.yM - q.yM)).toBeGreaterThanOrEqual(0.9 - 1e-9);
    }
  });
});
