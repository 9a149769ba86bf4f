import { sql, type Kysely } from 'kysely';

/** Results of other tests stand beside the counted ones: each stored result says of which kind it is. */
export async function anyTest(db: Kysely<unknown>): Promise<void> {
  await sql`UPDATE attempt SET
    result_json = json_set(result_json, '$.kind', 'count', '$.who', NULL),
    measure_version = 2`.execute(db);
}
