import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { readEverybody, readPerson } from './readPeople';
import { noteToday } from './saveEntry';

const today = '2026-03-02';
let db: Register;
beforeEach(async () => {
  db = await demoCopy(today);
});
afterEach(() => db.destroy());

test('a rung seen clean twice opens the one that asks for it, until that is taken back', async () => {
  const blocked = (id: string) =>
    readPerson(deskOf(db, today), id).then((view) =>
      view?.levels.levels
        .find((l) => l.pattern === 'H')
        ?.blockers.filter((b) => b.rung === 7)
        .map((b) => b.fact),
    );
  const strong = (await readEverybody(deskOf(db, today))).find((v) => {
    const hinge = v.levels.levels.find((l) => l.pattern === 'H');
    return (
      hinge?.blockers
        .filter((b) => b.rung === 7)
        .map((b) => b.fact)
        .join() === 'shown:H6'
    );
  });
  if (!strong) throw new Error('nobody of the demo hall waits for H6 to be shown alone');
  const { id } = strong.person;
  await noteToday(deskOf(db, today), id, { kind: 'shown', pattern: 'H', rung: 6 }, 'shown-h6-1');
  const opened = await readPerson(deskOf(db, today), id);
  expect(opened?.levels.levels.find((l) => l.pattern === 'H')?.rung).toBe(7);
  await noteToday(deskOf(db, today), id, { kind: 'withdrawn', entryId: 'shown-h6-1', reason: 'a slip' }, 'taken-h6-1');
  expect(await blocked(id)).toEqual(['shown:H6']);
});

test('a rung that is none is refused by name', async () => {
  const [one] = await readEverybody(deskOf(db, today));
  const said = await noteToday(
    deskOf(db, today),
    one?.person.id ?? '',
    { kind: 'shown', pattern: 'X', rung: 12 },
    'shown-x-12',
  );
  expect(said).toMatchObject({ kind: 'rejected', errors: [{ path: '/content/pattern' }, { path: '/content/rung' }] });
});
