import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { openRegister, type Register } from '../database/connection';
import { deskOf } from './desk';
import { allLines } from './everybody';
import { changeHouse, readRules, shippedHouse } from './rules';
import { questionIds } from '../core/shapes/intake';
import { noteToday } from './saveEntry';
import { addPerson, addWalkIn, emptyPersonForm } from './savePerson';
import { readPerson } from './readPeople';
import { readRecord } from './readRecords';
import { knownOn } from '../core/intake/known';

const today = '2026-03-02';
let db: Register;
beforeEach(async () => {
  db = await openRegister(':memory:');
});
afterEach(() => db.destroy());
const desk = () => deskOf(db, today);
const house = async () => (await readRules(desk())).levels;

describe('the house rules of a hall', () => {
  test('what is changed is in force and makes rules of its own version; as shipped again, the shipped ones hold', async () => {
    const shipped = await house();
    expect(await changeHouse(desk(), { ...shippedHouse, firstClasses: 5, oldAfterWeeks: 12 })).toEqual({
      kind: 'saved',
    });
    expect((await house()).house).toMatchObject({ firstClasses: 5, oldAfterDays: 84, usualSeatCm: 46 });
    expect((await house()).version).not.toBe(shipped.version);
    await changeHouse(desk(), shippedHouse);
    expect(await house()).toEqual(shipped);
  });
  test('what cannot be is told where it stands, and nothing is kept', async () => {
    const answer = await changeHouse(desk(), { ...shippedHouse, firstClasses: 99, usualSeatCm: 20 });
    expect(answer.kind === 'rejected' && answer.errors.map((e) => e.path).sort()).toEqual([
      '/firstClasses',
      '/usualSeatCm',
    ]);
    expect((await house()).house).toMatchObject({ firstClasses: 2, usualSeatCm: 46 });
  });
  test('what another device changed since the form was opened stays; both the same field: it is asked', async () => {
    await changeHouse(desk(), { ...shippedHouse, firstClasses: 3 });
    expect(await changeHouse(desk(), { ...shippedHouse, fallsForCare: 1 }, shippedHouse)).toEqual({ kind: 'saved' });
    expect((await house()).house).toMatchObject({ firstClasses: 3, fallsForCare: 1 });
    const clash = await changeHouse(desk(), { ...shippedHouse, firstClasses: 4 }, shippedHouse);
    expect(clash).toMatchObject({ kind: 'changed', clashes: [{ path: ['firstClasses'], mine: 4, theirs: 3 }] });
  });
  test('falls for care reach the questions too, and light work while a disease is asked about reaches the levels', async () => {
    const form = { ...emptyPersonForm, name: 'Ada', birthDate: '1948-11-02', normTable: 'female' as const };
    const added = await addPerson(desk(), form);
    if (added.kind !== 'saved') throw new Error(added.kind);
    const answers = Object.fromEntries(questionIds.map((id) => [id, id === 'disease']));
    expect(await noteToday(desk(), added.id, { kind: 'screening', answers }, 'questions-1')).toMatchObject({
      kind: 'created',
    });
    const open = async () =>
      (await readPerson(desk(), added.id))?.levels.levels.map((l) => `${l.pattern}${l.rung}`).join(' ');
    const before = await open();
    await changeHouse(desk(), { ...shippedHouse, fallsForCare: 3, lightWhileAsking: true });
    expect((await readRules(desk())).readiness.fallsForCare).toBe(3);
    expect([before, await open()]).toEqual(['S1 B1', 'S1 H1 B1']);
  });
  test('a change reaches everybody in the register at once', async () => {
    const form = { ...emptyPersonForm, name: 'Ada', birthDate: '1948-11-02', normTable: 'female' as const };
    const added = await addPerson(desk(), form);
    if (added.kind !== 'saved') throw new Error(added.kind);
    await allLines(desk());
    await changeHouse(desk(), { ...shippedHouse, firstClasses: 9 });
    expect((await readPerson(desk(), added.id))?.levels.rulesVersion).toContain('house rules of this hall');
  });
});

describe('a walk-in', () => {
  const form = {
    ...{ name: 'Ada', ageYears: 77, normTable: 'female', disease: false, active: true, operation: false },
    ...{ falls: 'none', pains: [] },
  };
  const checked = async (symptoms: boolean) => {
    const added = await addWalkIn(desk(), { ...form, symptoms });
    if (added.kind !== 'saved') throw new Error(added.kind);
    const { readiness } = await readRules(desk());
    return { id: added.id, known: knownOn(await readRecord(desk(), added.id), today, readiness) };
  };
  test('the first answer is the check of the day: nobody is asked for chest pain twice', async () => {
    const { known } = await checked(false);
    expect(known?.dayCheck?.content).toMatchObject({ signs: [], skippedBecause: null });
    expect(known?.readiness.outcome).toBe('ready');
  });
  test('somebody with a symptom is asked about it, and no check says that they are well', async () => {
    const { known } = await checked(true);
    expect(known?.dayCheck ?? null).toBeNull();
    expect(known?.readiness.outcome).toBe('ask-first');
  });
});
