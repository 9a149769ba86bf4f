import { sql, type Kysely } from 'kysely';

/** What happens on a testing day besides the tests: noted once, in the order it came, and whom each note names. */
export async function testingDay(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db);
  await run(`CREATE TABLE day_note (key TEXT PRIMARY KEY, day TEXT NOT NULL, wall_ms REAL NOT NULL,
    received_at TEXT NOT NULL, by TEXT NOT NULL, content_json TEXT NOT NULL)`);
  await run(`CREATE INDEX notes_of_day ON day_note (day, received_at)`);
  await run(`CREATE TABLE day_note_person (key TEXT NOT NULL, person_id TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (key, person_id))`);
  await run(`CREATE INDEX day_notes_of_person ON day_note_person (person_id)`);
  // Boards ask again and again what was measured on their day.
  await run(`CREATE INDEX attempt_by_day ON attempt (sitting_date)`);
  // A note that goes with one of those it names is no note of the others either.
  await run(`CREATE TRIGGER day_note_gone AFTER DELETE ON day_note BEGIN
    DELETE FROM day_note_person WHERE key = OLD.key; END`);
  for (const [name, deed, ids] of [
    ['added', 'INSERT', 'NEW.person_id'],
    ['changed', 'UPDATE', 'NEW.person_id, OLD.person_id'],
    ['gone', 'DELETE', 'OLD.person_id'],
  ] as const)
    await run(`CREATE TRIGGER revision_day_note_${name} AFTER ${deed} ON day_note_person BEGIN
      UPDATE person SET revision = revision + 1 WHERE id IN (${ids}); END`);
}
