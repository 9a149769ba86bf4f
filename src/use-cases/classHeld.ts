import type { PersonId } from '../core/shapes/person';
import { addClassHeld } from '../database/classes';
import { peopleThere } from '../database/people';
import { together, type Desk } from './desk';

/**
 * Notes that a class was held today and who was there: it adds one to the classes of each. The same key again changes
 * nothing.
 * @param groupId whose class it was; `null` where they came from several
 */
export async function classHeld(
  desk: Desk,
  key: string,
  groupId: string | null,
  people: readonly PersonId[],
): Promise<{ readonly kind: 'noted'; readonly present: number } | { readonly kind: 'not-found' }> {
  return together(desk, async (trx) => {
    const there = await peopleThere(trx.db, people);
    if (there.length === 0) return { kind: 'not-found' };
    const closedAt = desk.now().toISOString();
    await addClassHeld(trx.db, { key, groupId, day: desk.today(), closedAt }, there, desk.who);
    return { kind: 'noted', present: there.length };
  });
}
