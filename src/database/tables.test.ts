import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { inOne, openRegister, type Register } from './connection';
import { erasePeople, takeOut } from './erase';
import { undoImport } from './imports';
import { restoreRows, rowsOf } from './personRows';
import { belongingRows, foreignMentions, goesWithImport, personTables, writtenByImport } from './personTables';

const folder = mkdtempSync(join(tmpdir(), 'tables-'));
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

interface Column {
  readonly name: string;
  readonly type: string;
  readonly notnull: number;
  readonly dflt_value: string | null;
  readonly hidden: number;
}
const columnsOf = async (table: string): Promise<Column[]> =>
  (await sql<Column>`SELECT * FROM pragma_table_xinfo(${table})`.execute(db)).rows;
const tables = async (): Promise<string[]> =>
  (
    await sql<{ name: string }>`SELECT name FROM sqlite_master WHERE type = 'table'
      AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`.execute(db)
  ).rows.map((r) => r.name);
/** Columns of a table that refer to a person, by its foreign keys. */
const namingColumns = async (table: string): Promise<string[]> =>
  (
    await sql<{ from: string; table: string }>`SELECT "from", "table" FROM pragma_foreign_key_list(${table})`.execute(
      db,
    )
  ).rows
    .filter((k) => k.table === 'person')
    .map((k) => k.from);

test('every table that refers to a person is in the list, with triggers on adding, changing and taking away', async () => {
  const naming: string[] = [];
  for (const table of await tables())
    for (const column of await namingColumns(table)) naming.push(`${table}.${column}`);
  const listed = [
    ...personTables.map((t) => `${t}.person_id`),
    ...foreignMentions.map(({ table, column }) => `${table}.${column}`),
  ];
  expect(naming.sort()).toEqual(listed.sort());
  const { rows } = await sql<{ tbl_name: string; sql: string }>`SELECT tbl_name, sql FROM sqlite_master
    WHERE type = 'trigger'`.execute(db);
  for (const table of personTables)
    for (const deed of ['INSERT', 'UPDATE', 'DELETE'])
      expect([
        table,
        deed,
        rows.some((r) => r.tbl_name === table && r.sql.includes(`AFTER ${deed} ON ${table} `)),
      ]).toEqual([table, deed, true]);
});

test('no column is called after a person without being a key to one', async () => {
  const keyed = new Set<string>();
  const called: string[] = [];
  for (const table of await tables()) {
    for (const column of await namingColumns(table)) keyed.add(`${table}.${column}`);
    for (const { name } of await columnsOf(table)) if (name.includes('person')) called.push(`${table}.${name}`);
  }
  expect(called.filter((c) => !keyed.has(c))).toEqual([]);
});

/** A row with something in every column that must hold something. */
async function fill(table: string, known: Readonly<Record<string, unknown>>): Promise<void> {
  const columns = (await columnsOf(table)).filter((c) => c.hidden === 0);
  const values = columns.map((c) => {
    if (c.name in known) return known[c.name];
    if (c.dflt_value !== null || (c.notnull === 0 && c.type !== 'INTEGER')) return null;
    if (c.name.endsWith('_json')) return '{}';
    return c.type === 'TEXT' ? `a ${c.name}` : 1;
  });
  const given = columns.map((c, i) => [c.name, values[i]] as const).filter(([, v]) => v !== null);
  await sql`INSERT INTO ${sql.table(table)} (${sql.join(given.map(([n]) => sql.ref(n)))})
    VALUES (${sql.join(given.map(([, v]) => v))})`.execute(db);
}

test('erasing leaves no row of somebody in any table, and says that it was done without naming them', async () => {
  const keys = { client_key: 'c', key: 'k', decision_id: 'd' };
  for (const id of ['gone', 'stays']) await fill('person', { id, revision: 0 });
  for (const id of ['gone', 'stays']) {
    const own = Object.fromEntries(Object.entries(keys).map(([name, key]) => [name, `${key} of ${id}`]));
    await fill('attempt', { ...own, person_id: id, sent_for: id });
    await fill('class_session', own);
    await fill('person_group', { id: `group of ${id}` });
    await fill('decision', { id: own['decision_id'], person_id: id, kind: 'test' });
    for (const table of personTables)
      if (table !== 'attempt' && table !== 'decision')
        await fill(table, { ...own, id: `${table} of ${id}`, person_id: id, group_id: `group of ${id}`, seq: 1 });
    for (const { table } of belongingRows) if (table !== 'attempt_trace') await fill(table, { ...own, seq: 1 });
  }
  await sql`UPDATE attempt SET sent_for = 'gone' WHERE person_id = 'stays'`.execute(db);
  const before = new Map<string, number>();
  const count = async (table: string) =>
    (await sql<{ n: number }>`SELECT count(*) AS n FROM ${sql.table(table)}`.execute(db)).rows[0]?.n ?? 0;
  for (const table of [...personTables, ...belongingRows.map((b) => b.table)]) before.set(table, await count(table));
  await erasePeople(db, ['gone'], 'Bo', new Date('2026-03-02T10:00:00Z'));
  for (const [table, rows] of before) expect([table, await count(table)]).toEqual([table, rows / 2]);
  for (const table of await tables()) {
    const { rows } = await sql<Record<string, unknown>>`SELECT * FROM ${sql.table(table)}`.execute(db);
    const naming = rows.filter((row) => Object.values(row).some((v) => v === 'gone'));
    expect([table, naming]).toEqual([table, []]);
  }
  const { rows } = await sql`SELECT at, by, people FROM erasure`.execute(db);
  expect(rows).toEqual([{ at: '2026-03-02T10:00:00.000Z', by: 'Bo', people: 1 }]);
});

test('whatever is written of somebody raises their revision', async () => {
  const revision = async () =>
    (await sql<{ revision: number }>`SELECT revision FROM person WHERE id = 'stays'`.execute(db)).rows[0]?.revision ??
    0;
  for (const table of personTables) {
    const before = await revision();
    await sql`UPDATE ${sql.table(table)} SET person_id = person_id WHERE person_id = 'stays'`.execute(db);
    expect([table, await revision()]).not.toEqual([table, before]);
  }
});

test('value, outcome and hands are read out of the result, and asked for by an index of test and day', async () => {
  await fill('attempt', {
    ...{ client_key: 'counted', person_id: 'stays', test: 'chair-stand-30s', sitting_date: '2026-03-02' },
    result_json: JSON.stringify({ value: 0, outcome: 'done', handsUsed: true }),
  });
  const row = await db.selectFrom('attempt').selectAll().where('client_key', '=', 'counted').executeTakeFirst();
  expect(row).toMatchObject({ value: 0, outcome: 'done', hands_used: 1 });
  const plan = await sql<{ detail: string }>`EXPLAIN QUERY PLAN SELECT client_key FROM attempt
    WHERE test = 'chair-stand-30s' AND sitting_date = '2026-03-02' AND value > 3`.execute(db);
  expect(plan.rows.map((r) => r.detail).join()).toContain('attempt_by_test');
});

test('somebody put back from their rows is as they were, ids, stamps and all; put back twice nothing is changed', async () => {
  await erasePeople(db, ['stays'], 'Bo', new Date());
  await fill('person', { id: 'whole', revision: 0 });
  await fill('person', { id: 'before', revision: 0 });
  await fill('person_group', { id: 'their group' });
  const own = { client_key: 'their attempt', key: 'their class', decision_id: 'their decision' };
  await fill('attempt', { ...own, person_id: 'whole', sent_for: 'before' });
  await fill('class_session', own);
  await fill('decision', { id: own.decision_id, person_id: 'whole', kind: 'test' });
  for (const table of personTables)
    if (table !== 'attempt' && table !== 'decision')
      await fill(table, { ...own, id: `${table} of them`, person_id: 'whole', group_id: 'their group', seq: 1 });
  for (const { table } of belongingRows) if (table !== 'attempt_trace') await fill(table, { ...own, seq: 1 });
  const kept = await rowsOf(db, 'whole');
  expect(kept.filter((t) => t.rows.length === 0)).toEqual([]);
  await inOne(db, (trx) => takeOut(trx, 'whole'));
  expect((await rowsOf(db, 'whole')).flatMap((t) => t.rows)).toEqual([]);
  await restoreRows(db, kept);
  expect(await rowsOf(db, 'whole')).toEqual(kept);
  await expect(restoreRows(db, kept)).rejects.toThrow();
  expect(await rowsOf(db, 'whole')).toEqual(kept);
});

describe('an import taken back', () => {
  const imported = async (id: string): Promise<void> => {
    await fill('person', { id, import_id: 'the import', revision: 0 });
    await fill('intake', { id: `intake of ${id}`, person_id: id });
    await fill('group_member', { person_id: id, group_id: 'their group' });
    await fill('sitting_person', { person_id: id, day: '2026-03-02' });
  };
  test('leaves nothing of whom nothing more was noted, and everything of the others, whichever table it is', async () => {
    await fill('roster_import', { id: 'the import', undone_at: null });
    const more = personTables.filter((t) => !writtenByImport.has(t) && !goesWithImport.has(t));
    await imported('untouched');
    for (const table of more) {
      const id = `with ${table}`;
      await imported(id);
      const key = `key of ${id}`;
      if (table === 'attempt_trace')
        await fill('attempt', { client_key: key, person_id: 'before', sent_for: 'before' });
      if (table === 'class_event' || table === 'class_place') await fill('class_session', { key });
      await fill(table, {
        id: `row of ${id}`,
        client_key: key,
        key,
        person_id: id,
        sent_for: id,
        kind: 'test',
        seq: 1,
      });
    }
    const answer = await undoImport(db, 'the import', new Date());
    expect(answer).toEqual({ removed: 1, stayed: more.length });
    expect((await rowsOf(db, 'untouched')).flatMap((t) => t.rows)).toEqual([]);
    for (const table of more)
      expect((await rowsOf(db, `with ${table}`)).flatMap((t) => t.rows).length).toBeGreaterThan(4);
  });
});
