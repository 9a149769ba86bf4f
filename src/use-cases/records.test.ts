import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import fc from 'fast-check';
import { sql } from 'kysely';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { AttemptEvent } from '../core/shapes/attempt';
import { questionIds } from '../core/shapes/intake';
import { listAttempts } from '../database/attempts';
import { closeNow, openRegister, type Register } from '../database/connection';
import { finishErasing } from '../database/erase';
import { listDecidedLevels } from '../database/decisions';
import { listIntakes } from '../database/people';
import { askRegister, allLines, wholeRegister } from './everybody';
import { enterSheet } from './enterSheet';
import { erasePerson, groupsToday, readGroups, readSheetPeople, saveGroup, withPeople } from './groups';
import { previewRoster, takeRoster, undoRoster } from './importRoster';
import { changeNorms, normChanges } from './norms';
import { describePerson, postPerson } from './openApi';
import { changeEmergencyNumber, changePlace, readPlace, usualPlace } from './places';
import { keepPrinted, readReport } from './printedPages';
import { codesWaiting, confirmLevels } from './confirmLevels';
import { readIntake, readKnown } from './readRecords';
import { readPerson, Unreadable } from './readPeople';
import { bringResultsUpToDate, rebuildResults, saveAttempt } from './saveAttempt';
import { noteToday, saveEntry } from './saveEntry';
import { addPerson, changePerson, emptyPersonForm, toPersonForm } from './savePerson';
import { listStation, readStationRecord } from './station';
import { deskOf } from './desk';

const today = '2026-03-02';
let folder: string;
let file: string;
let db: Register;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'records-'));
  file = join(folder, 'register.sqlite');
  db = await openRegister(file);
});
afterEach(() => {
  vi.restoreAllMocks();
  closeNow(db);
  rmSync(folder, { recursive: true });
});

const form = { ...emptyPersonForm, name: 'Wilma Testerin', birthDate: '1948-05-06', heightCm: 160, massKg: 64 };
async function add(more: object = {}): Promise<string> {
  const saved = await addPerson(deskOf(db, today), { ...form, ...more }, { evenSo: true });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  return saved.id;
}
/** Ready to be tested: all questions answered. */
async function addReady(more: object = {}): Promise<string> {
  const id = await add(more);
  const answers = Object.fromEntries(questionIds.map((q) => [q, q === 'active']));
  await noteToday(deskOf(db, today), id, { kind: 'screening', answers }, `questions-${id}`);
  return id;
}
type Loose = { kind: AttemptEvent['kind'] } & Record<string, unknown>;
const counted = (stands: number): Loose[] => [
  { kind: 'start' },
  ...Array.from({ length: stands }, (_, i) => ({ kind: 'rep' as const, atMs: 1500 * (i + 1) })),
  { kind: 'end', atMs: 30_000 },
  { kind: 'half-rep', counts: false, atMs: 31_000 },
];
const attemptOf = (personId: string, events: Loose[], more: object = {}) => ({
  ...{ personId, test: 'chair-stand-30s', protocolVersion: 1, sittingDate: today, side: null },
  conditions: { seatHeightCm: 43, aid: 'none', shoes: 'flat' },
  events: events.map((e, seq) => ({ seq, atMs: 0, wallMs: 1_772_440_000_000 + seq, by: 'key', ...e })),
  ...more,
});
const send = (key: string, personId: string, events: Loose[], more: object = {}) =>
  saveAttempt(deskOf(db, today), key, attemptOf(personId, events, more));
const sheet = (personId: string, tries: number[], more: object = {}) => ({
  ...{ testedOn: today, who: '', seatHeightCm: 43, shoes: 'flat' },
  lines: [
    {
      ...{ key: `sheet-${crypto.randomUUID()}`, personId, test: 'chair-stand-30s', side: null, aid: 'none' },
      ...{ outcome: 'done', tries, handsUsed: false, cleanBeforeHands: null, help: null, ...more },
    },
  ],
});
const waiting = (id: string) => codesWaiting(deskOf(db, today), id);

describe('the file', () => {
  test('closed, it is whole by itself: a copy of the one file has everybody', async () => {
    await add();
    closeNow(db);
    const copy = join(folder, 'copy.sqlite');
    copyFileSync(file, copy);
    const raw = new SQLite(copy, { readonly: true });
    expect(raw.prepare('select name from person').all()).toEqual([{ name: 'Wilma Testerin' }]);
    raw.close();
  });
  test('what a killed program left in the log is in the file at the next start', async () => {
    await add();
    for (const part of ['', '-wal']) copyFileSync(file + part, join(folder, `killed.sqlite${part}`));
    const killed = join(folder, 'killed.sqlite');
    closeNow(await openRegister(killed));
    rmSync(`${killed}-wal`, { force: true });
    const raw = new SQLite(killed, { readonly: true });
    expect(raw.prepare('select count(*) as n from person').get()).toEqual({ n: 1 });
    raw.close();
  });
});

describe('erasing', () => {
  const tables = ['person', 'intake', 'entry', 'attempt', 'attempt_event', 'attempt_trace', 'decision'] as const;
  const rows = async () => {
    const all = await Promise.all(tables.map(async (t) => (await sql`SELECT * FROM ${sql.table(t)}`.execute(db)).rows));
    return all.flat().map((row) => JSON.stringify({ ...(row as object), revision: 0 }));
  };
  test('whoever is erased, every row of everybody else stays as it was, byte for byte', async () => {
    const ids = await Promise.all(['Ada A', 'Bea B', 'Cleo C'].map((name) => addReady({ name })));
    for (const [i, id] of ids.entries()) await send(`attempt-${i}`, id, counted(8 + i));
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(0, 1, 2), async (n) => {
        const before = await rows();
        const [name = '', id = ''] = [['Ada A', 'Bea B', 'Cleo C'][n], ids[n]];
        expect(await erasePerson(deskOf(db), id, name)).toEqual({ kind: 'erased' });
        expect(await rows()).toEqual(before.filter((row) => !row.includes(id) && !row.includes(`attempt-${n}`)));
        ids[n] = await addReady({ name });
        await send(`attempt-${n}`, ids[n], counted(8 + n));
      }),
      { numRuns: 6 },
    );
  });
  test('an attempt that lay with somebody erased keeps all but their name, and its result can be derived still', async () => {
    const [ada, bea] = [await addReady({ name: 'Ada A' }), await addReady({ name: 'Bea B' })];
    const wrong = { kind: 'move', toPersonId: bea, reason: 'swapped' } as Loose;
    const back = { kind: 'move', toPersonId: ada, reason: 'no, it was right' } as Loose;
    await send('attempt-1', ada, [...counted(9), wrong, back]);
    await erasePerson(deskOf(db), bea, 'Bea B');
    expect(JSON.stringify(await rows())).not.toContain(bea);
    expect((await listAttempts(db, [ada]))[0]?.trial).toMatchObject({ state: 'finished', value: 9, movedTo: ada });
    expect(await rebuildResults(deskOf(db))).toEqual([]);
  });
  test('an id is a UUID of ours: a partner’s word can be no id, so it can erase nobody’s results', async () => {
    const sent = { name: 'Ada Partner', birthDate: '1950-01-01', externalId: 'finished' };
    const saved = await postPerson(deskOf(db, today), sent);
    if (saved.kind !== 'saved') throw new Error(saved.kind);
    expect(saved.id).toMatch(/^[0-9a-f-]{36}$/);
    expect((await describePerson(deskOf(db, today), saved.id)) as object).toMatchObject({ externalId: 'finished' });
    expect((await postPerson(deskOf(db, today), { ...sent, id: 'finished' })).kind).toBe('rejected');
    expect((await addPerson(deskOf(db, today), form, { id: 'finished' })).kind).toBe('rejected');
  });
  test('while another program reads, it says soon, remembers, and is done when the reader is gone', async () => {
    const id = await add({ name: 'Zenobia Traceless' });
    const reader = new SQLite(file, { readonly: true });
    const reading = reader.prepare('select * from person').iterate();
    reading.next();
    expect(await erasePerson(deskOf(db), id, 'Zenobia Traceless')).toEqual({ kind: 'erased-soon' });
    expect(await finishErasing(db)).toBe(false);
    reading.return?.();
    reader.close();
    expect(await finishErasing(db)).toBe(true);
    expect(await finishErasing(db)).toBe(true);
  });
});

describe('one record that cannot be true', () => {
  test('a birth date after a test, or a move to somebody born later, is refused at the edge', async () => {
    const id = await addReady();
    await send('attempt-1', id, counted(9), { sittingDate: '1999-01-01' });
    const born = await changePerson(deskOf(db, today), id, { ...form, birthDate: '2000-01-01' });
    expect(born).toMatchObject({ kind: 'rejected', errors: [{ path: '/birthDate' }] });
    const young = await add({ name: 'Young One', birthDate: '2001-01-01' });
    const moved = [...counted(9), { kind: 'move', toPersonId: young, reason: 'swapped' } as Loose];
    expect(await send('attempt-1', id, moved, { sittingDate: '1999-01-01' })).toMatchObject({
      kind: 'rejected',
      errors: [{ message: 'was not born yet on 1999-01-01' }],
    });
  });
  test('one that got in all the same is a line that says so and an intake that opens; everybody else is read', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const [broken, well] = [await addReady({ name: 'Broken Record' }), await addReady({ name: 'Well Record' })];
    for (const [i, id] of [broken, well].entries()) await send(`attempt-${i}`, id, counted(9));
    await sql`UPDATE person SET birth_date = '2026-03-09' WHERE id = ${broken}`.execute(db);
    const { lines } = await allLines(deskOf(db, today));
    expect(lines.map((l) => [l.name, l.state === 'unreadable'])).toEqual(
      expect.arrayContaining([
        ['Broken Record', true],
        ['Well Record', false],
      ]),
    );
    await expect(readPerson(deskOf(db, today), broken)).rejects.toThrow(Unreadable);
    expect((await readIntake(deskOf(db, today), broken))?.person.name).toBe('Broken Record');
    expect((await listStation(deskOf(db, today), [broken])).people.map((p) => p.name)).toEqual(['Well Record']);
    await changePerson(deskOf(db, today), broken, { ...form, name: 'Broken Record' });
    expect((await readPerson(deskOf(db, today), broken))?.lead?.series[0]?.results).toHaveLength(1);
  });
});

describe('forms that were opened earlier', () => {
  const opened = async (id: string) => {
    const known = await readIntake(deskOf(db, today), id);
    if (!known) throw new Error('gone');
    return toPersonForm(known.person, known.intake, known.pains);
  };
  test('save what they changed and keep what another tablet noted: limiters, and no pain of 0 that nobody asked', async () => {
    const id = await add();
    const mine = await opened(id);
    const theirs = await opened(id);
    const limiter = {
      kind: 'dizziness',
      side: null,
      since: null,
      limitsLifted: false,
      by: '',
      limits: '',
      ofTheEye: false,
    };
    const pain = { joint: 'knee', side: 'L', level: 6, since: null, asked: true };
    await changePerson(deskOf(db, today), id, { ...theirs, limiters: [limiter], pains: [pain] }, { opened: theirs });
    expect(await changePerson(deskOf(db, today), id, { ...mine, massKg: 61 }, { opened: mine })).toMatchObject({
      kind: 'saved',
    });
    const known = await readKnown(deskOf(db), id, today);
    expect(known?.intake).toMatchObject({ massKg: 61, limiters: [{ kind: 'dizziness' }] });
    expect(known?.pains).toMatchObject([{ joint: 'knee', level: 6 }]);
  });
  test('the same thing changed in two ways is asked about, and nothing is written until it is said', async () => {
    const id = await add();
    const mine = await opened(id);
    await changePerson(deskOf(db, today), id, { ...mine, massKg: 62 }, { opened: mine });
    const answer = await changePerson(deskOf(db, today), id, { ...mine, massKg: 61 }, { opened: mine });
    expect(answer).toMatchObject({ kind: 'changed', clashes: [{ path: ['massKg'], mine: 61, theirs: 62 }] });
    expect((await readKnown(deskOf(db), id, today))?.intake.massKg).toBe(62);
    if (answer.kind !== 'changed') return;
    await changePerson(deskOf(db, today), id, answer.merged, { opened: answer.theirs });
    expect((await readKnown(deskOf(db), id, today))?.intake.massKg).toBe(61);
  });
  test('sent twice, as after an answer that was lost, a form notes one intake', async () => {
    const id = await add();
    const mine = await opened(id);
    for (let n = 0; n < 2; n++)
      await changePerson(deskOf(db, today), id, { ...mine, massKg: 61 }, { opened: mine, key: 'k' });
    expect(await listIntakes(db, [id])).toHaveLength(2);
  });
  test('the cupboard: two tablets add each a chair and change each a number, and both are there', async () => {
    const was = await readPlace(deskOf(db));
    const chair = (heightCm: number) => ({ heightCm, arms: false, stable: true, count: 1 });
    const with_ = (heightCm: number, more: object = {}) => ({
      ...{ ...was, emergencyNumber: '112', ...more },
      cupboard: { ...was.cupboard, chairs: [...was.cupboard.chairs, chair(heightCm)] },
    });
    await changePlace(deskOf(db), with_(50, { town: 'Lakeside' }), was);
    expect(await changePlace(deskOf(db), with_(52), was)).toEqual({ kind: 'saved' });
    const now = await readPlace(deskOf(db));
    expect(now.town).toBe('Lakeside');
    expect(now.cupboard.chairs.map((c) => c.heightCm).sort()).toEqual([43, 46, 50, 52]);
    expect(await changePlace(deskOf(db), { ...now, town: 'Hillside' }, was)).toMatchObject({ kind: 'changed' });
  });
  test('a group: renamed here and moved to another day there is both; ended there it is not made anew', async () => {
    const was = { name: 'Tuesday walk', weekday: 2, time: '10:00' };
    await saveGroup(deskOf(db), 'group-1', was);
    await saveGroup(deskOf(db), 'group-1', { ...was, weekday: 3 }, was);
    expect(await saveGroup(deskOf(db), 'group-1', { ...was, name: 'Lake walk' }, was)).toMatchObject({
      group: { name: 'Lake walk', weekday: 3 },
    });
    expect(await saveGroup(deskOf(db), 'group-2', was, was)).toMatchObject({ kind: 'rejected' });
  });
  test('norms: a table changed since the page was opened is not put aside unseen', async () => {
    const change = (id: string, seen: string | null) =>
      changeNorms(
        deskOf(db, undefined, new Date()),
        'chair-stand-30s',
        id,
        { table: null, cite: 'a', who: 'b', why: 'c' },
        seen,
      );
    expect(await change('change-1', null)).toMatchObject({ kind: 'saved' });
    expect(await change('change-2', null)).toMatchObject({ kind: 'changed', by: { id: 'change-1' } });
    expect(await change('change-1', null)).toMatchObject({ kind: 'saved' });
    expect(await change('change-2', 'change-1')).toMatchObject({ kind: 'saved' });
    expect(await normChanges(deskOf(db), 'chair-stand-30s')).toHaveLength(2);
  });
});

describe('confirming', () => {
  test('what stood on the screen is confirmed once; again it says when; with something new since, nothing', async () => {
    const id = await addReady({ classesSoFar: 5 });
    await enterSheet(deskOf(db, today), sheet(id, [9]));
    const seen = await waiting(id);
    const both = await Promise.all([
      confirmLevels(deskOf(db, today), id, seen),
      confirmLevels(deskOf(db, today), id, seen),
    ]);
    expect(both.map((a) => a.kind)).toEqual(['confirmed', 'already']);
    expect(await listDecidedLevels(db, [id])).toHaveLength(seen.length);
    expect(both[1]).toMatchObject({ at: expect.stringMatching(/^\d{4}-\d\d-\d\dT/) as string });
    const pain = { kind: 'pain', joint: 'knee', side: 'L', level: 6, since: null };
    await noteToday(deskOf(db, today), id, pain, 'pain-0001');
    const now = await waiting(id);
    expect(now).not.toEqual(seen);
    expect(await confirmLevels(deskOf(db, today), id, [...now, 'S9/43/0@8x1'])).toEqual({
      kind: 'changed',
      codes: now,
    });
    expect(await listDecidedLevels(db, [id])).toHaveLength(seen.length);
  });
  test('a ladder closed today is neither found by its code nor told as in force', async () => {
    const id = await addReady({ classesSoFar: 5 });
    await enterSheet(deskOf(db, today), sheet(id, [9]));
    const seen = await waiting(id);
    await confirmLevels(deskOf(db, today), id, seen);
    const found = async () => (await askRegister(deskOf(db, today), { ...wholeRegister, search: 'H1' })).lines.length;
    expect(await found()).toBe(1);
    await noteToday(
      deskOf(db, today),
      id,
      { kind: 'day-check', signs: ['chest'], pulse: null, pressures: [], skippedBecause: null },
      'check-001',
    );
    expect(await found()).toBe(0);
    expect(await describePerson(deskOf(db, today), id)).toMatchObject({ levelsInForce: [] });
    expect((await readPerson(deskOf(db, today), id))?.standings.every((s) => !s.inForce || s.state === 'closed')).toBe(
      true,
    );
  });
});

describe('results', () => {
  test('a test done on each side without a side is refused, over every door', async () => {
    const id = await addReady();
    const entered = [{ kind: 'entered', value: 6, handsUsed: false }] as Loose[];
    expect(await send('attempt-1', id, entered, { test: 'one-leg' })).toMatchObject({ errors: [{ path: '/side' }] });
    expect(await enterSheet(deskOf(db, today), sheet(id, [6], { test: 'one-leg' }))).toMatchObject({
      kind: 'rejected',
    });
    expect((await send('attempt-1', id, entered, { test: 'one-leg', side: 'L' })).kind).toBe('created');
  });
  test('a paper result typed in later does not displace the timed one, unless the sheet says that it counts', async () => {
    const id = await addReady();
    await send('attempt-1', id, counted(12));
    await enterSheet(deskOf(db, today), sheet(id, [7]));
    const stands = async () =>
      (await readPerson(deskOf(db, today), id))?.lead?.series[0]?.results.map((s) => s.result.value);
    expect(await stands()).toEqual([12]);
    await enterSheet(deskOf(db, today), { ...sheet(id, [8]), counts: true });
    expect(await stands()).toEqual([8]);
  });
  test('a moved attempt lies with the other, both files list it, and a move taken back brings it home', async () => {
    const [ada, bea] = [await addReady({ name: 'Ada A' }), await addReady({ name: 'Bea B' })];
    const move = { kind: 'move', toPersonId: bea, reason: 'swapped chairs' } as Loose;
    await send('attempt-1', ada, [...counted(9), move]);
    const stands = async (id: string) => (await readPerson(deskOf(db, today), id))?.lead?.series[0]?.results.length;
    expect([await stands(ada), await stands(bea)]).toEqual([undefined, 1]);
    expect((await readPerson(deskOf(db, today), ada))?.movedAway).toMatchObject([{ toName: 'Bea B' }]);
    await send('attempt-1', ada, [
      ...counted(9),
      move,
      { kind: 'strike', ofSeq: counted(9).length, reason: 'no swap' },
    ]);
    expect([await stands(ada), await stands(bea)]).toEqual([1, undefined]);
    expect((await readPerson(deskOf(db, today), bea))?.movedAway).toMatchObject([{ toName: 'Ada A' }]);
    expect((await readPerson(deskOf(db, today), ada))?.movedAway).toEqual([]);
  });
  test('conditions are not overwritten by being sent otherwise; they change by an event, and the old ones stay', async () => {
    const id = await addReady();
    const other = { conditions: { seatHeightCm: 50, aid: 'none', shoes: 'flat' } };
    await send('attempt-1', id, counted(9));
    expect(await send('attempt-1', id, counted(9), other)).toEqual({ kind: 'other-attempt', differs: ['conditions'] });
    const turned = { conditions: { shoes: 'flat', aid: 'none', seatHeightCm: 43 } };
    expect((await send('attempt-1', id, counted(9), turned)).kind).toBe('known');
    const put = { kind: 'condition', seatHeightCm: 46, reason: 'it was the other chair' } as Loose;
    await send('attempt-1', id, [...counted(9), put]);
    expect((await listAttempts(db, [id]))[0]?.conditions).toEqual({ seatHeightCm: 46, aid: 'none', shoes: 'flat' });
    expect((await send('attempt-1', id, [...counted(9), put])).kind).toBe('known');
  });
  test('one key is one attempt: of another person, day, test or side it is a conflict and nothing changes', async () => {
    const [ada, bea] = [await addReady({ name: 'Ada A' }), await addReady({ name: 'Bea B' })];
    await send('attempt-1', ada, counted(9));
    for (const [who, more, differs] of [
      [bea, {}, 'person'],
      [ada, { sittingDate: '2026-03-01' }, 'day'],
      [ada, { test: 'arm-curl' }, 'test'],
    ] as const)
      expect(await send('attempt-1', who, counted(9), more)).toEqual({ kind: 'other-attempt', differs: [differs] });
    expect((await listAttempts(db)).map((a) => a.personId)).toEqual([ada]);
  });
  test('every PUT twice and at once is there once', async () => {
    const id = await addReady();
    const answers = await Promise.all(Array.from({ length: 6 }, () => send('attempt-1', id, counted(9))));
    expect(answers.map((a) => a.kind).sort()).toEqual(['created', ...Array.from({ length: 5 }, () => 'known')]);
    const note = { personId: id, on: today, content: { kind: 'pain', joint: 'hip', side: 'L', level: 3, since: null } };
    const notes = await Promise.all(Array.from({ length: 6 }, () => saveEntry(deskOf(db, today), 'note-0001', note)));
    expect(notes.map((a) => a.kind).sort()).toEqual(['created', ...Array.from({ length: 5 }, () => 'known')]);
    expect(await listAttempts(db)).toHaveLength(1);
  });
  test('rows of the version before are derived anew, all of them, and then equal what their events say', async () => {
    const id = await addReady();
    for (let n = 0; n < 5; n++) await send(`attempt-${n}`, id, counted(n + 5));
    await sql`UPDATE attempt SET measure_version = 2, result_json = json_remove(result_json, '$.counts')`.execute(db);
    expect(await rebuildResults(deskOf(db))).toHaveLength(5);
    expect(await bringResultsUpToDate(deskOf(db))).toBe(5);
    expect([await rebuildResults(deskOf(db)), await bringResultsUpToDate(deskOf(db))]).toEqual([[], 0]);
  });
  test('a try that broke off is to be repeated until that very test and side was done, on its day only', async () => {
    const id = await addReady();
    const repeat = async (on = today) => (await readPerson(deskOf(db, on), id))?.toRepeat.map((a) => [a.test, a.side]);
    await send('attempt-1', id, counted(9).slice(0, 3).concat({ kind: 'halt' }));
    await send('attempt-2', id, counted(9));
    expect(await repeat()).toEqual([]);
    await send('attempt-3', id, counted(3).slice(0, 2).concat({ kind: 'halt' }), { test: 'arm-curl' });
    expect(await repeat()).toEqual([['arm-curl', null]]);
    await send('attempt-4', id, [{ kind: 'entered', value: 14, handsUsed: false }], { test: 'arm-curl' });
    expect(await repeat()).toEqual([]);
  });
});

describe('answers that say kept are kept', () => {
  test('an entry known on another day or of other content is a conflict; its members in another order are not', async () => {
    const id = await add();
    const content = { kind: 'pain', joint: 'knee', side: 'L', level: 4, since: null };
    const put = (on: string, of: object) =>
      saveEntry(deskOf(db, today), 'entry-001', { personId: id, on, content: of });
    expect((await put(today, content)).kind).toBe('created');
    expect((await put(today, Object.fromEntries(Object.entries(content).reverse()))).kind).toBe('known');
    expect((await put('2026-03-01', content)).kind).toBe('conflict');
    expect((await put(today, { ...content, level: 5 })).kind).toBe('conflict');
  });
  test('a partner’s id sent again with the same content is the same person, with other content a conflict', async () => {
    const sent = { name: 'Ada Partner', birthDate: '1950-01-01', externalId: 'p-77' };
    const first = await postPerson(deskOf(db, today), sent);
    expect(await postPerson(deskOf(db, today), sent)).toEqual(first);
    expect(await postPerson(deskOf(db, today), { ...sent, birthDate: '1950-01-02' })).toMatchObject({
      kind: 'conflict',
    });
  });
  test('one person added by two devices at once is one person and one question', async () => {
    const both = await Promise.all([addPerson(deskOf(db, today), form), addPerson(deskOf(db, today), form)]);
    expect(both.map((a) => a.kind)).toEqual(['saved', 'double']);
  });
  const roster = `name,birth date,group\n${Array.from({ length: 300 }, (_, i) => `Person ${String.fromCharCode(65 + (i % 26))}${i},19${40 + (i % 20)}-01-02,Friday walk`).join('\n')}\n`;
  const choice = { columns: null, dateOrder: null, units: 'metric' } as const;
  test('one roster by two devices at once is taken once, every row of it', async () => {
    const both = await Promise.all(
      ['import-01', 'import-02'].map((id) => takeRoster(deskOf(db, today), id, 'roster.csv', roster, choice)),
    );
    expect(both.map((a) => (a.kind === 'taken' ? a.added : a.kind)).sort()).toEqual([0, 300]);
    expect((await askRegister(deskOf(db, today), wholeRegister)).total).toBe(300);
  });
  test('an import of another file under its id, or one sent again after its undo, is a conflict', async () => {
    const take = (text: string) => takeRoster(deskOf(db, today), 'import-01', 'roster.csv', text, choice);
    const two = 'name,birth date\nAda A,1950-01-02\nBea B,1951-01-02\n';
    expect(await take(two)).toMatchObject({ kind: 'taken', added: 2 });
    expect(await take(two)).toMatchObject({ kind: 'taken', added: 2 });
    expect((await take(roster)).kind).toBe('conflict');
    await undoRoster(deskOf(db), 'import-01');
    expect((await take(two)).kind).toBe('conflict');
    expect((await previewRoster(deskOf(db, today), two, choice)).good).toBe(2);
  });
  test('undone, an import leaves those of whom a page was handed out', async () => {
    await takeRoster(
      deskOf(db, today),
      'import-01',
      'r.csv',
      'name,birth date\nAda A,1950-01-02\nBea B,1951-01-02\n',
      choice,
    );
    const { lines } = await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Ada' });
    const view = await readPerson(deskOf(db, today), lines[0]?.id ?? '');
    if (!view) throw new Error('not taken');
    const { fingerprint } = await readReport(deskOf(db, today), view, { reader: 'person', percent: false });
    await keepPrinted(deskOf(db, today, new Date()), view.person.id, { reader: 'person', percent: false, fingerprint });
    expect(await undoRoster(deskOf(db), 'import-01')).toEqual({ kind: 'undone', removed: 1, stayed: 1 });
  });
  test('a group of a roster has the day and time its name says, and no made-up Monday', async () => {
    const text = 'name,birth date,group\nAda A,1950-01-02,Thursday 14:30\nBea B,1951-01-02,Lake walk\n';
    await takeRoster(deskOf(db, today), 'import-01', 'r.csv', text, choice);
    expect((await readGroups(deskOf(db))).map(({ name, weekday, time }) => [name, weekday, time])).toEqual([
      ['Lake walk', 0, ''],
      ['Thursday 14:30', 4, '14:30'],
    ]);
    expect(await groupsToday(deskOf(db, today))).toEqual([]);
  });
});

describe('people and days', () => {
  test('taken back, joining a group leaves those who were in it before', async () => {
    const [ada, bea] = [await add({ name: 'Ada A' }), await add({ name: 'Bea B' })];
    await saveGroup(deskOf(db), 'group-1', { name: 'Walk', weekday: 1, time: '' });
    const join = { kind: 'join', groupId: 'group-1' } as const;
    await withPeople(deskOf(db, today), [ada], join);
    const joined = await withPeople(deskOf(db, today), [ada, bea], join);
    expect(joined).toEqual([bea]);
    await withPeople(deskOf(db, today), joined, { ...join, kind: 'leave' });
    expect((await readSheetPeople(deskOf(db, today), 'group-1')).people.map((p) => p.name)).toEqual(['Ada A']);
  });
  test('each deed says whom it changed, so that its opposite changes no more', async () => {
    const [ada, bea] = [await add({ name: 'Ada A' }), await add({ name: 'Bea B' })];
    for (const [deed, back] of [
      ['archive', 'restore'],
      ['sit-today', 'not-sit-today'],
    ] as const) {
      expect(await withPeople(deskOf(db, today), [ada], { kind: deed })).toEqual([ada]);
      expect(await withPeople(deskOf(db, today), [ada, bea], { kind: deed })).toEqual([bea]);
      expect((await withPeople(deskOf(db, today), [ada, bea], { kind: back })).length).toBe(2);
    }
  });
  test('who was put aside is on no sheet, though still in the group', async () => {
    const [ada, bea] = [await add({ name: 'Ada A' }), await add({ name: 'Bea B' })];
    await saveGroup(deskOf(db), 'group-1', { name: 'Walk', weekday: 1, time: '' });
    await withPeople(deskOf(db, today), [ada, bea], { kind: 'join', groupId: 'group-1' });
    await withPeople(deskOf(db, today), [ada], { kind: 'archive' });
    expect((await readSheetPeople(deskOf(db, today), 'group-1')).people.map((p) => p.name)).toEqual(['Bea B']);
  });
  test('medicines and contacts are not sent to the station, neither with the page nor before a start', async () => {
    const id = await addReady({ medicines: 'Quillipril', contact: { name: 'Kin Folk', phone: '555 0199' } });
    const sent = [await listStation(deskOf(db, today), [id]), await readStationRecord(deskOf(db), id)];
    for (const word of ['Quillipril', 'Kin Folk', '555 0199']) expect(JSON.stringify(sent)).not.toContain(word);
    expect(await readStationRecord(deskOf(db), 'nobody')).toBeUndefined();
  });
  test('the lines of the register are those of the day that is asked for', async () => {
    const id = await addReady();
    await noteToday(
      deskOf(db, today),
      id,
      { kind: 'day-check', signs: ['ill'], pulse: null, pressures: [], skippedBecause: null },
      'check-001',
    );
    const state = async (on: string) => (await allLines(deskOf(db, on))).lines[0]?.state;
    expect([await state(today), await state('2026-03-03'), await state(today)]).toEqual([
      'not-today',
      'not-tested',
      'not-today',
    ]);
  });
  test('no emergency number is assumed, and writing one changes nothing else', async () => {
    expect((await readPlace(deskOf(db))).emergencyNumber).toBe('');
    expect(await changeEmergencyNumber(deskOf(db), ' ')).toMatchObject({ kind: 'rejected' });
    expect(await changeEmergencyNumber(deskOf(db), '144')).toEqual({ kind: 'saved' });
    expect(await readPlace(deskOf(db))).toEqual({ ...usualPlace, emergencyNumber: '144' });
  });
});
