import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { chairsOut } from './dayChairs';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { changePlace, readPlace } from './places';

let db: Register;
const desk = () => deskOf(db, '2026-03-02');
beforeEach(async () => {
  db = await demoCopy('2026-03-02');
});
afterEach(() => db.destroy());

async function cupboard(
  chairs: readonly (readonly [number, number])[],
  pads: readonly (readonly [number, number])[],
  wallM: number | null = null,
) {
  const place = await readPlace(desk());
  const there = {
    ...place.cupboard,
    chairs: chairs.map(([heightCm, count]) => ({ heightCm, count, arms: false, stable: true })),
    pads: pads.map(([thickCm, count]) => ({ thickCm, count })),
    wallM,
  };
  expect((await changePlace(desk(), { ...place, cupboard: there })).kind).toBe('saved');
}
const asked = (...stations: readonly (readonly [string, ...number[]])[]) => ({
  stations: stations.map(([staff, ...seatsCm]) => ({ staff, seatsCm })),
});
const heights = (out: Awaited<ReturnType<typeof chairsOut>>) =>
  out?.stations.map(({ staff, seats }) => [staff, ...seats.map((s) => s?.id ?? null)]);

test('every lane has exactly its height, from a chair or a chair with a pad, each thing used once', async () => {
  await cupboard(
    [
      [43, 2],
      [40, 1],
    ],
    [[3, 1]],
    2.7,
  );
  const out = await chairsOut(desk(), asked(['instructor', 43, 43], ['mira', 43]));
  expect(heights(out)?.flat().sort()).toEqual(['40+3', '43', '43', 'instructor', 'mira']);
  expect([out?.more, out?.atWall]).toEqual([null, 3]);
});

test('a centimetre over will not do; short of chairs every station has its first lane, and it says what would do', async () => {
  await cupboard(
    [
      [43, 2],
      [44, 9],
    ],
    [],
  );
  const out = await chairsOut(desk(), asked(['instructor', 43, 43], ['mira', 43, 43]));
  expect(heights(out)).toEqual([
    ['instructor', '43', null],
    ['mira', '43', null],
  ]);
  expect(out?.more).toMatchObject({ what: 'chair', cm: 43, seats: 1 });
});

test('nothing is asked, and what is no question has no answer', async () => {
  expect(await chairsOut(desk(), asked())).toMatchObject({ stations: [], more: null });
  expect(await chairsOut(desk(), asked(['instructor', 430]))).toBeNull();
  expect(await chairsOut(desk(), { stations: 'many' })).toBeNull();
});
