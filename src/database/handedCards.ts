import { sql } from 'kysely';
import type { Card } from '../core/card/cards';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';

/** Cards that were handed out together, as they were. */
export interface HandedCards {
  readonly id: string;
  readonly cards: readonly Card[];
}

/** Keeps cards; the same once more changes nothing. */
export async function addHandedCards(
  db: Register,
  personId: PersonId,
  { id, cards }: HandedCards,
  fingerprint: string,
  at: Date,
): Promise<void> {
  await inOne(db, (trx) =>
    trx
      .insertInto('handed_card')
      .values({ id, person_id: personId, at: at.toISOString(), fingerprint, content_json: JSON.stringify(cards) })
      .onConflict((c) => c.doNothing())
      .execute(),
  );
}

/** Cards of one person, newest first. */
export async function listHandedCards(db: Register, personId: PersonId): Promise<HandedCards[]> {
  const rows = await db
    .selectFrom('handed_card')
    .select(['id', 'content_json'])
    .where('person_id', '=', personId)
    .orderBy(sql`rowid`, 'desc')
    .execute();
  return rows.map((row) => ({ id: row.id, cards: JSON.parse(row.content_json) as Card[] }));
}
