import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { addDays } from '../core/math/days';
import { openRegister, type Register } from '../database/connection';
import { deskOf } from './desk';
import { allLines, askRegister, linesOf, wholeRegister } from './everybody';
import { takeRoster } from './importRoster';
import { changePlace, usualPlace } from './places';
import { noteToday } from './saveEntry';

const today = '2026-03-02';
let folder: string;
let db: Register;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lines-'));
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

/** So many people, of whom every birthday is a day of 2026 on which their line turns. */
async function people(count: number, born: (n: number) => string): Promise<void> {
  const rows = Array.from({ length: count }, (_, n) => `Person ${String(n).padStart(3, '0')},${born(n)},f`);
  const text = ['Name,Born,Sex', ...rows].join('\n');
  const asItIs = { columns: null, dateOrder: null, units: 'metric' } as const;
  const taken = await takeRoster(deskOf(db, today), 'roster-0001', 'roster.csv', text, asItIs);
  expect(taken.kind).toBe('taken');
}
async function allRead(day: string): Promise<void> {
  for (;;) {
    if ((await allLines(deskOf(db, day))).behind === 0) return;
    await new Promise((later) => setImmediate(later));
  }
}
const ask = (day: string, more: object = {}) => askRegister(deskOf(db, day), { ...wholeRegister, limit: 10, ...more });

test('of many who came at once all are found by name at once, and those who are shown are read first', async () => {
  await people(200, () => '1950-06-01');
  const first = await ask(today, { search: 'Person 150' });
  expect([first.everybody, first.lines[0]?.name, first.lines[0]?.state]).toEqual([200, 'Person 150', 'to-ask']);
  expect(first.behind).toBeGreaterThan(100);
  expect((await allLines(deskOf(db, today))).lines.some((l) => l.state === 'being-read')).toBe(true);
  await allRead(today);
  expect((await allLines(deskOf(db, today))).lines.every((l) => l.state === 'to-ask' && !l.behind)).toBe(true);
});

test('on the next morning only those whose day came are worked out, and the answer does not wait for them', async () => {
  // All but twenty turn a year older on the third of March.
  await people(200, (n) => (n < 20 ? '1950-06-01' : '1950-03-03'));
  await allRead(today);
  const tomorrow = addDays(today, 1);
  const first = await ask(tomorrow, { offset: 190 });
  expect(first.lines.map((l) => [l.ageYears, l.behind ?? false])).toEqual(
    Array.from({ length: 10 }, () => [76, false]),
  );
  // Of the hundred and eighty ten were shown.
  expect(first.behind).toBeLessThanOrEqual(170);
  expect(first.behind).toBeGreaterThan(60);
  const older = (await allLines(deskOf(db, tomorrow))).lines.filter((l) => l.ageYears === 75);
  expect(older.length).toBeGreaterThan(60);
  await allRead(tomorrow);
  expect((await allLines(deskOf(db, tomorrow))).lines.filter((l) => l.ageYears === 76)).toHaveLength(180);
});

test('a line that is shown while others wait says so where it is from before', async () => {
  await people(200, () => '1950-03-03');
  await allRead(today);
  const page = await ask(addDays(today, 1), { limit: 200 });
  const [now, before] = [page.lines.filter((l) => !l.behind), page.lines.filter((l) => l.behind)];
  expect(now.length).toBeGreaterThanOrEqual(60);
  expect(now.every((l) => l.ageYears === 76)).toBe(true);
  expect(before.length).toBeGreaterThan(0);
  expect(before.every((l) => l.ageYears === 75)).toBe(true);
  await allRead(addDays(today, 1));
});

test('what is written of somebody shows at once, also while everybody else waits for a change of the hall', async () => {
  await people(200, () => '1950-06-01');
  await allRead(today);
  const [somebody] = (await ask(today, { search: 'Person 077' })).lines;
  if (!somebody) throw new Error('nobody found');
  expect(
    (await changePlace(deskOf(db, today), { ...usualPlace, emergencyNumber: '112', name: 'Lindenhalle' })).kind,
  ).toBe('saved');
  const check = { kind: 'day-check', signs: ['ill'], pulse: null, pressures: [], skippedBecause: null };
  await noteToday(deskOf(db, today), somebody.id, check, 'check-0001');
  const lines = await linesOf(deskOf(db, today), [somebody.id]);
  expect(lines.get(somebody.id)?.state).toBe('not-today');
  expect((await ask(today)).behind).toBeGreaterThan(60);
  await allRead(today);
});

test('a clock put back, and forward again, is a day like any other; before the first intake nothing is known', async () => {
  await people(70, () => '1950-03-03');
  const ageOn = async (day: string) => {
    await allRead(day);
    return (await ask(day)).lines[0]?.ageYears;
  };
  const days = [addDays(today, 1), today, addDays(today, -1), addDays(today, 1)];
  const ages = [];
  for (const day of days) ages.push(await ageOn(day));
  expect(ages).toEqual([76, 75, null, 76]);
});
