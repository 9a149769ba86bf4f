import { coreTests, protocols } from '../catalogue/protocols';
import { knownOn } from '../core/intake/known';
import { bookIn } from '../core/score/shownUnits';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonRecord } from '../core/shapes/intake';
import type { PersonId, UnitSystem } from '../core/shapes/person';
import { cameBack } from '../core/train/away';
import { cautionsFor } from '../core/level/assign';
import { sidesToMind } from '../core/level/sides';
import {
  describePerson,
  factsFrom,
  scoresOf,
  type Hall,
  type PersonScores,
  standOn,
  type PersonRecords,
  type PersonView,
  type StandRecords,
} from '../core/view/personView';
import { holdsUntil } from '../core/view/holdsUntil';
import { lineOf, type RegisterLine } from '../core/view/registerLine';
import { listAttempts, listMovedAway } from '../database/attempts';
import { listPresent } from '../database/classes';
import { listDecidedLevels, listLevelsBriefly } from '../database/decisions';
import { peopleOf, findPerson, listPeople, type KeptPerson } from '../database/people';
import type { Desk } from './desk';
import { groupBy } from './groupBy';
import { readBook } from './norms';
import { readPlace } from './places';
import { nothingNoted, recordsOf } from './readRecords';
import { readRules } from './rules';

/** Somebody whose record holds what cannot be true; the rest of the register is read all the same. */
export class Unreadable extends Error {
  override readonly name = 'Unreadable';
}

/**
 * @param units results are told in; those of the hall where left out
 * @throws Unreadable where the record cannot be worked out: the intake can still be opened and put right
 */
export async function readPerson(desk: Desk, id: PersonId, units?: UnitSystem): Promise<PersonView | undefined> {
  const person = await findPerson(desk.db, id);
  if (!person) return undefined;
  const [read] = await describeAll(desk, [person], await judgedBy(desk, units), fullView);
  if (read?.kind === 'unreadable') throw new Unreadable(`The record of ${id} cannot be read.`, { cause: read.fault });
  return read?.view;
}

/** Everybody who is not put aside, by name. For many people ask for the lines of the register instead. */
export async function readEverybody(desk: Desk): Promise<PersonView[]> {
  return viewsOf(
    desk,
    (await listPeople(desk.db)).filter((p) => !p.archived),
  );
}

/** All that the screens show of some people, in a handful of queries and in the order given; who cannot be read is left out. */
export async function viewsOf(desk: Desk, people: readonly KeptPerson[]): Promise<PersonView[]> {
  const all = await describeAll(desk, people, await judgedBy(desk), fullView);
  return all.flatMap((read) => (read.kind === 'read' ? [read.view] : []));
}

type Work<V> = (records: PersonRecords, hall: Hall, today: IsoDate) => V;

const fullView: Work<PersonView> = (records, hall, today) => {
  const { outline, levels } = describePerson(records, hall, today);
  return { ...outline, levels: levels() };
};

/** How the tests of some people were scored; nothing of their levels is worked out. */
export async function scoresOfPeople(desk: Desk, people: readonly KeptPerson[]): Promise<PersonScores[]> {
  const hall = await judgedBy(desk);
  const ids = people.map((p) => p.id);
  const attempts = groupBy(await listAttempts(desk.db, ids), (a) => a.personId);
  return people.flatMap((person) => {
    const read = apart(person, () => scoresOf({ person, attempts: attempts.get(person.id) ?? [] }, hall));
    return read.kind === 'read' ? [read.view] : [];
  });
}

/** A bulkhead: whatever is wrong with one record, the others are read. */
function apart<V>(person: KeptPerson, work: () => V): ReadOne<V> {
  try {
    return { kind: 'read', person, view: work() };
  } catch (fault) {
    console.error(`The record of ${person.id} cannot be read:`, fault);
    return { kind: 'unreadable', person, fault };
  }
}

/** What the levels of somebody are worked out from; `null` where nobody is called that. */
export async function factsOfPerson(desk: Desk, id: PersonId) {
  const today = desk.today();
  const person = await findPerson(desk.db, id);
  const hall = await judgedBy(desk);
  const [one] = person ? await recordsFor(desk, [person], hall, today) : [];
  const records = one?.records();
  if (!records) return null;
  return { rules: hall.rules.levels, normsVersion: hall.book.version, facts: factsFrom(records, hall, today), today };
}

/** Some people with what their levels are worked out from, in the order they were asked for. */
export async function knownPeople(desk: Desk, ids: readonly PersonId[]) {
  const today = desk.today();
  const hall = await judgedBy(desk);
  const found = await peopleOf(desk.db, ids);
  const people = ids.flatMap((id) => found.find((p) => p.id === id) ?? []);
  const records = await recordsFor(desk, people, hall, today);
  return {
    ...{ hall, today },
    people: records.flatMap((one) => {
      const its = one.records();
      if (!its) return [];
      const { outline, levels } = describePerson(its, hall, today);
      return [{ view: { ...outline, levels: levels() }, facts: factsFrom(its, hall, today) }];
    }),
  };
}

/** What to mind with somebody at a station. */
export interface Mind {
  /** In sentences. */
  readonly cautions: readonly string[];
  /** The newest chair stand took the hands. */
  readonly handsLast: boolean;
  /** Which side is sore or weaker, and where the spotter stands. */
  readonly sides: readonly string[];
}

/** What to mind with some people, by id; nothing of their levels is worked out. */
export async function mindsOfPeople(desk: Desk, people: readonly KeptPerson[]): Promise<ReadonlyMap<PersonId, Mind>> {
  const today = desk.today();
  const hall = await judgedBy(desk);
  const all = await briefly(desk, people, hall, today, ({ records }): Mind => {
    const facts = factsFrom(records, hall, today);
    const stands = facts.results
      .filter((r) => r.test === coreTests[0])
      .sort((a, b) => a.testedOn.localeCompare(b.testedOn));
    return {
      cautions: cautionsFor(hall.rules.levels, facts)
        .slice(0, -1)
        .map((c) => c.text),
      handsLast: stands.at(-1)?.handsUsed === true,
      sides: sidesToMind(hall.rules.levels, facts),
    };
  });
  return new Map(all.flatMap((read) => (read.kind === 'read' ? [[read.person.id, read.view] as const] : [])));
}

/** The lines of some people, each with the day from which it no longer holds. */
export const linesRead = (
  desk: Desk,
  people: readonly KeptPerson[],
  hall: Hall,
  groups: ReadonlyMap<PersonId, readonly string[]>,
  day: IsoDate,
): Promise<ReadOne<{ readonly line: RegisterLine; readonly until: IsoDate }>[]> =>
  briefly(desk, people, hall, day, ({ records, record }) => {
    const line = lineOf(standOn(records, hall, day), protocols, groups.get(records.person.id) ?? [], day);
    return { line, until: holdsUntil(line, records, record, hall.rules, day) };
  });

/** Of some people what lists need: without why a level was given, and not what moved elsewhere. */
async function briefly<V>(
  desk: Desk,
  people: readonly KeptPerson[],
  { rules }: Hall,
  day: IsoDate,
  work: (of: { readonly records: StandRecords; readonly record: PersonRecord }) => V,
): Promise<ReadOne<V>[]> {
  const ids = people.map((p) => p.id);
  const noted = await recordsOf(desk, ids);
  const attempts = groupBy(await listAttempts(desk.db, ids), (a) => a.personId);
  const decided = groupBy(await listLevelsBriefly(desk.db, ids), (l) => l.personId);
  const present = groupBy(await listPresent(desk.db, ids), (p) => p.personId);
  return people.map((person) => {
    const record = noted.get(person.id) ?? nothingNoted;
    const read = apart(person, () => {
      const known = knownOn(record, day, rules.readiness);
      if (!known) return null;
      const records = {
        ...{ person, known, archived: person.archived },
        attempts: attempts.get(person.id) ?? [],
        decided: decided.get(person.id) ?? [],
        ...classesOn(present.get(person.id) ?? [], day, rules.levels.house.missedWeeks),
      };
      return { view: work({ records, record }) };
    });
    if (read.kind === 'unreadable') return read;
    // With a clock that was put back their intake is still to come.
    return read.view ? { ...read, view: read.view.view } : { kind: 'unreadable', person, fault: 'nothing known yet' };
  });
}

/** The classes somebody was in up to a day. @param present by day */
function classesOn(present: readonly { readonly on: IsoDate }[], day: IsoDate, missedWeeks: number) {
  const held = present.filter(({ on }) => on <= day);
  const days = held.map(({ on }) => on);
  return {
    ...{ classesSince: held.length, lastClassOn: days.at(-1) ?? null },
    cameBack: cameBack(days, missedWeeks),
  };
}

/** What was read of one person, or that it could not be. */
export type ReadOne<V> =
  | { readonly kind: 'read'; readonly person: KeptPerson; readonly view: V }
  | { readonly kind: 'unreadable'; readonly person: KeptPerson; readonly fault: unknown };

/** What everybody is judged by today. */
export async function judgedBy(desk: Desk, units?: UnitSystem): Promise<Hall> {
  const place = await readPlace(desk);
  const shown = units === undefined ? place : { ...place, units };
  return { place, book: bookIn(shown.units, await readBook(desk)), rules: await readRules(desk) };
}

async function describeAll<V>(
  desk: Desk,
  people: readonly KeptPerson[],
  hall: Hall,
  work: Work<V>,
): Promise<ReadOne<V>[]> {
  const today = desk.today();
  return (await recordsFor(desk, people, hall, today)).flatMap((one): ReadOne<V>[] => {
    const read = apart(one.person, () => {
      const records = one.records();
      return records && { view: work(records, hall, today) };
    });
    if (read.kind === 'unreadable') return [read];
    return read.view ? [{ ...read, view: read.view.view }] : [];
  });
}

/** What is on record of some people, put together one by one as it is asked for. */
export async function recordsFor(
  desk: Desk,
  people: readonly KeptPerson[],
  { rules }: Hall,
  day: IsoDate,
): Promise<{ readonly person: KeptPerson; readonly records: () => PersonRecords | undefined }[]> {
  const ids = people.map((p) => p.id);
  const noted = await recordsOf(desk, ids);
  const attempts = groupBy(await listAttempts(desk.db, ids), (a) => a.personId);
  const movedAway = groupBy(await listMovedAway(desk.db, ids), (m) => m.from);
  const decided = groupBy(await listDecidedLevels(desk.db, ids), (l) => l.personId);
  const present = groupBy(await listPresent(desk.db, ids), (p) => p.personId);
  return people.map((person) => ({
    person,
    records: () => {
      const known = knownOn(noted.get(person.id) ?? nothingNoted, day, rules.readiness);
      const of = <T>(all: Map<PersonId, T[]>) => all.get(person.id) ?? [];
      return (
        known && {
          person,
          archived: person.archived,
          known,
          attempts: of(attempts),
          movedAway: of(movedAway),
          decided: of(decided),
          ...classesOn(of(present), day, rules.levels.house.missedWeeks),
        }
      );
    },
  }));
}
