import { describe, expect, test } from 'vitest';
import { emptyCupboard } from '../../intake/cupboard';
import { carriesOf, heldIn, holdStock, type HoldStock } from './holds';

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
    // Said whole: with the rail alone the rest still could not.
    [
      5,
      4,
      12,
      { wall: null },
      2,
      [
        ['rail', 1],
        ['chair', 4],
      ],
    ],
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

test.each<[number, number, number, Partial<HoldStock>, number]>([
  // A chair that is free holds nobody who needs something fixed.
  [10, 0, 0, { fixed: 8, chairs: 5 }, 8],
  [10, 4, 0, { fixed: 8, chairs: 5 }, 11],
  [2, 9, 0, { fixed: 4, wall: 9, chairs: 5 }, 9],
  [2, 9, 3, { fixed: 4, wall: 9, chairs: 5 }, 6],
  [1, 1, 0, {}, 2],
])('of %i at something fixed and %i at either, %i sitting, %j: %i at once', (f, e, sit, more, atOnce) => {
  expect(heldIn(block(f, e, sit), stock(more)).atOnce).toBe(atOnce);
});

describe('how often chairs are carried', () => {
  const held = (either: number, sitting: number) => block(0, either, sitting);
  test.each<[string, ReturnType<typeof block>[], number, number]>([
    ['seats alone: once', [held(0, 6), held(0, 6)], 6, 1],
    ['chairs enough to hold beside them: once', [held(0, 6), held(7, 0), held(0, 6)], 6, 1],
    ['seats, then turned to be held: twice', [held(0, 10), held(7, 0)], 10, 2],
    ['and sat on again: three times', [held(0, 10), held(7, 0), held(0, 10)], 10, 3],
    ['after them nobody sits: twice', [held(0, 10), held(7, 0), held(0, 0)], 10, 2],
    ['none to sit on, some to hold: once', [held(7, 0)], 0, 1],
    ['nothing is carried where all hold the rail', [held(4, 0)], 0, 0],
  ])('%s', (_title, blocks, seats, times) => {
    expect(carriesOf(blocks, seats, stock())).toBe(times);
  });
});
