import { sql } from 'kysely';
import type { KeptPlace, PlaceId, PlaceMove } from '../core/shapes/hallPlace';
import { inOne, type Register } from './connection';

/** Where people were put by hand in a class, in the order in which it was said. */
export async function listPlaces(db: Register, key: string): Promise<KeptPlace[]> {
  const rows = await db
    .selectFrom('class_place')
    .selectAll()
    .where('key', '=', key)
    .orderBy(sql`rowid`)
    .execute();
  return rows.map(({ person_id, at }) => ({ personId: person_id, at: at as PlaceId }));
}

/** Keeps where somebody was put, or lets them go; of nobody else anything changes. */
export async function storePlaces(db: Register, key: string, moves: readonly PlaceMove[]): Promise<void> {
  await inOne(db, async (trx) => {
    for (const { personId, at } of moves) {
      await trx.deleteFrom('class_place').where('key', '=', key).where('person_id', '=', personId).execute();
      if (at !== null) await trx.insertInto('class_place').values({ key, person_id: personId, at }).execute();
    }
  });
}
