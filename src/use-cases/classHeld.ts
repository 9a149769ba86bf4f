import type { PersonId } from '../core/shapes/person';
import { addClassHeld, findClassHeld, undoClassHeld } from '../database/classes';
import { groupsOfPeople, listGroups } from '../database/groups';
import { listPeople, peopleThere } from '../database/people';
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

/** A group on the day of its class: who is in it, and whether it was noted as held already. */
export async function readClassToday(desk: Desk, groupId: string) {
  const group = (await listGroups(desk.db)).find((g) => g.id === groupId);
  if (!group) return undefined;
  const members = await groupsOfPeople(desk.db);
  const people = (await listPeople(desk.db))
    .filter((p) => !p.archived && members.get(p.id)?.includes(groupId))
    .map(({ id, name }) => ({ id, name }));
  return { group, people, held: (await findClassHeld(desk.db, groupId, desk.today())) ?? null };
}

/** Takes back that a class was held: nobody’s classes count it any more. */
export async function undoClass(desk: Desk, key: string): Promise<{ readonly kind: 'undone' }> {
  await undoClassHeld(desk.db, key, desk.who);
  return { kind: 'undone' };
}
