import type { IsoDate } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import type { Intake, Person, PersonId } from '../core/shapes/person';
import type { Register } from './connection';
import type { Schema } from './schema';

/** Adds a person and their first intake; an id that is there already is left as it is. */
export async function addPerson(db: Register, person: Person, intake: Intake, at: Date): Promise<void> {
  const { id, name, birthDate, normTable } = person;
  await db.transaction().execute(async (trx) => {
    const added = await trx
      .insertInto('person')
      .values({ id, name, birth_date: birthDate, norm_table: normTable, added_at: at.toISOString() })
      .onConflict((c) => c.doNothing())
      .executeTakeFirst();
    if (added.numInsertedOrUpdatedRows === 1n)
      await trx
        .insertInto('intake')
        .values(toIntakeRow(id, intake, at))
        .execute();
  });
}

/** Changes who somebody is and adds what is known now; the earlier intake stays. */
export async function changePerson(db: Register, person: Person, intake: Intake, at: Date): Promise<void> {
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
  });
}

export async function findPerson(db: Register, id: PersonId): Promise<Person | undefined> {
  const row = await db.selectFrom('person').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toPerson(row);
}

/** Everybody, by name. */
export async function listPeople(db: Register): Promise<Person[]> {
  const rows = await db.selectFrom('person').selectAll().orderBy('name').orderBy('id').execute();
  return rows.map(toPerson);
}

/** What was known at the end of a day: the newest intake noted on it or before. */
export async function intakeOn(db: Register, id: PersonId, day: IsoDate): Promise<Intake | undefined> {
  const row = await db
    .selectFrom('intake')
    .selectAll()
    .where('person_id', '=', id)
    .where('noted_on', '<=', day)
    .orderBy('noted_on', 'desc')
    .orderBy('saved_at', 'desc')
    .executeTakeFirst();
  return row && toIntake(row);
}

/** The newest intake of everybody, in one query. */
export async function newestIntakes(db: Register): Promise<Map<PersonId, Intake>> {
  const rows = await db.selectFrom('intake').selectAll().orderBy('noted_on').orderBy('saved_at').execute();
  return new Map(rows.map((row) => [row.person_id, toIntake(row)]));
}

function toIntakeRow(personId: PersonId, { notedOn, ...facts }: Intake, at: Date): Schema['intake'] {
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

function toPerson(row: Schema['person']): Person {
  return { id: row.id, name: row.name, birthDate: row.birth_date, normTable: row.norm_table as NormTable };
}
