import { sql, type Kysely } from 'kysely';

/** Tables that name a person, as they stand from this version on; `of` is what a row is, seen from its trigger. */
const naming: readonly (readonly [table: string, of: (row: 'NEW' | 'OLD') => string])[] = [
  ...[
    'intake',
    'entry',
    'attempt',
    'attempt_trace',
    'decision',
    'group_member',
    'sitting_person',
    'printed_page',
    'class_event',
  ].map((table) => [table, (row: string) => `${row}.person_id`] as const),
];

/**
 * One word a thing: `halt` for the emergency, and by what an event was marked. Who acted is kept. A decision with its
 * levels takes the place of a level with all its facts; classes get their tables; every table that names a person says
 * so to their revision, whatever is done with its rows.
 */
export async function shapes(db: Kysely<unknown>): Promise<void> {
  const run = (statement: string) => sql.raw(statement).execute(db);
  for (const table of ['attempt_event', 'attempt_event_conflict']) {
    await run(`UPDATE OR REPLACE ${table} SET content_json = json_set(content_json, '$.kind', 'halt')
      WHERE json_extract(content_json, '$.kind') = 'hold'`);
    await run(`UPDATE OR REPLACE ${table} SET content_json = json_set(content_json, '$.by',
      CASE WHEN json_extract(content_json, '$.kind') IN ('end', 'gap') THEN 'page' ELSE 'key' END)
      WHERE json_extract(content_json, '$.by') = 'device' AND json_extract(content_json, '$.boot') IS NULL`);
  }
  await run(`ALTER TABLE attempt_event ADD COLUMN who TEXT NOT NULL DEFAULT 'this device'`);
  await run(`ALTER TABLE entry ADD COLUMN by TEXT NOT NULL DEFAULT 'this device'`);
  await run(
    `CREATE TABLE erasure (id INTEGER PRIMARY KEY, at TEXT NOT NULL, by TEXT NOT NULL, people INTEGER NOT NULL)`,
  );
  for (const [column, type, path] of [
    ['value', 'REAL', 'value'],
    ['outcome', 'TEXT', 'outcome'],
    ['hands_used', 'INTEGER', 'handsUsed'],
  ] as const)
    await run(`ALTER TABLE attempt ADD COLUMN ${column} ${type}
      GENERATED ALWAYS AS (json_extract(result_json, '$.${path}')) VIRTUAL`);
  await run(`CREATE INDEX attempt_by_test ON attempt (test, sitting_date, value)`);
  await decisions(run);
  await run(`CREATE TABLE class_session (key TEXT PRIMARY KEY, group_id TEXT REFERENCES person_group (id),
    day TEXT NOT NULL, plan_json TEXT NOT NULL, closed_at TEXT)`);
  await run(`CREATE TABLE class_event (key TEXT NOT NULL REFERENCES class_session (key), writer TEXT NOT NULL,
    seq INTEGER NOT NULL, person_id TEXT REFERENCES person (id), content_json TEXT NOT NULL,
    PRIMARY KEY (key, writer, seq))`);
  await run(`CREATE INDEX class_events_of_person ON class_event (person_id)`);
  await handedOut(db);
  // One box to lift, its height not known; what nobody has counted in this hall yet is none.
  await run(`UPDATE place SET content_json = json_remove(json_set(content_json,
    '$.cupboard.boxes', json(CASE WHEN json_extract(content_json, '$.cupboard.box') THEN '[{"heightCm":null,"count":1}]'
      ELSE '[]' END),
    '$.cupboard.railPlaces', 0, '$.cupboard.tables', 0, '$.cupboard.wallM', NULL), '$.cupboard.box')`);
  await countRevisions(db);
}

type Run = (statement: string) => Promise<unknown>;

/** Levels that were confirmed with one press, of one person at one moment, are one decision. */
async function decisions(run: Run): Promise<void> {
  await run(`CREATE TABLE decision (id TEXT PRIMARY KEY, person_id TEXT NOT NULL REFERENCES person (id),
    day TEXT NOT NULL, at TEXT NOT NULL, by TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('test', 'class', 'hand', 'swap')),
    rules_version TEXT NOT NULL, norms_version TEXT NOT NULL, facts_json TEXT NOT NULL)`);
  await run(`CREATE INDEX decision_of_person ON decision (person_id, day, at)`);
  await run(`CREATE TABLE level (decision_id TEXT NOT NULL REFERENCES decision (id), pattern TEXT NOT NULL,
    rung INTEGER NOT NULL, support TEXT NOT NULL, code TEXT NOT NULL, level_json TEXT NOT NULL,
    PRIMARY KEY (decision_id, pattern))`);
  const first = `SELECT min(f.rowid) FROM confirmed_level f WHERE f.person_id = c.person_id
    AND f.confirmed_at = c.confirmed_at`;
  await run(`INSERT INTO decision SELECT id, person_id, confirmed_on, confirmed_at, 'this device', 'test',
    rules_version, norms_version, facts_json FROM confirmed_level c WHERE c.rowid = (${first}) ORDER BY c.rowid`);
  await run(`INSERT OR REPLACE INTO level SELECT
    (SELECT id FROM confirmed_level d WHERE d.rowid = (${first})), pattern, rung, support, code, level_json
    FROM confirmed_level c ORDER BY c.rowid`);
  await run(`DROP TABLE confirmed_level`);
}

interface Page {
  readonly tests?: readonly { readonly series?: readonly { readonly sittings?: unknown }[] }[];
}

/** What a test gave is a result, also on pages that were handed out before. */
async function handedOut(db: Kysely<unknown>): Promise<void> {
  const { rows } = await sql<{ id: string; content_json: string }>`SELECT id, content_json FROM printed_page`.execute(
    db,
  );
  for (const { id, content_json } of rows) {
    const page = JSON.parse(content_json) as Page;
    const tests = (page.tests ?? []).map((test) => ({
      ...test,
      series: (test.series ?? []).map(({ sittings, ...series }) => ({ ...series, results: sittings })),
    }));
    await sql`UPDATE printed_page SET content_json = ${JSON.stringify({ ...page, tests })} WHERE id = ${id}`.execute(
      db,
    );
  }
}

async function countRevisions(db: Kysely<unknown>): Promise<void> {
  const { rows } = await sql<{ name: string }>`SELECT name FROM sqlite_master
    WHERE type = 'trigger' AND name LIKE 'revision\\_%' ESCAPE '\\'`.execute(db);
  for (const { name } of rows) await sql`DROP TRIGGER ${sql.id(name)}`.execute(db);
  const trigger = (name: string, when: string, table: string, ids: string) =>
    sql
      .raw(
        `CREATE TRIGGER revision_${name} AFTER ${when} ON ${table} BEGIN
      UPDATE person SET revision = revision + 1 WHERE id IN (${ids}); END`,
      )
      .execute(db);
  for (const [table, of] of naming) {
    await trigger(`${table}_added`, 'INSERT', table, of('NEW'));
    await trigger(`${table}_changed`, 'UPDATE', table, `${of('NEW')}, ${of('OLD')}`);
    await trigger(`${table}_gone`, 'DELETE', table, of('OLD'));
  }
  await trigger('person_changed', 'UPDATE OF name, birth_date, norm_table, archived_at', 'person', 'NEW.id');
  // A file that an attempt ever lay in says so, also when it lies elsewhere now.
  await trigger(
    'traces_changed',
    'UPDATE OF person_id, result_json',
    'attempt',
    'SELECT person_id FROM attempt_trace WHERE client_key = NEW.client_key',
  );
}
