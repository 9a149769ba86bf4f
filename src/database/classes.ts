import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';

/** A class that was held, or is planned. */
export interface ClassSession {
  readonly key: string;
  readonly groupId: string | null;
  readonly day: IsoDate;
  /** ISO 8601; `null` while it goes on. */
  readonly closedAt: string | null;
}

/** Keeps that a class was held and who was there; the same again changes nothing. */
export async function addClassHeld(
  db: Register,
  { key, groupId, day, closedAt }: ClassSession,
  present: readonly PersonId[],
  writer: string,
): Promise<void> {
  await inOne(db, async (trx) => {
    await trx
      .insertInto('class_session')
      .values({ key, group_id: groupId, day, plan_json: '{}', closed_at: closedAt })
      .onConflict((c) => c.doNothing())
      .execute();
    if (present.length === 0) return;
    const content_json = JSON.stringify({ kind: 'present' });
    await trx
      .insertInto('class_event')
      .values(present.map((person_id, seq) => ({ key, writer, seq, person_id, content_json })))
      .onConflict((c) => c.doNothing())
      .execute();
  });
}

/** Said of a class that was not held after all; what was noted of it stays. */
const undone = JSON.stringify({ kind: 'undone' });

const undoneKeys = (db: Register) =>
  db.selectFrom('class_event').select('key').where('person_id', 'is', null).where('content_json', '=', undone);

/** Takes back that a class was held; again it changes nothing. */
export async function undoClassHeld(db: Register, key: string, writer: string): Promise<void> {
  await inOne(db, async (trx) => {
    const { last } = await trx
      .selectFrom('class_event')
      .select(({ fn }) => fn.max<number | null>('seq').as('last'))
      .where('key', '=', key)
      .where('writer', '=', writer)
      .executeTakeFirstOrThrow();
    const taken = await undoneKeys(trx).where('key', '=', key).executeTakeFirst();
    const held = await trx.selectFrom('class_session').select('key').where('key', '=', key).executeTakeFirst();
    if (taken || !held) return;
    await trx
      .insertInto('class_event')
      .values({ key, writer, seq: (last ?? -1) + 1, person_id: null, content_json: undone })
      .execute();
  });
}

/** The class of a group that was held on a day, and how many were there; the newest of several. */
export async function findClassHeld(
  db: Register,
  groupId: string,
  day: IsoDate,
): Promise<{ readonly key: string; readonly present: number } | undefined> {
  const rows = await db
    .selectFrom('class_session')
    .innerJoin('class_event', 'class_event.key', 'class_session.key')
    .select(({ fn }) => ['class_session.key', fn.count<number>('class_event.person_id').as('present')])
    .where('class_session.group_id', '=', groupId)
    .where('class_session.day', '=', day)
    .where('class_session.key', 'not in', undoneKeys(db))
    .groupBy('class_session.key')
    .orderBy('class_session.closed_at', 'desc')
    .execute();
  return rows[0];
}

/** The days on which people were in a class. */
export async function listPresent(
  db: Register,
  personIds: readonly PersonId[],
): Promise<{ readonly personId: PersonId; readonly on: IsoDate }[]> {
  const rows = await db
    .selectFrom('class_event')
    .innerJoin('class_session', 'class_session.key', 'class_event.key')
    .select(['class_event.person_id', 'class_session.day', 'class_event.content_json'])
    .where('class_event.person_id', 'in', [...personIds])
    .where('class_event.key', 'not in', undoneKeys(db))
    .orderBy('class_session.day')
    .execute();
  return rows.flatMap(({ person_id, day, content_json }) =>
    person_id !== null && (JSON.parse(content_json) as { kind?: string }).kind === 'present'
      ? [{ personId: person_id, on: day }]
      : [],
  );
}
