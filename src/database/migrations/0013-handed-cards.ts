import { sql, type Kysely } from 'kysely';

/** Cards to train by as they were handed out; the same card is kept once. */
export async function handedCards(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db);
  await run(`CREATE TABLE handed_card (id TEXT PRIMARY KEY, person_id TEXT NOT NULL REFERENCES person (id),
    at TEXT NOT NULL, fingerprint TEXT NOT NULL, content_json TEXT NOT NULL, UNIQUE (person_id, fingerprint))`);
  for (const [name, deed, ids] of [
    ['added', 'INSERT', 'NEW.person_id'],
    ['changed', 'UPDATE', 'NEW.person_id, OLD.person_id'],
    ['gone', 'DELETE', 'OLD.person_id'],
  ] as const)
    await run(`CREATE TRIGGER revision_handed_card_${name} AFTER ${deed} ON handed_card BEGIN
      UPDATE person SET revision = revision + 1 WHERE id IN (${ids}); END`);
}
