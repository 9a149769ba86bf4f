import { sql } from 'kysely';
import type { HallNorms } from '../core/shapes/norms';
import { inOne, type Register } from './connection';

/** Every change of a norm set, in the order they were made. */
export async function listHallNorms(db: Register): Promise<HallNorms[]> {
  const rows = await db
    .selectFrom('hall_norms')
    .selectAll()
    .orderBy(sql`rowid`)
    .execute();
  return rows.map(({ id, saved_at, test, content_json }) => ({
    ...(JSON.parse(content_json) as Omit<HallNorms, 'id' | 'savedAt' | 'test'>),
    ...{ id, test, savedAt: saved_at },
  }));
}

/** Keeps a change; the same id again changes nothing. */
export async function addHallNorms(db: Register, { id, savedAt, test, ...content }: HallNorms): Promise<void> {
  await inOne(db, (trx) =>
    trx
      .insertInto('hall_norms')
      .values({ id, saved_at: savedAt, test, content_json: JSON.stringify(content) })
      .onConflict((c) => c.doNothing())
      .execute(),
  );
}
