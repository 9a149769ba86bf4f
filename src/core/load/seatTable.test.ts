import fc from 'fast-check';
import { expect, test } from 'vitest';
import { askLoad, type LoadAnswer } from './ask';
import { ankleFromWall, chooseSeat, hoverFit, mostEffortPct, type SeatQuestion } from './seatTable';

const kitCm = [40, 43, 46, 48, 51, 53, 56];
const question = (more: Partial<SeatQuestion> = {}): SeatQuestion => ({
  ...{ heightCm: 168, ankleDeg: 30, arms: 'forward', loadShare: 0, shownCm: 46, kitCm, capCm: 60, roomLeastDeg: 3 },
  ...more,
});

const momentOf = (answer: LoadAnswer, joint: 'knee' | 'hip'): number =>
  'momentNmPerKg' in answer ? answer.momentNmPerKg[joint] : NaN;

test('the table says what the model says of a body of any size: angles and ratios hang on shares alone', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 145, max: 195 }),
      fc.integer({ min: 260, max: 350 }),
      fc.integer({ min: 40, max: 80 }),
      (heightCm, seat, ankle) => {
        const [seatShare, ankleDeg] = [seat / 1000, ankle / 2];
        const fit = hoverFit({ seatCm: seatShare * heightCm, heightCm, ankleDeg, arms: 'forward', loadShare: 0 });
        const heightM = heightCm / 100;
        const answer = askLoad({
          task: 'squat',
          heightM,
          massKg: 81,
          arms: 'forward',
          seatHeightM: seatShare * heightM,
          dfLimitDeg: ankleDeg,
        });
        if (answer.kind === 'bad') throw new Error(JSON.stringify(answer.faults));
        const direct = answer.answer;
        expect(fit.reasons).toEqual(direct.reasons);
        // N·m per kg grow with the height.
        if (fit.knee !== null) expect((fit.knee * heightM) / 1.7).toBeCloseTo(momentOf(direct, 'knee'), 6);
        if (fit.hip !== null) expect((fit.hip * heightM) / 1.7).toBeCloseTo(momentOf(direct, 'hip'), 6);
        const window = askLoad({
          task: 'window',
          heightM,
          massKg: 81,
          arms: 'forward',
          seatHeightM: seatShare * heightM,
          dfLimitDeg: ankleDeg,
        });
        const room = window.kind === 'answered' && 'roomDeg' in window.answer ? window.answer.roomDeg : 0;
        expect(Math.abs(fit.roomDeg - room)).toBeLessThan(1e-6);
      },
    ),
    { numRuns: 25 },
  );
});

test('between two steps of the table the harder one answers', () => {
  const at = (more: object) =>
    hoverFit({ seatCm: 46, heightCm: 170, ankleDeg: 25, arms: 'forward', loadShare: 0, ...more });
  expect(at({ seatCm: 46.0 })).toEqual(at({ seatCm: 45.9 }));
  expect(at({ ankleDeg: 25.49 })).toBe(at({ ankleDeg: 25 }));
  expect(at({ arms: 'chest', loadShare: 0.041 })).toBe(at({ arms: 'chest', loadShare: 0.045 }));
});

test('the lowest seat of the kit that leaves room and asks about as much as the one shown', () => {
  const { rows, chosenCm, compared } = chooseSeat(question());
  expect([chosenCm, compared]).toEqual([43, true]);
  const row = (cm: number) => rows.find((r) => r.cm === cm);
  expect(row(40)?.whyNot).toBe('far-under-shown');
  expect(row(46)).toMatchObject({ whyNot: null });
  expect([row(46)?.kneePct, row(46)?.hipPct].map((pct) => Math.round(1e6 * (pct ?? NaN)) / 1e6)).toEqual([100, 100]);
  expect(row(43)?.kneePct).toBeLessThanOrEqual(mostEffortPct);
  expect(chooseSeat(question({ capCm: 42 })).chosenCm).toBeNull();
  expect(chooseSeat(question({ kitCm: [] })).chosenCm).toBeNull();
});

test('stiff ankles of somebody tall: the seat shown itself has no posture, and the lowest that has one counts', () => {
  const choice = chooseSeat(question({ heightCm: 188, ankleDeg: 18, shownCm: 43 }));
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
      const at = (more: Partial<SeatQuestion>) => or(chooseSeat(question({ ...given, ...more })).chosenCm);
      const base = at({});
      expect(at({ ankleDeg: given.ankleDeg - by })).toBeGreaterThanOrEqual(base);
      expect(at({ roomLeastDeg: given.roomLeastDeg + by })).toBeGreaterThanOrEqual(base);
      expect(at({ shownCm: given.shownCm + by })).toBeGreaterThanOrEqual(base);
    }),
    { numRuns: 20 },
  );
});

test('same question, same answer, byte for byte, whatever was asked before', () => {
  const first = JSON.stringify(chooseSeat(question({ heightCm: 159, ankleDeg: 23 })));
  for (let cm = 150; cm < 170; cm++) chooseSeat(question({ heightCm: cm }));
  expect(JSON.stringify(chooseSeat(question({ heightCm: 159, ankleDeg: 23 })))).toBe(first);
});

test('an ankle by knee to wall: 10 cm of somebody of 168 cm are 37 degrees (by hand: asin(0.24652 / 0.41328))', () => {
  expect(ankleFromWall(168, 10)).toBeCloseTo(
    (Math.asin((0.114 * 1.68 + 0.1 - 0.045) / (0.246 * 1.68)) * 180) / Math.PI,
    9,
  );
  expect(Math.round(ankleFromWall(168, 10))).toBe(37);
});
