import { afterAll, beforeAll, expect, test } from 'vitest';
import { isOpen, trainedLevel, waitingLevel } from '../core/level/standing';
import { questionIds } from '../core/shapes/intake';
import { listDecisions } from '../database/decisions';
import { codesWaiting, confirmLevels } from './confirmLevels';
import { deskOf } from './desk';
import { enterSheet } from './enterSheet';
import { readWords, sayLastWord } from './lastWord';
import { openRegister, type Register } from './openRegister';
import { readPerson } from './readPeople';
import { noteToday } from './saveEntry';
import { addPerson, emptyPersonForm } from './savePerson';

const today = '2026-03-02';
const later = '2026-05-25';
let db: Register;
beforeAll(async () => {
  db = await openRegister(':memory:');
});
afterAll(() => db.destroy());

let people = 0;
/** A woman of 77 in her sixth class who stood so often, asked everything. */
async function tested(stands: number): Promise<string> {
  const form = { ...emptyPersonForm, birthDate: '1948-05-06', normTable: 'female' as const, heightCm: 160, massKg: 64 };
  const desk = deskOf(db, '2026-01-01');
  const more = { name: `Word ${++people}`, classesSoFar: 5 };
  const saved = await addPerson(desk, { ...form, ...more }, { notedOn: '2026-01-01', evenSo: true });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  await asked(saved.id, '2026-01-01');
  await sat(saved.id, '2026-03-01', stands);
  return saved.id;
}
async function asked(id: string, on: string): Promise<void> {
  const answers = Object.fromEntries(questionIds.map((q) => [q, q === 'active']));
  await noteToday(deskOf(db, on), id, { kind: 'screening', answers }, `questions-${id}-${on}`);
}
async function sat(
  personId: string,
  testedOn: string,
  stands: number | null,
  positions: number | null = 3,
): Promise<void> {
  const line = { personId, side: null, aid: 'none', outcome: 'done', handsUsed: false, cleanBeforeHands: null };
  const lines = [
    { ...line, key: `${personId}-${testedOn}-c`, test: 'chair-stand-30s', tries: [stands], seconds: null, help: null },
    { ...line, key: `${personId}-${testedOn}-f`, test: 'four-stage', tries: [positions], seconds: null, help: null },
  ];
  const done = lines.filter(({ tries: [value] }) => value !== null);
  const saved = await enterSheet(deskOf(db, testedOn), {
    testedOn,
    who: 'Bo',
    seatHeightCm: 43,
    shoes: 'flat',
    lines: done,
  });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
}
const squat = async (id: string, day = today) => {
  const standing = (await readPerson(deskOf(db, day), id))?.standings.find((s) => s.pattern === 'S');
  if (!standing) throw new Error('no standing on the squat');
  return standing;
};
const givenOf = async (id: string, day = today) => {
  const on = (await readWords(deskOf(db, day), id)).find((w) => w.pattern === 'S');
  if (!on || !isOpen(on.given)) throw new Error('the rules give nothing');
  return { seen: on.given.code, ...on };
};
const nothing = { rung: null, support: null, heightCm: null, dose: null, loadKg: null, why: '' };
let keys = 0;
const say = (id: string, word: object, { key = `word-${++keys}`, day = today } = {}) =>
  sayLastWord(deskOf(db, day), id, { ...nothing, pattern: 'S', ...word }, key);
const lower = { word: 'lower', rung: 4, support: 'h', heightCm: 48, dose: '2x3' } as const;

test('lower: in force at once, by whom and from what, over the next test, until it is taken back', async () => {
  const id = await tested(10);
  const { seen } = await givenOf(id);
  expect(seen).toBe('S5/43/h@5x2');
  expect(await say(id, { ...lower, seen, why: 'hip is stiff' })).toEqual({ kind: 'kept', code: 'S4/48/h@2x3' });
  expect(await squat(id)).toMatchObject({
    state: 'holds',
    inForce: {
      by: 'this device',
      level: { code: 'S4/48/h@2x3', byHand: { word: 'lower', why: 'hip is stiff', from: seen } },
    },
  });
  await asked(id, later);
  await sat(id, later, 13);
  const after = await squat(id, later);
  expect([after.state, trainedLevel(after)?.code, waitingLevel(after)]).toEqual(['holds', 'S4/48/h@2x3', null]);
  const now = await givenOf(id, later);
  expect(await say(id, { word: 'as-it-is', seen: now.seen }, { day: later })).toMatchObject({ kind: 'kept' });
  expect(trainedLevel(await squat(id, later))?.code).toBe(now.seen);
  expect((await listDecisions(db, id)).map((d) => [d.day, d.kind])).toEqual([
    [today, 'hand'],
    [later, 'test'],
  ]);
});

test('not this one: nothing is trained on it, over the next test too', async () => {
  const id = await tested(10);
  const { seen } = await givenOf(id);
  expect(await say(id, { word: 'not-this', seen })).toMatchObject({ kind: 'kept' });
  await asked(id, later);
  await sat(id, later, 13);
  const after = await squat(id, later);
  expect([after.state, trainedLevel(after), waitingLevel(after)]).toEqual(['aside', null, null]);
  expect(await codesWaiting(deskOf(db, later), id)).not.toContain(seen);
});

test('higher with a reason: over the next test that says less, until a limiter forbids it', async () => {
  const id = await tested(9);
  const { seen, choices } = await givenOf(id);
  const six = choices.higher.find((c) => c.level.rung === 6)?.level;
  if (!six) throw new Error('six is not offered');
  const higher = { word: 'higher', rung: 6, support: six.support, heightCm: six.targetCm, dose: 'h5x3', seen };
  expect(await say(id, higher)).toMatchObject({ kind: 'invalid', errors: [{ path: '/why' }] });
  expect(await say(id, { ...higher, why: 'trained elsewhere' })).toMatchObject({ kind: 'kept', code: six.code });
  expect((await squat(id)).state).toBe('holds');
  await asked(id, later);
  await sat(id, later, 8);
  expect(trainedLevel(await squat(id, later))?.rung).toBe(6);
  const pain = { kind: 'pain', joint: 'knee', side: 'L', level: 3, since: later };
  await noteToday(deskOf(db, later), id, pain, `pain-${id}`);
  const over = await squat(id, later);
  expect([over.state, trainedLevel(over), waitingLevel(over)?.rung]).toEqual(['over', null, 4]);
});

test('past a limiter no word goes, and nothing is kept', async () => {
  const id = await tested(14);
  const pain = { kind: 'pain', joint: 'knee', side: 'L', level: 3, since: today };
  await noteToday(deskOf(db, today), id, pain, `pain-${id}`);
  const { seen } = await givenOf(id);
  const said = await say(id, {
    word: 'higher',
    rung: 6,
    support: 'f',
    heightCm: 48,
    dose: 'h5x3',
    why: 'she is strong',
    seen,
  });
  expect(said).toMatchObject({ kind: 'invalid', errors: [{ path: '/rung' }] });
  expect(JSON.stringify(said)).toContain('Not by hand: knee pain from 3');
  expect(await listDecisions(db, id)).toEqual([]);
});

test('what was pressed twice is kept once; what the rules give no longer, more than they give, or the same is not kept', async () => {
  const id = await tested(10);
  const { seen } = await givenOf(id);
  await say(id, { ...lower, seen }, { key: 'same-key' });
  await say(id, { ...lower, seen }, { key: 'same-key' });
  expect(await say(id, { ...lower, seen: 'S5/40/h@5x2' })).toEqual({ kind: 'changed' });
  for (const more of [{ heightCm: 40 }, { support: '0' }, { dose: '9x3' }, { rung: 9 }, { rung: null }])
    expect(await say(id, { ...lower, ...more, seen })).toMatchObject({ kind: 'invalid', errors: [{ path: '/rung' }] });
  const same = { word: 'lower', rung: 5, support: 'h', heightCm: 43, dose: '5x2', seen };
  expect(await say(id, same)).toMatchObject({ kind: 'invalid' });
  expect(await listDecisions(db, id)).toHaveLength(1);
  expect(await say('nobody', { ...lower, seen })).toEqual({ kind: 'not-found' });
});

test('the old one is kept on one ladder while the others are confirmed, and waits again after the next test', async () => {
  const id = await tested(9);
  await confirmLevels(deskOf(db, today), id, await codesWaiting(deskOf(db, today), id));
  await asked(id, later);
  await sat(id, later, 14);
  const desk = deskOf(db, later);
  const seen = await codesWaiting(desk, id);
  expect(seen[0]).toMatch(/^S6/);
  expect(await confirmLevels(desk, id, seen, ['S'])).toMatchObject({ kind: 'confirmed' });
  expect(await squat(id, later)).toMatchObject({
    state: 'holds',
    inForce: { kind: 'hand', level: { rung: 5, byHand: { word: 'kept', from: seen[0] } } },
  });
  // Pressed again, on another tablet.
  expect(await confirmLevels(desk, id, seen, ['S'])).toMatchObject({ kind: 'already' });
  await asked(id, '2026-07-06');
  await sat(id, '2026-07-06', 14);
  expect((await squat(id, '2026-07-06')).state).toBe('more');
});

test('after a harmless fall the three minutes are offered at once, one test after the other, and then the levels', async () => {
  const id = await tested(10);
  const next = async () => (await readPerson(deskOf(db, '2026-03-10'), id))?.path.next;
  expect((await next())?.step).toBe('levels');
  const fall = { fellOn: '2026-03-08', hurt: false, lookedAt: true, headStruck: false, unexplained: false };
  await noteToday(deskOf(db, '2026-03-10'), id, { kind: 'fall', ...fall }, `fall-${id}`);
  // The questions lapse with it.
  expect(await next()).toMatchObject({ step: 'intake', at: 'questions' });
  await asked(id, '2026-03-10');
  expect(await next()).toMatchObject({ step: 'test', test: 'four-stage' });
  const view = await readPerson(deskOf(db, '2026-03-10'), id);
  expect(view?.due).toMatchObject({ on: '2026-03-08', why: 'a fall since the last test: before the next class' });
  expect(view?.standings[0]?.ceiling).toMatchObject({ rung: 1 });
  await sat(id, '2026-03-10', null);
  expect(await next()).toMatchObject({ step: 'test', test: 'chair-stand-30s' });
  await sat(id, '2026-03-10', 10, null);
  expect((await next())?.step).toBe('levels');
  expect((await readPerson(deskOf(db, '2026-03-10'), id))?.standings[0]?.ceiling).toMatchObject({ rung: 5 });
});
