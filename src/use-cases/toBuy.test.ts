import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import { endGroup, readGroups, setAside, withPeople } from './groups';
import type { Register } from './openRegister';
import { changePlace, readPlace } from './places';
import { readToBuy } from './toBuy';

const day = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, day);
beforeEach(async () => {
  db = await demoCopy(day);
});
afterEach(() => db.destroy());

test('the groups of the demo hall by their levels; what is counted as bought seats more, in every group that was short', async () => {
  const { answer } = await readToBuy(desk(), []);
  expect(answer.now.map((g) => g.name)).toEqual((await readGroups(desk())).map((g) => g.name));
  const [best] = answer.things;
  if (!best) throw new Error('nothing is short in the demo hall');
  expect(best.seats).toBeGreaterThan(0);
  const seated = (now: typeof answer.now) => now.reduce((sum, g) => sum + g.seated, 0);
  const then = await readToBuy(desk(), [`${best.what}-${best.cm}`]);
  expect(seated(then.answer.now) - seated(answer.now)).toBe(best.seats);
}, 30_000);

test('of a bare hall: a chair first, and rail; words that name nothing are told and left out', async () => {
  const place = await readPlace(desk());
  const bare = { ...place.cupboard, chairs: [], railPlaces: 0, tables: 0, straps: 0, wallM: null };
  expect((await changePlace(desk(), { ...place, cupboard: bare })).kind).toBe('saved');
  const { answer, unknown, counted } = await readToBuy(desk(), ['chair-999', 'rail-200']);
  expect(answer.things[0]?.what).toBe('chair');
  expect(answer.things.some((t) => t.what === 'rail' && t.holds > 0)).toBe(true);
  expect([unknown, counted]).toEqual([['chair-999'], [{ what: 'rail', cm: 200 }]]);
}, 30_000);

test('who is put aside asks for nothing, nor does a group that ended; with no group there is nothing to ask of', async () => {
  const [first, ...rest] = await readGroups(desk());
  if (!first) throw new Error('no group');
  for (const { id } of rest) await endGroup(desk(), id);
  const before = (await readToBuy(desk(), [])).answer.now;
  expect(before).toHaveLength(1);
  const everybody = await db.selectFrom('person').select('id').execute();
  const left = await withPeople(
    desk(),
    everybody.map((p) => p.id),
    { kind: 'leave', groupId: first.id },
  );
  expect(left.length).toBeGreaterThan(0);
  await withPeople(desk(), left, { kind: 'join', groupId: first.id });
  for (const id of left) await setAside(desk(), id, true);
  expect((await readToBuy(desk(), [])).answer).toMatchObject({ now: [{ sitting: 0 }], things: [] });
  await endGroup(desk(), first.id);
  expect((await readToBuy(desk(), [])).answer).toEqual({ now: [], things: [] });
}, 30_000);
