import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addDays } from '../core/math/days';
import { openRegister } from '../database/connection';
import { holdsOfFile } from '../database/copy';
import { copiesOf, copiesToKeep, copyOfTheDay, copyToMiss } from './copies';
import { deskOf } from './desk';
import { beDemo } from './places';
import { addPerson, emptyPersonForm } from './savePerson';

const today = '2026-03-02';

describe('every day', () => {
  const days = (count: number) => Array.from({ length: count }, (_, n) => addDays(today, -n));
  test('seven days are kept, and of the four weeks before the newest each', () => {
    // The second of March 2026 is a Monday: of the weeks before them the Sundays.
    expect(copiesToKeep(days(60), today)).toEqual([
      ...days(7),
      ...['2026-02-23', '2026-02-22', '2026-02-15', '2026-02-08'],
    ]);
    expect(copiesToKeep([], today)).toEqual([]);
  });
  test('whatever was copied when, the newest stays, and with a copy each day there are never more than eleven', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 90 })), (ago) => {
        const all = ago.map((n) => addDays(today, -n));
        const keep = copiesToKeep(all, today);
        if (ago.length > 0) expect(keep).toContain([...all].sort().at(-1));
        expect(keep.length).toBeLessThanOrEqual(11);
      }),
    );
  });
  test('kept from day to day there is always one of about each of the last four weeks', () => {
    let there: string[] = [];
    for (let n = 0; n < 100; n++) there = copiesToKeep([...there, addDays(today, n)], addDays(today, n));
    const ages = there
      .map((day) => (Date.parse(addDays(today, 99)) - Date.parse(day)) / 86_400_000)
      .sort((a, b) => a - b);
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(ages.at(-1)).toBeGreaterThanOrEqual(21);
  });
  test('one a day beside the register, none of the made-up hall; a week without one is told of', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'copies-'));
    const file = join(folder, 'register.sqlite');
    const db = await openRegister(file);
    await addPerson(deskOf(db, today), { ...emptyPersonForm, name: 'Ada Copied', birthDate: '1950-06-01' });
    expect(await copyToMiss(deskOf(db, today), 1, file)).toBe('never');
    // Something else in the place of the folder breaks no page.
    writeFileSync(copiesOf(file), '');
    expect(await copyToMiss(deskOf(db, today), 1, file)).toBe('never');
    await expect(copyOfTheDay(deskOf(db, today), file)).rejects.toThrow();
    rmSync(copiesOf(file));
    const made = await copyOfTheDay(deskOf(db, today), file);
    expect(made).toBe(join(copiesOf(file), 'register-2026-03-02.sqlite'));
    expect(holdsOfFile(made ?? '').people).toBe(1);
    expect(await copyOfTheDay(deskOf(db, today), file)).toBeNull();
    expect(await copyToMiss(deskOf(db, addDays(today, 7)), 1, file)).toBeNull();
    expect(await copyToMiss(deskOf(db, addDays(today, 8)), 1, file)).toBe(today);
    for (let n = 1; n < 60; n++) await copyOfTheDay(deskOf(db, addDays(today, n)), file);
    expect(readdirSync(copiesOf(file)).length).toBeLessThanOrEqual(11);
    await beDemo(deskOf(db, today));
    expect(await copyOfTheDay(deskOf(db, addDays(today, 80)), file)).toBeNull();
    expect(await copyToMiss(deskOf(db, addDays(today, 90)), 1, file)).toBeNull();
    await db.destroy();
    rmSync(folder, { recursive: true });
  });
});
