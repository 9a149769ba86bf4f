import { createHash } from 'node:crypto';
import { painsOn, type PainNow } from '../core/intake/pains';
import { entriesUntil } from '../core/intake/entries';
import { addDays } from '../core/math/days';
import type { IsoDate } from '../core/shapes/facts';
import type { Entry, EntryContent, Intake } from '../core/shapes/intake';
import type { Person, PersonId } from '../core/shapes/person';
import { readinessRules } from '../catalogue/readiness/readiness';
import type { Register } from '../database/connection';
import { listEntries } from '../database/entries';
import * as people from '../database/people';
import { parse, type FieldError } from '../schemas/parse';
import { personForm, walkInForm, type PersonForm, type WalkInForm } from '../schemas/person';
import { lookForDoubles, type Double } from './everybody';

export type SavePerson =
  | { readonly kind: 'saved'; readonly id: PersonId }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  /** Somebody like this is in the register; send again with `evenSo` to add them all the same. */
  | { readonly kind: 'double'; readonly doubles: readonly Double[] }
  | { readonly kind: 'not-found' };

interface Adding {
  readonly id?: PersonId;
  /** The day it was known; only a demonstration or an old paper differs from today. */
  readonly notedOn?: IsoDate;
  readonly evenSo?: boolean;
}

/**
 * Adds a person with a first intake. Adding the same id again changes nothing and says the same.
 * @param input the whole form, as typed
 */
export async function addPerson(db: Register, input: unknown, today: IsoDate, how: Adding = {}): Promise<SavePerson> {
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { id = crypto.randomUUID(), notedOn = today } = how;
  const person = toPerson(id, parsed.value);
  return add(db, person, toIntake(parsed.value, notedOn), contentsOf(parsed.value, [], notedOn), today, {
    ...how,
    id,
    notedOn,
  });
}

/** Adds somebody who turned up: name, age, norm table and six questions. The rest waits as "to complete". */
export async function addWalkIn(db: Register, input: unknown, today: IsoDate, how: Adding = {}): Promise<SavePerson> {
  const parsed = parse(walkInForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const form = parsed.value;
  const { id = crypto.randomUUID() } = how;
  const person: Person = {
    id,
    name: form.name.trim(),
    birthDate: bornYearsAgo(form.ageYears, today),
    normTable: form.normTable,
  };
  const { classesSoFar, ...rest } = emptyIntake;
  const intake: Intake = {
    ...rest,
    classesSoFar,
    notedOn: today,
    toComplete: ['birth-date', 'body', 'bones', 'nerves', 'floor', 'aids', 'contacts'],
  };
  return add(db, person, intake, walkInContents(form, today), today, { ...how, id, notedOn: today });
}

async function add(
  db: Register,
  person: Person,
  intake: Intake,
  contents: readonly EntryContent[],
  today: IsoDate,
  { id, notedOn, evenSo = false }: Required<Pick<Adding, 'id' | 'notedOn'>> & Adding,
): Promise<SavePerson> {
  const known = await people.findPerson(db, id);
  if (!known && !evenSo) {
    const doubles = await lookForDoubles(db, person, today);
    if (doubles.length > 0) return { kind: 'double', doubles };
  }
  const at = new Date();
  await people.addPerson(db, person, intake, toEntries(id, id, contents, notedOn, at), at);
  const kept = await people.findPerson(db, id);
  if (kept?.name === person.name && kept.birthDate === person.birthDate) return { kind: 'saved', id };
  return {
    kind: 'rejected',
    errors: [{ path: '/name', message: `This form was saved for ${kept?.name ?? 'somebody'}: open a new one.` }],
  };
}

/**
 * Changes a person and notes a new intake from today on; what was known before stays readable.
 * @param key made when the form was opened: what the same form says twice is noted once
 */
export async function changePerson(
  db: Register,
  id: PersonId,
  input: unknown,
  today: IsoDate,
  key: string = crypto.randomUUID(),
): Promise<SavePerson> {
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  if (!(await people.findPerson(db, id))) return { kind: 'not-found' };
  const known = await listEntries(db, [id]);
  const at = new Date();
  const entries = toEntries(id, key, contentsOf(parsed.value, known, today), today, at).filter(
    (e) => !known.some((k) => k.id === e.id),
  );
  await people.changePerson(db, toPerson(id, parsed.value), toIntake(parsed.value, today), entries, at);
  return { kind: 'saved', id };
}

/**
 * Ids made of the form and what was said in it, so that a form sent twice notes everything once. The stamps keep the
 * order and lie before the moment of saving, so that what is noted afterwards comes later.
 */
function toEntries(personId: PersonId, key: string, contents: readonly EntryContent[], on: IsoDate, at: Date): Entry[] {
  return contents.map((content, i) => ({
    id: createHash('sha256')
      .update(JSON.stringify([personId, key, i, content]))
      .digest('hex')
      .slice(0, 32),
    personId,
    on,
    savedAt: new Date(at.getTime() - contents.length + i).toISOString(),
    content,
  }));
}

/** What the form says that has a date of its own: pains asked now, falls, what is taken back. */
function contentsOf(form: PersonForm, known: readonly Entry[], today: IsoDate): EntryContent[] {
  const before = painsOn(entriesUntil(known, today), today, readinessRules);
  const same = (a: { joint: string; side?: string | null }, b: { joint: string; side?: string | null }) =>
    a.joint === b.joint && (a.side ?? null) === (b.side ?? null);
  const asked = form.pains.filter((p) => p.asked).map(toPain);
  const gone = before
    .filter((b) => !form.pains.some((p) => same(p, b)))
    .map(({ joint, side, since }): EntryContent => ({ kind: 'pain', joint, side, level: 0, since }));
  const falls = form.falls.map((f): EntryContent => ({ kind: 'fall', ...f }));
  const withdrawn = form.withdrawn
    .filter((entryId) => known.some((e) => e.id === entryId))
    .map((entryId): EntryContent => ({ kind: 'withdrawn', entryId, reason: 'taken back in the intake' }));
  return [...withdrawn, ...asked, ...gone, ...falls];
}

function toPain({ joint, side, level, since }: PersonForm['pains'][number]): EntryContent {
  return { kind: 'pain', joint, side, level, since: since === '' ? null : since };
}

/** The six answers as entries; the falls are noted first, so that the questions put after them hold. */
function walkInContents(form: WalkInForm, today: IsoDate): EntryContent[] {
  const { symptoms, disease, active, operation } = form;
  const fall = { kind: 'fall' as const, fellOn: today, lookedAt: true, headStruck: false, unexplained: false };
  const falls = {
    none: [],
    one: [{ ...fall, hurt: false }],
    'hurt-or-more': [{ ...fall, hurt: true }],
  }[form.falls];
  return [
    ...form.pains.map(toPain),
    ...falls.map((f) => ({ ...f, fellOn: addDays(today, -1) })),
    { kind: 'screening', answers: { symptoms, disease, active, operation } },
  ];
}

/** A birth date that makes somebody this old today, for a walk-in whose day is asked later. */
function bornYearsAgo(years: number, today: IsoDate): IsoDate {
  const monthDay = today.slice(5) === '02-29' ? '02-28' : today.slice(5);
  return `${Number(today.slice(0, 4)) - years}-${monthDay}`;
}

function toPerson(id: PersonId, form: PersonForm): Person {
  return { id, name: form.name.trim(), birthDate: form.birthDate, normTable: form.normTable };
}

function toIntake(form: PersonForm, notedOn: IsoDate): Intake {
  const { name, birthDate, normTable, pains, falls, withdrawn, limiters, ...facts } = form;
  return {
    ...facts,
    limiters: limiters.map(({ kind, side = null, since, ...more }) => ({ kind, side, since: since || null, ...more })),
    notedOn,
  };
}

const emptyIntake: Omit<Intake, 'notedOn'> = {
  heightCm: null,
  massKg: null,
  shankCm: null,
  kneecapCm: null,
  hipBoneCm: null,
  seatHeightCm: null,
  limiters: [],
  aidOutdoors: 'none',
  aidIndoors: 'none',
  sitsUnsupported: true,
  heelDownAtTarget: false,
  classesSoFar: 0,
  medicines: '',
  bloodThinners: false,
  sugarLowering: false,
  contact: { name: '', phone: '' },
  clinician: { name: '', phone: '' },
  toComplete: [],
};

/** What the form starts with for somebody new. */
export const emptyPersonForm: PersonForm = {
  name: '',
  birthDate: '',
  normTable: null,
  ...emptyIntake,
  limiters: [],
  toComplete: [],
  seatHeightCm: 43,
  pains: [],
  falls: [],
  withdrawn: [],
};

/** The form as it stands for somebody known. */
export function toPersonForm(person: Person, intake: Intake, pains: readonly PainNow[]): PersonForm {
  const { notedOn, limiters, toComplete, ...facts } = intake;
  const { name, birthDate, normTable } = person;
  return {
    name,
    birthDate,
    normTable,
    ...facts,
    limiters: limiters.map((l) => {
      const { kind, side = null, since = null, limitsLifted = false, by = '', limits = '', ofTheEye = false } = l;
      return { kind, side, since, limitsLifted, by, limits, ofTheEye };
    }),
    toComplete: [...toComplete],
    pains: pains.map(({ joint, side, level, since }) => ({ joint, side, level, since, asked: false })),
    falls: [],
    withdrawn: [],
  };
}
