import { sql, type Kysely } from 'kysely';

/** Who helps in the hall, and what each may do, with its day and by whom. */
export async function helpers(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE helper (id TEXT PRIMARY KEY, name TEXT NOT NULL, may_count_json TEXT, may_spot_json TEXT)`.execute(
    db,
  );
}
