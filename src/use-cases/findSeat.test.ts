import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { shippedRules } from '../catalogue/rules/book';
import { savePlace } from '../database/place';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import { findSeat, seatTypedFor } from './findSeat';
import type { Register } from './openRegister';
import { readPlace, usualPlace } from './places';
import { readEverybody } from './readPeople';
import { readRules } from './rules';

const ask = (question: Record<string, string>, units: 'metric' | 'us' = 'metric') =>
  findSeat({ ...usualPlace, units }, shippedRules.levels, question);

test('somebody of 168 cm who rose from 46 cm: the ankle is assumed and said to be, a seat of this cupboard is named', async () => {
  const { answer, faults } = await ask({ height: '168', shown: '46' });
  expect(faults).toEqual({});
  expect(answer).toMatchObject({ assumed: true, ankleDeg: 28, shownCm: 46, compared: true });
  expect(answer?.rows.map((row) => row.cm)).toContain(answer?.chosenCm);
});
test('stiffer ankles never get a lower seat than the assumed, and tall people with stiff ones may get none', async () => {
  const cm = async (wall: string, height = '168') =>
    (await ask({ height, shown: '46', wall })).answer?.chosenCm ?? Infinity;
  expect(await cm('2')).toBeGreaterThanOrEqual(await cm(''));
  expect(await cm('12')).toBeLessThanOrEqual(await cm('4'));
  expect(await cm('0', '196')).toBe(Infinity);
});
test('a knee to wall of one or two is of the unit of the hall, never metres', async () => {
  const wall = async (typed: string, units: 'metric' | 'us' = 'metric') =>
    (await ask({ height: '168', shown: units === 'us' ? '18' : '46', wall: typed }, units)).answer;
  expect(await wall('1')).toMatchObject({ assumed: false });
  expect((await wall('2'))?.ankleDeg).toBeLessThan((await wall('4,5'))?.ankleDeg ?? 0);
  expect((await ask({ height: '66', shown: '18', wall: '2' }, 'us')).answer?.ankleDeg).toBeGreaterThan(
    (await ask({ height: '66', shown: '18', wall: '1' }, 'us')).answer?.ankleDeg ?? Infinity,
  );
});
test('a hall in inches types inches and is told of them; feet and inches are read too', async () => {
  const us = (await ask({ height: '66', shown: '18' }, 'us')).answer;
  expect(us?.shownCm).toBeCloseTo(45.7, 1);
  expect((await ask({ height: "5'6", shown: '18' }, 'us')).answer?.rows.length).toBe(us?.rows.length);
});
test('what cannot be read is told at its field, and nothing is asked of an empty form', async () => {
  expect(await ask({})).toMatchObject({ faults: {}, answer: null });
  const { faults, answer } = await ask({ height: 'tall', shown: '9', wall: '90' });
  expect(answer).toBeNull();
  expect(Object.keys(faults).sort()).toEqual(['height', 'shown', 'wall']);
});
test('a cupboard without a chair has no rows, and is no fault', async () => {
  const empty = { ...usualPlace, cupboard: { ...usualPlace.cupboard, chairs: [] } };
  expect((await findSeat(empty, shippedRules.levels, { height: '168', shown: '46' })).answer).toMatchObject({
    rows: [],
    chosenCm: null,
  });
});

describe('from the records of somebody', () => {
  let db: Register;
  beforeEach(async () => {
    db = await demoCopy('2026-03-02');
  });
  afterEach(() => db.destroy());

  test('what is filled in is what their level is worked out from, and finds the seat of it', async () => {
    const desk = deskOf(db, '2026-03-02');
    let looked = 0;
    for (const { person, levels } of await readEverybody(desk)) {
      const level = levels.levels.find((l) => l.pattern === 'S');
      if (level?.rung !== 7 || level.dial || level.reasons.some((r) => r.fact.includes('pain'))) continue;
      looked++;
      const typed = await seatTypedFor(desk, person.id);
      if (!typed) throw new Error('nobody is called that');
      const { answer, faults } = await findSeat(await readPlace(desk), (await readRules(desk)).levels, typed);
      expect(faults).toEqual({});
      expect(answer?.chosenCm).toBe(level.targetCm);
    }
    expect(looked).toBeGreaterThan(0);
    expect(await seatTypedFor(desk, 'nobody')).toBeNull();
  });

  test('a hall in inches fills in inches that it reads again', async () => {
    const desk = deskOf(db, '2026-03-02');
    await savePlace(db, { ...(await readPlace(desk)), units: 'us' });
    const [one] = await readEverybody(desk);
    const typed = one && (await seatTypedFor(desk, one.person.id));
    if (!typed) throw new Error('nobody in the demo');
    const found = await findSeat(await readPlace(desk), (await readRules(desk)).levels, typed);
    expect([found.faults, Math.abs((found.answer?.shownCm ?? 0) - 46) < 10]).toEqual([{}, true]);
  });
});
