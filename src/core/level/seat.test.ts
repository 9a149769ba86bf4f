import { describe, expect, test } from 'vitest';
import { emptyCupboard as empty, toKit } from '../intake/cupboard';
import { seatHeights } from './seat';

const chair = { heightCm: 43, arms: false, stable: true, count: 1 };

describe('seats', () => {
  test('two pads of one kind, one of another, on a firm chair: 43, 46, 48, 49, 51', () => {
    const kit = toKit({
      ...empty,
      chairs: [chair],
      pads: [
        { thickCm: 3, count: 2 },
        { thickCm: 5, count: 1 },
      ],
    });
    expect(seatHeights(kit).map((s) => s.heightCm)).toEqual([43, 46, 48, 49, 51]);
  });
  test('a chair that slides or tips, or of which there is none, is not built from', () => {
    const chairs = [
      { ...chair, stable: false },
      { ...chair, heightCm: 50, count: 0 },
    ];
    expect(seatHeights(toKit({ ...empty, chairs }))).toEqual([]);
  });
  test('of twenty pads of one kind two can lie on a chair', () => {
    const kit = toKit({ ...empty, chairs: [chair], pads: [{ thickCm: 3, count: 20 }] });
    expect(seatHeights(kit).map((s) => s.heightCm)).toEqual([43, 46, 49]);
  });
  test('of two ways to one height that need as many pads the thinnest pads are taken', () => {
    const kit = toKit({
      ...empty,
      chairs: [chair, { ...chair, heightCm: 45 }],
      pads: [
        { thickCm: 2, count: 1 },
        { thickCm: 4, count: 1 },
      ],
    });
    expect(seatHeights(kit).find((s) => s.heightCm === 47)?.from).toEqual(['chair 45', 'pad 2']);
  });
});
