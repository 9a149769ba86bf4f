import type { IsoDate } from '../core/shapes/facts';
import type { Intake, Person, PersonId } from '../core/shapes/person';
import type { Register } from '../database/connection';
import * as people from '../database/people';
import { parse, type FieldError } from '../schemas/parse';
import { personForm, type PersonForm } from '../schemas/person';

export type SavePerson =
  { kind: 'saved'; id: PersonId } | { kind: 'rejected'; errors: readonly FieldError[] } | { kind: 'not-found' };

/**
 * Adds a person with a first intake. Adding the same id again changes nothing and says the same.
 * @param input the whole form, as typed
 */
export async function addPerson(
  db: Register,
  input: unknown,
  today: IsoDate,
  { id = crypto.randomUUID(), notedOn = today }: { id?: PersonId; notedOn?: IsoDate } = {},
): Promise<SavePerson> {
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const person = toPerson(id, parsed.value);
  await people.addPerson(db, person, toIntake(parsed.value, notedOn), new Date());
  const kept = await people.findPerson(db, id);
  if (kept?.name === person.name && kept.birthDate === person.birthDate) return { kind: 'saved', id };
  return {
    kind: 'rejected',
    errors: [{ path: '/name', message: `This form was saved for ${kept?.name ?? 'somebody'}: open a new one.` }],
  };
}

/** Changes a person and notes a new intake from today on; what was known before stays readable. */
export async function changePerson(db: Register, id: PersonId, input: unknown, today: IsoDate): Promise<SavePerson> {
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  if (!(await people.findPerson(db, id))) return { kind: 'not-found' };
  await people.changePerson(db, toPerson(id, parsed.value), toIntake(parsed.value, today), new Date());
  return { kind: 'saved', id };
}

function toPerson(id: PersonId, form: PersonForm): Person {
  return { id, name: form.name.trim(), birthDate: form.birthDate, normTable: form.normTable };
}

function toIntake({ name, birthDate, normTable, ...facts }: PersonForm, notedOn: IsoDate): Intake {
  return { ...facts, notedOn };
}

/** What the form starts with for somebody new. */
export const emptyPersonForm: PersonForm = {
  name: '',
  birthDate: '',
  normTable: null,
  heightCm: null,
  massKg: null,
  seatHeightCm: 43,
  readiness: 'ready',
  readinessWhy: '',
  limiters: [],
  falls12m: 0,
  injuredInFall: false,
  walkingAid: 'none',
  aidIndoors: false,
  sitsUnsupported: true,
  heelDownAtTarget: false,
  classesSoFar: 0,
};

/** The form as it stands for somebody known. */
export function toPersonForm(person: Person, { notedOn, ...facts }: Intake): PersonForm {
  const { name, birthDate, normTable } = person;
  return { name, birthDate, normTable, ...facts, limiters: [...facts.limiters] };
}
