import { sql } from 'kysely';
import { canonicalJson } from '../core/math/canonical';
import { peopleIn } from '../core/measure/day/peopleIn';
import type { DayEvent, DayNote } from '../core/shapes/day';
import type { IsoDate } from '../core/shapes/facts';
import { inOne, type Register } from './connection';

/** Keeps a note of a testing day once; the same key with other content changes nothing. */
export async function storeDayNote(
  db: Register,
  { key, day, wallMs, event }: DayNote,
  by: string,
  at: Date,
): Promise<'created' | 'known' | 'conflict'> {
  return inOne(db, async (trx) => {
    const content_json = canonicalJson(event);
    const known = await trx.selectFrom('day_note').selectAll().where('key', '=', key).executeTakeFirst();
    if (known)
      return known.day === day && known.wall_ms === wallMs && known.content_json === content_json
        ? 'known'
        : 'conflict';
    await trx
      .insertInto('day_note')
      .values({ key, day, wall_ms: wallMs, received_at: at.toISOString(), by, content_json })
      .execute();
    const people = peopleIn(event);
    if (people.length > 0)
      await trx
        .insertInto('day_note_person')
        .values(people.map((person_id) => ({ key, person_id })))
        .execute();
    return 'created';
  });
}

/** Notes of a day in the order in which they came. */
export async function listDayNotes(db: Register, day: IsoDate): Promise<DayNote[]> {
  const rows = await db
    .selectFrom('day_note')
    .selectAll()
    .where('day', '=', day)
    .orderBy('received_at')
    .orderBy(sql`rowid`)
    .execute();
  return rows.map(({ key, wall_ms, content_json }) => ({
    ...{ key, day, wallMs: wall_ms },
    event: JSON.parse(content_json) as DayEvent,
  }));
}

/** The newest days on which anybody was called to a station, newest first. */
export async function daysOfNotes(db: Register, before: IsoDate, most: number): Promise<IsoDate[]> {
  const rows = await db
    .selectFrom('day_note')
    .select('day')
    .where('day', '<', before)
    .groupBy('day')
    .orderBy('day', 'desc')
    .limit(most)
    .execute();
  return rows.map((r) => r.day);
}
