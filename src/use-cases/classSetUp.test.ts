import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { askedOf } from '../core/train/lay';
import { layFloor } from '../core/train/seats/floor';
import { demoCopy } from '../demo/demoCopy';
import { classTemplates } from '../catalogue/classes';
import { keepPlaces, readSetUp } from './classSetUp';
import { proposeClass, saveClass } from './classes';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { closeClass } from '../database/classes';
import { readGroups } from './groups';
import { changePlace, isCupboardStill, readPlace } from './places';

const day = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, day);
beforeEach(async () => {
  db = await demoCopy(day);
});
afterEach(() => db.destroy());

async function planned(key = 'set-up-class-1') {
  const [group] = await readGroups(desk());
  const asked = await proposeClass(desk(), group?.id ?? null);
  const template = classTemplates.find((t) => t.id === 'intervals');
  if (!template) throw new Error('no intervals');
  expect((await saveClass(desk(), key, { ...asked, template: template.id, blocks: askedOf(template) })).kind).toBe(
    'created',
  );
  return key;
}

test('a class of the demo hall: everybody has a place, nobody sits under the height of their level, and it is proven', async () => {
  const found = await readSetUp(desk(), await planned());
  if (!found) throw new Error('no class');
  const { setUp, plan, sat } = found;
  expect(
    layFloor(setUp.toPlace, setUp.floorStock)
      .places.flatMap((p) => p.people)
      .sort(),
  ).toEqual([...plan.people].sort());
  const { seats } = setUp.inTwo ?? setUp.seats;
  expect(setUp.seats.proven).toBe(true);
  expect(seats.length).toBeGreaterThan(0);
  for (const { kind, people } of seats)
    for (const id of people) expect(kind.heightCm).toBeGreaterThanOrEqual(sat[id]?.targetCm ?? 0);
});

test('what is in the cupboard by now counts: with nothing firm to sit on nobody is seated, and it says what would do', async () => {
  const key = await planned();
  const place = await readPlace(desk());
  const bare = { ...place.cupboard, chairs: [], wallM: null };
  expect((await changePlace(desk(), { ...place, cupboard: bare })).kind).toBe('saved');
  const found = await readSetUp(desk(), key);
  expect(found?.setUp.seats.seats).toEqual([]);
  expect(found?.setUp.seats.unseated.length).toBeGreaterThan(0);
  expect(found?.setUp.oneMore).toMatchObject({ what: 'chair' });
  expect(found?.setUp.wallUnknown).toBe(true);
  // A page that was worked out from the old one is told.
  expect(await Promise.all([bare, place.cupboard, 'none'].map((shown) => isCupboardStill(desk(), shown)))).toEqual([
    ...[true, false, false],
  ]);
});

test('of a class that is not there there is no set-up', async () => {
  expect(await readSetUp(desk(), 'nobody-planned-it')).toBeNull();
});

describe('a place given by hand', () => {
  const moves = (...all: readonly (readonly [string | undefined, string | null])[]) => ({
    moves: all.map(([personId, at]) => ({ personId, at })),
  });
  test('is kept, stays where the cupboard changes and the plan is made anew, and is let go', async () => {
    const key = await planned();
    const before = await readSetUp(desk(), key);
    const [ada, bo] = before?.plan.people ?? [];
    expect(await keepPlaces(desk(), key, moves([ada, 'floor-4'], [bo, 'rail-1']))).toEqual({ kind: 'kept' });
    // The same again is the same.
    expect(await keepPlaces(desk(), key, moves([ada, 'floor-4']))).toEqual({ kind: 'kept' });
    const place = await readPlace(desk());
    await changePlace(desk(), { ...place, cupboard: { ...place.cupboard, chairs: [] } });
    if (!before) throw new Error('no class');
    const { day: on, groupId, template, minutes, leader, helpers, people, blocks } = before.plan;
    const again = { day: on, groupId, template, minutes: minutes + 5, leader, helpers, people, blocks };
    expect((await saveClass(desk(), key, again)).kind).toBe('created');
    const kept = (await readSetUp(desk(), key))?.kept ?? [];
    expect(new Map(kept.map((k) => [k.personId, k.at]))).toEqual(
      new Map([
        [ada, 'floor-4'],
        [bo, 'rail-1'],
      ]),
    );
    await keepPlaces(desk(), key, moves([ada, null]));
    expect((await readSetUp(desk(), key))?.kept).toEqual([{ personId: bo, at: 'rail-1' }]);
  });
  test('goes with whoever is left out of a plan that is made anew: nothing is kept that nobody can let go', async () => {
    const key = await planned();
    const before = (await readSetUp(desk(), key))?.plan;
    const [ada, ...others] = before?.people ?? [];
    await keepPlaces(desk(), key, moves([ada, 'floor-4']));
    if (!before) throw new Error('no class');
    const { day: on, groupId, template, minutes, leader, helpers, blocks } = before;
    await saveClass(desk(), key, { day: on, groupId, template, minutes, leader, helpers, people: others, blocks });
    expect((await readSetUp(desk(), key))?.kept).toEqual([]);
  });
  test('two tablets that move different people both stay', async () => {
    const key = await planned();
    const [ada, bo] = (await readSetUp(desk(), key))?.plan.people ?? [];
    await Promise.all([
      keepPlaces(desk(), key, moves([ada, 'floor-4'])),
      keepPlaces(desk(), key, moves([bo, 'floor-5'])),
    ]);
    expect((await readSetUp(desk(), key))?.kept).toHaveLength(2);
  });
  test('is refused where it is no place, of nobody of the class, or of a class that is over: nothing is kept', async () => {
    const key = await planned();
    const [ada] = (await readSetUp(desk(), key))?.plan.people ?? [];
    for (const [sent, words] of [
      [moves([ada, 'ceiling-1']), 'must be a place'],
      [moves([ada, 'rail-1'], ['nobody', 'rail-2']), 'not in this class'],
    ] as const) {
      const said = await keepPlaces(desk(), key, sent);
      expect(said).toMatchObject({ kind: 'rejected' });
      expect(JSON.stringify(said)).toContain(words);
    }
    expect(await keepPlaces(desk(), 'nobody-planned-it', moves([ada, 'rail-1']))).toMatchObject({ kind: 'rejected' });
    expect((await readSetUp(desk(), key))?.kept).toEqual([]);
    await closeClass(db, key, `${day}T12:00:00Z`);
    expect(await keepPlaces(desk(), key, moves([ada, 'rail-1']))).toMatchObject({ kind: 'rejected' });
  });
});
