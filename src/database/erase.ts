import { sql } from 'kysely';
import type { PersonId } from '../core/shapes/person';
import { takeOutOfPlans } from './classes';
import { emptyLog, inOne, type Register } from './connection';
import { belongingRows, foreignMentions, namingMembers, personTables } from './personTables';

/** Stands where an id stood that was erased. */
export const erased = 'erased';

/**
 * Takes every trace of people out of the register: rows, the mention of their ids in other records, freed pages
 * (`secure_delete` overwrites them) and the write-ahead log, which is emptied afterwards.
 * @returns `soon` where somebody still reads an older state: the log is emptied as soon as they are done
 */
export async function erasePeople(
  db: Register,
  ids: readonly PersonId[],
  by: string,
  at: Date,
): Promise<'erased' | 'soon'> {
  await inOne(db, async (trx) => {
    for (const id of ids) await takeOut(trx, id);
    await trx.insertInto('erasure').values({ at: at.toISOString(), by, people: ids.length }).execute();
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
  await inOne(db, (trx) => trx.deleteFrom('meta').where('key', '=', mark).execute());
  return true;
}

/** Every row of one person, and every mention of them in a row of somebody else. */
export async function takeOut(trx: Register, id: PersonId): Promise<void> {
  for (const { table, by, of, key } of belongingRows)
    await sql`DELETE FROM ${sql.table(table)} WHERE ${sql.ref(by)} IN
      (SELECT ${sql.ref(key)} FROM ${sql.table(of)} WHERE person_id = ${id})`.execute(trx);
  for (const table of personTables) await sql`DELETE FROM ${sql.table(table)} WHERE person_id = ${id}`.execute(trx);
  // Written as the index has it, or every row would be read.
  for (const [table, column, path] of namingMembers)
    await sql`UPDATE ${sql.table(table)} SET ${sql.ref(column)} = json_set(${sql.ref(column)}, ${path}, ${erased})
      WHERE json_extract(${sql.ref(column)}, ${sql.lit(path)}) = ${id}`.execute(trx);
  for (const { table, column } of foreignMentions)
    await sql`UPDATE ${sql.table(table)} SET ${sql.ref(column)} = NULL WHERE ${sql.ref(column)} = ${id}`.execute(trx);
  await takeOutOfPlans(trx, id);
  await trx.deleteFrom('person').where('id', '=', id).execute();
}
