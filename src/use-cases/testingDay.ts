import { protocolById, protocols } from '../catalogue/protocols';
import { daySets } from '../catalogue/rules/day';
import { decidingTests } from '../core/level/deciding';
import { compareNames } from '../core/math/names';
import { dayResults, type DayAttempt } from '../core/measure/day/dayResults';
import { dayState } from '../core/measure/day/dayState';
import { hallSeconds } from '../core/measure/day/hallSeconds';
import { peopleIn } from '../core/measure/day/peopleIn';
import { instructor, type DayNote, type DayResult, type DayStaff, type DayTest } from '../core/shapes/day';
import type { IsoDate } from '../core/shapes/facts';
import type { Helper } from '../core/shapes/helper';
import type { PersonId } from '../core/shapes/person';
import { attemptsOfDay, listAttempts } from '../database/attempts';
import { daysOfNotes, listDayNotes, storeDayNote } from '../database/days';
import { sittingOn } from '../database/groups';
import { listPeople, peopleThere } from '../database/people';
import { dayNoteBody } from '../schemas/dayNote';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';
import { viewsOf } from './readPeople';
import { readRules } from './rules';

export type SaveDayNote =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps a note of a testing day once; who walks in sits from then on. Sending it again is harmless. */
export async function saveDayNote(desk: Desk, day: IsoDate, key: string, input: unknown): Promise<SaveDayNote> {
  const parsed = parse(dayNoteBody, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { wallMs, event } = parsed.value;
  return together(desk, async (trx): Promise<SaveDayNote> => {
    const errors: FieldError[] = [];
    if (day > trx.today()) errors.push({ path: '', message: 'this day is still to come: note it on the day' });
    const named = peopleIn(event);
    if ((await peopleThere(trx.db, named)).length < named.length)
      errors.push({ path: '/event', message: 'names somebody who is not in the register' });
    const unknown = 'tests' in event ? event.tests.filter((t) => !protocolById(t)) : [];
    if (unknown.length > 0) errors.push({ path: '/event/tests', message: `no test is called ${unknown.join(', ')}` });
    if (errors.length > 0) return { kind: 'rejected', errors };
    return { kind: await storeDayNote(trx.db, { key, day, wallMs, event }, trx.who, trx.now()) };
  });
}

/** A testing day as it stands: what was noted, what was measured, and who sits. */
export interface DayNow {
  readonly day: IsoDate;
  readonly notes: readonly DayNote[];
  readonly results: readonly DayResult[];
  readonly sitting: readonly PersonId[];
}

export async function readDay(desk: Desk, day: IsoDate): Promise<DayNow> {
  return {
    day,
    notes: await listDayNotes(desk.db, day),
    results: await resultsOf(desk, day),
    sitting: await sittingOn(desk.db, day),
  };
}

async function resultsOf(desk: Desk, day: IsoDate): Promise<DayResult[]> {
  const attempts = (await attemptsOfDay(desk.db, day)).map(({ attempt, why, endedWallMs }): DayAttempt => {
    const { personId, test, side, trial } = attempt;
    return { personId, test, side, trial, why, endedWallMs };
  });
  return dayResults(attempts, (test) => protocolById(test)?.sides ?? 'none');
}

/** As many days as tell how long tests take here. */
const daysLookedAt = 8;

/** Tests as a day sees them, with the seconds they take in this hall where it has had days enough to say. */
export async function testsOfDay(
  desk: Desk,
): Promise<{ readonly tests: readonly DayTest[]; readonly own: readonly string[] }> {
  const days = await daysOfNotes(desk.db, desk.today(), daysLookedAt);
  const all = await Promise.all(days.map((day) => readDay(desk, day)));
  const listed = protocols.map(({ id, station }): DayTest => ({ ...station, id }));
  const seconds = hallSeconds(all, listed);
  return {
    tests: listed.map((t) => ({ ...t, takesS: seconds.get(t.id) ?? t.takesS })),
    own: [...seconds.keys()],
  };
}

/** The instructor, and the helpers by what they are ticked for. */
export const staffOf = (helpers: readonly Helper[]): DayStaff[] => [
  { id: instructor, may: ['instructor', 'spots', 'counts'] },
  ...helpers.map(({ id, may }): DayStaff => ({
    id,
    may: [
      ...(may.spot ? (['spots', 'counts'] as const) : []),
      ...(may.count && !may.spot ? (['counts'] as const) : []),
    ],
  })),
];

/** Whom a further test would open something for, and which rungs; a test a line, those that open most first. */
export interface Further {
  readonly test: string;
  readonly opens: readonly { readonly personId: PersonId; readonly rungs: readonly string[] }[];
}

/** What further tests would decide for those who sit: only what is not in the core five, and is open to them. */
export async function furtherTests(desk: Desk, sitting: readonly PersonId[]): Promise<Further[]> {
  const people = (await listPeople(desk.db)).filter((p) => sitting.includes(p.id));
  const { measured } = (await readRules(desk)).levels;
  const found = new Map<string, Map<PersonId, string[]>>();
  for (const { person, levels } of await viewsOf(desk, people))
    for (const { test, rung } of decidingTests(levels, measured)) {
      if (daySets.full.includes(test)) continue;
      const of = found.get(test) ?? new Map<PersonId, string[]>();
      found.set(test, of.set(person.id, [...(of.get(person.id) ?? []), rung]));
    }
  return [...found]
    .map(([test, of]) => ({ test, opens: [...of].map(([personId, rungs]) => ({ personId, rungs })) }))
    .sort((a, b) => b.opens.length - a.opens.length);
}

/** What the last testing day left: tests that were planned or put off, and not done, by person. */
export interface LeftOver {
  readonly day: IsoDate;
  readonly people: readonly { readonly id: PersonId; readonly name: string; readonly tests: readonly string[] }[];
}

export async function leftOver(desk: Desk): Promise<LeftOver | null> {
  const [day] = await daysOfNotes(desk.db, desk.today(), 1);
  if (day === undefined) return null;
  const { notes, results, sitting } = await readDay(desk, day);
  const state = dayState(notes);
  if (!state.plan) return null;
  const planned = state.plan.tests;
  const names = new Map((await listPeople(desk.db)).filter((p) => !p.archived).map((p) => [p.id, p.name]));
  const here = [...new Set([...sitting, ...state.walkIns.keys()])];
  const since = (await listAttempts(desk.db, here)).filter((a) => a.sittingDate > day && a.trial.state === 'finished');
  const done = (id: PersonId, test: string) =>
    results.some((r) => r.personId === id && r.test === test && r.state !== 'stopped') ||
    since.some((a) => a.personId === id && a.test === test);
  const people = here.flatMap((id) => {
    const name = names.get(id);
    const ids = state.walkIns.has(id) ? daySets.walkIn : planned;
    const tests = [...new Set([...ids, ...(state.later.get(id) ?? [])])].filter(
      (t) => !done(id, t) && !state.paper.get(id)?.includes(t),
    );
    return name === undefined || tests.length === 0 ? [] : [{ id, name, tests }];
  });
  return { day, people: people.sort((a, b) => compareNames(a.name, b.name)) };
}
