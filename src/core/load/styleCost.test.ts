import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { StyleSetUp } from '../shapes/style';
import { usualLimits } from './setUp';
import { solveAlone } from './squat';
import { styleCost, type StyledBody } from './styleCost';

const hipsBack: StyleSetUp = { of: 'squat', shankDeg: 20, arms: 'forward' };
const upright: StyleSetUp = { of: 'squat', trunkPerShank: 0.5, arms: 'crossed' };
const square: StyleSetUp = { of: 'squat', trunkPerShank: 1, arms: 'forward' };
const tall: StyleSetUp = { of: 'lunge', trunkDeg: 12 };
const hinged: StyleSetUp = { of: 'lunge', trunkDeg: 35 };
const body: StyledBody = { heightCm: 160, ankleDeg: 30, seatCm: 43 };

test('upright and square ask more of the knee and the ankle than hips back, less of hip and back', () => {
  const costs = { nearest: null, knee: 'more', hip: 'less', back: 'less', room: 'less' };
  expect(styleCost(upright, hipsBack, body)).toEqual(costs);
  expect(styleCost(square, hipsBack, body)).toEqual(costs);
});

test('the hinged lunge asks less of the front knee, more of hip and back, on the same step and share', () => {
  expect(styleCost(hinged, tall, body)).toEqual({
    nearest: null,
    knee: 'less',
    hip: 'more',
    back: 'more',
    room: 'more',
  });
});

test('the figures are those of the load model itself', () => {
  const carried = {
    heightM: 1.6,
    massKg: 70,
    loadKg: 0,
    loadAt: 'hands',
    support: null,
    copRef: 'mtp',
    toeFraction: 0.5,
  } as const;
  const limits = { ...usualLimits, dfLimitDeg: 30 };
  const at = { ...carried, limits, heelLiftM: 0, hipHeightM: 0.51 };
  const back = solveAlone({ ...at, arms: 'forward', rule: 'shank', shankDeg: 20 });
  const tallOne = solveAlone({ ...at, arms: 'crossed', rule: 'parallel', trunkPerShank: 0.5 });
  if (!('posture' in back) || !('posture' in tallOne)) throw new Error('this body has both postures');
  expect(tallOne.momentNmPerKg.knee / back.momentNmPerKg.knee).toBeGreaterThan(1.1);
  expect(tallOne.momentNmPerKg.hip / back.momentNmPerKg.hip).toBeLessThan(1 / 1.1);
});

test('where there is no such posture the nearest is said, or that there is none', () => {
  expect(styleCost(hipsBack, hipsBack, { ...body, seatCm: 38 })?.nearest).toMatch(/^shins at \d+ degrees$/);
  expect(styleCost(upright, hipsBack, { ...body, ankleDeg: 12, seatCm: 38 })).toBeNull();
});

test('of any body: beside itself it is about the same, and swapped the words are mirrored', () => {
  const mirror = { less: 'more', more: 'less', 'about-the-same': 'about-the-same' } as const;
  const anyone = fc.record({
    heightCm: fc.integer({ min: 145, max: 190 }),
    ankleDeg: fc.integer({ min: 15, max: 40 }),
    seatCm: fc.integer({ min: 36, max: 55 }),
  });
  fc.assert(
    fc.property(
      anyone,
      fc.constantFrom(hipsBack, upright, square),
      fc.constantFrom(hipsBack, upright, square),
      (one, a, b) => {
        const same = styleCost(a, a, one);
        if (same)
          expect([same.knee, same.hip, same.back, same.room]).toEqual(
            Array.from({ length: 4 }, () => 'about-the-same'),
          );
        const [there, back] = [styleCost(a, b, one), styleCost(b, a, one)];
        expect(there === null).toBe(back === null);
        if (!there || !back) return;
        for (const part of ['knee', 'hip', 'back', 'room'] as const) {
          const effort = there[part];
          expect(back[part]).toBe(effort === null ? null : mirror[effort]);
        }
      },
    ),
    { numRuns: 60 },
  );
});
