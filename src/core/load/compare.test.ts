import fc from 'fast-check';
import { expect, test } from 'vitest';
import { compareSquats, effortPct, locks, type FreeSquat, type Lock } from './compare';
import { usualLimits } from './setUp';

const one = (seatM: number, more: Partial<FreeSquat> = {}): FreeSquat => ({
  ...{ heightM: 1.68, massKg: 70, arms: 'crossed', loadKg: 0, loadAt: 'hands', support: null },
  ...{ toeFraction: 0.5, copRef: 'mtp', limits: { ...usualLimits, dfLimitDeg: 45 }, heelLiftM: 0 },
  hipHeightM: seatM + 0.084,
  ...more,
});
const compared = (lock: Lock, first: FreeSquat, second: FreeSquat) => {
  const answer = compareSquats(lock, first, second);
  if (!('lock' in answer)) throw new Error(answer.reasons.join());
  return answer;
};

test('under every lock a set-up is a hundred per cent of itself, and two swapped are each other the other way round', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.44, max: 0.6, noNaN: true }), fc.constantFrom(...locks), (seatM, lock) => {
      const same = compared(lock, one(seatM), one(seatM));
      for (const pct of [same.kneePct, same.hipPct, same.lumbarTotalPct]) expect(pct).toBeCloseTo(100, 9);
    }),
    { numRuns: 40 },
  );
  const [down, up] = [
    compared('as-people-do-it', one(0.5), one(0.45)),
    compared('as-people-do-it', one(0.45), one(0.5)),
  ];
  expect((down.hipPct ?? 0) * (up.hipPct ?? 0)).toBeCloseTo(10_000, 6);
});

test('what is held to is held: the shin, the lean, or both', () => {
  const [low, high] = [one(0.45), one(0.55)];
  const of = (lock: Lock) => compared(lock, low, high);
  const shin = of('same-shin');
  expect(shin.second.posture.shankDeg).toBeCloseTo(shin.first.posture.shankDeg, 9);
  expect(shin.second.posture.trunkDeg).not.toBeCloseTo(shin.first.posture.trunkDeg, 1);
  const lean = of('same-lean');
  expect(lean.second.posture.trunkDeg).toBeCloseTo(lean.first.posture.trunkDeg, 9);
  const both = of('same-pose');
  expect(both.second.posture.shankDeg).toBeCloseTo(both.first.posture.shankDeg, 9);
  expect(both.second.posture.trunkDeg).toBeCloseTo(both.first.posture.trunkDeg, 9);
});

test('hands that push down in front never unload the knee in the pose held; when the lean changes with them they may', () => {
  const pushing = (fyPct: number) =>
    one(0.48, { support: { fxPct: 0, fyPct, xFromToeM: 0.15, handHeightM: 0.85, hands: 2 } });
  const [light, firm] = [pushing(0), pushing(15)];
  expect(compared('same-pose', light, firm).kneePct).toBeGreaterThanOrEqual(100);
  const free = compared('as-people-do-it', light, firm);
  expect(free.second.posture.trunkDeg).not.toBeCloseTo(free.first.posture.trunkDeg, 1);
  expect(free.kneePct).not.toBeCloseTo(compared('same-pose', light, firm).kneePct ?? NaN, 0);
});

test('where either has no posture there is nothing to compare, and it says why', () => {
  const stiff = { limits: { ...usualLimits, dfLimitDeg: 5 } };
  const answer = compareSquats('as-people-do-it', one(0.5), one(0.35, stiff));
  expect('lock' in answer ? 'compared' : answer.reasons).not.toEqual([]);
  expect('lock' in compareSquats('as-people-do-it', one(1.4), one(0.5))).toBe(false);
});

test('an effort over none is no number', () => {
  expect([effortPct(2, 0), effortPct(null, 1), effortPct(1, null), effortPct(3, 2)]).toEqual([null, null, null, 150]);
});
