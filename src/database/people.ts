import type { Insertable } from 'kysely';
import type { IsoDate } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import type { Entry, Intake } from '../core/shapes/intake';
import type { Person, PersonId } from '../core/shapes/person';
import type { Register } from './connection';
import { toRow as toEntryRow } from './entries';
import type { Schema } from './schema';

/** A person with where they stand in the register. */
export interface KeptPerson extends Person {
  /** Rises with everything written of them. */
  readonly revision: number;
  readonly archived: boolean;
}

/** Adds a person, their first intake and what has a date of its own; an id that is there already is left as it is. */
export async function addPerson(
  db: Register,
  person: Person,
  intake: Intake,
  entries: readonly Entry[],
  at: Date,
): Promise<void> {
  await db.transaction().execute(async (trx) => {
    const added = await trx
      .insertInto('person')
      .values(toPersonRow(person, at, null))
      .onConflict((c) => c.doNothing())
      .executeTakeFirst();
    if (added.numInsertedOrUpdatedRows !== 1n) return;
    await trx
      .insertInto('intake')
      .values(toIntakeRow(person.id, intake, at))
      .execute();
    if (entries.length > 0) await trx.insertInto('entry').values(entries.map(toEntryRow)).execute();
  });
}

/** Changes who somebody is and adds what is known now; the earlier intake stays. */
export async function changePerson(
  db: Register,
  person: Person,
  intake: Intake,
  entries: readonly Entry[],
  at: Date,
): Promise<void> {
  await db.transaction().execute(async (trx) => {
    await trx
      .updateTable('person')
      .set({ name: person.name, birth_date: person.birthDate, norm_table: person.normTable })
      .where('id', '=', person.id)
      .executeTakeFirstOrThrow();
    await trx
      .insertInto('intake')
      .values(toIntakeRow(person.id, intake, at))
      .execute();
    if (entries.length > 0) await trx.insertInto('entry').values(entries.map(toEntryRow)).execute();
  });
}

export async function findPerson(db: Register, id: PersonId): Promise<KeptPerson | undefined> {
  const row = await db.selectFrom('person').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toPerson(row);
}

/** Everybody, by name, the archived among them. */
export async function listPeople(db: Register): Promise<KeptPerson[]> {
  const rows = await db.selectFrom('person').selectAll().orderBy('name').orderBy('id').execute();
  return rows.map(toPerson);
}

/** People born on a day: the first half of the look for doubles. */
export async function peopleBornOn(db: Register, birthDates: readonly IsoDate[]): Promise<KeptPerson[]> {
  if (birthDates.length === 0) return [];
  const rows = await db
    .selectFrom('person')
    .selectAll()
    .where('birth_date', 'in', [...birthDates])
    .execute();
  return rows.map(toPerson);
}

/** Intakes of one person or of everybody, oldest first. */
export async function listIntakes(
  db: Register,
  personIds?: readonly PersonId[],
): Promise<{ personId: PersonId; intake: Intake }[]> {
  const all = db.selectFrom('intake').selectAll().orderBy('noted_on').orderBy('saved_at');
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map((row) => ({ personId: row.person_id, intake: toIntake(row) }));
}

/** Puts people aside, or back; nothing of them is lost. */
export async function archivePeople(db: Register, ids: readonly PersonId[], at: Date | null): Promise<void> {
  await db
    .updateTable('person')
    .set({ archived_at: at?.toISOString() ?? null })
    .where('id', 'in', [...ids])
    .execute();
}

export function toPersonRow(person: Person, at: Date, importId: string | null): Insertable<Schema['person']> {
  const { id, name, birthDate, normTable } = person;
  return {
    id,
    name,
    birth_date: birthDate,
    norm_table: normTable,
    added_at: at.toISOString(),
    archived_at: null,
    import_id: importId,
  };
}

export function toIntakeRow(personId: PersonId, { notedOn, ...facts }: Intake, at: Date): Schema['intake'] {
  return {
    id: crypto.randomUUID(),
    person_id: personId,
    noted_on: notedOn,
    saved_at: at.toISOString(),
    facts_json: JSON.stringify(facts),
  };
}

function toIntake(row: Schema['intake']): Intake {
  return { ...(JSON.parse(row.facts_json) as Omit<Intake, 'notedOn'>), notedOn: row.noted_on };
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
