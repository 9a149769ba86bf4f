import { sql, type Kysely } from 'kysely';

/** Where an instructor put somebody in a class: one place a person and class, the newest word. */
export async function classPlaces(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db);
  await run(`CREATE TABLE class_place (key TEXT NOT NULL REFERENCES class_session (key),
    person_id TEXT NOT NULL REFERENCES person (id), at TEXT NOT NULL, PRIMARY KEY (key, person_id))`);
  await run(`CREATE INDEX class_places_of_person ON class_place (person_id)`);
  for (const [name, deed, ids] of [
    ['added', 'INSERT', 'NEW.person_id'],
    ['changed', 'UPDATE', 'NEW.person_id, OLD.person_id'],
    ['gone', 'DELETE', 'OLD.person_id'],
  ] as const)
    await run(`CREATE TRIGGER revision_class_place_${name} AFTER ${deed} ON class_place BEGIN
      UPDATE person SET revision = revision + 1 WHERE id IN (${ids}); END`);
}
