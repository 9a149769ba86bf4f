import type { IsoDate } from '../core/shapes/facts';
import type { Group, PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';

/** Groups by day and time. */
export async function listGroups(db: Register): Promise<Group[]> {
  return db.selectFrom('person_group').selectAll().orderBy('weekday').orderBy('time').orderBy('name').execute();
}

export async function saveGroup(db: Register, group: Group): Promise<void> {
  const { id, ...rest } = group;
  await inOne(db, (trx) =>
    trx
      .insertInto('person_group')
      .values(group)
      .onConflict((c) => c.column('id').doUpdateSet(rest))
      .execute(),
  );
}

/** Ends a group; its people stay in the register. */
export async function removeGroup(db: Register, id: string): Promise<void> {
  await inOne(db, async (trx) => {
    await trx.deleteFrom('group_member').where('group_id', '=', id).execute();
    await trx.deleteFrom('person_group').where('id', '=', id).execute();
  });
}

/** @returns those who were not in it before */
export async function joinGroup(db: Register, groupId: string, people: readonly PersonId[]): Promise<PersonId[]> {
  const rows = await inOne(db, (trx) =>
    trx
      .insertInto('group_member')
      .values(people.map((person_id) => ({ group_id: groupId, person_id })))
      .onConflict((c) => c.doNothing())
      .returning('person_id')
      .execute(),
  );
  return rows.map((r) => r.person_id);
}

/** @returns those who were in it */
export async function leaveGroup(db: Register, groupId: string, people: readonly PersonId[]): Promise<PersonId[]> {
  const rows = await inOne(db, (trx) =>
    trx
      .deleteFrom('group_member')
      .where('group_id', '=', groupId)
      .where('person_id', 'in', [...people])
      .returning('person_id')
      .execute(),
  );
  return rows.map((r) => r.person_id);
}

/** Ids of the groups of each person that is in one, of some people or of everybody. */
export async function groupsOfPeople(db: Register, ids?: readonly PersonId[]): Promise<Map<PersonId, string[]>> {
  const all = db.selectFrom('group_member').selectAll();
  const rows = await (ids === undefined ? all : all.where('person_id', 'in', [...ids])).execute();
  const groups = new Map<PersonId, string[]>();
  for (const { person_id, group_id } of rows) groups.set(person_id, [...(groups.get(person_id) ?? []), group_id]);
  return groups;
}

/** Who sits down on a day, as it was put together. */
export async function sittingOn(db: Register, day: IsoDate): Promise<PersonId[]> {
  const rows = await db.selectFrom('sitting_person').select('person_id').where('day', '=', day).execute();
  return rows.map((r) => r.person_id);
}

/** @returns those who did not sit before */
export async function addToSitting(db: Register, day: IsoDate, people: readonly PersonId[]): Promise<PersonId[]> {
  const rows = await inOne(db, (trx) =>
    trx
      .insertInto('sitting_person')
      .values(people.map((person_id) => ({ day, person_id })))
      .onConflict((c) => c.doNothing())
      .returning('person_id')
      .execute(),
  );
  return rows.map((r) => r.person_id);
}

/** @returns those who sat */
export async function leaveSitting(db: Register, day: IsoDate, people: readonly PersonId[]): Promise<PersonId[]> {
  const rows = await inOne(db, (trx) =>
    trx
      .deleteFrom('sitting_person')
      .where('day', '=', day)
      .where('person_id', 'in', [...people])
      .returning('person_id')
      .execute(),
  );
  return rows.map((r) => r.person_id);
}
