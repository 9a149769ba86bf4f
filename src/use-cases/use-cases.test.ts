import { levelRules } from '../catalogue/rules';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { sql } from 'kysely';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { protocols } from '../catalogue/protocols';
import { questionIds } from '../core/shapes/intake';
import { openRegister, type Register } from '../database/connection';
import { applicationId } from '../database/migrations/0009-whose-file';
import { RegisterUnusable } from '../database/faults';
import { newestVersion } from '../database/migrations';
import { eventsOf, listAttempts } from '../database/attempts';
import { listDecisions } from '../database/decisions';
import { demoCopy } from '../demo/demoCopy';
import { loadDemo } from '../demo/loadHall';
import { confirmLevels } from './confirmLevels';
import { readEverybody, readPerson } from './readPeople';
import { readKnown } from './readRecords';
import { enterSheet } from './enterSheet';
import { rebuildResults, saveAttempt } from './saveAttempt';
import { noteToday } from './saveEntry';
import { addPerson, changePerson, emptyPersonForm } from './savePerson';
import { deskOf } from './desk';

const today = '2026-03-02';
let folder: string;
let file: string;
let db: Register;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'register-'));
  file = join(folder, 'register.sqlite');
  db = await openRegister(file);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const form = {
  ...emptyPersonForm,
  name: 'Wilma Testerin',
  birthDate: '1948-05-06',
  normTable: 'female' as const,
  heightCm: 160,
  massKg: 64,
};
async function add(more: object = {}): Promise<string> {
  const saved = await addPerson(deskOf(db, today), { ...form, ...more });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  const answers = Object.fromEntries(questionIds.map((id) => [id, id === 'active']));
  await noteToday(deskOf(db, today), saved.id, { kind: 'screening', answers }, `questions-${saved.id}`);
  return saved.id;
}

describe('the register file', () => {
  test('WAL, synchronous FULL, foreign keys, and the version of its tables', async () => {
    const pragma = async (name: string) => (await sql.raw(`PRAGMA ${name}`).execute(db)).rows;
    expect(await pragma('synchronous')).toEqual([{ synchronous: 2 }]);
    expect(await pragma('foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    const raw = new SQLite(file);
    expect(raw.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(raw.pragma('user_version', { simple: true })).toBe(newestVersion);
    raw.close();
  });
  test('opened twice it is migrated once', async () => {
    const id = await add();
    const again = await openRegister(file);
    expect((await readPerson(deskOf(again, today), id))?.person.name).toBe('Wilma Testerin');
    await again.destroy();
  });
  test('one from a newer version is refused in one line and left untouched, byte for byte', async () => {
    const newer = join(folder, 'newer.sqlite');
    const raw = new SQLite(newer);
    raw.exec(`create table something (x); pragma user_version = 99; pragma application_id = ${applicationId}`);
    raw.close();
    const before = readFileSync(newer);
    await expect(openRegister(newer)).rejects.toThrow(RegisterUnusable);
    await expect(openRegister(newer)).rejects.toThrow(/newer version of Ready Stool \(99/);
    expect(readFileSync(newer).equals(before)).toBe(true);
  });
  test('a file that is no register is refused', async () => {
    await expect(openRegister(folder)).rejects.toThrow(RegisterUnusable);
  });
});

describe('people', () => {
  test('faults are said by field, and nothing is kept', async () => {
    const bad = {
      ...form,
      name: ' ',
      birthDate: '2026-03-03',
      heightCm: 1700,
      massKg: 5,
      seatHeightCm: 17,
      classesSoFar: -1,
      extra: 1,
    };
    const answer = await addPerson(deskOf(db, today), bad);
    const paths = answer.kind === 'rejected' ? answer.errors.map((e) => e.path) : [];
    expect([...new Set(paths)].sort()).toEqual([
      '/birthDate',
      '/classesSoFar',
      '/extra',
      '/heightCm',
      '/massKg',
      '/name',
      '/seatHeightCm',
    ]);
    expect(await readEverybody(deskOf(db, today))).toEqual([]);
  });
  test.each(['2008-03-03', '1915-03-02'])('born %s: not 18 to 110', async (birthDate) => {
    expect((await addPerson(deskOf(db, today), { ...form, birthDate })).kind).toBe('rejected');
  });
  test('a form sent twice adds one person; used for somebody else it is refused', async () => {
    const id = crypto.randomUUID();
    await addPerson(deskOf(db, today), form, { id });
    const turned = Object.fromEntries(Object.entries(form).reverse());
    expect(await addPerson(deskOf(db, today), turned, { id })).toEqual({ kind: 'saved', id });
    expect((await readEverybody(deskOf(db, today))).length).toBe(1);
    const other = { ...form, name: 'Another One' };
    expect(await addPerson(deskOf(db, today), other, { id })).toEqual({ kind: 'conflict', id, name: 'Wilma Testerin' });
    expect((await addPerson(deskOf(db, today), other, { id: 'finished' })).kind).toBe('rejected');
  });
  test('what was known on an earlier day can be asked again', async () => {
    const id = await add();
    await changePerson(deskOf(db, '2026-04-01'), id, { ...form, massKg: 60 });
    expect((await readKnown(deskOf(db), id, '2026-03-01'))?.intake).toBeUndefined();
    expect((await readKnown(deskOf(db), id, '2026-03-31'))?.intake.massKg).toBe(64);
    expect((await readKnown(deskOf(db), id, '2026-04-01'))?.intake.massKg).toBe(60);
  });
});

const paper = (personId: string, stands: number, more: object = {}, testedOn = today) => ({
  testedOn,
  who: '',
  seatHeightCm: 43,
  shoes: 'flat',
  lines: [
    {
      ...{ key: `paper-${crypto.randomUUID()}`, personId, test: 'chair-stand-30s', side: null, aid: 'none' },
      ...{ outcome: 'done', tries: [stands], handsUsed: false, cleanBeforeHands: null, help: null, ...more },
    },
  ],
});

describe('from a result to a confirmed level', () => {
  test('a paper result scores, gives a level in the first classes, and a date', async () => {
    const id = await add();
    await enterSheet(deskOf(db, today), paper(id, 9));
    const page = await readPerson(deskOf(db, today), id);
    expect(page?.lead?.series[0]?.results[0]?.score.rank).toMatchObject({ kind: 'ranked', band: 'below' });
    expect(page?.levels.levels[0]?.code).toBe('S4/43/1@2x3');
    expect(page?.due).toMatchObject({ on: '2026-05-25', weeks: 12 });
    expect(page?.path.next.step).toBe('levels');
  });
  test('a confirmed level keeps facts, rules version and reasons, and the path moves on', async () => {
    const id = await add({ classesSoFar: 5 });
    await enterSheet(deskOf(db, today), paper(id, 9));
    const codes = ['S5/43/1@4x2', 'H1/2@5x2', 'B1/0@h5x3'];
    expect(await confirmLevels(deskOf(db, today), id, codes)).toEqual({ kind: 'confirmed', codes });
    const [kept] = await listDecisions(db, id);
    expect(kept).toMatchObject({ kind: 'test', by: 'this device', rulesVersion: levelRules.version });
    expect(kept?.facts.results).toHaveLength(1);
    expect(kept?.levels.map((l) => l.code)).toEqual(codes);
    expect(kept?.levels[0]?.reasons.length).toBeGreaterThan(2);
    expect((await readPerson(deskOf(db, today), id))?.path.next.step).toBe('retest');
  });
  test('the first valid result of a day counts, a repeat of the same day is kept beside it', async () => {
    const id = await add();
    await enterSheet(deskOf(db, today), paper(id, 9));
    await enterSheet(deskOf(db, today), paper(id, 14));
    const page = await readPerson(deskOf(db, today), id);
    expect(page?.lead?.series[0]?.results.map((s) => s.result.value)).toEqual([9]);
    expect(page?.otherAttempts).toHaveLength(1);
  });
  test('a paper result for a day to come, or with more clean stands than stands, is refused', async () => {
    const id = await add();
    const wrong = paper(id, 5, { handsUsed: true, cleanBeforeHands: 6 }, '2026-03-03');
    const answer = await enterSheet(deskOf(db, today), wrong);
    expect(answer.kind === 'rejected' && answer.errors.map((e) => e.path).sort()).toEqual([
      '/lines/0/tries',
      '/testedOn',
    ]);
  });
});

describe('the demo hall', () => {
  test(
    '24 people of 61 to 93, as the rules of the hall ask, and every result can be built anew from its events',
    { timeout: 60_000 },
    async () => {
      await loadDemo(db, today);
      const everybody = await readEverybody(deskOf(db, today));
      const ages = everybody.map((p) => p.ageYears);
      expect([everybody.length, Math.min(...ages), Math.max(...ages)]).toEqual([24, 61, 93]);
      expect(everybody.filter((p) => p.person.normTable === null)).toHaveLength(2);
      expect(everybody.filter((p) => p.known.readiness.outcome === 'not-today')).toHaveLength(1);
      const of = (kind: string) =>
        everybody.filter((p) => p.lead?.series[0]?.results.some((s) => s.change.kind === kind)).length;
      expect(of('clearly-better')).toBeGreaterThan(0);
      expect(of('clearly-less')).toBeGreaterThan(0);
      expect(everybody.some((p) => p.lead?.series[0]?.results[0]?.result.handsUsed)).toBe(true);
      expect(everybody.some((p) => p.due !== null && p.due.on <= today)).toBe(true);
      const rows = (p: (typeof everybody)[number]) =>
        p.lead?.series[0]?.results.map((s) => (s.score.rank.kind === 'ranked' ? s.score.rank.row.ageLow : 0));
      expect(everybody.some((p) => new Set(rows(p)?.slice(0, 2)).size === 2)).toBe(true);
      const days = (id: string) =>
        everybody.flatMap((p) =>
          p.tests.filter((t) => t.test === id).flatMap((t) => t.series.flatMap((s) => s.results.map(({ on }) => on))),
        );
      for (const { id } of protocols) expect(days(id).length).toBeGreaterThan(0);
      for (const { id } of protocols.slice(0, 5)) expect(days(id).sort()[0] ?? '').toMatch(/^2024-0[0-9]/);
      expect(await rebuildResults(deskOf(db))).toEqual([]);
    },
  );
  test('the same seed and day give the same results', { timeout: 60_000 }, async () => {
    await loadDemo(db, today);
    const other = await demoCopy(today);
    const trials = async (of: Register) =>
      JSON.stringify((await listAttempts(of)).map((a) => [a.clientKey, a.sittingDate, a.trial]).sort());
    expect(await trials(other)).toBe(await trials(db));
    await other.destroy();
  });
});

test('an attempt kept event by event reads back as it was sent', async () => {
  const id = await add();
  const events = [
    { seq: 0, kind: 'start', atMs: 0, wallMs: 1, by: 'key' },
    { seq: 1, kind: 'stop', atMs: 900.5, wallMs: 901.5, by: 'touch', reason: 'pain' },
  ];
  const body = {
    personId: id,
    test: 'chair-stand-30s',
    protocolVersion: 1,
    sittingDate: today,
    side: null,
    conditions: {},
    events,
  };
  expect(await saveAttempt(deskOf(db, today), 'key-12345', body)).toMatchObject({
    kind: 'created',
    trial: { state: 'stopped', stopReason: 'pain' },
  });
  expect(await eventsOf(db, 'key-12345')).toEqual(events);
});
