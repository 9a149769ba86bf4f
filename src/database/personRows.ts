import { sql } from 'kysely';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';
import { belongingRows, personTables } from './personTables';

type Row = Readonly<Record<string, unknown>>;

/** Everything of one person as it lies in the file, table by table, with its ids and stamps. */
export type PersonRows = readonly { readonly table: string; readonly rows: readonly Row[] }[];

/** Reads all rows of a person, those that others lean on first. */
export async function rowsOf(db: Register, id: PersonId): Promise<PersonRows> {
  const own = personTables.map((table) => ({ table, where: sql`person_id = ${id}` }));
  // Traces name the person themselves, and are read as such.
  const belonging = belongingRows
    .filter(({ table }) => !personTables.some((t) => t === table))
    .map(({ table, by, of, key }) => ({
      table,
      where: sql`${sql.ref(by)} IN (SELECT ${sql.ref(key)} FROM ${sql.table(of)} WHERE person_id = ${id})`,
    }));
  const all: { table: string; rows: readonly Row[] }[] = [];
  for (const { table, where } of [{ table: 'person', where: sql`id = ${id}` }, ...own, ...belonging]) {
    const columns = await columnsOf(db, table);
    const { rows } = await sql<Row>`SELECT ${sql.join(columns.map((c) => sql.ref(c)))} FROM ${sql.table(table)}
      WHERE ${where} ORDER BY rowid`.execute(db);
    all.push({ table, rows });
  }
  return all;
}

/** Columns that are written; those read out of others by the file itself are left out. */
async function columnsOf(db: Register, table: string): Promise<string[]> {
  const { rows } = await sql<{
    name: string;
    hidden: number;
  }>`SELECT name, hidden FROM pragma_table_xinfo(${table})`.execute(db);
  return rows.filter((c) => c.hidden === 0).map((c) => c.name);
}

/**
 * Puts a person back as they were read, ids and stamps kept, all or nothing.
 * @throws where somebody with this id is there, or a row leans on something that is gone
 */
export async function restoreRows(db: Register, kept: PersonRows): Promise<void> {
  await inOne(db, async (trx) => {
    for (const { table, rows } of kept)
      for (const row of rows)
        await sql`INSERT INTO ${sql.table(table)} (${sql.join(Object.keys(row).map((c) => sql.ref(c)))})
          VALUES (${sql.join(Object.values(row))})`.execute(trx);
    // Adding the rows counted as so many changes; the person is as they were.
    for (const { table, rows } of kept)
      if (table === 'person')
        for (const { id, revision } of rows)
          await sql`UPDATE person SET revision = ${revision} WHERE id = ${id}`.execute(trx);
  });
}
