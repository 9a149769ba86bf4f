import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openRegister, type Register } from '../database/connection';
import { dateFault, dateOrderOf, matchColumns, readDate, readTable } from '../formats/roster';
import { askRegister, wholeRegister } from './everybody';
import { readGroups } from './groups';
import { previewRoster, readLastImport, takeRoster, undoRoster, type RosterChoice } from './importRoster';
import { importPeople } from './openApi';
import { noteToday } from './saveEntry';
import { deskOf } from './desk';

const today = '2026-03-02';
const asItIs: RosterChoice = { columns: null, dateOrder: null, units: 'metric' };
const folder = mkdtempSync(join(tmpdir(), 'import-'));
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});
const everybody = async () => (await askRegister(deskOf(db, today), wholeRegister)).everybody;

describe('reading a roster', () => {
  test('columns by their heads, in any case, with accents and signs', () => {
    expect(matchColumns(['Sex', 'NAME', 'date-of-birth', 'Height (cm)', 'Weight'])).toEqual({
      normTable: 0,
      name: 1,
      birthDate: 2,
      height: 3,
      mass: 4,
    });
    expect(matchColumns(['Name', 'First name', 'Born'])).toEqual({ lastName: 0, firstName: 1, birthDate: 2 });
  });
  test('separators and the byte order mark are found by themselves', () => {
    for (const sep of [',', ';', '\t', '|'])
      expect(readTable(`\uFEFFname${sep}born\nA B${sep}1950-01-02\n\n`)).toEqual({
        heads: ['name', 'born'],
        rows: [{ cells: ['A B', '1950-01-02'], line: 2, fault: null }],
      });
  });
  test('lines are those an editor shows: a cell over two lines and an empty line move what follows', () => {
    const { rows } = readTable('name,note\nA,"one\ntwo"\n\nB,plain\r\nC,"a\r\nb"\nD,"never closed\n');
    expect(rows.map((r) => [r.cells[0], r.line])).toEqual([
      ['A', 2],
      ['B', 5],
      ['C', 6],
      ['D', 8],
    ]);
    expect(rows.map((r) => r.fault)).toEqual([null, null, null, 'a quotation mark is opened and never closed']);
  });
  test('the order of day and month is told by a date that can be read one way only', () => {
    expect(dateOrderOf(['03/04/1950', '28/05/1949'])).toBe('dmy');
    expect(dateOrderOf(['03/04/1950', '05/28/1949'])).toBe('mdy');
    expect(dateOrderOf(['1950-04-03'])).toBe('ymd');
    expect(dateOrderOf(['03/04/1950', '05/06/1949'])).toBeNull();
  });
  test.each([
    ['28.05.1949', 'dmy', '1949-05-28'],
    ['5/28/1949', 'mdy', '1949-05-28'],
    ['1949-5-28', 'ymd', '1949-05-28'],
    ['28.05.49', 'dmy', null],
    ['31.02.1949', 'dmy', null],
    ['', 'dmy', null],
  ] as const)('%s read %s is %s', (text, order, wanted) => {
    expect(readDate(text, order)).toBe(wanted);
  });
  test.each([
    ['28.13.1949', 'dmy', 'There is no month 13. This file was read as day, month, year.'],
    ['13/28/1949', 'dmy', 'There is no month 28. This file was read as day, month, year.'],
    ['30.02.1950', 'dmy', 'There is no day 30 in month 2 of 1950. This file was read as day, month, year.'],
    ['07.07.47', 'dmy', 'Write the year in full, such as 1949.'],
    ['28.03.1949', 'dmy', null],
    ['spring', 'dmy', null],
  ] as const)('of %s, read as %s, the wrong part is told', (text, order, words) => {
    expect(dateFault(text, order)).toBe(words);
  });
});

const roster =
  'Name;First name;Born;Sex;Height;Weight;Class\nOkonjo;Mirabel;14.03.1951;f;158;61;Tuesday 10:00\n' +
  'Drayton;Ansel;02.11.1946;m;176;80;Tuesday 10:00\nLost;Tim;31.02.1949;m;;;\nFennimore;Tilda;30.06.1948;w;1.63;70;\n' +
  'Okonjo;Mirabel;14.03.1951;f;158;61;\nTall;Tom;01.01.1950;m;999;80;\n';

describe('taking a roster', () => {
  test('the preview tells good, bad and double rows with their lines, and keeps nothing', async () => {
    const preview = await previewRoster(deskOf(db, today), roster, asItIs);
    expect(preview).toMatchObject({ good: 3, bad: 2, doubles: 1, dateOrder: 'dmy', stop: null });
    expect(preview.faults.map((f) => [f.line, f.who, f.message])).toEqual([
      [4, 'Tim Lost', '“31.02.1949”: There is no day 31 in month 2 of 1949. This file was read as day, month, year.'],
      [6, 'Mirabel Okonjo', 'is in the register already, or twice in this file: left out'],
      [7, 'Tom Tall', '“999”: Height must be a number from 120 to 220 cm.'],
    ]);
    expect(await everybody()).toBe(0);
  });
  test('the good rows are taken with their group, once; the whole is undone but for those of whom more is known', async () => {
    const taken = await takeRoster(deskOf(db, today), 'import-1', 'spring.csv', roster, asItIs);
    expect(taken).toEqual({ kind: 'taken', importId: 'import-1', added: 3, leftOut: 3 });
    expect(await takeRoster(deskOf(db, today), 'import-1', 'spring.csv', roster, asItIs)).toMatchObject({ added: 3 });
    expect([await everybody(), (await readGroups(deskOf(db))).map((g) => g.name)]).toEqual([3, ['Tuesday 10:00']]);
    expect(await readLastImport(deskOf(db))).toMatchObject({ fileName: 'spring.csv', added: 3 });
    const [ansel] = (await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Ansel' })).lines;
    const pain = { kind: 'pain', joint: 'hip', side: 'L', level: 2, since: null };
    await noteToday(deskOf(db, today), ansel?.id ?? '', pain, 'pain-0001');
    expect(await undoRoster(deskOf(db), 'import-1')).toEqual({ kind: 'undone', removed: 2, stayed: 1 });
    expect(await undoRoster(deskOf(db), 'import-1')).toEqual({ kind: 'not-found' });
    expect(await everybody()).toBe(1);
  });
  test('a file that must be asked about first is not taken, and says what to choose', async () => {
    const stops = async (text: string) => (await previewRoster(deskOf(db, today), text, asItIs)).stop;
    expect(await stops('name,born\nA B,03/04/1950\n')).toMatch(/day or with the month/);
    expect(await stops('who,born\nA B,1950-04-03\n')).toMatch(/No column for the name/);
    expect(await stops('name,age\nA B,70\n')).toMatch(/No column for the birth date/);
    expect(await stops('name,born\n')).toMatch(/no row/);
    expect(await stops('')).toMatch(/empty/);
    expect((await takeRoster(deskOf(db, today), 'import-2', 'x.csv', 'name,born\nA B,03/04/1950\n', asItIs)).kind).toBe(
      'refused',
    );
  });
  test('how to read it comes in the address; a wrong word there is refused by name', async () => {
    const ask = (query: string) => importPeople(deskOf(db, today), new URLSearchParams(query), 'a,b\nA Bee,3/4/1950\n');
    expect(await ask('dry=true&dateOrder=mdy&columns={"name":0,"birthDate":1}')).toMatchObject({
      kind: 'preview',
      preview: { good: 1, firstGood: [{ birthDate: '1950-03-04' }] },
    });
    expect(await ask('dry=true&columns={"shoe":1}')).toMatchObject({
      kind: 'rejected',
      errors: [{ path: '/columns' }],
    });
    expect(await ask('dateOrder=late&dry=maybe')).toMatchObject({ kind: 'rejected' });
  });
});

/** A small generator with a fixed seed, so that a file that breaks can be made again. */
function chance(seed: number): () => number {
  let s = seed;
  return () => {
    s = (s * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return s / 4_294_967_296;
  };
}

const shards = [
  '"',
  '""',
  ',',
  ';',
  '\t',
  '\n',
  '\r\n',
  '\r',
  '\u0000',
  '\uFEFF',
  '1950-01-02',
  '31.12.1948',
  '99/99/9999',
  'ä',
  '😀',
  "=cmd|' /C calc'!A0",
  '<b>',
  '-1',
  '1e9',
  'NaN',
  '\\',
  '  ',
  'name',
  'born',
];

function brokenFile(seed: number): string {
  const next = chance(seed);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)] as T;
  const lines = Array.from(
    { length: 1 + Math.floor(next() * 12) },
    (_, i) => `Nora ${seed} ${i},19${40 + i}-0${1 + (i % 9)}-1${i % 10},f,16${i % 10}`,
  );
  let text = next() < 0.8 ? ['name,born,sex,height', ...lines].join('\n') : lines.join(pick(['\n', '\r', ';']));
  for (let n = Math.floor(next() * 9); n > 0; n--) {
    const at = Math.floor(next() * text.length);
    text = text.slice(0, at) + pick(shards) + text.slice(at + Math.floor(next() * 6));
  }
  return next() < 0.1 ? text.slice(0, Math.floor(next() * text.length)) : text;
}

test(
  '500 broken files: none throws, each takes exactly the rows its preview promised, or none',
  { timeout: 120_000 },
  async () => {
    let taken = 0;
    let refused = 0;
    for (let seed = 1; seed <= 500; seed++) {
      const text = brokenFile(seed);
      const before = await everybody();
      const preview = await previewRoster(deskOf(db, today), text, asItIs);
      const answer = await takeRoster(deskOf(db, today), `fuzz-${seed}`, 'broken.csv', text, asItIs);
      const after = await everybody();
      if (answer.kind === 'taken') {
        taken++;
        expect([answer.added, after - before]).toEqual([preview.good, preview.good]);
        expect(await undoRoster(deskOf(db), `fuzz-${seed}`)).toEqual({
          kind: 'undone',
          removed: preview.good,
          stayed: 0,
        });
      } else {
        refused++;
        expect(preview.stop).not.toBeNull();
        expect(after).toBe(before);
      }
      expect(await everybody()).toBe(before);
    }
    expect(taken).toBeGreaterThan(150);
    expect(refused).toBeGreaterThan(50);
  },
);
