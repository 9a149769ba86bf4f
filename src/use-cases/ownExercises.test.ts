import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import { readBeside, sayLastWord } from './lastWord';
import { describePerson } from './openApi';
import { openRegister, type Register } from './openRegister';
import { exportOwn, importOwn, putOwnAside, readOwn, saveOwn, tryOwn } from './ownExercises';
import { readEverybody, readPerson } from './readPeople';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
beforeEach(async () => {
  db = await openRegister(':memory:');
});
afterEach(() => db.destroy());

const form = {
  ...{ name: 'Towel wring', does: 'Wring a towel with both hands, elbows in.', pattern: 'M', beside: null },
  ...{
    stance: 'seated',
    hands: '0',
    aSide: false,
    dose: 'reps',
    floor: false,
    slides: false,
    impact: false,
    weight: false,
  },
  ...{ trains: 'grip', loads: { knee: 'none', hip: 'none', back: 'none', ankle: 'none', shoulder: 'some' } },
  ...{ needs: [], places: [], closedBy: [], checks: ['shrug'] },
};
const id = 'own-towel-1';
const paths = (said: { kind: string; errors?: readonly { path: string }[] }) =>
  said.errors?.map((e) => e.path) ?? said.kind;

test('one is kept with a version, sent twice once; changed it is the next; what was changed elsewhere is not overwritten', async () => {
  expect(await saveOwn(desk(), id, form, '0')).toEqual({ kind: 'saved', version: 1 });
  expect(await saveOwn(desk(), id, form, '0')).toEqual({ kind: 'saved', version: 1 });
  expect(await saveOwn(desk(), id, { ...form, hands: '1' }, '1')).toEqual({ kind: 'saved', version: 2 });
  expect(await saveOwn(desk(), id, { ...form, hands: '2' }, '1')).toEqual({ kind: 'changed' });
  expect((await readOwn(desk())).map((o) => [o.name, o.hands, o.version])).toEqual([['Towel wring', '1', 2]]);
  expect(await putOwnAside(desk(), id, true)).toEqual({ kind: 'saved', version: 3 });
  expect((await readOwn(desk()))[0]?.aside).toBe(true);
});

test('an unknown fact, a rung that is none, and a name that is taken are each named; nothing is kept', async () => {
  await saveOwn(desk(), id, form, '0');
  const other = (more: object) => saveOwn(desk(), 'own-other-2', { ...form, name: 'Other', ...more }, '0').then(paths);
  expect(await other({ needs: [{ fact: 'mood', atLeast: 3 }] })).toEqual(['/needs/0/fact']);
  expect(await other({ needs: [{ fact: 'upAndGo8ftS', atLeast: 3 }] })).toEqual(['/needs/0/fact']);
  expect(await other({ pattern: 'L', beside: 9 })).toEqual(['/beside']);
  expect(await other({ pattern: 'L', beside: null })).toEqual(['/beside']);
  expect(await other({ beside: 2 })).toEqual(['/beside']);
  expect(await other({ closedBy: ['grumpy'] })).toEqual(['/closedBy/0']);
  expect(await other({ name: 'towel WRING' })).toEqual(['/name']);
  expect(await other({ colour: 'blue' })).toEqual(['/colour']);
  expect(await readOwn(desk())).toHaveLength(1);
});

test('out as JSON and in again in another hall it is the same; the second time it is known', async () => {
  await saveOwn(desk(), id, form, '0');
  await saveOwn(desk(), 'own-slide-2', { ...form, name: 'Slide', pattern: 'L', beside: 2, stance: 'split' }, '0');
  const file: unknown = JSON.parse(JSON.stringify(await exportOwn(desk())));
  const elsewhere = await openRegister(':memory:');
  const there = deskOf(elsewhere, today);
  expect(await importOwn(there, file)).toEqual({ kind: 'taken', added: 2, changed: 0, known: 0 });
  expect(await readOwn(there)).toEqual(await readOwn(desk()));
  expect(await importOwn(there, file)).toEqual({ kind: 'taken', added: 0, changed: 0, known: 2 });
  await elsewhere.destroy();
});

test('of a file with one fault nothing is taken in, and every fault is named', async () => {
  await saveOwn(desk(), id, form, '0');
  const file = (...exercises: object[]) => ({ format: 'own-exercises', formatVersion: 1, exercises });
  const good = { ...form, id: 'own-good-3', version: 1, aside: false, name: 'Good' };
  const mine = { ...form, id, version: 1, aside: false };
  const take = async (sent: unknown) => paths(await importOwn(desk(), sent));
  expect(await take({ ...file(good), formatVersion: 2 })).toEqual(['/formatVersion']);
  expect(await take({ ...file(good), format: 'poems' })).toEqual(['/format']);
  expect(
    await take(file(good, { ...good, id: 'own-bad-4', name: 'Bad', needs: [{ fact: 'mood', atLeast: 1 }] })),
  ).toEqual(['/exercises/1/needs/0/fact']);
  expect(await take(file(good, { ...mine, does: 'Something else altogether.' }))).toEqual(['/exercises/1/version']);
  expect(await take(file(good, good))).toEqual(['/exercises/1/id']);
  expect(await take(file(good, { ...good, id: 'own-twin-5' }))).toEqual(['/exercises/1/name']);
  expect(await take('[')).toEqual(['']);
  expect(await readOwn(desk())).toHaveLength(1);
  expect(await take(file(good, { ...mine, version: 2, hands: '2' }))).toBe('taken');
});

test('while it is written it is told what closes it and for whom it is open; a form that does not stand yet tells nothing', async () => {
  await db.destroy();
  db = await demoCopy(today);
  expect(await tryOwn(desk(), { ...form, name: '' })).toBeNull();
  const light = await tryOwn(desk(), form);
  expect(light?.closedBy).toEqual([]);
  const hard = await tryOwn(desk(), { ...form, floor: true, weight: true, loads: {} });
  expect(hard?.closedBy).toContain('dizziness, known');
  expect(hard?.openFor.length).toBeLessThan(light?.openFor.length ?? 0);
});

test('taken in it is in force with its name behind the code; changed it is looked at anew; put aside it is not trained on', async () => {
  await db.destroy();
  db = await demoCopy(today);
  await saveOwn(desk(), id, form, '0');
  const odile = (await readEverybody(desk())).find((v) => v.person.name === 'Odile Brandvoll');
  const person = odile?.person.id ?? '';
  const mine = async () => {
    const view = await readPerson(desk(), person);
    return view ? (await readBeside(desk(), view)).find((b) => b.own?.id === id) : undefined;
  };
  const word = { rung: null, support: null, heightCm: null, dose: null, loadKg: null, why: '', pattern: 'M', own: id };
  const seen = 'M9/0@5x3 Towel wring';
  const say = (more: object, key: string) =>
    sayLastWord(desk(), person, { ...word, seen, word: 'as-it-is', ...more }, key);
  expect(await say({ seen: 'M9/0@5x3 Else' }, 'own-said-0')).toEqual({ kind: 'changed' });
  expect(await say({ word: 'lower', rung: 9 }, 'own-said-0')).toMatchObject({ kind: 'invalid' });
  expect(await say({}, 'own-said-1')).toEqual({ kind: 'kept', code: seen });
  expect((await mine())?.standing).toMatchObject({ state: 'holds', inForce: { level: { code: seen } } });
  expect(await describePerson(desk(), person)).toMatchObject({ accessoriesInForce: [seen] });
  // It confirms nothing on the ladders beside it.
  expect((await readPerson(desk(), person))?.standings.map((s) => s.pattern)).toEqual(['S', 'L', 'H', 'B']);
  await saveOwn(desk(), id, { ...form, does: 'Wring it slowly, elbows in.' }, '1');
  expect((await mine())?.standing.state).toBe('more');
  await putOwnAside(desk(), id, true);
  expect((await mine())?.standing.state).toBe('closed');
  expect(await say({ seen: '', word: 'not-this' }, 'own-said-2')).toMatchObject({ kind: 'kept' });
  expect(await mine()).toBeUndefined();
});
