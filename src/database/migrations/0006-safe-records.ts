import { sql, type Kysely } from 'kysely';

/**
 * The register gets a name of its own; a request can be told from another with the same key; an attempt keeps for
 * whom and under which conditions it was sent, and every file it ever lay in.
 */
export async function safeRecords(db: Kysely<unknown>): Promise<void> {
  const run = (statement: string) => sql.raw(statement).execute(db);
  await run(`INSERT OR IGNORE INTO meta (key, value) VALUES ('register-id', lower(hex(randomblob(16))))`);
  await run(`ALTER TABLE person ADD COLUMN external_id TEXT`);
  await run(`ALTER TABLE person ADD COLUMN sent_hash TEXT`);
  await run(`CREATE UNIQUE INDEX person_by_external_id ON person (external_id)`);
  await run(`ALTER TABLE roster_import ADD COLUMN sent_hash TEXT`);
  await run(`ALTER TABLE attempt ADD COLUMN sent_for TEXT REFERENCES person (id)`);
  await run(`ALTER TABLE attempt ADD COLUMN sent_conditions_json TEXT`);
  await run(`CREATE INDEX attempt_sent_for ON attempt (sent_for)`);
  const moves = `FROM attempt_event AS e WHERE json_extract(e.content_json, '$.kind') = 'move'`;
  // Of an attempt that was moved nobody kept for whom it was sent first.
  await run(`UPDATE attempt SET sent_conditions_json = conditions_json,
    sent_for = CASE WHEN EXISTS (SELECT 1 ${moves} AND e.client_key = attempt.client_key) THEN NULL ELSE person_id END`);
  await run(`CREATE TABLE attempt_trace (
    client_key TEXT NOT NULL REFERENCES attempt (client_key),
    person_id TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (client_key, person_id)
  )`);
  await run(`CREATE INDEX traces_of_person ON attempt_trace (person_id)`);
  await run(`INSERT INTO attempt_trace SELECT client_key, person_id FROM attempt`);
  await run(`INSERT OR IGNORE INTO attempt_trace
    SELECT e.client_key, json_extract(e.content_json, '$.toPersonId') AS person_id ${moves}
    AND json_extract(e.content_json, '$.toPersonId') IN (SELECT id FROM person)`);
  // A file that an attempt lay in says so, also when it lies elsewhere now.
  await run(`CREATE TRIGGER revision_trace AFTER INSERT ON attempt_trace BEGIN
    UPDATE person SET revision = revision + 1 WHERE id = NEW.person_id; END`);
  await run(`CREATE TRIGGER revision_of_traces AFTER UPDATE OF person_id, result_json ON attempt BEGIN
    UPDATE person SET revision = revision + 1
    WHERE id IN (SELECT person_id FROM attempt_trace WHERE client_key = NEW.client_key); END`);
}
