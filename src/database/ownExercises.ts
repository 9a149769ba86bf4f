import { sql } from 'kysely';
import type { OwnExercise } from '../core/shapes/own';
import { inOne, type Register } from './connection';

/** Every movement of the hall's own as it is now, by name. */
export async function listOwn(db: Register): Promise<OwnExercise[]> {
  const rows = await db
    .selectFrom('own_exercise as o')
    .select('content_json')
    .where('version', '=', (q) =>
      q
        .selectFrom('own_exercise as newer')
        .select(sql<number>`max(newer.version)`.as('newest'))
        .whereRef('newer.id', '=', 'o.id'),
    )
    .execute();
  const all = rows.map((row) => JSON.parse(row.content_json) as OwnExercise);
  return all.sort((a, b) => a.name.localeCompare(b.name) || a.id.localeCompare(b.id));
}

/** Keeps one version of each; what was kept before stays. */
export async function addOwn(db: Register, all: readonly OwnExercise[], at: string, by: string): Promise<void> {
  if (all.length === 0) return;
  await inOne(db, (trx) =>
    trx
      .insertInto('own_exercise')
      .values(all.map((own) => ({ id: own.id, version: own.version, at, by, content_json: JSON.stringify(own) })))
      .execute(),
  );
}
