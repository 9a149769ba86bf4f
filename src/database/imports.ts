import { sql } from 'kysely';
import type { Intake } from '../core/shapes/intake';
import type { Person } from '../core/shapes/person';
import type { Register } from './connection';
import { emptyLog } from './erase';
import { toIntakeRow, toPersonRow } from './people';

export interface ImportedPerson {
  readonly person: Person;
  readonly intake: Intake;
  readonly groupId: string | null;
}

/** Rows written in one statement; SQLite takes so many values at once. */
const batch = 500;

/** Takes a whole roster or nothing. The same import again changes nothing. */
export async function addImport(
  db: Register,
  importId: string,
  fileName: string,
  people: readonly ImportedPerson[],
  groups: readonly { readonly id: string; readonly name: string }[],
  at: Date,
): Promise<'taken' | 'known'> {
  return db.transaction().execute(async (trx) => {
    const known = await trx.selectFrom('roster_import').select('id').where('id', '=', importId).executeTakeFirst();
    if (known) return 'known';
    await trx
      .insertInto('roster_import')
      .values({ id: importId, at: at.toISOString(), file_name: fileName, added: people.length, undone_at: null })
      .execute();
    for (const { id, name } of groups)
      await trx.insertInto('person_group').values({ id, name, weekday: 1, time: '10:00' }).execute();
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
    return 'taken';
  });
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
  return row && { id: row.id, at: row.at, fileName: row.file_name, added: row.added };
}

/**
 * Takes the people of an import out again, in one transaction; those of whom something was written since stay.
 * @returns how many went and how many stayed, or undefined where there is no such import
 */
export async function undoImport(
  db: Register,
  importId: string,
  at: Date,
): Promise<{ removed: number; stayed: number } | undefined> {
  const answer = await db.transaction().execute(async (trx) => {
    const known = await trx
      .updateTable('roster_import')
      .set({ undone_at: at.toISOString() })
      .where('id', '=', importId)
      .where('undone_at', 'is', null)
      .executeTakeFirst();
    if (known.numUpdatedRows === 0n) return undefined;
    const untouched = sql<{ id: string }>`SELECT id FROM person WHERE import_id = ${importId}
      AND NOT EXISTS (SELECT 1 FROM entry WHERE entry.person_id = person.id)
      AND NOT EXISTS (SELECT 1 FROM attempt WHERE attempt.person_id = person.id)
      AND NOT EXISTS (SELECT 1 FROM printed_page WHERE printed_page.person_id = person.id)
      AND (SELECT count(*) FROM intake WHERE intake.person_id = person.id) = 1`;
    const ids = (await untouched.execute(trx)).rows.map((r) => r.id);
    for (let i = 0; i < ids.length; i += batch) {
      const some = ids.slice(i, i + batch);
      for (const table of ['group_member', 'sitting_person', 'intake', 'confirmed_level'] as const)
        await trx.deleteFrom(table).where('person_id', 'in', some).execute();
      await trx.deleteFrom('person').where('id', 'in', some).execute();
    }
    const left = await trx
      .selectFrom('person')
      .select(({ fn }) => fn.countAll<number>().as('n'))
      .where('import_id', '=', importId)
      .executeTakeFirstOrThrow();
    return { removed: ids.length, stayed: left.n };
  });
  if (answer) await emptyLog(db);
  return answer;
}
