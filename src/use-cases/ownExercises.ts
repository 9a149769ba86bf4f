import { canonicalJson } from '../core/math/canonical';
import { assignLevels, withAccessories } from '../core/level/assign';
import { closesOwn, levelOfOwn, ownRung } from '../core/level/own';
import { isOpen } from '../core/level/standing';
import type { LevelRules } from '../core/shapes/ladder';
import type { OwnExercise } from '../core/shapes/own';
import { factsFrom } from '../core/view/personView';
import { addOwn, listOwn } from '../database/ownExercises';
import { listPeople } from '../database/people';
import { ownFile, ownForm, ownFormat, ownFormatVersion, type OwnChoices, type OwnForm } from '../schemas/own';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';
import { judgedBy, recordsFor } from './readPeople';
import { readRules } from './rules';

/** Every movement of the hall's own, those put aside too. */
export const readOwn = (desk: Desk): Promise<OwnExercise[]> => listOwn(desk.db);

/** What one may ask for: facts of which more is better, and the rungs it may stand beside. */
export function choicesOf(rules: LevelRules): OwnChoices {
  const all = withAccessories(rules);
  return {
    facts: rules.measured.filter((m) => m.margin.kind !== 'longer' && m.reads !== 'managed').map((m) => m.id),
    rungs: Object.fromEntries(all.ladders.map((l) => [l.pattern, l.rungs.length])),
  };
}

export type SaveOwn =
  | { readonly kind: 'saved'; readonly version: number }
  | { readonly kind: 'invalid'; readonly errors: readonly FieldError[] }
  /** Somebody changed it since the form was opened: nothing was kept. */
  | { readonly kind: 'changed' };

/**
 * Keeps a new version of one, or the first.
 * @param id made with the form
 * @param seen the version the form was opened with; 0 of a new one
 */
export async function saveOwn(desk: Desk, id: string, sent: unknown, seen: string): Promise<SaveOwn> {
  const { levels } = await readRules(desk);
  const parsed = parse(ownForm(choicesOf(levels)), sent);
  if (parsed.kind === 'bad') return { kind: 'invalid', errors: parsed.errors };
  return together(desk, async (trx): Promise<SaveOwn> => {
    const all = await listOwn(trx.db);
    const now = all.find((own) => own.id === id);
    const next = toOwn(id, (now?.version ?? 0) + 1, now?.aside ?? false, parsed.value);
    // Sent twice it is one version.
    if (now && String(now.version) !== seen)
      return sameBut(now, next) ? { kind: 'saved', version: now.version } : { kind: 'changed' };
    if (now && sameBut(now, next)) return { kind: 'saved', version: now.version };
    if (all.some((own) => own.id !== id && own.name.toLowerCase() === next.name.toLowerCase()))
      return {
        kind: 'invalid',
        errors: [{ path: '/name', message: 'Another one has this name: choose one of its own.' }],
      };
    await addOwn(trx.db, [next], desk.now().toISOString(), desk.who);
    return { kind: 'saved', version: next.version };
  });
}

/** Puts one aside, or takes it up again; it is never deleted, as levels may name it. */
export async function putOwnAside(desk: Desk, id: string, aside: boolean): Promise<SaveOwn> {
  return together(desk, async (trx): Promise<SaveOwn> => {
    const now = (await listOwn(trx.db)).find((own) => own.id === id);
    if (!now) return { kind: 'changed' };
    if (now.aside === aside) return { kind: 'saved', version: now.version };
    const next = { ...now, aside, version: now.version + 1 };
    await addOwn(trx.db, [next], desk.now().toISOString(), desk.who);
    return { kind: 'saved', version: next.version };
  });
}

const toOwn = (id: string, version: number, aside: boolean, form: OwnForm): OwnExercise => ({
  ...form,
  id,
  version,
  aside,
});

/** Whether two say the same, whatever their version. */
const sameBut = (a: OwnExercise, b: OwnExercise): boolean =>
  canonicalJson({ ...a, version: 0 }) === canonicalJson({ ...b, version: 0 });

export interface OwnTried {
  /** What closes it, in a few words each. */
  readonly closedBy: readonly string[];
  /** Of those looked at: for whom it would be open today, by name. */
  readonly openFor: readonly string[];
  readonly lookedAt: number;
}

/** As many of the register as are looked at while a form is written. */
const lookedAtMost = 60;

/** What would close a movement, and for whom it would be open; nothing is kept. Nothing of a form that does not stand yet. */
export async function tryOwn(desk: Desk, sent: unknown): Promise<OwnTried | null> {
  const hall = await judgedBy(desk);
  const rules = hall.rules.levels;
  const parsed = parse(ownForm(choicesOf(rules)), sent);
  if (parsed.kind === 'bad') return null;
  const own = toOwn('tried', 1, false, parsed.value);
  const people = (await listPeople(desk.db)).filter((p) => !p.archived).slice(0, lookedAtMost);
  const today = desk.today();
  const all = withAccessories(rules);
  const open = (await recordsFor(desk, people, hall, today)).flatMap((one) => {
    const records = one.records();
    if (!records) return [];
    const facts = factsFrom(records, hall, today);
    return isOpen(levelOfOwn(rules, facts, own, assignLevels(all, facts))) ? [records.person.name] : [];
  });
  return { closedBy: closesOwn(rules, own, ownRung(own, rules)), openFor: open, lookedAt: people.length };
}

/** All of them as a file. */
export async function exportOwn(desk: Desk): Promise<object> {
  return { format: ownFormat, formatVersion: ownFormatVersion, exercises: await listOwn(desk.db) };
}

export type ImportOwn =
  | { readonly kind: 'taken'; readonly added: number; readonly changed: number; readonly known: number }
  | { readonly kind: 'invalid'; readonly errors: readonly FieldError[] };

/** Takes in a file of them, all or nothing: a newer version of one that is here is added, an older or another one is a fault. */
export async function importOwn(desk: Desk, sent: unknown): Promise<ImportOwn> {
  const newer = newerFormat(sent);
  if (newer) return { kind: 'invalid', errors: [newer] };
  const { levels } = await readRules(desk);
  const parsed = parse(ownFile(choicesOf(levels)), sent);
  if (parsed.kind === 'bad') return { kind: 'invalid', errors: parsed.errors };
  const exercises = parsed.value.exercises as readonly OwnExercise[];
  return together(desk, async (trx): Promise<ImportOwn> => {
    const here = new Map((await listOwn(trx.db)).map((own) => [own.id, own]));
    const errors = exercises.flatMap((own, i) => faultsOf(own, i, exercises, here));
    if (errors.length > 0) return { kind: 'invalid', errors };
    const fresh = exercises.filter((own) => here.get(own.id)?.version !== own.version);
    await addOwn(trx.db, fresh, desk.now().toISOString(), desk.who);
    const changed = fresh.filter((own) => here.has(own.id)).length;
    return { kind: 'taken', added: fresh.length - changed, changed, known: exercises.length - fresh.length };
  });
}

/** A file of a newer program may say what this one cannot read: told before anything else. */
function newerFormat(sent: unknown): FieldError | null {
  const version = typeof sent === 'object' && sent !== null && 'formatVersion' in sent ? sent.formatVersion : null;
  return typeof version === 'number' && version > ownFormatVersion
    ? {
        path: '/formatVersion',
        message: `This file is of a newer program (${version}); this one reads up to ${ownFormatVersion}. Update it first.`,
      }
    : null;
}

function faultsOf(
  own: OwnExercise,
  i: number,
  all: readonly OwnExercise[],
  here: ReadonlyMap<string, OwnExercise>,
): FieldError[] {
  const at = (field: string, message: string): FieldError => ({ path: `/exercises/${i}/${field}`, message });
  if (all.findIndex((other) => other.id === own.id) < i) return [at('id', 'stands in this file twice')];
  const twin = [...here.values(), ...all.slice(0, i)].find(
    (other) => other.id !== own.id && other.name.toLowerCase() === own.name.toLowerCase(),
  );
  if (twin) return [at('name', `${own.name} is the name of another one`)];
  const known = here.get(own.id);
  if (!known || known.version < own.version) return [];
  if (known.version === own.version && sameBut(known, own)) return [];
  return [
    at(
      'version',
      `this hall has version ${known.version} of ${known.name}, which says other; the file has ${own.version}`,
    ),
  ];
}
