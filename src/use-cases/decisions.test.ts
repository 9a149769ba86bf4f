import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { levelRules } from '../catalogue/rules';
import { isOpen } from '../core/level/standing';
import { questionIds } from '../core/shapes/intake';
import { openRegister, type Register } from '../database/connection';
import { addDecision, listDecisions } from '../database/decisions';
import { saveHouseRules } from '../database/place';
import { classHeld, readClassToday, undoClass } from './classHeld';
import { saveGroup, withPeople } from './groups';
import { codesWaiting, confirmLevels } from './confirmLevels';
import { deskOf } from './desk';
import { enterSheet } from './enterSheet';
import { allLines } from './everybody';
import { readPerson } from './readPeople';
import { readRules } from './rules';
import { noteToday } from './saveEntry';
import { addPerson, emptyPersonForm } from './savePerson';

const folder = mkdtempSync(join(tmpdir(), 'decisions-'));
const today = '2026-03-02';
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const born = { birthDate: '1948-05-06', normTable: 'female' as const, heightCm: 160, massKg: 64 };
let people = 0;
/** Somebody with nine stands on a day, asked everything. */
async function tested(on: string, more: object = {}): Promise<string> {
  const form = { ...emptyPersonForm, ...born, name: `Decided ${++people}`, classesSoFar: 5, ...more };
  const saved = await addPerson(deskOf(db, today), form, { notedOn: '2026-01-01', evenSo: true });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  const answers = Object.fromEntries(questionIds.map((q) => [q, q === 'active']));
  await noteToday(deskOf(db, '2026-01-01'), saved.id, { kind: 'screening', answers }, `questions-${saved.id}`);
  await stands(saved.id, on, 9);
  return saved.id;
}
async function stands(personId: string, testedOn: string, count: number): Promise<void> {
  const line = { personId, key: `${personId}-${testedOn}-${count}`, test: 'chair-stand-30s', side: null, aid: 'none' };
  const rest = { outcome: 'done', tries: [count], handsUsed: false, cleanBeforeHands: null, seconds: null, help: null };
  const sheet = { testedOn, who: 'Bo', seatHeightCm: 43, shoes: 'flat', lines: [{ ...line, ...rest }] };
  const saved = await enterSheet(deskOf(db, today), sheet);
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
}
const squat = async (id: string, day = today) =>
  (await readPerson(deskOf(db, day), id))?.standings.find((s) => s.pattern === 'S');

describe('a decision', () => {
  test('keeps its facts once for all its levels, with the versions, the day and who it was', async () => {
    const id = await tested('2026-03-01');
    const desk = { ...deskOf(db, today, new Date('2026-03-02T10:00:00Z')), who: 'Ines' };
    await confirmLevels(desk, id, await codesWaiting(desk, id));
    expect(await listDecisions(db, id)).toMatchObject([
      { day: today, at: '2026-03-02T10:00:00.000Z', by: 'Ines', kind: 'test', rulesVersion: levelRules.version },
    ]);
    const { n } = await db
      .selectFrom('level')
      .select(({ fn }) => fn.countAll<number>().as('n'))
      .executeTakeFirstOrThrow();
    expect(n).toBeGreaterThan(1);
  });
  test('lower by the instructor’s word is in force, is not offered back the next day, and is told so everywhere', async () => {
    const id = await tested('2026-03-01');
    const standing = await squat(id);
    if (!standing || !isOpen(standing.ceiling)) throw new Error('a level waits');
    const lower = { ...standing.ceiling, rung: 3, code: 'S3/48/2@4x1', support: '2' as const };
    const [was] = await listDecisions(db, id);
    expect(was).toBeUndefined();
    await addDecision(db, {
      ...{ id: 'by-hand', personId: id, day: '2026-03-02', at: '2026-03-02T11:00:00Z', by: 'Ines', kind: 'hand' },
      ...{ rulesVersion: levelRules.version, normsVersion: 'n', facts: {} as never, levels: [lower] },
    });
    expect((await squat(id))?.state).toBe('holds');
    expect((await squat(id, '2026-03-03'))?.state).toBe('holds');
    const line = (await allLines(deskOf(db, today))).lines.find((l) => l.id === id);
    expect([line?.codes[0], line?.waitingCodes.filter((c) => c.startsWith('S'))]).toEqual(['S3/48/2@4x1', []]);
    await stands(id, '2026-03-02', 14);
    expect((await squat(id, '2026-03-03'))?.state).toBe('holds');
  });
  test('a level that a new pain puts over the ceiling is not told as in force until somebody says yes to the lower one', async () => {
    const id = await tested('2026-03-01');
    await confirmLevels(deskOf(db, today), id, await codesWaiting(deskOf(db, today), id));
    const before = (await squat(id))?.inForce?.level.code ?? '';
    await noteToday(
      deskOf(db, today),
      id,
      { kind: 'pain', joint: 'knee', side: 'L', level: 4, since: null },
      'pain-new-1',
    );
    expect(await squat(id)).toMatchObject({ state: 'over', inForce: { level: { code: before } } });
    const line = (await allLines(deskOf(db, today))).lines.find((l) => l.id === id);
    expect(line?.codes).not.toContain(before);
    await confirmLevels(deskOf(db, today), id, await codesWaiting(deskOf(db, today), id));
    expect((await squat(id))?.state).toBe('holds');
  });
});

describe('a class held today', () => {
  test('adds one to the classes of everybody who was there, once', async () => {
    const [ada, bea] = [
      await tested('2026-03-01', { classesSoFar: 1 }),
      await tested('2026-03-01', { classesSoFar: 1 }),
    ];
    const rung = async (id: string) => {
      const standing = await squat(id);
      return standing && isOpen(standing.ceiling) ? standing.ceiling.rung : 0;
    };
    expect([await rung(ada), await rung(bea)]).toEqual([4, 4]);
    for (let twice = 0; twice < 2; twice++)
      expect(await classHeld(deskOf(db, today), 'class-0001', null, [ada, 'nobody'])).toEqual({
        kind: 'noted',
        present: 1,
      });
    expect([await rung(ada), await rung(bea)]).toEqual([5, 4]);
    expect(await classHeld(deskOf(db, today), 'class-0002', null, ['nobody'])).toEqual({ kind: 'not-found' });
  });
  test('of a group is found on its day, and taken back counts for nobody, however often that is pressed', async () => {
    const ada = await tested('2026-03-01', { classesSoFar: 1 });
    const desk = deskOf(db, today);
    await saveGroup(desk, 'tuesday-1', { name: 'Tuesday', weekday: 2, time: '10:00' });
    await withPeople(desk, [ada], { kind: 'join', groupId: 'tuesday-1' });
    const rung = async () => {
      const standing = await squat(ada);
      return standing && isOpen(standing.ceiling) ? standing.ceiling.rung : 0;
    };
    expect(await readClassToday(desk, 'tuesday-1')).toMatchObject({ people: [{ id: ada }], held: null });
    await classHeld(desk, 'class-0003', 'tuesday-1', [ada]);
    expect(await readClassToday(desk, 'tuesday-1')).toMatchObject({ held: { key: 'class-0003', present: 1 } });
    expect(await rung()).toBe(5);
    for (let twice = 0; twice < 2; twice++) await undoClass(desk, 'class-0003');
    expect([(await readClassToday(desk, 'tuesday-1'))?.held, await rung()]).toEqual([null, 4]);
    // Held after all, it is a class of its own.
    await classHeld(desk, 'class-0004', 'tuesday-1', [ada]);
    expect([(await readClassToday(desk, 'tuesday-1'))?.held?.key, await rung()]).toEqual(['class-0004', 5]);
    expect(await readClassToday(desk, 'nobody')).toBeUndefined();
  });
});

test('house rules of the hall are judged by, under a version of their own', async () => {
  const id = await tested('2026-03-01');
  const code = async () => (await squat(id))?.ceiling;
  const shipped = await code();
  await saveHouseRules(db, { firstClasses: 9 });
  expect((await readRules(deskOf(db, today))).levels.version).not.toBe(levelRules.version);
  expect(await code()).not.toEqual(shipped);
  expect((await allLines(deskOf(db, today))).lines.find((l) => l.id === id)?.waitingCodes[0]).toContain('S4/');
});

test('who noted something and who marked an event is kept with it', async () => {
  const id = await tested('2026-03-01');
  const desk = { ...deskOf(db, today), who: 'Ines' };
  await noteToday(desk, id, { kind: 'pain', joint: 'hip', side: 'L', level: 2, since: null }, 'pain-of-hip');
  const entry = await db.selectFrom('entry').select('by').where('id', '=', 'pain-of-hip').executeTakeFirst();
  expect(entry?.by).toBe('Ines');
  const marks = await db.selectFrom('attempt_event').select('who').where('client_key', 'like', `${id}%`).execute();
  expect(new Set(marks.map((m) => m.who))).toEqual(new Set(['this device']));
});
