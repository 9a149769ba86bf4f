import { wellToday } from '../core/intake/dayCheck';
import { painsOn, type PainNow } from '../core/intake/pains';
import { entriesUntil } from '../core/intake/entries';
import { canonicalJson } from '../core/math/canonical';
import { addDays } from '../core/math/days';
import { mergeChanges, type Clash } from '../core/math/mergeChanges';
import type { IsoDate } from '../core/shapes/facts';
import type { Entry, EntryContent, Intake } from '../core/shapes/intake';
import type { Person, PersonId } from '../core/shapes/person';
import { readinessRules } from '../catalogue/readiness/readiness';
import { firstTestedOn } from '../database/attempts';
import { listEntries } from '../database/entries';
import * as people from '../database/people';
import { openedAs, parse, type FieldError } from '../schemas/parse';
import { personForm, personItem, walkInForm, type PersonForm, type WalkInForm } from '../schemas/person';
import { lookForDoubles, type Double } from './doubles';
import { hashOf } from './hash';
import { readRules } from './rules';
import { together, type Desk } from './desk';

export type SavePerson =
  | { readonly kind: 'saved'; readonly id: PersonId }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  /** This form, or this partner’s id, was taken before with other content; nothing was changed. */
  | { readonly kind: 'conflict'; readonly id: PersonId; readonly name: string }
  /** Somebody like this is in the register; send again with `evenSo` to add them all the same. */
  | { readonly kind: 'double'; readonly doubles: readonly Double[] }
  /** Changed elsewhere since the form was opened, and not in the same way: which is right is asked. */
  | {
      readonly kind: 'changed';
      readonly theirs: PersonForm;
      readonly merged: PersonForm;
      readonly clashes: readonly Clash[];
    }
  | { readonly kind: 'not-found' };

interface Adding {
  /** Made where the form was opened: a UUID, so that a form sent twice adds one person. */
  readonly id?: PersonId;
  /** A partner’s own id for them. */
  readonly externalId?: string;
  /** The day it was known; only a demonstration or an old paper differs from today. */
  readonly notedOn?: IsoDate;
  readonly evenSo?: boolean;
}

/**
 * Adds a person with a first intake. The same form again changes nothing and says the same; another with its id is a
 * conflict.
 * @param input the whole form, as typed
 */
export async function addPerson(desk: Desk, input: unknown, how: Adding = {}): Promise<SavePerson> {
  const today = desk.today();
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { id = crypto.randomUUID(), notedOn = today } = how;
  const person = toPerson(id, parsed.value);
  const contents = contentsOf(parsed.value, parsed.value, [], notedOn);
  return add(desk, person, toIntake(parsed.value, notedOn), contents, parsed.value, { ...how, id, notedOn });
}

/** Adds somebody who turned up: name, age, norm table and six questions. The rest waits as "to complete". */
export async function addWalkIn(desk: Desk, input: unknown, how: Adding = {}): Promise<SavePerson> {
  const today = desk.today();
  const parsed = parse(walkInForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const form = parsed.value;
  const { id = crypto.randomUUID() } = how;
  const person: Person = {
    id,
    name: form.name.trim().replace(/\s+/g, ' '),
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
  return add(desk, person, intake, walkInContents(form, today), form, { ...how, id, notedOn: today });
}

/** @param asked the form as it was sent, by which the same request is known again */
async function add(
  desk: Desk,
  person: Person,
  intake: Intake,
  contents: readonly EntryContent[],
  asked: object,
  { id, notedOn, evenSo = false, externalId }: Required<Pick<Adding, 'id' | 'notedOn'>> & Adding,
): Promise<SavePerson> {
  if (!isUuid(id)) return { kind: 'rejected', errors: [{ path: '/id', message: 'must be a UUID made for this form' }] };
  const sentHash = hashOf(canonicalJson(asked));
  const at = desk.now();
  // Looked for in the transaction that adds: of two devices with the same person one finds the other’s.
  return together(desk, async (trx): Promise<SavePerson> => {
    const known = await people.findSent(trx.db, id, externalId ?? null);
    if (known)
      return known.sentHash === sentHash
        ? { kind: 'saved', id: known.id }
        : { kind: 'conflict', id: known.id, name: known.name };
    const doubles = evenSo ? [] : await lookForDoubles(trx, person);
    if (doubles.length > 0) return { kind: 'double', doubles };
    const entries = toEntries(id, id, contents, notedOn, at);
    await people.addPerson(trx.db, person, intake, entries, { externalId: externalId ?? null, sentHash }, at, desk.who);
    return { kind: 'saved', id };
  });
}

const isUuid = (id: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(id);

export interface Changing {
  /** Made when the form was opened: what the same form says twice is noted once. */
  readonly key?: string;
  /** What the form showed when it was opened: what was changed elsewhere since is kept. Left out: as it is now. */
  readonly opened?: unknown;
}

/** Changes a person and notes a new intake from today on; what was known before stays readable. */
export async function changePerson(
  desk: Desk,
  id: PersonId,
  input: unknown,
  { key = crypto.randomUUID(), opened }: Changing = {},
): Promise<SavePerson> {
  const today = desk.today();
  const parsed = parse(personForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  return together(desk, async (trx): Promise<SavePerson> => {
    const person = await people.findPerson(trx.db, id);
    if (!person) return { kind: 'not-found' };
    const newest = (await people.listIntakes(trx.db, [id])).at(-1)?.intake;
    const { savedAt, ...before } = newest ?? { ...nothingKnown(today), savedAt: '' };
    const known = await listEntries(trx.db, [id]);
    const pains = painsOn(entriesUntil(known, today), today, (await readRules(trx)).readiness);
    const theirs = toPersonForm(person, before, pains);
    const shown = openedAs(theirs, opened) ?? theirs;
    const { merged, clashes } = mergeChanges(shown, parsed.value, theirs, personItem);
    if (clashes.length > 0) return { kind: 'changed', theirs, merged, clashes };
    const errors = await birthFaults(trx, id, merged.birthDate);
    if (errors.length > 0) return { kind: 'rejected', errors };
    const at = desk.now();
    const entries = toEntries(id, key, contentsOf(merged, shown, known, today), today, at).filter(
      (e) => !known.some((k) => k.id === e.id),
    );
    const intake = toIntake(merged, today);
    // A form sent twice notes one intake.
    const again = newest !== undefined && canonicalJson(intake) === canonicalJson(before);
    await people.changePerson(trx.db, toPerson(id, merged), again ? null : intake, entries, at, desk.who);
    return { kind: 'saved', id };
  });
}

const nothingKnown = (notedOn: IsoDate): Intake => ({ ...emptyIntake, notedOn });

/** A result of somebody not born yet could not be read again. */
async function birthFaults(desk: Desk, id: PersonId, birthDate: IsoDate): Promise<FieldError[]> {
  const first = await firstTestedOn(desk.db, id);
  if (first === undefined || birthDate <= first) return [];
  return [{ path: '/birthDate', message: `They were tested on ${first}, before this date: look at the year.` }];
}

/**
 * Ids made of the form and what was said in it, so that a form sent twice notes everything once. The stamps keep the
 * order and lie before the moment of saving, so that what is noted afterwards comes later.
 */
function toEntries(personId: PersonId, key: string, contents: readonly EntryContent[], on: IsoDate, at: Date): Entry[] {
  return contents.map((content, i) => ({
    id: hashOf(JSON.stringify([personId, key, i, content])).slice(0, 32),
    personId,
    on,
    savedAt: new Date(at.getTime() - contents.length + i).toISOString(),
    content,
  }));
}

/**
 * What the form says that has a date of its own: pains asked now, falls, what is taken back.
 * @param shown the form as it was opened: a pain that was not on it was not taken away by it
 */
function contentsOf(
  form: PersonForm,
  shown: Pick<PersonForm, 'pains'>,
  known: readonly Entry[],
  today: IsoDate,
): EntryContent[] {
  const before = painsOn(entriesUntil(known, today), today, readinessRules);
  const same = (a: { joint: string; side?: string | null }, b: { joint: string; side?: string | null }) =>
    a.joint === b.joint && (a.side ?? null) === (b.side ?? null);
  const asked = form.pains.filter((p) => p.asked).map(toPain);
  const gone = before
    .filter((b) => shown.pains.some((p) => same(p, b)) && !form.pains.some((p) => same(p, b)))
    .map(({ joint, side, since }): EntryContent => ({ kind: 'pain', joint, side, level: 0, since }));
  const falls = form.falls.map((f): EntryContent => ({ kind: 'fall', ...f }));
  const withdrawn = form.withdrawn
    .filter((entryId) => known.some((e) => e.id === entryId))
    .map((entryId): EntryContent => ({ kind: 'withdrawn', entryId, reason: 'taken back in the intake' }));
  return [...withdrawn, ...asked, ...gone, ...falls];
}

function toPain({ joint, side, level, since }: PersonForm['pains'][number]): EntryContent {
  if (level === null) throw new RangeError('toPain: nobody has said how much it hurts');
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
    // The first question lists what the check of the day asks: nobody is asked for chest pain twice.
    ...(symptoms ? [] : [wellToday]),
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
  followsTask: true,
  armsFree: true,
  aloneAtHome: false,
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
      const { kind, side = null, since = null, limitsLifted = false, ofTheEye = false } = l;
      const { by = '', limits = '', writtenOn = null, closes = [], text = '' } = l;
      return { kind, side, since, limitsLifted, by, limits, writtenOn, ofTheEye, closes: [...closes], text };
    }),
    toComplete: [...toComplete],
    pains: pains.map(({ joint, side, level, since }) => ({ joint, side, level, since, asked: false })),
    falls: [],
    withdrawn: [],
  };
}
