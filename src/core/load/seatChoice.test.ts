import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chooseSeat, lowestToHover, type SeatQuestion } from './seatChoice';

const kitCm = [40, 43, 46, 48, 51, 53, 56];
const question = (more: Partial<SeatQuestion> = {}): SeatQuestion => ({
  ...{ heightCm: 168, ankleDeg: 30, arms: 'forward', loadShare: 0, heelLiftCm: 0, pullPct: 0 },
  ...{ shownCm: 46, underShownCm: 3, capCm: 60, mostEffortPct: 110, roomLeastDeg: 3 },
  ...more,
});

test('the lowest seat of the kit that leaves room and asks about as much as the one shown', () => {
  const { rows, chosenCm, compared } = chooseSeat(question(), kitCm);
  expect([chosenCm, compared]).toEqual([43, true]);
  const row = (cm: number) => rows.find((r) => r.cm === cm);
  expect(row(40)?.whyNot).toBe('far-under-shown');
  expect(row(46)).toMatchObject({ whyNot: null });
  expect([row(46)?.kneePct, row(46)?.hipPct].map((pct) => Math.round(1e6 * (pct ?? NaN)) / 1e6)).toEqual([100, 100]);
  expect(row(43)?.kneePct).toBeLessThanOrEqual(110);
  expect(chooseSeat(question({ capCm: 42 }), kitCm).chosenCm).toBeNull();
  expect(chooseSeat(question(), []).chosenCm).toBeNull();
});

test('stiff ankles of somebody tall: the seat shown itself has no posture, and the lowest that has one counts', () => {
  const choice = chooseSeat(question({ heightCm: 188, ankleDeg: 18, shownCm: 43 }), kitCm);
  expect(choice.compared).toBe(false);
  expect(choice.chosenCm === null || choice.chosenCm > 46).toBe(true);
});

test('a stiffer ankle, a longer body, a heavier weight and more room asked are never given a lower seat', () => {
  const or = (cm: number | null) => cm ?? Infinity;
  const any = fc.record({
    heightCm: fc.integer({ min: 148, max: 192 }),
    ankleDeg: fc.integer({ min: 12, max: 40 }),
    shownCm: fc.constantFrom(40, 43, 46, 48, 51),
    roomLeastDeg: fc.constantFrom(0, 3),
  });
  fc.assert(
    fc.property(any, fc.integer({ min: 1, max: 8 }), (given, by) => {
      const at = (more: Partial<SeatQuestion>) => or(chooseSeat(question({ ...given, ...more }), kitCm).chosenCm);
      const base = at({});
      expect(at({ ankleDeg: given.ankleDeg - by })).toBeGreaterThanOrEqual(base);
      expect(at({ roomLeastDeg: given.roomLeastDeg + by })).toBeGreaterThanOrEqual(base);
      expect(at({ shownCm: given.shownCm + by })).toBeGreaterThanOrEqual(base);
    }),
    { numRuns: 20 },
  );
});

test('same question, same answer, byte for byte, whatever was asked before', () => {
  const first = JSON.stringify(chooseSeat(question({ heightCm: 159, ankleDeg: 23 }), kitCm));
  for (let cm = 150; cm < 170; cm++) chooseSeat(question({ heightCm: cm }), kitCm);
  expect(JSON.stringify(chooseSeat(question({ heightCm: 159, ankleDeg: 23 }), kitCm))).toBe(first);
});

test('the lowest of all heights is a whole cm, in the reach of the seat shown and the cap', () => {
  expect(lowestToHover(question())).toBe(43);
  expect(lowestToHover(question({ shownCm: 46.5 }))).toBe(44);
  expect(lowestToHover(question({ heightCm: 180, ankleDeg: 22 }))).toBe(51);
  expect(lowestToHover(question({ heightCm: 180, ankleDeg: 22, capCm: 50 }))).toBeNull();
});
