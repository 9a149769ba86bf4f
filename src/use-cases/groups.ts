import type { IsoDate } from '../core/shapes/facts';
import type { Group, PersonId } from '../core/shapes/person';
import { mergeChanges, type Clash } from '../core/mergeChanges';
import { inOne, type Register } from '../database/connection';
import { erasePeople } from '../database/erase';
import * as groups from '../database/groups';
import { archivePeople, findPerson, listPeople } from '../database/people';
import { parse, type FieldError } from '../schemas/parse';
import { groupForm, type GroupForm } from '../schemas/place';

export type SaveGroup =
  | { readonly kind: 'saved'; readonly group: Group }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  | {
      readonly kind: 'changed';
      readonly theirs: GroupForm;
      readonly merged: GroupForm;
      readonly clashes: readonly Clash[];
    };

export const readGroups = groups.listGroups;

/**
 * Makes a group, or changes one.
 * @param opened the group as the form showed it: what was changed elsewhere since is kept. Left out for a new one.
 */
export async function saveGroup(db: Register, id: string, input: unknown, opened?: unknown): Promise<SaveGroup> {
  const parsed = parse(groupForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const mine = { ...parsed.value, name: parsed.value.name.trim() };
  return inOne(db, async (trx): Promise<SaveGroup> => {
    const known = (await groups.listGroups(trx)).find((g) => g.id === id);
    const changing = typeof opened === 'object' && opened !== null;
    if (changing && !known)
      return { kind: 'rejected', errors: [{ path: '', message: 'This group was ended on another device.' }] };
    const theirs = known ? { name: known.name, weekday: known.weekday, time: known.time } : mine;
    const shown = changing ? (opened as typeof theirs) : theirs;
    const { merged, clashes } = mergeChanges(shown, mine, theirs, () => null);
    if (clashes.length > 0) return { kind: 'changed', theirs, merged, clashes };
    const group = { id, ...merged };
    await groups.saveGroup(trx, group);
    return { kind: 'saved', group };
  });
}

/** Groups with how many are in each. */
export async function readGroupsWithPeople(db: Register): Promise<(Group & { readonly people: number })[]> {
  const members = [...(await groups.groupsOfPeople(db)).values()].flat();
  return (await groups.listGroups(db)).map((g) => ({ ...g, people: members.filter((id) => id === g.id).length }));
}

/** Groups that come on this day of the week and do not all sit already. */
export async function groupsToday(
  db: Register,
  today: IsoDate,
): Promise<{ id: string; name: string; people: number }[]> {
  const weekday = new Date(`${today}T12:00:00Z`).getUTCDay() || 7;
  const sitting = new Set(await groups.sittingOn(db, today));
  const members = await groups.groupsOfPeople(db);
  return (await groups.listGroups(db))
    .filter((g) => g.weekday === weekday)
    .map(({ id, name }) => ({
      id,
      name,
      people: [...members].filter(([person, of]) => of.includes(id) && !sitting.has(person)).length,
    }))
    .filter((g) => g.people > 0);
}

/** Puts a whole group into the sitting of the day. */
export async function seatGroup(db: Register, groupId: string, today: IsoDate): Promise<void> {
  const people = [...(await groups.groupsOfPeople(db))].filter(([, of]) => of.includes(groupId)).map(([id]) => id);
  await withPeople(db, people, { kind: 'sit-today' }, today);
}

/** Whom a sheet is for: a group, or without one today’s sitting. */
export async function readSheetPeople(
  db: Register,
  groupId: string | null,
  today: IsoDate,
): Promise<{ readonly name: string; readonly people: readonly { readonly id: PersonId; readonly name: string }[] }> {
  const group = (await groups.listGroups(db)).find((g) => g.id === groupId);
  const chosen = new Set(
    group
      ? [...(await groups.groupsOfPeople(db))].filter(([, of]) => of.includes(group.id)).map(([id]) => id)
      : await groups.sittingOn(db, today),
  );
  const people = (await listPeople(db)).filter((p) => chosen.has(p.id) && !p.archived);
  return { name: group?.name ?? 'today’s sitting', people: people.map(({ id, name }) => ({ id, name })) };
}

export const endGroup = groups.removeGroup;

/** What may be done with several people at once. */
export type PeopleDeed =
  | { readonly kind: 'sit-today' | 'not-sit-today' | 'archive' | 'restore' }
  | { readonly kind: 'join' | 'leave'; readonly groupId: string };

/**
 * Does one thing with several people; each deed has its opposite.
 * @returns those whom it changed: who was in the group before is not taken out of it by the opposite
 */
export async function withPeople(
  db: Register,
  ids: readonly PersonId[],
  deed: PeopleDeed,
  today: IsoDate,
): Promise<readonly PersonId[]> {
  if (ids.length === 0) return [];
  switch (deed.kind) {
    case 'sit-today':
      return groups.addToSitting(db, today, ids);
    case 'not-sit-today':
      return groups.leaveSitting(db, today, ids);
    case 'archive':
      return archivePeople(db, ids, new Date());
    case 'restore':
      return archivePeople(db, ids, null);
    case 'join':
      return groups.joinGroup(db, deed.groupId, ids);
    case 'leave':
      return groups.leaveGroup(db, deed.groupId, ids);
  }
}

export const readSitting = groups.sittingOn;

/** `erased-soon`: taken out, and its last bytes are overwritten as soon as another program lets go of the file. */
export type ErasePerson = { readonly kind: 'erased' | 'erased-soon' | 'not-found' | 'name-differs' };

/**
 * Erases a person for good.
 * @param typedName typed by hand, as this cannot be undone
 */
export async function erasePerson(db: Register, id: PersonId, typedName: string): Promise<ErasePerson> {
  const person = await findPerson(db, id);
  if (!person) return { kind: 'not-found' };
  if (person.name.trim() !== typedName.trim()) return { kind: 'name-differs' };
  return { kind: (await erasePeople(db, [id])) === 'soon' ? 'erased-soon' : 'erased' };
}
