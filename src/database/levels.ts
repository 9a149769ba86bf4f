import { sql } from 'kysely';
import type { Level } from '../core/level/answer';
import type { Facts, IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import type { Register } from './connection';
import type { Schema } from './schema';

/** A level an instructor confirmed, with all that it was decided by. */
export interface ConfirmedLevel {
  readonly personId: PersonId;
  readonly confirmedOn: IsoDate;
  /** ISO 8601. */
  readonly confirmedAt: string;
  readonly rulesVersion: string;
  readonly normsVersion: string;
  readonly facts: Facts;
  readonly level: Level;
}

export async function addConfirmedLevel(
  db: Register,
  confirmed: Omit<ConfirmedLevel, 'confirmedAt'>,
  at: Date,
): Promise<void> {
  const { level } = confirmed;
  await db
    .insertInto('confirmed_level')
    .values({
      id: crypto.randomUUID(),
      person_id: confirmed.personId,
      pattern: level.pattern,
      rung: level.rung,
      support: level.support,
      code: level.code,
      confirmed_on: confirmed.confirmedOn,
      confirmed_at: at.toISOString(),
      rules_version: confirmed.rulesVersion,
      norms_version: confirmed.normsVersion,
      facts_json: JSON.stringify(confirmed.facts),
      level_json: JSON.stringify(level),
    })
    .execute();
}

/** Confirmed levels of some people, or of everybody, oldest first. */
export async function listConfirmedLevels(db: Register, personIds?: readonly PersonId[]): Promise<ConfirmedLevel[]> {
  const all = db
    .selectFrom('confirmed_level')
    .selectAll()
    .orderBy('confirmed_on')
    .orderBy('confirmed_at')
    .orderBy(sql`rowid`);
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map(toConfirmed);
}

function toConfirmed(row: Schema['confirmed_level']): ConfirmedLevel {
  return {
    personId: row.person_id,
    confirmedOn: row.confirmed_on,
    confirmedAt: row.confirmed_at,
    rulesVersion: row.rules_version,
    normsVersion: row.norms_version,
    facts: JSON.parse(row.facts_json) as Facts,
    level: JSON.parse(row.level_json) as Level,
  };
}
