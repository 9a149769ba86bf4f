import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { protocols } from '../catalogue/protocols';
import { listAttempts } from '../database/attempts';
import { openRegister, type Register } from '../database/connection';
import { blank, cellNames, rowsOf, toLine } from '../screens/sheet/sheetRows';
import { enterSheet } from './enterSheet';
import { questionIds } from '../core/shapes/intake';
import { noteToday } from './saveEntry';
import { readPerson } from './readPeople';
import { rebuildResults, saveAttempt } from './saveAttempt';
import { addPerson, changePerson, emptyPersonForm } from './savePerson';
import { deskOf } from './desk';

const today = '2026-03-02';
const folder = mkdtempSync(join(tmpdir(), 'sheet-'));
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

async function somebody(name: string): Promise<string> {
  const form = { ...emptyPersonForm, name, birthDate: '1948-05-06', normTable: 'female', heightCm: 160, massKg: 64 };
  const saved = await addPerson(deskOf(db, today), form, { evenSo: true });
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  return saved.id;
}
const sheet = (lines: readonly object[], more: object = {}) => ({
  ...{ testedOn: today, who: 'Bo', seatHeightCm: 43, shoes: 'flat' },
  ...more,
  lines,
});
const line = (personId: string, test: string, tries: readonly number[], more: object = {}) => ({
  ...{ key: `key-${crypto.randomUUID()}`, personId, test, side: null, aid: 'none', outcome: 'done' },
  ...{ tries, handsUsed: false, cleanBeforeHands: null, seconds: null, help: null },
  ...more,
});
const stored = async () => (await listAttempts(db)).length;

describe('a sheet from paper', () => {
  test('every test of the product table is taken with a result in its range, and read back out of its events', async () => {
    const id = await somebody('Alda Averly');
    const middle = {
      'four-stage': 3,
      'floor-transfer': 20,
      'lowest-seat': 43,
      'up-and-go-8ft': 8,
      'fan-reach': 2,
    } as Record<string, number>;
    const rows = rowsOf([{ id, name: 'Alda Averly' }], protocols);
    const lines = rows.map((row, i) => {
      const cells = cellNames(row.protocol).map(() =>
        String(row.protocol.asksSeconds ? 10 : (middle[row.protocol.id] ?? 6)),
      );
      return toLine(row, { ...blank, cells }, `all-tests-${i}`);
    });
    expect(await enterSheet(deskOf(db, today), sheet(lines))).toEqual({ kind: 'saved', results: rows.length });
    const view = await readPerson(deskOf(db, today), id);
    expect(view?.tests.map((t) => t.test)).toEqual(protocols.map((p) => p.id));
    expect(view?.tests.find((t) => t.test === 'four-stage')?.series[0]?.results[0]?.result).toMatchObject({
      value: 4,
      seconds: { sideBySide: 10, oneLeg: 10 },
    });
    expect(
      view?.tests
        .find((t) => t.test === 'one-leg')
        ?.series.map((s) => s.side)
        .sort(),
    ).toEqual(['L', 'R']);
    expect(await rebuildResults(deskOf(db))).toEqual([]);
  });
  test('best of two or three and the mean of three by the rule of the test; every try is kept', async () => {
    const id = await somebody('Bero Brodd');
    await enterSheet(
      deskOf(db, today),
      sheet([
        line(id, 'up-and-go-8ft', [8.4, 7.9]),
        line(id, 'reach-forward', [24, 25, 27.5]),
        line(id, 'one-leg', [3.1, 8, 5], { side: 'L' }),
      ]),
    );
    const view = await readPerson(deskOf(db, today), id);
    const of = (test: string) => view?.tests.find((t) => t.test === test)?.series[0]?.results[0]?.result;
    expect([of('up-and-go-8ft')?.value, of('reach-forward')?.value, of('one-leg')?.value]).toEqual([7.9, 25.5, 8]);
    expect(of('one-leg')?.trials).toEqual([3.1, 8, 5]);
    expect(view?.tests[0]?.series[0]?.results[0]).toMatchObject({ fromPaper: true, who: 'Bo' });
  });
  test('one line with a fault and nothing of the sheet is kept; the fault says which line and what is asked', async () => {
    const id = await somebody('Cilia Calder');
    const before = await stored();
    const answer = await enterSheet(
      deskOf(db, today),
      sheet([line(id, 'arm-curl', [12]), line(id, 'one-leg', [61], { side: 'L' }), line(id, 'step-2min', [70.5])]),
    );
    expect(answer).toEqual({
      kind: 'rejected',
      errors: [
        { path: '/lines/1/tries', message: '61: a number from 0 to 45 s.' },
        { path: '/lines/2/tries', message: '70.5: a whole number from 0 to 300 steps.' },
      ],
    });
    expect(await stored()).toBe(before);
  });
  test('sent twice it stands once; the same line with another result is refused', async () => {
    const id = await somebody('Dorn Dunmore');
    const one = line(id, 'arm-curl', [12]);
    await enterSheet(deskOf(db, today), sheet([one]));
    const before = await stored();
    expect((await enterSheet(deskOf(db, today), sheet([one]))).kind).toBe('saved');
    expect(await stored()).toBe(before);
    expect((await enterSheet(deskOf(db, today), sheet([{ ...one, tries: [13] }]))).kind).toBe('rejected');
  });
  test('a line that was saved before with another result keeps the whole sheet back, also the lines before it', async () => {
    const id = await somebody('Dina Dray');
    const one = line(id, 'arm-curl', [12]);
    await enterSheet(deskOf(db, today), sheet([one]));
    const before = await stored();
    const answer = await enterSheet(deskOf(db, today), sheet([line(id, 'step-2min', [70]), { ...one, tries: [13] }]));
    expect(answer.kind === 'rejected' && answer.errors.map((e) => e.path)).toEqual(['/lines/1/tries']);
    expect(await stored()).toBe(before);
    expect((await readPerson(deskOf(db, today), id))?.tests.map((t) => t.test)).toEqual(['arm-curl']);
  });
  test('unable and not tried are results without a number, and a number beside them is refused', async () => {
    const id = await somebody('Edda Eskil');
    await enterSheet(
      deskOf(db, today),
      sheet([
        line(id, 'five-stands', [], { outcome: 'unable' }),
        line(id, 'chair-stand-30s', [], { outcome: 'not-tried' }),
        line(id, 'floor-transfer', [], { help: 'person' }),
      ]),
    );
    const view = await readPerson(deskOf(db, today), id);
    expect(view?.tests.map((t) => [t.test, t.series[0]?.results[0]?.result.outcome])).toEqual([
      ['chair-stand-30s', 'not-tried'],
      ['five-stands', 'unable'],
      ['floor-transfer', 'done'],
    ]);
    expect([view?.lead, view?.lastTestedOn]).toEqual([null, null]);
    const wrong = sheet([line(id, 'five-stands', [12], { outcome: 'unable' })]);
    expect((await enterSheet(deskOf(db, today), wrong)).kind).toBe('rejected');
  });
  test('a day to come, a missing seat and an empty sheet are refused', async () => {
    const id = await somebody('Fenn Farrow');
    const errors = async (input: object) => {
      const answer = await enterSheet(deskOf(db, today), input);
      return answer.kind === 'rejected' ? answer.errors.map((e) => e.path) : [];
    };
    expect(await errors(sheet([line(id, 'arm-curl', [9])], { testedOn: '2026-03-03' }))).toEqual(['/testedOn']);
    expect(await errors(sheet([line(id, 'chair-stand-30s', [9])], { seatHeightCm: null }))).toEqual(['/seatHeightCm']);
    expect(await errors(sheet([]))).toEqual(['/lines']);
    expect(await errors(sheet([line('nobody', 'arm-curl', [9])]))).toEqual(['/lines/0/tries']);
  });
  test('what was closed to them on its day is asked once; done all the same it is kept as such, and opens no level', async () => {
    const id = await somebody('Fenna Foss');
    const form = { ...emptyPersonForm, birthDate: '1948-05-06', normTable: 'female', heightCm: 160, massKg: 64 };
    const limiters = [{ kind: 'cannot-lie' }];
    const answers = Object.fromEntries(questionIds.map((q) => [q, q === 'active']));
    await noteToday(deskOf(db, today), id, { kind: 'screening', answers }, 'questions-fenna');
    await changePerson(deskOf(db, today), id, { ...form, name: 'Fenna Foss', limiters });
    const lines = [line(id, 'floor-transfer', [12], { help: 'none' }), line(id, 'chair-stand-30s', [12])];
    const before = await stored();
    expect(await enterSheet(deskOf(db, today), sheet(lines))).toMatchObject({
      kind: 'closed',
      closed: [{ name: 'Fenna Foss', closedBy: 'cannot lie down' }],
    });
    expect((await stored()) - before).toBe(0);
    expect(await enterSheet(deskOf(db, today), sheet(lines, { despite: true }))).toMatchObject({ kind: 'saved' });
    const kept = (await listAttempts(db)).filter((a) => a.personId === id);
    expect(kept.map((a) => a.conditions.despite ?? null).sort()).toEqual(['cannot lie down', null]);
    // Lying down again, the transfer still opens nothing: it was done when it was closed.
    await changePerson(deskOf(db, today), id, { ...form, name: 'Fenna Foss' });
    const view = await readPerson(deskOf(db, today), id);
    expect(view?.levels.levels.find((l) => l.pattern === 'B')?.blockers.map((b) => b.fact)).toContain('floorTransfer');
  });
  test('whatever is typed, a sheet is saved whole or not at all', async () => {
    const id = await somebody('Gisla Grieve');
    const typed = fc.record({
      protocol: fc.constantFrom(...protocols),
      cells: fc.array(fc.oneof(fc.double({ min: -500, max: 500, noNaN: true }), fc.constant('x')), { maxLength: 4 }),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(typed, { minLength: 1, maxLength: 5 }), async (lines) => {
        const before = await stored();
        const sent = lines.map(({ protocol, cells }) => line(id, protocol.id, cells as number[]));
        const answer = await enterSheet(deskOf(db, today), sheet(sent));
        expect((await stored()) - before).toBe(answer.kind === 'saved' ? lines.length : 0);
      }),
      { numRuns: 60 },
    );
  });
});

test('a measured test is not taken down tap by tap', async () => {
  const id = await somebody('Hagen Hollin');
  const stamp = { seq: 0, atMs: 0, wallMs: 0, by: 'key' };
  const body = {
    ...{ personId: id, test: 'one-leg', protocolVersion: 1, sittingDate: today, side: 'L', conditions: {} },
    events: [{ ...stamp, kind: 'rep' }],
  };
  const saved = await saveAttempt(deskOf(db, today), 'tapped-one-leg', body);
  expect(saved).toMatchObject({ kind: 'rejected', errors: [{ path: '/events/0/kind' }] });
});
