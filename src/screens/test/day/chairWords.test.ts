import { describe, expect, test } from 'vitest';
import type { SeatKind } from '../../../core/train/seats/problem';
import { chairsAt, chairsTold, type ChairsFound } from './chairWords';

const kind = (chairCm: number, ...padsCm: readonly number[]): SeatKind => ({
  ...{ id: [chairCm, ...padsCm].join('+'), chairCm, padsCm, arms: false },
  heightCm: padsCm.reduce((sum, cm) => sum + cm, chairCm),
});
const found = (seats: readonly (SeatKind | null)[], more: Partial<ChairsFound> = {}): ChairsFound => ({
  ...{ stations: [{ staff: 'instructor', seats }], more: null, atWall: null },
  ...more,
});

describe('the chairs of a testing day', () => {
  test('what is alike stands in one breath, by lane; a single lane needs no number', () => {
    expect(chairsAt([kind(43), kind(43), kind(43, 5)], 'metric')).toEqual([
      'lanes 1 and 2: chair of 43 cm',
      'lane 3: chair of 43 cm, pad of 5 cm: 48 cm',
    ]);
    expect(chairsAt([kind(43)], 'metric')).toEqual(['chair of 43 cm']);
    expect(chairsAt([kind(43), null], 'metric')).toEqual([
      'lane 1: chair of 43 cm',
      'lane 2: no chair of this height is left',
    ]);
  });
  test('with a chair a lane nothing is told', () => {
    expect(chairsTold(found([kind(43), kind(43)], { atWall: 2 }), { seatCm: 43, pads: 0 }, 'metric')).toEqual([]);
  });
  test('a lane without one waits its turn, and what would do is said', () => {
    const more = { what: 'chair', cm: 43, seats: 1, fewerCm: 0 } as const;
    expect(chairsTold(found([kind(43), null], { more }), { seatCm: 43, pads: 0 }, 'metric')).toEqual([
      '1 lane has no chair: one after the other there, or with one firm chair of 43 cm more.',
    ]);
  });
  test('where nothing makes the height it says which, in the unit of the hall', () => {
    expect(chairsTold(found([null, null]), { seatCm: 43.2, pads: 0 }, 'metric')[0]).toMatch(
      /^No chair that stands firm makes 43 cm here/,
    );
    expect(chairsTold(found([null, null]), { seatCm: 43.2, pads: 0 }, 'us')[0]).not.toContain('cm');
  });
  test('pads on a chair that are not noted for all are told: a result is kept with them', () => {
    const told = (pads: number) => chairsTold(found([kind(40, 3)]), { seatCm: 43, pads }, 'metric');
    expect(told(0)).toHaveLength(1);
    expect(told(0)[0]).toMatch(/takes 1 pad on some chairs, and 0 is noted/);
    expect(told(1)).toEqual([]);
  });
  test('a wall that is too short for all of them', () => {
    expect(
      chairsTold(found([kind(43), kind(43), kind(43)], { atWall: 2 }), { seatCm: 43, pads: 0 }, 'metric')[0],
    ).toMatch(/^There is free wall for 2 chairs of 3/);
  });
});
