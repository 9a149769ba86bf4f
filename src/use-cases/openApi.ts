import { trainedLevels, waitingLevels } from '../core/level/standing';
import { printDose } from '../core/level/code';
import { intakeSections } from '../core/shapes/intake';
import type { PersonId } from '../core/shapes/person';
import { externalIdOf } from '../database/people';
import { rosterFields, type Columns } from '../formats/roster';
import { parse, type FieldError } from '../schemas/parse';
import { importQuestion, personRequest, registerQuestion } from '../schemas/register';
import { askRegister, wholeRegister } from './everybody';
import { previewRoster, takeRoster, type RosterPreview, type TakeRoster } from './importRoster';
import { readBeside } from './lastWord';
import { readPerson } from './readPeople';
import { addPerson, emptyPersonForm, type SavePerson } from './savePerson';
import { type Desk } from './desk';

const isGiven = (value: unknown): boolean => value !== undefined;

type Rejected = { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** The words of an address as what they stand for: numbers, yes and no; the check refuses the rest. */
function typed(query: URLSearchParams): Record<string, unknown> {
  const numbers = ['offset', 'limit'];
  const truths: Readonly<Record<string, boolean>> = { true: true, false: false };
  return Object.fromEntries(
    [...query].map(([name, value]) => [
      name,
      numbers.includes(name) && value !== '' ? Number(value) : (truths[value] ?? value),
    ]),
  );
}

export async function askPeople(
  desk: Desk,
  query: URLSearchParams,
): Promise<Rejected | { readonly kind: 'answered'; readonly body: object }> {
  // What was searched for is always words, also where it looks like yes.
  const search = query.get('search');
  const parsed = parse(registerQuestion, { ...typed(query), ...(search === null ? {} : { search }) });
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const asked = Object.fromEntries(Object.entries(parsed.value).filter(([, v]) => isGiven(v)));
  const { lines, ...rest } = await askRegister(desk, { ...wholeRegister, ...asked });
  return { kind: 'answered', body: { ...rest, people: lines } };
}

/** Adds a person out of what was sent; every part of the intake that was not sent waits as "to complete". */
export async function postPerson(desk: Desk, input: unknown): Promise<SavePerson> {
  const today = desk.today();
  const parsed = parse(personRequest(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { evenSo = false, externalId, toComplete, ...sent } = parsed.value;
  const given = Object.fromEntries(Object.entries(sent).filter(([, v]) => isGiven(v)));
  const waiting = intakeSections.filter(
    (s) => s !== 'birth-date' && !(s === 'body' && given['heightCm'] && given['massKg']),
  );
  const form = { ...emptyPersonForm, seatHeightCm: null, ...given, toComplete: toComplete ?? waiting };
  return addPerson(desk, form, { evenSo, ...(externalId === undefined ? {} : { externalId }) });
}

/** One person as JSON: who, what is known today, results newest first, levels oldest first. */
export async function describePerson(desk: Desk, id: PersonId): Promise<object | undefined> {
  const view = await readPerson(desk, id, 'metric');
  if (!view) return undefined;
  const { person, known, ageYears, archived, tests, decided, standings, due } = view;
  const { notedOn, ...intake } = known.intake;
  const beside = await readBeside(desk, view);
  return {
    ...person,
    externalId: await externalIdOf(desk.db, id),
    ageYears,
    archived,
    readiness: known.readiness,
    pains: known.pains,
    limiters: known.limiters,
    falls12m: known.falls.map((f) => f.content),
    intake: { ...intake, notedOn },
    results: tests.flatMap(({ test, series }) =>
      series.flatMap(({ results }) =>
        results.map(({ on, result, score, conditions, fromPaper }) => ({
          test,
          testedOn: on,
          side: result.side ?? null,
          outcome: result.outcome,
          value: score.handsUsed ? 0 : result.value,
          counted: result.value,
          trials: result.trials ?? null,
          handsUsed: result.handsUsed ?? false,
          conditions,
          fromPaper,
          percentile: score.rank.kind === 'ranked' ? Math.round(score.rank.percentile * 10) / 10 : null,
        })),
      ),
    ),
    levels: decided.map(({ decidedOn, by, level }) => ({
      ...{ confirmedOn: decidedOn, by, code: level.code },
      byHand: level.byHand ?? null,
    })),
    levelsInForce: trainedLevels(standings).map((l) => l.code),
    accessoriesInForce: trainedLevels(beside.map((b) => b.standing)).map((l) => l.code),
    levelsWaiting: waitingLevels(standings).map(({ code, dose }) => ({ code, dose: printDose(dose) })),
    dueOn: due?.on ?? null,
  };
}

export type ImportPeople = Rejected | { readonly kind: 'preview'; readonly preview: RosterPreview } | TakeRoster;

/** A roster sent as text: looked at, or taken. */
export async function importPeople(desk: Desk, query: URLSearchParams, text: string): Promise<ImportPeople> {
  const parsed = parse(importQuestion, typed(query));
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const {
    dry = false,
    id = crypto.randomUUID(),
    file = 'roster.csv',
    units = 'metric',
    dateOrder = null,
  } = parsed.value;
  const columns = columnsOf(parsed.value.columns);
  if (columns === 'bad') {
    const message = `must be JSON such as {"name":0,"birthDate":1}, with: ${rosterFields.join(', ')}`;
    return { kind: 'rejected', errors: [{ path: '/columns', message }] };
  }
  const choice = { columns, dateOrder, units };
  if (dry) return { kind: 'preview', preview: await previewRoster(desk, text, choice) };
  return takeRoster(desk, id, file, text, choice);
}

function columnsOf(sent: string | undefined): Columns | null | 'bad' {
  if (sent === undefined) return null;
  try {
    const read: unknown = JSON.parse(sent);
    if (typeof read !== 'object' || read === null || Array.isArray(read)) return 'bad';
    const fits = Object.entries(read).every(
      ([field, column]) =>
        rosterFields.some((f) => f === field) &&
        Number.isInteger(column) &&
        Number(column) >= 0 &&
        Number(column) < 1000,
    );
    return fits ? read : 'bad';
  } catch (error) {
    if (error instanceof SyntaxError) return 'bad';
    throw error;
  }
}
