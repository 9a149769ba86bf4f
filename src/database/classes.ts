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
    .orderBy('class_session.day')
    .execute();
  return rows.flatMap(({ person_id, day, content_json }) =>
    person_id !== null && (JSON.parse(content_json) as { kind?: string }).kind === 'present'
      ? [{ personId: person_id, on: day }]
      : [],
  );
}
