import { protocolById, protocols } from '../catalogue/protocols';
import { daySets } from '../catalogue/testing-day/daySets';
import { knownOn } from '../core/intake/known';
import { decidingTests } from '../core/level/deciding';
import { compareNames } from '../core/math/names';
import { stationChairs, type StationChairs } from '../core/measure/day/chairs';
import { dayResults, type DayAttempt } from '../core/measure/day/dayResults';
import { dayState } from '../core/measure/day/dayState';
import { guestOf } from '../core/measure/day/guest';
import { hallSeconds } from '../core/measure/day/hallSeconds';
import { offerDay, planSet, type DayComer } from '../core/measure/day/offer';
import { peopleIn } from '../core/measure/day/peopleIn';
import {
  instructor,
  type DayEvent,
  type DayNote,
  type DayResult,
  type DayStaff,
  type DayTest,
} from '../core/shapes/day';
import type { IsoDate } from '../core/shapes/facts';
import type { Helper } from '../core/shapes/helper';
import type { PersonId } from '../core/shapes/person';
import { attemptsOfDay, listAttempts } from '../database/attempts';
import { daysOfNotes, listDayNotes, storeDayNote } from '../database/days';
import { addToSitting, sittingOn } from '../database/groups';
import { listPeople, peopleThere } from '../database/people';
import { dayNoteBody } from '../schemas/dayNote';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';
import { linesOf } from './everybody';
import { readHelpers } from './helpers';
import { mindsOfPeople, viewsOf } from './readPeople';
import { recordsOf } from './readRecords';
import { readDayRules, readRules } from './rules';

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

/** Whether who walked in is on the board of today, on the list for the next class day, or nothing is planned. */
export type JoinsDay = 'board' | 'later' | null;

/**
 * Puts who walked in at the end of the board; at most two within an hour, the others are for the next class day. Asked
 * again of the same person it changes nothing.
 */
export async function joinDay(desk: Desk, personId: PersonId): Promise<JoinsDay> {
  const day = desk.today();
  return together(desk, async (trx): Promise<JoinsDay> => {
    const state = dayState(await listDayNotes(trx.db, day));
    if (!state.plan) return null;
    const now = trx.now();
    const lastHour = [...state.walkIns].filter(([id, at]) => id !== personId && now.getTime() - at < 3_600_000);
    const joins = lastHour.length < daySets.mostWalkIns ? 'board' : 'later';
    const event: DayEvent =
      joins === 'board' ? { kind: 'walk-in', personId } : { kind: 'later', personId, tests: daySets.walkIn };
    if (joins === 'board') await addToSitting(trx.db, day, [personId]);
    await storeDayNote(trx.db, { key: `joins-${day}-${personId}`, day, wallMs: now.getTime(), event }, trx.who, now);
    return joins;
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

/** Why somebody who sits is not planned: what closes every test to them, or that their age is not known. */
export interface NotPlanned {
  readonly id: PersonId;
  readonly name: string;
  readonly why: 'held' | 'no-age';
  readonly words: string;
}

/** A set of tests as it would go today. */
export interface SetOffered {
  readonly id: 'full' | 'first' | 'rest' | 'battery';
  readonly tests: readonly string[];
  /** With check, warm-up and closing; as the plan found has it, and as no plan can be shorter. */
  readonly minutes: number;
  readonly leastMinutes: number;
  readonly longestWaitMinutes: number;
  readonly unstaffed: readonly string[];
  /** What stands at the stations. */
  readonly chairs: readonly StationChairs[];
}

export interface OfferedDay {
  readonly planned: number;
  readonly notPlanned: readonly NotPlanned[];
  readonly proposed: SetOffered['id'];
  /** Minutes of the first set with one more who may spot; `null` where somebody beside the instructor may. */
  readonly withSpotter: number | null;
  readonly sets: readonly SetOffered[];
}

/** Tests that start on a chair. */
const onChairs: ReadonlySet<string> = new Set(protocols.flatMap((p) => (p.seatCm === undefined ? [] : p.id)));

/** What today’s sitting could do with these of the staff in so many minutes. */
export async function offerToday(desk: Desk, staffIds: readonly string[], minutes: number): Promise<OfferedDay> {
  const today = desk.today();
  const sitting = new Set(await sittingOn(desk.db, today));
  const people = (await listPeople(desk.db)).filter((p) => sitting.has(p.id) && !p.archived);
  const ids = people.map((p) => p.id);
  const [records, minds, lines] = [
    await recordsOf(desk, ids),
    await mindsOfPeople(desk, people),
    await linesOf(desk, ids),
  ];
  const rules = await readDayRules(desk);
  const planned = protocols.filter((p) => daySets.full.includes(p.id));
  const notPlanned: NotPlanned[] = [];
  const comers: DayComer[] = [];
  for (const { id, name } of people) {
    const [record, mind, ageYears] = [records.get(id), minds.get(id), lines.get(id)?.ageYears ?? null];
    const known = record && knownOn(record, today, rules.readiness);
    if (!known || !mind || ageYears === null) {
      notPlanned.push({ id, name, why: 'no-age', words: 'the age is not known: write the date of birth' });
      continue;
    }
    const guest = guestOf({ id, ageYears, handsLast: mind.handsLast }, known, planned, rules, today, false);
    const [why] = planned.flatMap((p) => guest.closed[p.id] ?? []);
    if (why !== undefined && planned.every((p) => p.id in guest.closed))
      notPlanned.push({ id, name, why: 'held', words: why });
    else comers.push(guest);
  }
  const staff = staffOf(await readHelpers(desk)).filter((s) => staffIds.includes(s.id));
  const { tests } = await testsOfDay(desk);
  const limited = { ...daySets, mostS: 60 * minutes };
  const offer = offerDay(comers, tests, staff, limited);
  const { own } = dayState(await listDayNotes(desk.db, today));
  const asSet = (id: SetOffered['id'], ids: readonly string[]): SetOffered => {
    const { plan, minutes: takes } = planSet(comers, ids, tests, staff, limited);
    return {
      ...{ id, tests: ids, minutes: takes, unstaffed: plan.unstaffed },
      leastMinutes: Math.ceil((plan.leastS + daySets.besidesS) / 60),
      longestWaitMinutes: Math.ceil(plan.longestWaitS / 60),
      chairs: stationChairs(plan.calls, onChairs, (one) => own.get(one)?.seatCm ?? null),
    };
  };
  return {
    planned: comers.length,
    notPlanned,
    proposed: offer.nextDay.length === 0 ? 'full' : 'first',
    withSpotter: staff.some((s) => s.id !== instructor && s.may.includes('spots'))
      ? null
      : planSet(comers, daySets.first, tests, [...staff, { id: 'another', may: ['spots', 'counts'] }], limited).minutes,
    sets: [
      asSet('full', daySets.full),
      asSet('first', daySets.first),
      asSet(
        'rest',
        daySets.full.filter((t) => !daySets.first.includes(t)),
      ),
      asSet('battery', daySets.battery),
    ],
  };
}

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
  const here = [...new Set([...sitting, ...state.walkIns.keys(), ...state.later.keys()])];
  const since = (await listAttempts(desk.db, here)).filter((a) => a.sittingDate > day && a.trial.state === 'finished');
  const done = (id: PersonId, test: string) =>
    results.some((r) => r.personId === id && r.test === test && r.state !== 'stopped') ||
    since.some((a) => a.personId === id && a.test === test);
  const people = here.flatMap((id) => {
    const name = names.get(id);
    const ids = state.walkIns.has(id) ? daySets.walkIn : sitting.includes(id) ? planned : [];
    const tests = [...new Set([...ids, ...(state.later.get(id) ?? [])])].filter(
      (t) => !done(id, t) && !state.paper.get(id)?.includes(t),
    );
    return name === undefined || tests.length === 0 ? [] : [{ id, name, tests }];
  });
  return { day, people: people.sort((a, b) => compareNames(a.name, b.name)) };
}
