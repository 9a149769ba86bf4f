import { sql, type Kysely } from 'kysely';

/** Movements of the hall's own, every version of them; none is ever deleted. */
export async function ownExercises(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE own_exercise (id TEXT NOT NULL, version INTEGER NOT NULL, at TEXT NOT NULL, by TEXT NOT NULL,
    content_json TEXT NOT NULL CHECK (json_valid(content_json)), PRIMARY KEY (id, version)) WITHOUT ROWID`.execute(db);
}
