import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { daySets } from '../catalogue/testing-day/daySets';
import { instructor, type DayEvent } from '../core/shapes/day';
import { boardsOn } from './boards';
import { deskOf } from './desk';
import { erasePerson, withPeople } from './groups';
import { noteHelper, readHelpers, tellOfHelper } from './helpers';
import { openRegister, type Register } from './openRegister';
import { saveAttempt } from './saveAttempt';
import { addWalkIn } from './savePerson';
import { furtherTests, joinDay, leftOver, offerToday, readDay, saveDayNote, staffOf, testsOfDay } from './testingDay';

const day = '2026-03-02';
let db: Register;
let ids: string[];
const desk = (on = day) => deskOf(db, on, new Date(`${on}T09:00:00Z`));
beforeEach(async () => {
  db = await openRegister(':memory:');
  ids = [];
  for (const name of ['Aino Vest', 'Berit Lund', 'Carl Moe']) {
    const added = await addWalkIn(desk(), { ...well, name });
    if (added.kind !== 'saved') throw new Error(JSON.stringify(added));
    ids.push(added.id);
  }
  await withPeople(desk(), ids, { kind: 'sit-today' });
});
afterEach(() => db.destroy());

const well = {
  ...{ ageYears: 77, normTable: 'female', symptoms: false, disease: false, active: true, operation: false },
  ...{ falls: 'none', pains: [] },
};
let n = 0;
const note = (event: DayEvent, on = day, key = `note-${n++}`) =>
  saveDayNote(desk(on), on, key, { wallMs: Date.parse(`${on}T09:00:00Z`) + n, event });
const plan: DayEvent = { kind: 'plan', tests: daySets.first, staff: [instructor], minutes: 60 };
const result = (personId: string, test: string, value: number, on = day, side: 'L' | 'R' | null = null) =>
  saveAttempt(desk(on), `attempt-${n++}`, {
    ...{ personId, test, protocolVersion: 1, sittingDate: on, side, conditions: {} },
    events: [
      { seq: 0, atMs: 0, wallMs: Date.parse(`${on}T09:30:00Z`), by: 'hand', kind: 'entered', value, handsUsed: false },
    ],
  });

describe('notes of a testing day', () => {
  test('are kept once, in the order they came; the same key with other words changes nothing', async () => {
    expect(await note(plan, day, 'first-note')).toEqual({ kind: 'created' });
    const again = { wallMs: 5, event: plan };
    expect(await saveDayNote(desk(), day, 'first-note', again)).toEqual({ kind: 'conflict' });
    await note({ kind: 'call', staff: instructor, people: [ids[0] ?? ''], tests: ['four-stage'] });
    expect((await readDay(desk(), day)).notes.map((of) => of.event.kind)).toEqual(['plan', 'call']);
    expect((await readDay(desk(), '2026-03-01')).notes).toEqual([]);
  });
  test('say what is wrong with them, and none of it is kept', async () => {
    const said = async (event: object, on = day) => {
      const saved = await saveDayNote(desk(), on, `note-${n++}`, { wallMs: 1, event });
      return saved.kind === 'rejected' ? saved.errors.map((e) => `${e.path} ${e.message}`) : saved.kind;
    };
    expect(await said({ kind: 'left', personId: 'nobody', why: '' })).toEqual([
      '/event names somebody who is not in the register',
    ]);
    expect(await said({ kind: 'plan', tests: ['jumps'], staff: [instructor], minutes: 60 })).toEqual([
      '/event/tests no test is called jumps',
    ]);
    expect(await said({ kind: 'plan', tests: [], staff: [instructor], minutes: 6000 })).toEqual([
      '/event/minutes must be a whole number from 10 to 240 minutes',
    ]);
    expect(await said({ kind: 'jump' })).toHaveLength(1);
    expect(await said({ ...plan }, '2026-03-03')).toEqual([' this day is still to come: note it on the day']);
    expect((await readDay(desk(), day)).notes).toEqual([]);
  });
  test('go with whom they name', async () => {
    await note({ kind: 'left', personId: ids[0] ?? '', why: 'the bus' });
    await note({ kind: 'left', personId: ids[1] ?? '', why: 'a visit' });
    await erasePerson(desk(), ids[0] ?? '', 'Aino Vest');
    expect((await readDay(desk(), day)).notes).toMatchObject([{ event: { why: 'a visit' } }]);
  });
});

test('what was measured on the day stands beside its notes, both sides together', async () => {
  await result(ids[0] ?? '', 'chair-stand-30s', 12);
  await result(ids[0] ?? '', 'one-leg', 9, day, 'L');
  expect((await readDay(desk(), day)).results).toMatchObject([
    { test: 'chair-stand-30s', state: 'done', values: [12] },
  ]);
  await result(ids[0] ?? '', 'one-leg', 11, day, 'R');
  expect((await readDay(desk(), day)).results).toMatchObject([{ values: [12] }, { test: 'one-leg', values: [9, 11] }]);
});

test('the next morning says what was left: planned and not done, put off, not what was done since or on paper', async () => {
  expect(await leftOver(desk('2026-03-03'))).toBeNull();
  await note(plan);
  const [a = '', b = '', c = ''] = ids;
  await result(a, 'four-stage', 4);
  await note({ kind: 'paper', personId: a, tests: ['one-leg'] });
  await note({ kind: 'later', personId: b, tests: ['step-2min'] });
  await result(c, 'chair-stand-30s', 10, '2026-03-03');
  const left = await leftOver(desk('2026-03-04'));
  expect(left?.day).toBe(day);
  expect(left?.people.map(({ name, tests }) => [name, tests])).toEqual([
    ['Aino Vest', ['chair-stand-30s']],
    ['Berit Lund', [...daySets.first, 'step-2min']],
    ['Carl Moe', ['four-stage', 'one-leg']],
  ]);
});

test('the seconds of earlier days replace those of the table', async () => {
  for (const on of ['2026-02-02', '2026-02-09', '2026-02-16', '2026-02-23', '2026-03-01']) {
    const at = Date.parse(`${on}T09:00:00Z`);
    const call = { kind: 'call', staff: instructor, people: [ids[0]], tests: ['chair-stand-30s'] };
    expect(await saveDayNote(desk(on), on, `call-${on}`, { wallMs: at, event: call })).toEqual({ kind: 'created' });
    await saveAttempt(desk(on), `attempt-of-${on}`, {
      ...{ personId: ids[0], test: 'chair-stand-30s', protocolVersion: 1, sittingDate: on, side: null, conditions: {} },
      events: [{ seq: 0, atMs: 0, wallMs: at + 95_000, by: 'hand', kind: 'entered', value: 11, handsUsed: false }],
    });
  }
  const { tests, own } = await testsOfDay(desk());
  expect(own).toEqual(['chair-stand-30s']);
  expect(tests.find((t) => t.id === 'chair-stand-30s')?.takesS).toBe(95);
});

test('staff are the instructor and helpers by their ticks; who spots may count', async () => {
  await noteHelper(desk(), { name: 'Mira' });
  await noteHelper(desk(), { name: 'Olli' });
  const [mira, olli] = await readHelpers(desk());
  await tellOfHelper(desk(), { id: mira?.id ?? '', task: 'spot', may: true });
  await tellOfHelper(desk(), { id: olli?.id ?? '', task: 'count', may: true });
  expect(staffOf(await readHelpers(desk())).map((s) => s.may)).toEqual([
    ['instructor', 'spots', 'counts'],
    ['spots', 'counts'],
    ['counts'],
  ]);
});

test('a further test is offered only where one alone keeps a next rung closed, with whom and which', async () => {
  for (const id of ids)
    for (const [t, v] of [
      ['four-stage', 4],
      ['chair-stand-30s', 14],
    ] as const)
      await result(id, t, v);
  for (const { test: t, opens } of await furtherTests(desk(), ids)) {
    expect(daySets.full).not.toContain(t);
    for (const { rungs } of opens) expect(rungs.join()).toMatch(/^[SLHB]\d(,[SLHB]\d)*$/);
  }
});

test('other boards that are open on a day are counted while they ask', () => {
  expect(boardsOn(day, 'one', 0)).toBe(0);
  expect(boardsOn(day, 'two', 1000)).toBe(1);
  expect(boardsOn('2026-03-01', 'three', 1000)).toBe(0);
  expect(boardsOn(day, 'one', 2000)).toBe(1);
  expect(boardsOn(day, 'one', 17_000)).toBe(0);
});

test('who walks in is at the end of the board; a third within the hour is for the next class day, and said there', async () => {
  const [a = '', b = '', c = ''] = ids;
  expect(await joinDay(desk(), a)).toBeNull();
  await note({ ...plan, tests: ['step-2min'] });
  expect([
    await joinDay(desk(), a),
    await joinDay(desk(), b),
    await joinDay(desk(), a),
    await joinDay(desk(), c),
  ]).toEqual(['board', 'board', 'board', 'later']);
  await withPeople(desk(), [c], { kind: 'not-sit-today' });
  const left = await leftOver(desk('2026-03-04'));
  expect(left?.people.find((p) => p.id === c)?.tests).toEqual(daySets.walkIn);
});

test('what fits is offered for those who may start; who is held, or whose age nobody knows, is named', async () => {
  const offer = await offerToday(desk(), [instructor], 60);
  expect(offer).toMatchObject({ planned: 3, notPlanned: [], proposed: 'full' });
  const said = offer.sets.map((s) => [s.id, s.minutes > 12, s.leastMinutes <= s.minutes, s.unstaffed]);
  expect(said).toEqual(['full', 'first', 'rest', 'battery'].map((id) => [id, true, true, []]));
  expect(offer.sets[0]?.minutes).toBeGreaterThan(offer.sets[1]?.minutes ?? Infinity);
  expect(await offerToday(desk(), [instructor], 15)).toMatchObject({ proposed: 'first' });
  expect([...((await offerToday(desk(), [], 60)).sets[1]?.unstaffed ?? [])].sort()).toEqual([...daySets.first].sort());
  const unwell = await addWalkIn(desk(), { ...well, name: 'Dora Unwell', symptoms: true });
  if (unwell.kind !== 'saved') throw new Error(unwell.kind);
  await withPeople(desk(), [unwell.id], { kind: 'sit-today' });
  expect((await offerToday(desk(), [instructor], 60)).notPlanned).toMatchObject([{ name: 'Dora Unwell', why: 'held' }]);
});

test('with nobody who may spot beside the instructor it is said what one more would save', async () => {
  const alone = await offerToday(desk(), [instructor], 60);
  expect(alone.withSpotter).toBeLessThan(alone.sets.find((s) => s.id === 'first')?.minutes ?? 0);
  await noteHelper(desk(), { name: 'Mira' });
  const [mira] = await readHelpers(desk());
  await tellOfHelper(desk(), { id: mira?.id ?? '', task: 'spot', may: true });
  const two = await offerToday(desk(), [instructor, mira?.id ?? ''], 60);
  expect([two.withSpotter, two.sets.find((s) => s.id === 'first')?.minutes]).toEqual([null, alone.withSpotter]);
});

test('who has no birth date that can be read is named, and the others are planned', async () => {
  await db
    .updateTable('person')
    .set({ birth_date: '' })
    .where('id', '=', ids[0] ?? '')
    .execute();
  expect(await offerToday(desk(), [instructor], 60)).toMatchObject({
    planned: 2,
    notPlanned: [{ name: 'Aino Vest', why: 'no-age', words: 'the age is not known: write the date of birth' }],
  });
});
