import { sql } from 'kysely';
import type { PersonId } from '../core/shapes/person';
import { emptyLog, inOne, type Register } from './connection';

/** Stands where an id stood that was erased. */
export const erased = 'erased';

/** The tables whose rows belong to one person and go with them. */
const ownRows = [
  'confirmed_level',
  'entry',
  'intake',
  'group_member',
  'sitting_person',
  'printed_page',
  'attempt_trace',
] as const;

/** The members of stored JSON that name a person; nothing else of other people’s records is touched. */
const naming = [
  ['attempt_event', 'content_json', '$.toPersonId'],
  ['attempt_event_conflict', 'content_json', '$.toPersonId'],
  ['attempt', 'result_json', '$.movedTo'],
] as const;

/**
 * Takes every trace of people out of the register: rows, the mention of their ids in other records, freed pages
 * (`secure_delete` overwrites them) and the write-ahead log, which is emptied afterwards.
 * @returns `soon` where somebody still reads an older state: the log is emptied as soon as they are done
 */
export async function erasePeople(db: Register, ids: readonly PersonId[]): Promise<'erased' | 'soon'> {
  await inOne(db, async (trx) => {
    for (const id of ids) await eraseOne(trx, id);
    await markLog(trx);
  });
  return (await finishErasing(db)) ? 'erased' : 'soon';
}

const mark = 'log-to-empty';

/** Remembers, also over an end of the program, that the log still holds what was taken out. */
export async function markLog(trx: Register): Promise<void> {
  await trx
    .insertInto('meta')
    .values({ key: mark, value: '1' })
    .onConflict((c) => c.doNothing())
    .execute();
}

/** Empties the log where something that was taken out still lies in it. True when nothing is left to do. */
export async function finishErasing(db: Register): Promise<boolean> {
  const marked = await db.selectFrom('meta').select('key').where('key', '=', mark).executeTakeFirst();
  if (!marked) return true;
  if (emptyLog(db) === 'in-use') return false;
  await db.deleteFrom('meta').where('key', '=', mark).execute();
  return true;
}

async function eraseOne(trx: Register, id: PersonId): Promise<void> {
  const own = trx.selectFrom('attempt').select('client_key').where('person_id', '=', id);
  for (const table of ['attempt_event_conflict', 'attempt_event', 'attempt_trace'] as const)
    await trx.deleteFrom(table).where('client_key', 'in', own).execute();
  await trx.deleteFrom('attempt').where('person_id', '=', id).execute();
  // Attempts of others that were moved here and away again name the id in their moves.
  for (const [table, column, path] of naming)
    await sql`UPDATE ${sql.table(table)} SET ${sql.ref(column)} = json_set(${sql.ref(column)}, ${path}, ${erased})
      WHERE json_extract(${sql.ref(column)}, ${path}) = ${id}`.execute(trx);
  await trx.updateTable('attempt').set({ sent_for: null }).where('sent_for', '=', id).execute();
  for (const table of ownRows) await trx.deleteFrom(table).where('person_id', '=', id).execute();
  await trx.deleteFrom('person').where('id', '=', id).execute();
}
