import type { Group, PersonId } from '../core/shapes/person';
import type { PeopleDeed } from '../core/shapes/register';
import { mergeChanges, type Clash } from '../core/math/mergeChanges';
import { erasePeople } from '../database/erase';
import * as groups from '../database/groups';
import { archivePeople, findPerson, listPeople } from '../database/people';
import { openedAs, parse, type FieldError } from '../schemas/parse';
import { groupForm, type GroupForm } from '../schemas/place';
import { together, type Desk } from './desk';

export type SaveGroup =
  | { readonly kind: 'saved'; readonly group: Group }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  | {
      readonly kind: 'changed';
      readonly theirs: GroupForm;
      readonly merged: GroupForm;
      readonly clashes: readonly Clash[];
    };

/** Groups by day and time. */
export const readGroups = (desk: Desk): Promise<Group[]> => groups.listGroups(desk.db);

/**
 * Makes a group, or changes one.
 * @param opened the group as the form showed it: what was changed elsewhere since is kept. Left out for a new one.
 */
export async function saveGroup(desk: Desk, id: string, input: unknown, opened?: unknown): Promise<SaveGroup> {
  const parsed = parse(groupForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const mine = { ...parsed.value, name: parsed.value.name.trim() };
  return together(desk, async (trx): Promise<SaveGroup> => {
    const known = (await groups.listGroups(trx.db)).find((g) => g.id === id);
    const shown = openedAs(mine, opened);
    if (shown && !known)
      return { kind: 'rejected', errors: [{ path: '', message: 'This group was ended on another device.' }] };
    const theirs = known ? { name: known.name, weekday: known.weekday, time: known.time } : mine;
    const { merged, clashes } = mergeChanges(shown ?? theirs, mine, theirs, () => null);
    if (clashes.length > 0) return { kind: 'changed', theirs, merged, clashes };
    const group = { id, ...merged };
    await groups.saveGroup(trx.db, group);
    return { kind: 'saved', group };
  });
}

/** Groups with how many are in each. */
export async function readGroupsWithPeople(desk: Desk): Promise<(Group & { readonly people: number })[]> {
  const members = [...(await groups.groupsOfPeople(desk.db)).values()].flat();
  return (await groups.listGroups(desk.db)).map((g) => ({ ...g, people: members.filter((id) => id === g.id).length }));
}

/** Every group with how many of it do not sit yet, and whether it comes on this day of the week. */
export async function groupsToSeat(
  desk: Desk,
): Promise<{ id: string; name: string; people: number; today: boolean }[]> {
  const weekday = new Date(`${desk.today()}T12:00:00Z`).getUTCDay() || 7;
  const sitting = new Set(await groups.sittingOn(desk.db, desk.today()));
  const members = await groups.groupsOfPeople(desk.db);
  return (await groups.listGroups(desk.db))
    .map((g) => ({
      ...{ id: g.id, name: g.name, today: g.weekday === weekday },
      people: [...members].filter(([person, of]) => of.includes(g.id) && !sitting.has(person)).length,
    }))
    .filter((g) => g.people > 0);
}

/** Groups that come on this day of the week and do not all sit already. */
export const groupsToday = async (desk: Desk) =>
  (await groupsToSeat(desk)).flatMap(({ today, ...group }) => (today ? [group] : []));

/** Puts a whole group into the sitting of the day. */
export async function seatGroup(desk: Desk, groupId: string): Promise<void> {
  const people = [...(await groups.groupsOfPeople(desk.db))].filter(([, of]) => of.includes(groupId)).map(([id]) => id);
  await withPeople(desk, people, { kind: 'sit-today' });
}

/** Whom a sheet is for: a group, or without one today’s sitting. */
export async function readSheetPeople(
  desk: Desk,
  groupId: string | null,
): Promise<{ readonly name: string; readonly people: readonly { readonly id: PersonId; readonly name: string }[] }> {
  const today = desk.today();
  const group = (await groups.listGroups(desk.db)).find((g) => g.id === groupId);
  const chosen = new Set(
    group
      ? [...(await groups.groupsOfPeople(desk.db))].filter(([, of]) => of.includes(group.id)).map(([id]) => id)
      : await groups.sittingOn(desk.db, today),
  );
  const people = (await listPeople(desk.db)).filter((p) => chosen.has(p.id) && !p.archived);
  return { name: group?.name ?? 'today’s sitting', people: people.map(({ id, name }) => ({ id, name })) };
}

/** Ends a group; its people stay in the register. */
export async function endGroup(desk: Desk, id: string): Promise<{ readonly kind: 'ended' }> {
  await groups.removeGroup(desk.db, id);
  return { kind: 'ended' };
}

/**
 * Does one thing with several people; each deed has its opposite.
 * @returns those whom it changed: who was in the group before is not taken out of it by the opposite
 */
export async function withPeople(desk: Desk, ids: readonly PersonId[], deed: PeopleDeed): Promise<readonly PersonId[]> {
  const today = desk.today();
  if (ids.length === 0) return [];
  switch (deed.kind) {
    case 'sit-today':
      return groups.addToSitting(desk.db, today, ids);
    case 'not-sit-today':
      return groups.leaveSitting(desk.db, today, ids);
    case 'archive':
      return archivePeople(desk.db, ids, desk.now());
    case 'restore':
      return archivePeople(desk.db, ids, null);
    case 'join':
      return groups.joinGroup(desk.db, deed.groupId, ids);
    case 'leave':
      return groups.leaveGroup(desk.db, deed.groupId, ids);
  }
}

/** Puts one person aside, or back. */
export async function setAside(desk: Desk, id: PersonId, aside: boolean): Promise<{ readonly kind: 'aside' | 'back' }> {
  await withPeople(desk, [id], { kind: aside ? 'archive' : 'restore' });
  return { kind: aside ? 'aside' : 'back' };
}

/** Who sits down today. */
export const readSitting = (desk: Desk): Promise<PersonId[]> => groups.sittingOn(desk.db, desk.today());

/** `erased-soon`: taken out, and its last bytes are overwritten as soon as another program lets go of the file. */
export type ErasePerson = { readonly kind: 'erased' | 'erased-soon' | 'not-found' | 'name-differs' };

/** However the letters were put together, and however far apart. */
const sameLetters = (name: string): string => name.normalize('NFC').trim().replace(/\s+/g, ' ');

/**
 * Erases a person for good.
 * @param typedName typed by hand, as this cannot be undone
 */
export async function erasePerson(desk: Desk, id: PersonId, typedName: string): Promise<ErasePerson> {
  const person = await findPerson(desk.db, id);
  if (!person) return { kind: 'not-found' };
  if (sameLetters(person.name) !== sameLetters(typedName)) return { kind: 'name-differs' };
  return { kind: (await erasePeople(desk.db, [id], desk.who, desk.now())) === 'soon' ? 'erased-soon' : 'erased' };
}
