import { sql, type RawBuilder } from 'kysely';
import type { Level } from '../core/level/answer';
import type { DecisionKind } from '../core/level/standing';
import type { Facts, IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';

/** What somebody decided about the levels of a person, with all that it was decided by. */
export interface Decision {
  readonly id: string;
  readonly personId: PersonId;
  readonly day: IsoDate;
  /** ISO 8601. */
  readonly at: string;
  readonly by: string;
  readonly kind: DecisionKind;
  readonly rulesVersion: string;
  readonly normsVersion: string;
  readonly facts: Facts;
  /** One a ladder. */
  readonly levels: readonly Level[];
}

/** A level that was decided, as it is listed: without the facts. */
export interface DecidedLevel {
  readonly personId: PersonId;
  readonly decidedOn: IsoDate;
  readonly at: string;
  readonly by: string;
  readonly kind: DecisionKind;
  readonly normsVersion: string;
  readonly level: Level;
}

/** Keeps a decision with its levels, under the id and the stamp it was made with. */
export async function addDecision(db: Register, decision: Decision): Promise<void> {
  const { id, personId, day, at, by, kind, rulesVersion, normsVersion, facts, levels } = decision;
  await inOne(db, async (trx) => {
    await trx
      .insertInto('decision')
      .values({
        ...{ id, person_id: personId, day, at, by, kind },
        ...{ rules_version: rulesVersion, norms_version: normsVersion, facts_json: JSON.stringify(facts) },
      })
      .execute();
    await trx
      .insertInto('level')
      .values(
        levels.map((level) => ({
          ...{ decision_id: id, pattern: level.pattern, rung: level.rung, support: level.support },
          ...{ code: level.code, level_json: JSON.stringify(level) },
        })),
      )
      .execute();
  });
}

/** Whether a decision was kept under an id. */
export const hasDecision = async (db: Register, id: string): Promise<boolean> =>
  (await decisionsAmong(db, [id])).has(id);

/** Those of some ids under which a decision was kept. */
export async function decisionsAmong(db: Register, ids: readonly string[]): Promise<ReadonlySet<string>> {
  const rows =
    ids.length === 0
      ? []
      : await db
          .selectFrom('decision')
          .select('id')
          .where('id', 'in', [...ids])
          .execute();
  return new Set(rows.map((r) => r.id));
}

/** Levels decided of some people, or of everybody, oldest first. */
export const listDecidedLevels = (db: Register, personIds?: readonly PersonId[]): Promise<DecidedLevel[]> =>
  levelsBy(db, sql<string>`level_json`, personIds);

/** The same without why, and without what stands above them, which is most of their length: for lists of many. */
export const listLevelsBriefly = (db: Register, personIds: readonly PersonId[]): Promise<DecidedLevel[]> =>
  levelsBy(db, sql<string>`json_set(level_json, '$.reasons', json_array(), '$.blockers', json_array())`, personIds);

async function levelsBy(
  db: Register,
  content: RawBuilder<string>,
  personIds: readonly PersonId[] | undefined,
): Promise<DecidedLevel[]> {
  const all = db
    .selectFrom('level')
    .innerJoin('decision', 'decision.id', 'level.decision_id')
    .select(['person_id', 'day', 'at', 'by', 'kind', 'norms_version', content.as('content')])
    .orderBy('day')
    .orderBy('at')
    .orderBy(sql`decision.rowid`)
    .orderBy(sql`level.rowid`);
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map((row) => ({
    personId: row.person_id,
    decidedOn: row.day,
    at: row.at,
    by: row.by,
    kind: row.kind as DecisionKind,
    normsVersion: row.norms_version,
    level: JSON.parse(row.content) as Level,
  }));
}

/** One decision with its facts. */
export async function findDecision(db: Register, id: string): Promise<Decision | undefined> {
  const row = await db.selectFrom('decision').select('person_id').where('id', '=', id).executeTakeFirst();
  return row && (await listDecisions(db, row.person_id)).find((d) => d.id === id);
}

/** Decisions of one person with their facts, oldest first. */
export async function listDecisions(db: Register, personId: PersonId): Promise<Decision[]> {
  const rows = await db
    .selectFrom('decision')
    .selectAll()
    .where('person_id', '=', personId)
    .orderBy('day')
    .orderBy('at')
    .orderBy(sql`rowid`)
    .execute();
  const levels = await db
    .selectFrom('level')
    .select(['decision_id', 'level_json'])
    .where(
      'decision_id',
      'in',
      rows.map((r) => r.id),
    )
    .orderBy(sql`rowid`)
    .execute();
  return rows.map((row) => ({
    ...{ id: row.id, personId: row.person_id, day: row.day, at: row.at, by: row.by },
    kind: row.kind as DecisionKind,
    ...{ rulesVersion: row.rules_version, normsVersion: row.norms_version },
    facts: JSON.parse(row.facts_json) as Facts,
    levels: levels.filter((l) => l.decision_id === row.id).map((l) => JSON.parse(l.level_json) as Level),
  }));
}

/** What was decided last of somebody, and when, ISO 8601. */
export const newestDecision = (
  db: Register,
  personId: PersonId,
): Promise<{ readonly id: string; readonly at: string } | undefined> =>
  db
    .selectFrom('decision')
    .select(['id', 'at'])
    .where('person_id', '=', personId)
    .orderBy(sql`rowid`, 'desc')
    .limit(1)
    .executeTakeFirst();
