import fc from 'fast-check';
import { expect, test } from 'vitest';
import { askLoad, type LoadAnswer } from './ask';
import { ankleFromWall, hoverFit, hoverRoomDeg, leavesRoom, wallFromAnkle, type Hover } from './seatTable';

/** Arms forward, nothing carried, no wedge, no rail. */
const plain = { arms: 'forward', loadShare: 0, heelLiftCm: 0, pullPct: 0 } as const;

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
        const hover: Hover = { seatCm: seatShare * heightCm, heightCm, ankleDeg, ...plain };
        const fit = hoverFit(hover);
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
        expect(Math.abs(hoverRoomDeg(hover) - room)).toBeLessThan(1e-6);
      },
    ),
    { numRuns: 25 },
  );
});

test('whether there is room enough is the same by two looks and by all', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 38, max: 60 }),
      fc.integer({ min: 148, max: 192 }),
      fc.integer({ min: 24, max: 90 }),
      fc.constantFrom('forward' as const, 'chest' as const),
      fc.constantFrom(0, 2),
      fc.constantFrom(2, 3, 6),
      (seatCm, heightCm, ankle, arms, heelLiftCm, least) => {
        const hover: Hover = { ...plain, seatCm, heightCm, ankleDeg: ankle / 2, arms, heelLiftCm };
        expect(leavesRoom(hover, least)).toBe(hoverRoomDeg(hover) >= least - 1e-9);
      },
    ),
    { numRuns: 150 },
  );
});

test('between two steps of the table the harder one answers', () => {
  const at = (more: object) => hoverFit({ seatCm: 46, heightCm: 170, ankleDeg: 25, ...plain, ...more });
  expect(at({ seatCm: 46.0 })).toEqual(at({ seatCm: 45.9 }));
  expect(at({ ankleDeg: 25.49 })).toBe(at({ ankleDeg: 25 }));
  expect(at({ arms: 'chest', loadShare: 0.041 })).toBe(at({ arms: 'chest', loadShare: 0.045 }));
});

test('an ankle by knee to wall: 10 cm of somebody of 168 cm are 37 degrees (by hand: asin(0.24652 / 0.41328))', () => {
  expect(ankleFromWall(168, 10)).toBeCloseTo(
    (Math.asin((0.114 * 1.68 + 0.1 - 0.045) / (0.246 * 1.68)) * 180) / Math.PI,
    9,
  );
  expect(Math.round(ankleFromWall(168, 10))).toBe(37);
});

test('the way back from degrees to the wall', () => {
  for (const deg of [5, 17, 28, 40]) expect(ankleFromWall(171, wallFromAnkle(171, deg))).toBeCloseTo(deg, 9);
});

test('a firm wedge under both heels gives a stiff ankle the room of some ten centimetres of seat; a pull on a rail a posture', () => {
  const stiff = { heightCm: 170, ankleDeg: 17, ...plain };
  const lowestOk = (more: Partial<Hover>) =>
    Array.from({ length: 40 }, (_, i) => 30 + i).find((seatCm) => hoverRoomDeg({ ...stiff, ...more, seatCm }) >= 3) ??
    Infinity;
  expect(lowestOk({}) - lowestOk({ heelLiftCm: 2 })).toBeGreaterThanOrEqual(8);
  expect(lowestOk({}) - lowestOk({ heelLiftCm: 2 })).toBeLessThanOrEqual(13);
  expect(hoverFit({ ...stiff, seatCm: 43 }).reasons).not.toEqual([]);
  expect(hoverFit({ ...stiff, seatCm: 43, pullPct: 10 }).reasons).toEqual([]);
});

test('from any seat on that can be hovered over every higher one can, with no more of knee and hip', () => {
  for (const arms of ['forward', 'chest'] as const)
    for (let ankleDeg = 8; ankleDeg <= 44; ankleDeg += 4) {
      let under: ReturnType<typeof hoverFit> | null = null;
      for (let seatCm = 36; seatCm <= 70; seatCm++) {
        const fit = hoverFit({ ...plain, arms, heightCm: 170, ankleDeg, seatCm });
        if (under?.reasons.length === 0) {
          expect(fit.reasons).toEqual([]);
          expect(fit.knee).toBeLessThanOrEqual((under.knee ?? 0) + 1e-9);
          expect(fit.hip).toBeLessThanOrEqual((under.hip ?? 0) + 1e-9);
        }
        under = fit;
      }
    }
});
