import { afterEach, beforeEach, expect, test } from 'vitest';
import { askedOf } from '../core/train/lay';
import { demoCopy } from '../demo/demoCopy';
import { classTemplates } from '../catalogue/classes';
import { readSetUp } from './classSetUp';
import { proposeClass, saveClass } from './classes';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { readGroups } from './groups';
import { changePlace, readPlace } from './places';

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
  const { setUp, plan, targets } = found;
  expect(setUp.floor.places.flatMap((p) => p.people).sort()).toEqual([...plan.people].sort());
  const { seats } = setUp.inTwo ?? setUp.seats;
  expect(setUp.seats.proven).toBe(true);
  expect(seats.length).toBeGreaterThan(0);
  for (const { kind, people } of seats)
    for (const id of people) expect(kind.heightCm).toBeGreaterThanOrEqual(targets[id] ?? 0);
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
});

test('of a class that is not there there is no set-up', async () => {
  expect(await readSetUp(desk(), 'nobody-planned-it')).toBeNull();
});
