import { expect, test } from 'vitest';
import { nextSeatCm } from './nextSeat';

const hall = [38, 41, 43, 46, 48, 51, 53, 56];

test('it begins at 53 cm, or at the next higher seat the hall can build', () => {
  expect(nextSeatCm([], hall)).toBe(53);
  expect(nextSeatCm([], [43, 46, 55, 58])).toBe(55);
  expect(nextSeatCm([], [43, 46])).toBe(46);
  expect(nextSeatCm([], [])).toBe(53);
});
test('each clean stand goes down as far as the hall can within 5 cm, never under 38', () => {
  expect(nextSeatCm([{ held: true, seatCm: 53 }], hall)).toBe(48);
  expect(nextSeatCm([{ held: true, seatCm: 41 }], hall)).toBe(38);
  expect(nextSeatCm([{ held: true, seatCm: 53 }], [43, 60])).toBe(48);
});
test('a height not risen from is tried once more', () => {
  expect(
    nextSeatCm(
      [
        { held: true, seatCm: 48 },
        { held: false, seatCm: 43 },
      ],
      hall,
    ),
  ).toBe(43);
});
test('from 53 cm six stands reach 38 in any hall that has a seat each 5 cm', () => {
  const tried: { held: boolean; seatCm: number }[] = [];
  for (let n = 0; n < 6; n++) tried.push({ held: true, seatCm: nextSeatCm(tried, hall) });
  expect(tried.at(-1)?.seatCm).toBe(38);
});
