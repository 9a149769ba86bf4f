import { compositeRules } from '../catalogue/rules/composites';
import { readinessRules } from '../catalogue/readiness/readiness';
import { levelRules } from '../catalogue/rules';
import { bodyOn, factsOf } from '../core/intake/facts';
import { knownOn, type Known } from '../core/intake/known';
import { ageOn } from '../core/math/age';
import type { Level, LevelsAnswer } from '../core/level/answer';
import { assignLevels } from '../core/level/assign';
import { pathOf } from '../core/path';
import type {
  AttemptView,
  CountedAttempt,
  MovedAway,
  PersonOutline,
  PersonView,
  SittingView,
} from '../core/personView';
import { changeBetween } from '../core/retest/change';
import { retestDue } from '../core/retest/due';
import { compositesOf } from '../core/score/composites';
import type { NormBook } from '../core/score/normBook';
import { scoreResult } from '../core/score/scoreResult';
import { bookIn, resultIn } from '../core/score/shownUnits';
import type { Facts, IsoDate, TestResult } from '../core/shapes/facts';
import type { PersonRecord } from '../core/shapes/intake';
import type { Person, PersonId, Place, UnitSystem } from '../core/shapes/person';
import type { Protocol } from '../core/shapes/protocol';
import { testViewOf, type TestSat, type TestView } from '../core/testView';
import { listAttempts, listMovedAway } from '../database/attempts';
import { listEntries } from '../database/entries';
import { addConfirmedLevel, listConfirmedLevels, type ConfirmedLevel } from '../database/levels';
import { findPerson, listIntakes, listPeople, type KeptPerson } from '../database/people';
import { groupBy } from './groupBy';
import { readBook } from './norms';
import { readPlace } from './places';
import { together, type Desk } from './desk';

/** The one test of the loop so far. */
const loopTest = 'chair-stand-30s';

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
  const [read] = await describeAll(desk, [person], units, fullView);
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
export async function viewsOf(desk: Desk, people: readonly KeptPerson[], units?: UnitSystem): Promise<PersonView[]> {
  const all = await describeAll(desk, people, units, fullView);
  return all.flatMap((read) => (read.kind === 'read' ? [read.view] : []));
}

const fullView = ({ outline, levels }: Described): PersonView => ({ ...outline, levels: levels() });

/** The same for lists of many: levels are worked out only of those who have or wait for one. */
export async function outlinesOf(desk: Desk, people: readonly KeptPerson[]): Promise<ReadOne<PersonOutline>[]> {
  return describeAll(desk, people, undefined, ({ outline }) => outline);
}

/** What was read of one person, or that it could not be. */
export type ReadOne<V> =
  | { readonly kind: 'read'; readonly view: V }
  | { readonly kind: 'unreadable'; readonly person: KeptPerson; readonly fault: unknown };

async function describeAll<V>(
  desk: Desk,
  people: readonly KeptPerson[],
  units: UnitSystem | undefined,
  pick: (described: Described) => V,
): Promise<ReadOne<V>[]> {
  const today = desk.today();
  const ids = people.map((p) => p.id);
  const place = await readPlace(desk);
  const book = bookIn(units ?? place.units, await readBook(desk));
  const records = await recordsOf(desk, ids);
  const attempts = groupBy(await listAttempts(desk.db, ids), (a) => a.personId);
  const movedAway = groupBy(await listMovedAway(desk.db, ids), (m) => m.from);
  const levels = groupBy(await listConfirmedLevels(desk.db, ids), (l) => l.personId);
  return people.flatMap((person): ReadOne<V>[] => {
    // A bulkhead: whatever is wrong with one record, the others are read.
    try {
      const known = knownOn(records.get(person.id) ?? nothingNoted, today, readinessRules);
      if (!known) return [];
      const of = <T>(all: Map<PersonId, T[]>) => all.get(person.id) ?? [];
      const kept = { attempts: of(attempts), movedAway: of(movedAway), confirmed: of(levels) };
      return [{ kind: 'read', view: pick(describe(person, known, place, book, kept, today)) }];
    } catch (fault) {
      console.error(`The record of ${person.id} cannot be read:`, fault);
      return [{ kind: 'unreadable', person, fault }];
    }
  });
}

const nothingNoted: PersonRecord = { intakes: [], entries: [] };

/** Everything ever noted of some people. */
export async function recordsOf(desk: Desk, ids: readonly PersonId[]): Promise<Map<PersonId, PersonRecord>> {
  const intakes = groupBy(await listIntakes(desk.db, ids), (i) => i.personId);
  const entries = groupBy(await listEntries(desk.db, ids), (e) => e.personId);
  return new Map(
    ids.map((id) => [id, { intakes: (intakes.get(id) ?? []).map((i) => i.intake), entries: entries.get(id) ?? [] }]),
  );
}

export async function readRecord(desk: Desk, id: PersonId): Promise<PersonRecord> {
  return (await recordsOf(desk, [id])).get(id) ?? nothingNoted;
}

/** Every day on which something was noted or tested, newest first, today always among them. */
export async function daysNoted(desk: Desk, view: PersonView): Promise<IsoDate[]> {
  const today = desk.today();
  const record = await readRecord(desk, view.person.id);
  const days = new Set([
    today,
    ...record.intakes.map((i) => i.notedOn),
    ...record.entries.map((e) => e.on),
    ...view.sittings.map((s) => s.attempt.sittingDate),
  ]);
  return [...days].filter((d) => d <= today).sort((a, b) => b.localeCompare(a));
}

/** What was known of somebody at the end of an earlier day. */
export async function readKnown(desk: Desk, id: PersonId, day: IsoDate): Promise<Known | undefined> {
  return knownOn(await readRecord(desk, id), day, readinessRules);
}

/** Only what the intake form shows; readable also where results and intake contradict each other. */
export async function readIntake(desk: Desk, id: PersonId) {
  const today = desk.today();
  const person = await findPerson(desk.db, id);
  const known = person && (await readKnown(desk, id, today));
  if (!known) return undefined;
  return { person, intake: known.intake, pains: known.pains, falls: known.falls, units: (await readPlace(desk)).units };
}

export type ConfirmLevels =
  | { readonly kind: 'confirmed'; readonly codes: readonly string[] }
  /** The same was confirmed before, here or on another device. `at` is ISO 8601. */
  | { readonly kind: 'already'; readonly at: string; readonly codes: readonly string[] }
  /** Something new is known since the page was shown: other levels wait now. Nothing was confirmed. */
  | { readonly kind: 'changed'; readonly codes: readonly string[] }
  | { readonly kind: 'not-found' };

/**
 * Confirms the levels that wait for a yes, with the facts and reasons they were decided by, all in one transaction.
 * @param seen the codes that stood on the screen: nothing is confirmed that was not seen
 */
export async function confirmLevels(desk: Desk, id: PersonId, seen: readonly string[]): Promise<ConfirmLevels> {
  const today = desk.today();
  return together(desk, async (trx): Promise<ConfirmLevels> => {
    const page = await readPerson(trx, id);
    if (!page) return { kind: 'not-found' };
    const levels = page.levelsWaiting;
    const codes = levels.map((l) => l.code);
    const confirmed = await listConfirmedLevels(trx.db, [id]);
    if (codes.join() !== seen.join() || codes.length === 0) {
      const there = confirmed.filter((c) => c.confirmedOn === today && seen.includes(c.level.code));
      const at = there.at(-1)?.confirmedAt;
      const all = at !== undefined && seen.every((code) => there.some((c) => c.level.code === code));
      return all ? { kind: 'already', at, codes: seen } : { kind: 'changed', codes };
    }
    const { person, known } = page;
    const { rulesVersion } = page.levels;
    const facts = factsFrom(person, known, await readPlace(trx), await listAttempts(trx.db, [id]), confirmed, today);
    const normsVersion = (await readBook(trx)).version;
    const at = desk.now();
    for (const level of levels)
      await addConfirmedLevel(
        trx.db,
        { personId: id, confirmedOn: today, rulesVersion, normsVersion, facts, level },
        at,
      );
    return { kind: 'confirmed', codes };
  });
}

/** Everything the level engine reads, from the records. */
function factsFrom(
  person: Person,
  known: Known,
  place: Place,
  attempts: readonly AttemptView[],
  confirmed: PersonView['confirmed'],
  day: IsoDate,
): Facts {
  const newest = new Map(confirmed.map(({ level }) => [level.pattern, level]));
  return factsOf(
    person,
    known,
    place,
    attempts.map(toResult).filter((r) => r !== null),
    [...newest.values()].map(({ pattern, rung, support }) => ({ pattern, rung, support })),
    day,
  );
}

/** A finished attempt as a result for scoring and levels; `null` while it has none. */
export function toResult(attempt: AttemptView): TestResult | null {
  const { trial } = attempt;
  if (trial.state !== 'finished') return null;
  return {
    test: attempt.test,
    testedOn: attempt.sittingDate,
    side: attempt.side,
    seatHeightCm: attempt.conditions.seatHeightCm ?? null,
    handsUsed: trial.handsUsed,
    cleanBeforeHands: trial.handsUsed ? trial.cleanBeforeHands : null,
    ...(trial.kind === 'count'
      ? { outcome: 'done', value: trial.counted }
      : {
          outcome: trial.outcome,
          value: trial.value,
          trials: trial.trials.length > 1 ? trial.trials : null,
          seconds: trial.seconds,
          help: trial.help ?? null,
        }),
  };
}

interface Described {
  readonly outline: PersonOutline;
  /** Worked out when they are first asked for, as that is most of the work. */
  readonly levels: () => LevelsAnswer;
}

interface Kept {
  readonly attempts: readonly AttemptView[];
  readonly movedAway: readonly MovedAway[];
  readonly confirmed: readonly ConfirmedLevel[];
}

function describe(
  person: KeptPerson,
  known: Known,
  place: Place,
  book: NormBook,
  { attempts, movedAway, confirmed }: Kept,
  today: IsoDate,
): Described {
  const { intake, readiness } = known;
  const sittings = sittingsOf(person, book, attempts);
  const tests = testsOf(person, book, attempts);
  const counted = new Set(tests.flatMap((t) => t.series.flatMap((s) => s.sittings.map(({ key }) => key))));
  let worked: LevelsAnswer | undefined;
  const levels = () =>
    (worked ??= assignLevels(levelRules, factsFrom(person, known, place, attempts, confirmed, today)));
  const latest = sittings[0];
  const newest = tests.flatMap((t) => t.series.flatMap((s) => s.sittings[0] ?? []));
  const toWatch = newest.reduce((sum, s) => sum + s.score.cutoffs.filter((c) => c.past).length, 0);
  // The chair stand sets the date; whoever has only other results is asked back by the newest of them.
  const lastTestedOn =
    latest?.attempt.sittingDate ??
    newest
      .map((s) => s.on)
      .sort()
      .at(-1) ??
    null;
  const due = lastTestedOn ? retestDue(lastTestedOn, { pastCutoff: toWatch > 0, readiness: readiness.outcome }) : null;
  const levelsNow = newestOfEach(confirmed, levels);
  const levelsWaiting = waiting(levels, levelsNow, latest);
  const toRepeat = toRepeatOf(attempts);
  const path = pathOf({
    today,
    readiness: readiness.outcome,
    readinessWhy: readiness.reasons[0]?.text ?? '',
    toAsk: readiness.asked !== 'current',
    lacking: [...(intake.heightCm === null ? ['height'] : []), ...(intake.massKg === null ? ['mass'] : [])],
    lastTestedOn,
    toRepeat: toRepeat.length > 0,
    toWatch,
    levelsWaiting: levelsWaiting.length,
    levelCode: levelsNow.find((l) => !l.closedToday)?.level.code ?? null,
    dueOn: due?.on ?? null,
  });
  const outline: PersonOutline = {
    person,
    known,
    archived: person.archived,
    units: place.units,
    ageYears: ageOn(person.birthDate, today),
    path,
    sittings,
    tests,
    composites: compositesOf(
      compositeRules,
      book.protocols,
      tests.flatMap((t) => t.series[0]?.sittings[0]?.result ?? []),
      (day) => bodyOn(person, intake, day),
    ),
    lastTestedOn,
    toWatch,
    normsVersion: book.version,
    toRepeat,
    movedAway,
    otherAttempts: attempts.filter((a) => !counted.has(a.clientKey)).reverse(),
    confirmed,
    levelsNow,
    levelsWaiting,
    due,
  };
  return { outline, levels };
}

/** Tries of the newest day that broke off, where nothing came of that test and side on that day after all. */
function toRepeatOf(attempts: readonly AttemptView[]): AttemptView[] {
  const newestDay = attempts.at(-1)?.sittingDate;
  const ofDay = attempts.filter((a) => a.sittingDate === newestDay);
  const done = (of: AttemptView) =>
    ofDay.some((a) => a.test === of.test && a.side === of.side && a.trial.state === 'finished');
  return ofDay.filter((a) => a.trial.state === 'to-repeat' && !done(a));
}

/** The newest confirmed level of each ladder, in the order of the ladders. */
function newestOfEach(confirmed: readonly ConfirmedLevel[], levels: () => LevelsAnswer): PersonOutline['levelsNow'] {
  return levelRules.ladders.flatMap(({ pattern }) => {
    const newest = confirmed.findLast((c) => c.level.pattern === pattern);
    return newest ? [{ ...newest, closedToday: !levels().levels.some((l) => l.pattern === pattern) }] : [];
  });
}

/** A level waits for a yes while nobody confirmed one since the newest test, or while it differs from the last one. */
function waiting(
  levels: () => LevelsAnswer,
  now: PersonOutline['levelsNow'],
  latest: SittingView | undefined,
): readonly Level[] {
  if (!latest) return [];
  return levels().levels.filter(({ pattern, code }) => {
    const last = now.find((c) => c.level.pattern === pattern);
    return !last || last.confirmedOn < latest.attempt.sittingDate || last.level.code !== code;
  });
}

const isCounted = (attempt: AttemptView): attempt is CountedAttempt => attempt.trial.kind === 'count';

function sittingsOf(person: Person, book: NormBook, attempts: readonly AttemptView[]): SittingView[] {
  const firstOfDay = new Map<IsoDate, CountedAttempt>();
  for (const attempt of attempts)
    if (
      attempt.test === loopTest &&
      isCounted(attempt) &&
      attempt.trial.state === 'finished' &&
      !firstOfDay.has(attempt.sittingDate)
    )
      firstOfDay.set(attempt.sittingDate, attempt);
  const inOrder = [...firstOfDay.values()];
  return inOrder.map((attempt, i) => toSitting(person, book, attempt, inOrder[i - 1])).reverse();
}

function toSitting(
  person: Person,
  book: NormBook,
  attempt: CountedAttempt,
  before: CountedAttempt | undefined,
): SittingView {
  const protocol = theProtocol(book, attempt);
  const sat = satOf(person, protocol, attempt);
  const older = before && satOf(person, protocol, before);
  if (!sat) throw new RangeError(`readPeople: attempt ${attempt.clientKey} is no sitting, it has no result`);
  return {
    attempt,
    ageYears: sat.ageYears,
    score: scoreResult(protocol, sat.result, { ageYears: sat.ageYears, sex: person.normTable }),
    change: changeBetween(protocol, older ?? undefined, sat, person.normTable),
  };
}

function theProtocol({ protocols }: NormBook, { test }: AttemptView) {
  const protocol = protocols.find((p) => p.id === test);
  if (!protocol) throw new RangeError(`readPeople: the register holds the test ${test}, which the catalogue does not`);
  return protocol;
}

/** Every test with anything taken down, in the order of the stations. */
function testsOf(person: Person, { protocols }: NormBook, attempts: readonly AttemptView[]): TestView[] {
  const byTest = groupBy(attempts, (a) => a.test);
  return protocols.flatMap((protocol) => {
    const sats = (byTest.get(protocol.id) ?? []).flatMap((attempt) => satOf(person, protocol, attempt) ?? []);
    return testViewOf(protocol, sats, person.normTable) ?? [];
  });
}

/** @param protocol in the units shown, which the result is told in too */
function satOf(person: Person, protocol: Protocol, attempt: AttemptView): TestSat | null {
  const kept = toResult(attempt);
  if (!kept) return null;
  const result = resultIn(protocol, kept);
  const { conditions, trial } = attempt;
  return {
    key: attempt.clientKey,
    on: attempt.sittingDate,
    ageYears: ageOn(person.birthDate, attempt.sittingDate),
    result,
    protocolVersion: attempt.protocolVersion,
    aid: conditions.aid,
    shoes: conditions.shoes,
    conditions,
    fromPaper: trial.fromPaper,
    who: trial.who,
  };
}
