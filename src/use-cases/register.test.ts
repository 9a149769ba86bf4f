import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { questionIds } from '../core/shapes/intake';
import { openRegister, type Register } from '../database/connection';
import { demoCopy } from '../demo/demoCopy';
import { lookForDoubles } from './doubles';
import { askRegister, wholeRegister } from './everybody';
import { erasePerson, groupsToday, readGroups, readSitting, saveGroup, seatGroup, withPeople } from './groups';
import { askPeople, describePerson, postPerson } from './openApi';
import { keepPrinted, readReport } from './printedPages';
import { codesWaiting, confirmLevels } from './confirmLevels';
import { readPerson } from './readPeople';
import { enterSheet } from './enterSheet';
import { saveAttempt } from './saveAttempt';
import { noteToday, saveEntry } from './saveEntry';
import { addPerson, addWalkIn, changePerson, emptyPersonForm, toPersonForm } from './savePerson';
import { listStation } from './station';
import { testsToday } from './testsToday';
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

const form = { ...emptyPersonForm, name: 'Wilma Testerin', birthDate: '1948-05-06', heightCm: 160, massKg: 64 };
async function add(more: object = {}): Promise<string> {
  const saved = await addPerson(deskOf(db, today), { ...form, ...more });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  return saved.id;
}
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
const waiting = (id: string) => codesWaiting(deskOf(db, today), id);
const names = async (question: object) =>
  (await askRegister(deskOf(db, today), { ...wholeRegister, ...question })).lines.map((l) => l.name);
const well = Object.fromEntries(questionIds.map((id) => [id, id === 'active']));

describe('finding somebody', () => {
  beforeEach(async () => {
    await db.destroy();
    db = await demoCopy(today);
  });
  test.each([
    ['Tverra', 'Agnes Tverrå'],
    ['hallstrom dov', 'Dov Hallström'],
    ['Brandvol', 'Odile Brandvoll'],
    ['odlie', 'Odile Brandvoll'],
    ['Rekedal', 'Tomasz Rekkedal'],
    ['Penoway', 'Pilar Ennoway'],
  ])('%s is %s', async (search, name) => {
    expect((await names({ search }))[0]).toBe(name);
  });
  test('a level code finds who trains on it, whole or in part, in any case', async () => {
    const all = await askRegister(deskOf(db, today), wholeRegister);
    const on = (code: string) =>
      all.lines.filter((l) => [...l.codes, ...l.waitingCodes].some((c) => c.startsWith(code)));
    expect(on('S5/43/').length).toBeGreaterThan(1);
    expect((await names({ search: 's5/43/' })).sort()).toEqual(
      on('S5/43/')
        .map((l) => l.name)
        .sort(),
    );
    expect((await names({ search: 'S5' })).length).toBe(on('S5/').length);
    expect(await names({ search: 'S9' })).toEqual([]);
    // On every ladder, not the squat alone.
    expect((await names({ search: 'h6/' })).sort()).toEqual(
      on('H6/')
        .map((l) => l.name)
        .sort(),
    );
    expect(on('H6/').length).toBeGreaterThan(2);
  });
  test('filters, groups and sorting', async () => {
    expect(await names({ filter: 'not-tested' })).toEqual(['Casper Oyelaran', 'Maud Jessop']);
    expect(await names({ filter: 'to-complete' })).toEqual(['Maud Jessop']);
    expect(await names({ filter: 'held' })).toEqual(['Adelheid Pomm', 'Greta Munthal', 'Ruben Sastry']);
    const byAge = await askRegister(deskOf(db, today), { ...wholeRegister, sort: 'age', down: true });
    expect(byAge.lines.slice(0, 2).map((l) => l.ageYears)).toEqual([93, 91]);
    const [group] = await readGroups(deskOf(db));
    expect((await names({ groupId: group?.id })).length).toBeGreaterThan(4);
    expect((await names({ sort: 'due' })).at(-1)).toBe('Maud Jessop');
  });
  test('pages add up to everybody, once each', async () => {
    const pages = [0, 10, 20].map((offset) => names({ offset, limit: 10 }));
    const all = (await Promise.all(pages)).flat();
    expect([all.length, new Set(all).size]).toEqual([24, 24]);
  });
  test('what is written of somebody shows at once, and only they are worked out anew', async () => {
    const [line] = (await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Casper' })).lines;
    const id = line?.id ?? '';
    await enterSheet(deskOf(db, today), paper(id, 12));
    expect((await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Casper' })).lines[0]?.newest?.value).toBe(
      12,
    );
    await changePerson(deskOf(db, today), id, { ...form, name: 'Casper Newname', birthDate: '1965-01-01' });
    expect(await names({ search: 'Newname' })).toEqual(['Casper Newname']);
    expect(await names({ search: 'Oyelaran' })).toEqual([]);
  });
});

describe('doubles', () => {
  test('born that day with a name like it, or of the very name; else nobody', async () => {
    await add();
    const like = async (name: string, birthDate: string) =>
      (await lookForDoubles(deskOf(db), { id: 'new', name, birthDate })).length;
    expect(await like('Vilma Testerin', '1948-05-06')).toBe(1);
    expect(await like('Testerin Wilma', '1950-01-01')).toBe(1);
    expect(await like('Wilma Tester', '1950-01-01')).toBe(0);
    expect(await like('Somebody Else', '1948-05-06')).toBe(0);
  });
  test('nothing is saved until it is said that this is somebody else', async () => {
    await add();
    expect((await addPerson(deskOf(db, today), form)).kind).toBe('double');
    expect((await addPerson(deskOf(db, today), form, { evenSo: true })).kind).toBe('saved');
    expect((await names({})).length).toBe(2);
  });
});

describe('groups, result, archive', () => {
  test('several go into a group and into the sitting of the day; each deed has its opposite', async () => {
    const ids = [await add({ name: 'Anna Aar' }), await add({ name: 'Berta Bro' }), await add({ name: 'Cora Cam' })];
    const group = { name: 'Monday 10:00', weekday: 1, time: '10:00' };
    expect((await saveGroup(deskOf(db), 'group-1', group)).kind).toBe('saved');
    expect(await saveGroup(deskOf(db), 'group-2', { ...group, time: '25:00', weekday: 8 })).toMatchObject({
      kind: 'rejected',
    });
    await withPeople(deskOf(db, today), ids.slice(0, 2), { kind: 'join', groupId: 'group-1' });
    expect(await names({ groupId: 'group-1' })).toEqual(['Anna Aar', 'Berta Bro']);
    expect(await groupsToday(deskOf(db, today))).toEqual([{ id: 'group-1', name: 'Monday 10:00', people: 2 }]);
    await seatGroup(deskOf(db, today), 'group-1');
    expect((await readSitting(deskOf(db, today))).sort()).toEqual(ids.slice(0, 2).sort());
    expect(await groupsToday(deskOf(db, today))).toEqual([]);
    const station = await listStation(deskOf(db, today), ids.slice(2, 3));
    expect([station.sitting, station.people.length]).toEqual([true, 3]);
    await withPeople(deskOf(db, today), ids, { kind: 'not-sit-today' });
    await withPeople(deskOf(db, today), ids, { kind: 'leave', groupId: 'group-1' });
    expect([await readSitting(deskOf(db, today)), await names({ groupId: 'group-1' })]).toEqual([[], []]);
  });
  test('put aside: in no list and no search, and back with everything', async () => {
    const id = await add();
    await withPeople(deskOf(db, today), [id], { kind: 'archive' });
    expect([await names({}), await names({ search: 'Wilma' })]).toEqual([[], []]);
    expect(await names({ filter: 'archived' })).toEqual(['Wilma Testerin']);
    await withPeople(deskOf(db, today), [id], { kind: 'restore' });
    expect(await names({ search: 'Wilma' })).toEqual(['Wilma Testerin']);
  });
});

describe('a walk-in', () => {
  const six = { symptoms: false, disease: false, active: true, operation: false, falls: 'none' as const, pains: [] };
  test('is in the line at once; what was not asked closes what depends on it, until it is asked', async () => {
    const saved = await addWalkIn(deskOf(db, today), {
      name: 'Ada Nightly',
      ageYears: 77,
      normTable: 'female',
      ...six,
    });
    if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
    const view = await readPerson(deskOf(db, today), saved.id);
    if (!view) throw new Error('gone');
    expect([view.ageYears, view.known.readiness.outcome, view.path.next.step]).toEqual([77, 'ready', 'test']);
    const open = await testsToday(deskOf(db), view);
    const closed = (test: string) => open.find((t) => t.protocol.id === test)?.closedBy.join() ?? '';
    expect(closed('chair-stand-30s')).toBe('');
    expect(closed('floor-transfer')).toContain('cannot lie down: not asked yet');
    const asked = { ...toPersonForm(view.person, view.known.intake, view.known.pains), toComplete: [] };
    await changePerson(deskOf(db, today), saved.id, asked);
    const later = await readPerson(deskOf(db, today), saved.id);
    expect(later?.known.limiters).toEqual([]);
  });
  test('with symptoms the answer is ask first; with falls, ready with care', async () => {
    const of = async (name: string, more: object) => {
      const saved = await addWalkIn(deskOf(db, today), { name, ageYears: 70, normTable: null, ...six, ...more });
      return saved.kind === 'saved'
        ? (await readPerson(deskOf(db, today), saved.id))?.known.readiness.outcome
        : saved.kind;
    };
    expect(await of('Bea One', { symptoms: true })).toBe('ask-first');
    expect(await of('Cleo Two', { falls: 'hurt-or-more' })).toBe('ready-with-care');
    expect(await of('Dora Three', { falls: 'one' })).toBe('ready');
    expect(await of('Effi Four', { symptoms: undefined })).toBe('rejected');
  });
});

describe('entries', () => {
  const check = { kind: 'day-check', signs: ['ill'], pulse: null, pressures: [], skippedBecause: null };
  test('the same key again changes nothing; with other content it is a conflict', async () => {
    const id = await add();
    const body = { personId: id, on: today, content: check };
    expect((await saveEntry(deskOf(db, today), 'check-0001', body)).kind).toBe('created');
    expect((await saveEntry(deskOf(db, today), 'check-0001', body)).kind).toBe('known');
    expect((await saveEntry(deskOf(db, today), 'check-0001', { ...body, content: { ...check, signs: [] } })).kind).toBe(
      'conflict',
    );
    expect((await readPerson(deskOf(db, today), id))?.known.readiness.outcome).toBe('not-today');
  });
  test('faults by field: a day to come, nobody, an unknown kind, a pressure upside down, limits not written', async () => {
    const id = await add();
    const faults = async (body: object) => {
      const answer = await saveEntry(deskOf(db, today), 'check-0002', {
        personId: id,
        on: today,
        content: check,
        ...body,
      });
      return answer.kind === 'rejected' ? answer.errors.map((e) => e.path) : answer.kind;
    };
    expect(await faults({ on: '2026-03-03' })).toEqual(['/on']);
    expect(await faults({ personId: 'nobody' })).toEqual(['/personId']);
    expect(await faults({ content: { kind: 'mood' } })).toEqual(['/content/kind']);
    expect(await faults({ content: { ...check, pressures: [{ systolic: 80, diastolic: 90 }] } })).toEqual([
      '/content/pressures/0',
    ]);
    expect(
      await faults({ content: { kind: 'clearance', by: 'Dr A', answer: 'may-with-limits', limits: '', until: null } }),
    ).toEqual(['/content/limits']);
    expect(await faults({ content: { ...check, mood: 1 } })).toEqual(['/content/mood']);
  });
  test('a form sent twice notes a fall once; two falls of one day in one form are two', async () => {
    const id = await add();
    const fall = { fellOn: today, hurt: false, lookedAt: false, headStruck: false, unexplained: false };
    const twice = { ...form, falls: [fall, fall] };
    await changePerson(deskOf(db, today), id, twice, { key: 'form-key' });
    await changePerson(deskOf(db, today), id, twice, { key: 'form-key' });
    expect((await readPerson(deskOf(db, today), id))?.known.falls).toHaveLength(2);
  });
});

describe('erase', () => {
  test('no trace of the person in the file, its -wal or its -shm; others keep all', async () => {
    const id = await add({
      name: 'Xaveria Quillfeather',
      medicines: 'zorbamycin',
      contact: { name: 'Ottokar Quillfeather', phone: '555 0199' },
      pains: [{ joint: 'knee', side: 'L', level: 4, since: null, asked: true }],
    });
    const other = await add({ name: 'Berta Bro' });
    await noteToday(deskOf(db, today), id, { kind: 'screening', answers: well }, 'screening-1');
    await noteToday(
      deskOf(db, today),
      id,
      { kind: 'clearance', by: 'Dr Zebulon', answer: 'may', limits: '', until: null },
      'answer-001',
    );
    await enterSheet(deskOf(db, today), paper(id, 9));
    await confirmLevels(deskOf(db, today), id, await waiting(id));
    await withPeople(deskOf(db, today), [id, other], { kind: 'sit-today' });
    const view = await readPerson(deskOf(db, today), id);
    if (!view) throw new Error('Xaveria is gone already');
    const { fingerprint } = await readReport(deskOf(db, today), view, { reader: 'person', percent: false });
    const printed = { reader: 'person', percent: false, fingerprint };
    expect(await keepPrinted(deskOf(db, today, new Date()), id, printed)).toEqual({ kind: 'kept' });
    // A trial that was theirs for a moment and went back names them in its events.
    const stamp = (seq: number) => ({ seq, atMs: seq, wallMs: seq, by: 'hand' });
    const events = [
      { ...stamp(0), kind: 'entered', value: 8, handsUsed: false },
      { ...stamp(1), kind: 'move', toPersonId: id, reason: 'swapped chairs' },
      { ...stamp(2), kind: 'move', toPersonId: other, reason: 'and back' },
    ];
    const body = {
      personId: other,
      test: 'chair-stand-30s',
      protocolVersion: 1,
      sittingDate: today,
      conditions: {},
      events,
    };
    await saveAttempt(deskOf(db, today), 'moved-001', body);
    const traces = ['Quillfeather', 'zorbamycin', 'Zebulon', '555 0199', id];
    const found = () => {
      const text = ['', '-wal', '-shm']
        .map((part) => `${file}${part}`)
        .filter((path) => existsSync(path))
        .map((path) => readFileSync(path, 'latin1'))
        .join('');
      return traces.filter((trace) => text.includes(trace));
    };
    expect(found()).toEqual(traces);
    expect(await erasePerson(deskOf(db), id, 'Xaveria')).toEqual({ kind: 'name-differs' });
    expect(await readPerson(deskOf(db, today), id)).toBeDefined();
    expect(await erasePerson(deskOf(db), id, 'Xaveria Quillfeather ')).toEqual({ kind: 'erased' });
    expect(found()).toEqual([]);
    expect(await names({})).toEqual(['Berta Bro']);
    expect((await readPerson(deskOf(db, today), other))?.lead?.series[0]?.results[0]?.result.value).toBe(8);
    expect(await erasePerson(deskOf(db), id, 'Xaveria Quillfeather')).toEqual({ kind: 'not-found' });
  });
});

describe('the open interface to people', () => {
  test('a person with a name and a birth date is taken; all that was not sent waits', async () => {
    const saved = await postPerson(deskOf(db, today), { name: 'Ada Sent', birthDate: '1950-02-03' });
    if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
    const body = await describePerson(deskOf(db, today), saved.id);
    expect(body).toMatchObject({ name: 'Ada Sent', ageYears: 76, readiness: { outcome: 'ask-first', asked: 'never' } });
    expect((await askRegister(deskOf(db, today), wholeRegister)).lines[0]?.toComplete).toBe(6);
    expect((await postPerson(deskOf(db, today), { name: 'Ada Sent', birthDate: '1950-02-03' })).kind).toBe('double');
  });
  test('unknown and wrong fields are refused by name', async () => {
    const answer = await postPerson(deskOf(db, today), {
      name: 'A',
      birthDate: '1950-02-30',
      shoeSize: 40,
      heightCm: 'tall',
    });
    expect(answer.kind === 'rejected' && [...new Set(answer.errors.map((e) => e.path))].sort()).toEqual([
      '/birthDate',
      '/heightCm',
      '/name',
      '/shoeSize',
    ]);
    const asked = await askPeople(deskOf(db, today), new URLSearchParams('limit=many&filter=late&colour=red'));
    expect(asked.kind === 'rejected' && asked.errors.map((e) => e.path).sort()).toEqual([
      '/colour',
      '/filter',
      '/limit',
    ]);
  });
});
