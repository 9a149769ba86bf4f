import { sql, type Transaction } from 'kysely';
import type { PersonId } from '../core/shapes/person';
import type { Register } from './connection';
import type { Schema } from './schema';

/** Stands where an id stood that was erased. */
const erased = 'erased';

/**
 * Takes every trace of people out of the register: rows, the mention of their ids in other records, freed pages
 * (`secure_delete` overwrites them) and the write-ahead log, which is emptied afterwards.
 */
export async function erasePeople(db: Register, ids: readonly PersonId[]): Promise<void> {
  await db.transaction().execute(async (trx) => {
    for (const id of ids) await eraseOne(trx, id);
  });
  await emptyLog(db);
}

/** Copies the log into the file and cuts it to nothing. */
export async function emptyLog(db: Register): Promise<void> {
  await sql`PRAGMA wal_checkpoint(TRUNCATE)`.execute(db);
}

export async function eraseOne(trx: Transaction<Schema>, id: PersonId): Promise<void> {
  const own = trx.selectFrom('attempt').select('client_key').where('person_id', '=', id);
  await trx.deleteFrom('attempt_event_conflict').where('client_key', 'in', own).execute();
  await trx.deleteFrom('attempt_event').where('client_key', 'in', own).execute();
  await trx.deleteFrom('attempt').where('person_id', '=', id).execute();
  // Attempts of others that were moved here and away again name the id in their events.
  for (const table of ['attempt_event', 'attempt_event_conflict'] as const)
    await sql`UPDATE ${sql.table(table)} SET content_json = replace(content_json, ${id}, ${erased})
      WHERE instr(content_json, ${id}) > 0`.execute(trx);
  await sql`UPDATE attempt SET result_json = replace(result_json, ${id}, ${erased})
    WHERE instr(result_json, ${id}) > 0`.execute(trx);
  for (const table of ['confirmed_level', 'entry', 'intake', 'group_member', 'sitting_person', 'printed_page'] as const)
    await trx.deleteFrom(table).where('person_id', '=', id).execute();
  await trx.deleteFrom('person').where('id', '=', id).execute();
}
