import { sql } from 'kysely';
import type { Intake } from '../core/shapes/intake';
import type { Group, Person } from '../core/shapes/person';
import { inOne, type Register } from './connection';
import { finishErasing, markLog, takeOut } from './erase';
import { saveGroup } from './groups';
import { goesWithImport, personTables, writtenByImport } from './personTables';
import { toIntakeRow, toPersonRow } from './people';
import type { Schema } from './schema';

export interface ImportedPerson {
  readonly person: Person;
  readonly intake: Intake;
  readonly groupId: string | null;
}

/** Rows written in one statement; SQLite takes so many values at once. */
const batch = 500;

/** How an import was sent, to know the same one again. */
export interface ImportSent {
  readonly id: string;
  readonly fileName: string;
  readonly sentHash: string;
}

/** Takes a whole roster or nothing. */
export async function addImport(
  db: Register,
  { id: importId, fileName, sentHash }: ImportSent,
  people: readonly ImportedPerson[],
  groups: readonly Group[],
  at: Date,
): Promise<void> {
  await inOne(db, async (trx) => {
    await trx
      .insertInto('roster_import')
      .values({
        id: importId,
        at: at.toISOString(),
        file_name: fileName,
        added: people.length,
        undone_at: null,
        sent_hash: sentHash,
      })
      .execute();
    for (const group of groups) await saveGroup(trx, group);
    for (let i = 0; i < people.length; i += batch) {
      const some = people.slice(i, i + batch);
      await trx
        .insertInto('person')
        .values(some.map(({ person }) => toPersonRow(person, at, importId)))
        .execute();
      await trx
        .insertInto('intake')
        .values(some.map(({ person, intake }) => toIntakeRow(person.id, intake, at)))
        .execute();
      const members = some.flatMap(({ person, groupId }) =>
        groupId === null ? [] : [{ group_id: groupId, person_id: person.id }],
      );
      if (members.length > 0) await trx.insertInto('group_member').values(members).execute();
      // What needs no register goes on being answered; what does waits for the transaction.
      await new Promise((others) => setImmediate(others));
    }
  });
}

/** An import by its id, also one that was undone. */
export async function findImport(
  db: Register,
  importId: string,
): Promise<(ImportDone & { readonly undone: boolean; readonly sentHash: string | null }) | undefined> {
  const row = await db.selectFrom('roster_import').selectAll().where('id', '=', importId).executeTakeFirst();
  return row && { ...toImport(row), undone: row.undone_at !== null, sentHash: row.sent_hash };
}

export interface ImportDone {
  readonly id: string;
  readonly at: string;
  readonly fileName: string;
  readonly added: number;
}

/** The newest import that was not undone. */
export async function lastImport(db: Register): Promise<ImportDone | undefined> {
  const row = await db
    .selectFrom('roster_import')
    .selectAll()
    .where('undone_at', 'is', null)
    .orderBy('at', 'desc')
    .executeTakeFirst();
  return row && toImport(row);
}

const toImport = (row: Schema['roster_import']): ImportDone => ({
  id: row.id,
  at: row.at,
  fileName: row.file_name,
  added: row.added,
});

/**
 * Takes the people of an import out again, in one transaction; those of whom something was written since stay.
 * @returns how many went and how many stayed, or undefined where there is no such import
 */
export async function undoImport(
  db: Register,
  importId: string,
  at: Date,
): Promise<{ removed: number; stayed: number } | undefined> {
  const answer = await inOne(db, async (trx) => {
    const known = await trx
      .updateTable('roster_import')
      .set({ undone_at: at.toISOString() })
      .where('id', '=', importId)
      .where('undone_at', 'is', null)
      .executeTakeFirst();
    if (known.numUpdatedRows === 0n) return undefined;
    const written = personTables
      .filter((table) => !writtenByImport.has(table) && !goesWithImport.has(table))
      .map((table) => sql`AND NOT EXISTS (SELECT 1 FROM ${sql.table(table)} AS t WHERE t.person_id = person.id)`);
    const untouched = sql<{ id: string }>`SELECT id FROM person WHERE import_id = ${importId}
      ${sql.join(written, sql` `)}
      AND (SELECT count(*) FROM intake WHERE intake.person_id = person.id) = 1`;
    const ids = (await untouched.execute(trx)).rows.map((r) => r.id);
    for (const id of ids) await takeOut(trx, id);
    const left = await trx
      .selectFrom('person')
      .select(({ fn }) => fn.countAll<number>().as('n'))
      .where('import_id', '=', importId)
      .executeTakeFirstOrThrow();
    await markLog(trx);
    return { removed: ids.length, stayed: left.n };
  });
  if (answer) await finishErasing(db);
  return answer;
}
