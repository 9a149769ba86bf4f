import { sql, type Kysely } from 'kysely';

/** Figures of the hall in place of printed ones: every change is kept, the newest of a test is in force. */
export async function hallNorms(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE hall_norms (
    id TEXT PRIMARY KEY,
    saved_at TEXT NOT NULL,
    test TEXT NOT NULL,
    content_json TEXT NOT NULL
  )`.execute(db);
}
