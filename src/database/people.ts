import type { Insertable } from 'kysely';
import type { NormTable } from '../core/shapes/norms';
import type { Entry, Intake, NotedIntake } from '../core/shapes/intake';
import type { Person, PersonId } from '../core/shapes/person';
import { nameOrder } from '../core/math/names';
import { inOne, type Register } from './connection';
import { toRow as toEntryRow } from './entries';
import type { Schema } from './schema';

/** A person with where they stand in the register. */
export interface KeptPerson extends Person {
  /** Rises with everything written of them. */
  readonly revision: number;
  readonly archived: boolean;
}

/** How somebody was sent: a partner’s id for them, and a mark of the whole request. */
export interface Sent {
  readonly externalId: string | null;
  readonly sentHash: string | null;
}

/** Whoever was sent with this id, or with this id of a partner. */
export async function findSent(
  db: Register,
  id: PersonId,
  externalId: string | null,
): Promise<{ readonly id: PersonId; readonly name: string; readonly sentHash: string | null } | undefined> {
  const row = await db
    .selectFrom('person')
    .select(['id', 'name', 'sent_hash'])
    .where((e) => e.or([e('id', '=', id), ...(externalId === null ? [] : [e('external_id', '=', externalId)])]))
    .executeTakeFirst();
  return row && { id: row.id, name: row.name, sentHash: row.sent_hash };
}

/** Adds a person, their first intake and what has a date of its own. */
export async function addPerson(
  db: Register,
  person: Person,
  intake: Intake,
  entries: readonly Entry[],
  sent: Sent,
  at: Date,
  by: string,
): Promise<void> {
  await inOne(db, async (trx) => {
    await trx
      .insertInto('person')
      .values(toPersonRow(person, at, null, sent))
      .execute();
    await trx
      .insertInto('intake')
      .values(toIntakeRow(person.id, intake, at))
      .execute();
    if (entries.length > 0)
      await trx
        .insertInto('entry')
        .values(entries.map((e) => toEntryRow(e, by)))
        .execute();
  });
}

/** Changes who somebody is and adds what is known now, where that is new; the earlier intake stays. */
export async function changePerson(
  db: Register,
  person: Person,
  intake: Intake | null,
  entries: readonly Entry[],
  at: Date,
  by: string,
): Promise<void> {
  await inOne(db, async (trx) => {
    await trx
      .updateTable('person')
      .set({ name: person.name, birth_date: person.birthDate, norm_table: person.normTable })
      .where('id', '=', person.id)
      .executeTakeFirstOrThrow();
    if (intake)
      await trx
        .insertInto('intake')
        .values(toIntakeRow(person.id, intake, at))
        .execute();
    if (entries.length > 0)
      await trx
        .insertInto('entry')
        .values(entries.map((e) => toEntryRow(e, by)))
        .execute();
  });
}

/** A partner’s own id for somebody. */
export async function externalIdOf(db: Register, id: PersonId): Promise<string | null> {
  const row = await db.selectFrom('person').select('external_id').where('id', '=', id).executeTakeFirst();
  return row?.external_id ?? null;
}

export async function findPerson(db: Register, id: PersonId): Promise<KeptPerson | undefined> {
  const row = await db.selectFrom('person').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toPerson(row);
}

/** Everybody, by name, the archived among them. */
export async function listPeople(db: Register): Promise<KeptPerson[]> {
  const rows = await db.selectFrom('person').selectAll().orderBy('id').execute();
  const order = nameOrder();
  return rows.map(toPerson).sort((a, b) => order(a.name, b.name));
}

/** Some people, in no order. */
export async function peopleOf(db: Register, ids: readonly PersonId[]): Promise<KeptPerson[]> {
  const rows = await db
    .selectFrom('person')
    .selectAll()
    .where('id', 'in', [...ids])
    .execute();
  return rows.map(toPerson);
}

/** How often something was written of each person, the archived among them. */
export async function listRevisions(db: Register): Promise<Map<PersonId, number>> {
  const rows = await db.selectFrom('person').select(['id', 'revision']).execute();
  return new Map(rows.map((r) => [r.id, r.revision]));
}

/** Those of some ids who are in the register. */
export async function peopleThere(db: Register, ids: readonly PersonId[]): Promise<PersonId[]> {
  const rows = await db
    .selectFrom('person')
    .select('id')
    .where('id', 'in', [...ids])
    .execute();
  const there = new Set(rows.map((r) => r.id));
  return ids.filter((id) => there.has(id));
}

/** Intakes of one person or of everybody, oldest first. */
export async function listIntakes(
  db: Register,
  personIds?: readonly PersonId[],
): Promise<{ personId: PersonId; intake: NotedIntake }[]> {
  const all = db.selectFrom('intake').selectAll().orderBy('noted_on').orderBy('saved_at');
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map((row) => ({ personId: row.person_id, intake: toIntake(row) }));
}

/**
 * Puts people aside, or back; nothing of them is lost.
 * @returns those who were not so before
 */
export async function archivePeople(db: Register, ids: readonly PersonId[], at: Date | null): Promise<PersonId[]> {
  const rows = await inOne(db, (trx) =>
    trx
      .updateTable('person')
      .set({ archived_at: at?.toISOString() ?? null })
      .where('id', 'in', [...ids])
      .where('archived_at', at === null ? 'is not' : 'is', null)
      .returning('id')
      .execute(),
  );
  return rows.map((r) => r.id);
}

export function toPersonRow(
  person: Person,
  at: Date,
  importId: string | null,
  sent: Sent = { externalId: null, sentHash: null },
): Insertable<Schema['person']> {
  const { id, name, birthDate, normTable } = person;
  return {
    id,
    name,
    birth_date: birthDate,
    norm_table: normTable,
    added_at: at.toISOString(),
    archived_at: null,
    import_id: importId,
    external_id: sent.externalId,
    sent_hash: sent.sentHash,
  };
}

export function toIntakeRow(
  personId: PersonId,
  { notedOn, ...facts }: Intake,
  at: Date,
  id: string = crypto.randomUUID(),
): Schema['intake'] {
  return {
    id,
    person_id: personId,
    noted_on: notedOn,
    saved_at: at.toISOString(),
    facts_json: JSON.stringify(facts),
  };
}

/** What older intakes were not asked, as nobody thought that it was not so. */
const askedSince = { followsTask: true, armsFree: true, aloneAtHome: false };

function toIntake(row: Schema['intake']): NotedIntake {
  const facts = JSON.parse(row.facts_json) as Omit<Intake, 'notedOn'>;
  return { ...askedSince, ...facts, notedOn: row.noted_on, savedAt: row.saved_at };
}

interface PersonRow {
  id: string;
  name: string;
  birth_date: string;
  norm_table: string | null;
  archived_at: string | null;
  revision: number;
}

function toPerson(row: PersonRow): KeptPerson {
  return {
    id: row.id,
    name: row.name,
    birthDate: row.birth_date,
    normTable: row.norm_table as NormTable,
    revision: row.revision,
    archived: row.archived_at !== null,
  };
}
