import { sql, type Kysely } from 'kysely';

/** Pages of results as they were handed out; the same page of a day is kept once. */
export async function printedPages(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE printed_page (
    id TEXT PRIMARY KEY,
    person_id TEXT NOT NULL REFERENCES person (id),
    printed_at TEXT NOT NULL,
    norms_version TEXT NOT NULL,
    rules_version TEXT NOT NULL,
    fingerprint TEXT NOT NULL,
    content_json TEXT NOT NULL,
    UNIQUE (person_id, fingerprint)
  )`.execute(db);
}
