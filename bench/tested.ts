// A register of made-up people who were tested: tsx bench/tested.ts FILE PEOPLE RESULTS [DAY]. A few are put in through the
// use cases, with all that is asked, tested and confirmed; the others are copies of their rows under names and ids of their own.
import { randomUUID } from 'node:crypto';
import SQLite from 'better-sqlite3';
import { questionIds } from '../src/core/shapes/intake';
import { codesWaiting, confirmLevels } from '../src/use-cases/confirmLevels';
import { deskOf } from '../src/use-cases/desk';
import { enterSheet } from '../src/use-cases/enterSheet';
import { openRegister, type Register } from '../src/use-cases/openRegister';
import { noteToday } from '../src/use-cases/saveEntry';
import { addPerson, emptyPersonForm } from '../src/use-cases/savePerson';

const tests = ['chair-stand-30s', 'four-stage', 'up-and-go-8ft', 'step-2min', 'arm-curl'];
const firstValues = [9, 3, 7.4, 70, 12];
const firsts = ['Alda', 'Bero', 'Cilia', 'Dorn', 'Edda', 'Fenn', 'Gisla', 'Hagen', 'Irma', 'Jorn'];
const lasts = ['Averly', 'Brodd', 'Calder', 'Dunmore', 'Eskil', 'Farrow', 'Grieve', 'Hollin', 'Ister', 'Jessel'];
const [file = '', people = '5000', results = '50', today = '2026-03-02'] = process.argv.slice(2);
const before = (days: number): string => new Date(Date.parse(today) - days * 86_400_000).toISOString().slice(0, 10);

/** One of ten who differ in age, in how long ago they were tested and in what they bring along. */
async function somebody(db: Register, n: number): Promise<string> {
  const saved = await addPerson(
    deskOf(db, before(900 - n)),
    {
      ...emptyPersonForm,
      ...{
        name: `Model ${n}`,
        birthDate: `${1934 + 3 * n}-0${(n % 9) + 1}-1${n}`,
        normTable: n % 2 ? 'female' : 'male',
      },
      ...{ heightCm: 158 + n, massKg: 60 + n, toComplete: [] },
      pains: n % 3 ? [] : [{ joint: 'knee', side: 'L', level: 4, since: null, asked: true }],
    },
    { evenSo: true },
  );
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  const { id } = saved;
  const days = Math.ceil(Number(results) / tests.length);
  for (let d = 0; d < days; d++) {
    const day = before(5 + 7 * n + 80 * (days - 1 - d));
    const answers = Object.fromEntries(questionIds.map((q) => [q, q === 'active']));
    if (d % 4 === 0) await noteToday(deskOf(db, day), id, { kind: 'screening', answers }, randomUUID());
    const lines = tests.map((test, t) => ({
      ...{ key: randomUUID(), personId: id, test, side: null, aid: 'none', outcome: 'done', help: null },
      ...{
        tries: [(firstValues[t] ?? 0) + ((d + n) % (test === 'four-stage' ? 2 : 5))],
        handsUsed: false,
        cleanBeforeHands: null,
      },
    }));
    const entered = await enterSheet(deskOf(db, day), {
      testedOn: day,
      who: '',
      seatHeightCm: 43,
      shoes: 'flat',
      lines,
    });
    if (entered.kind !== 'saved') throw new Error(JSON.stringify(entered));
    if (d % 5 !== 0 && d < days - 1) continue;
    const codes = await codesWaiting(deskOf(db, day), id);
    if (codes.length > 0) await confirmLevels(deskOf(db, day), id, codes);
  }
  return id;
}

const db = await openRegister(file);
const models: string[] = [];
for (let n = 0; n < 10; n++) models.push(await somebody(db, n));
await db.destroy();

const raw = new SQLite(file);
const columns = (table: string): string[] =>
  (raw.pragma(`table_xinfo(${table})`) as { name: string; hidden: number }[])
    .filter((c) => c.hidden === 0)
    .map((c) => c.name);
/** The rows of a table again, with other words for some columns. */
function copier(table: string, where: string, changed: Readonly<Record<string, string>>) {
  const names = columns(table);
  const values = names.map((name) => changed[name] ?? `"${name}"`);
  return raw.prepare(
    `INSERT INTO ${table} (${names.map((name) => `"${name}"`).join(', ')}) SELECT ${values.join(', ')} FROM ${table} WHERE ${where}`,
  );
}
const own = (key: string) => `@mark || ${key}`;
const ofPerson = 'person_id = @model';
const copies = [
  copier('person', 'id = @model', { id: '@id', name: '@name', external_id: 'NULL', sent_hash: 'NULL' }),
  copier('intake', ofPerson, { id: own('id'), person_id: '@id' }),
  copier('entry', ofPerson, { id: own('id'), person_id: '@id' }),
  copier('attempt', ofPerson, { client_key: own('client_key'), person_id: '@id', sent_for: '@id' }),
  copier('attempt_trace', ofPerson, { client_key: own('client_key'), person_id: '@id' }),
  copier('attempt_event', `client_key IN (SELECT client_key FROM attempt WHERE ${ofPerson})`, {
    client_key: own('client_key'),
  }),
  copier('decision', ofPerson, { id: own('id'), person_id: '@id' }),
  copier('level', `decision_id IN (SELECT id FROM decision WHERE ${ofPerson})`, { decision_id: own('decision_id') }),
];
raw.transaction(() => {
  for (let n = models.length; n < Number(people); n++) {
    const name = `${firsts[n % 10]} ${lasts[Math.floor(n / 10) % 10]}${'abcdefghij'[Math.floor(n / 100) % 10]}${n}`;
    const who = { model: models[n % models.length], id: randomUUID(), name, mark: `${n}-` };
    for (const copy of copies) copy.run(who);
  }
})();
raw.close();
