import { sql, type Kysely } from 'kysely';

/** Marks a file as one of Ready Stool: “RdSt” in four bytes. @see https://sqlite.org/pragma.html#pragma_application_id */
export const applicationId = 0x52645374;

/** The file says whose it is; who is named inside a row of somebody else is found without reading every row. */
export async function whoseFile(db: Kysely<unknown>): Promise<void> {
  await sql`PRAGMA application_id = ${sql.lit(applicationId)}`.execute(db);
  for (const [name, table, member] of [
    ['moves_to', 'attempt_event', `json_extract(content_json, '$.toPersonId')`],
    ['conflicts_to', 'attempt_event_conflict', `json_extract(content_json, '$.toPersonId')`],
    ['moved_to', 'attempt', `json_extract(result_json, '$.movedTo')`],
  ] as const)
    await sql.raw(`CREATE INDEX ${name} ON ${table} (${member}) WHERE ${member} IS NOT NULL`).execute(db);
}
