import { sql, type Kysely } from 'kysely';

/** Classes a hall put together itself, to plan from again; one that is put aside stays. */
export async function classTemplates(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE class_template (id TEXT PRIMARY KEY, at TEXT NOT NULL, by TEXT NOT NULL, aside_at TEXT,
    content_json TEXT NOT NULL CHECK (json_valid(content_json))) WITHOUT ROWID`.execute(db);
}
