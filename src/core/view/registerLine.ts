import { ofKind } from '../intake/entries';
import type { Known } from '../intake/known';
import { trainedLevels, waitingLevels } from '../level/standing';
import { daysBetween } from '../math/days';
import { nameOrder } from '../math/names';
import { performanceScale } from '../score/performance';
import { moreIsBetter } from '../score/scoreResult';
import type { Protocol } from '../shapes/protocol';
import type { PersonStand } from './personView';
import type { NewestTest } from './testView';
import type { IsoDate } from '../shapes/facts';
import type { NormTable } from '../shapes/norms';
import type { Person, PersonId } from '../shapes/person';
import type { RegisterFilter, RegisterSort } from '../shapes/register';

export const registerStates = [
  'unreadable',
  'being-read',
  'not-today',
  'ask-first',
  'to-ask',
  'not-tested',
  'due',
  'to-confirm',
  'with-care',
  'ready',
] as const;
/** How somebody stands today: the one thing that weighs most. */
export type RegisterState = (typeof registerStates)[number];

/** A person as the register, the search and Today list them. */
export interface RegisterLine {
  readonly id: PersonId;
  readonly name: string;
  readonly birthDate: IsoDate;
  /** `null` where the record cannot be worked out. */
  readonly ageYears: number | null;
  readonly normTable: NormTable;
  readonly archived: boolean;
  readonly state: RegisterState;
  /** Why, where the state has a reason. */
  readonly why: string;
  /** The newest result of the core test that speaks for them, in its unit; a count as it was seen. */
  readonly newest: { readonly test: string; readonly value: number | null; readonly handsUsed: boolean } | null;
  readonly lastTestedOn: IsoDate | null;
  readonly dueOn: IsoDate | null;
  /** Tests whose newest result is past a watch line. */
  readonly toWatch: number;
  /** Where the newest result of each test stands, higher better; tests without norms are left out. */
  readonly standing: Readonly<Record<string, number>>;
  /** Confirmed levels, in the order of the ladders. */
  readonly codes: readonly string[];
  /** Levels that wait for a yes. */
  readonly waitingCodes: readonly string[];
  /** The movement of the first of them, confirmed before waiting; `null` where there is none. */
  readonly levelName: string | null;
  readonly toRepeat: boolean;
  readonly toComplete: number;
  /** Last day of a professional’s answer or of the questions, where either lapses soon. */
  readonly lapsesOn: IsoDate | null;
  readonly groupIds: readonly string[];
  /** From before: something was written since, its day has come or the hall has changed. It is being worked out. */
  readonly behind?: boolean;
}

export interface RegisterQuestion {
  readonly search: string;
  readonly filter: RegisterFilter;
  readonly groupId: string | null;
  readonly sort: RegisterSort;
  readonly down: boolean;
  readonly offset: number;
  readonly limit: number;
}

export interface RegisterAnswer {
  readonly total: number;
  /** How many are in the register in all, without those put aside. */
  readonly everybody: number;
  /** Whose line is from before, or not worked out yet. */
  readonly behind: number;
  readonly lines: readonly RegisterLine[];
}

/** Whether somebody belongs to a filter. Only the archive shows those put aside. */
export function passesFilter(line: RegisterLine, filter: RegisterFilter, today: IsoDate): boolean {
  if (line.archived !== (filter === 'archived')) return false;
  switch (filter) {
    case 'all':
    case 'archived':
      return true;
    case 'due':
      return line.dueOn !== null && line.dueOn <= today;
    case 'held':
      return line.state === 'not-today' || line.state === 'ask-first' || line.state === 'to-ask';
    case 'not-tested':
      return line.lastTestedOn === null && line.state !== 'being-read';
    case 'to-complete':
      return line.toComplete > 0;
  }
}

/** Puts lines in order; those without a value come last either way, equals by name. */
export function compareLines(sort: RegisterSort, down: boolean): (a: RegisterLine, b: RegisterLine) => number {
  const of = keys[sort];
  const names = nameOrder();
  const byName = (a: RegisterLine, b: RegisterLine): number => names(a.name, b.name);
  return (a, b) => {
    const [x, y] = [of(a), of(b)];
    if (x === null || y === null) return x === y ? byName(a, b) : x === null ? 1 : -1;
    const order = x < y ? -1 : x > y ? 1 : 0;
    if (sort === 'name') return down ? -byName(a, b) : byName(a, b);
    return (down ? -order : order) || byName(a, b);
  };
}

const keys: Readonly<Record<RegisterSort, (line: RegisterLine) => string | number | null>> = {
  name: () => '',
  age: (l) => l.ageYears,
  tested: (l) => l.lastTestedOn,
  due: (l) => l.dueOn,
  level: (l) => l.codes[0] ?? l.waitingCodes[0] ?? null,
  state: (l) => registerStates.indexOf(l.state),
};

/** One line of the register out of all that is known. */
export function lineOf(
  view: PersonStand,
  protocols: readonly Protocol[],
  groupIds: readonly string[],
  today: IsoDate,
): RegisterLine {
  const { person, known, due, standings } = view;
  return {
    id: person.id,
    name: person.name,
    birthDate: person.birthDate,
    ageYears: view.ageYears,
    normTable: person.normTable,
    archived: view.archived,
    state: stateOf(view, today),
    why: known.readiness.reasons[0]?.text ?? '',
    newest: newestOf(view.lead),
    lastTestedOn: view.lastTestedOn,
    dueOn: due?.on ?? null,
    toWatch: view.toWatch,
    standing: standingOf(view, protocols),
    codes: trainedLevels(standings).map((l) => l.code),
    waitingCodes: waitingLevels(standings).map((l) => l.code),
    levelName: (trainedLevels(standings)[0] ?? waitingLevels(standings)[0])?.name ?? null,
    toRepeat: view.toRepeat.length > 0,
    toComplete: known.intake.toComplete.length,
    lapsesOn: lapsesSoon(known, today),
    groupIds,
  };
}

/** Somebody whose record cannot be worked out is listed all the same, with the way to put it right. */
export const brokenLine = (person: Listed, groupIds: readonly string[]): RegisterLine => ({
  ...nameLine(person, groupIds),
  state: 'unreadable',
  why: 'something in this record cannot be true: look at the intake',
});

/** Somebody whose record was not read yet, such as just after a start: found by name, and nothing more is said. */
export const unreadLine = (person: Listed): RegisterLine => ({ ...nameLine(person, []), state: 'being-read', why: '' });

type Listed = Person & { readonly archived: boolean };

const nameLine = (
  { id, name, birthDate, normTable, archived }: Listed,
  groupIds: readonly string[],
): Omit<RegisterLine, 'state' | 'why'> => ({
  ...{ id, name, birthDate, normTable, archived, groupIds, ageYears: null, newest: null, lastTestedOn: null },
  ...{ dueOn: null, toWatch: 0, standing: {}, codes: [], waitingCodes: [], levelName: null, toRepeat: false },
  ...{ toComplete: 0, lapsesOn: null },
});

function newestOf(lead: NewestTest | null): RegisterLine['newest'] {
  const newest = lead?.series[0]?.results[0];
  if (!lead || !newest) return null;
  const { value, handsUsed = false } = newest.result;
  return { test: lead.test, value, handsUsed };
}

function standingOf({ tests }: PersonStand, protocols: readonly Protocol[]): RegisterLine['standing'] {
  return Object.fromEntries(
    tests.flatMap(({ test, series }) => {
      const protocol = protocols.find((p) => p.id === test);
      const score = series[0]?.results[0]?.score;
      if (!protocol || !score || score.scored === null) return [];
      const scale = performanceScale(score.rank, moreIsBetter(protocol));
      return scale ? [[test, scale.at(score.scored)]] : [];
    }),
  );
}

/** So many days before it lapses something is told of. */
export const lapseSoonDays = 14;

/** The first of the questions and the answers of professionals that lapses within two weeks. */
function lapsesSoon({ readiness, entries }: Known, today: IsoDate): IsoDate | null {
  const ends = [
    // A walk-in’s six questions are for their day only; nobody needs to be told.
    ...(readiness.asked === 'current' && readiness.until !== null && readiness.until > today ? [readiness.until] : []),
    ...ofKind(entries, 'clearance').flatMap((c) => c.content.until ?? []),
  ].filter((day) => day >= today && daysBetween(today, day) <= lapseSoonDays);
  return ends.sort()[0] ?? null;
}

function stateOf(view: PersonStand, today: IsoDate): RegisterLine['state'] {
  const { outcome, asked } = view.known.readiness;
  if (outcome === 'not-today') return 'not-today';
  if (outcome === 'ask-first') return asked === 'current' ? 'ask-first' : 'to-ask';
  if (!view.due) return 'not-tested';
  if (view.due.on <= today) return 'due';
  if (waitingLevels(view.standings).length > 0) return 'to-confirm';
  return outcome === 'ready-with-care' ? 'with-care' : 'ready';
}
