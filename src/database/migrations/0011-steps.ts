import { sql, type Kysely } from 'kysely';

/** A cupboard has steps to stand on; of those kept before nobody has said any. */
export async function steps(db: Kysely<unknown>): Promise<void> {
  await sql`UPDATE place SET content_json = json_set(content_json, '$.cupboard.steps', json('[]'))
    WHERE json_extract(content_json, '$.cupboard.steps') IS NULL`.execute(db);
}
