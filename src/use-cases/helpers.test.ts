import { afterEach, beforeEach, expect, test } from 'vitest';
import { openRegister, type Register } from './openRegister';
import { deskOf } from './desk';
import { noteHelper, readHelpers, tellOfHelper } from './helpers';
import { listStation } from './station';

let db: Register;
beforeEach(async () => {
  db = await openRegister(':memory:');
});
afterEach(() => db.destroy());
const desk = (day = '2026-03-02') => deskOf(db, day);
const named = async (name: string) => {
  const found = (await readHelpers(desk())).find((h) => h.name === name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};

test('a helper may do nothing until somebody says so; then it is kept since when and on whose word', async () => {
  expect(await noteHelper(desk(), { name: '  Runa Feld ' })).toMatchObject({
    kind: 'saved',
    helpers: [{ name: 'Runa Feld', may: { count: null, spot: null } }],
  });
  const { id } = await named('Runa Feld');
  await tellOfHelper(desk(), { id, task: 'spot', may: true });
  // Said again on a later day it keeps its first.
  await tellOfHelper(desk('2026-03-09'), { id, task: 'spot', may: true });
  expect((await named('Runa Feld')).may).toEqual({ count: null, spot: { day: '2026-03-02', by: 'this device' } });
  expect((await listStation(desk(), [])).helpers).toHaveLength(1);
  await tellOfHelper(desk(), { id, task: 'spot', may: false });
  expect((await named('Runa Feld')).may.spot).toBeNull();
  expect(await tellOfHelper(desk(), { id, gone: true })).toEqual([]);
});

test('a name twice, none, or one too long is refused in words; one who is gone meanwhile changes nothing', async () => {
  await noteHelper(desk(), { name: 'Pelle' });
  const said = async (name: string) => {
    const saved = await noteHelper(desk(), { name });
    return saved.kind === 'rejected' ? saved.errors.map((e) => e.message) : [];
  };
  expect(await said('Pelle')).toEqual(['Pelle is on the list already.']);
  expect(await said(' ')).toEqual(['Write their name.']);
  expect(await said('x'.repeat(81))).toHaveLength(1);
  expect(await tellOfHelper(desk(), { id: 'nobody', task: 'count', may: true })).toHaveLength(1);
});
