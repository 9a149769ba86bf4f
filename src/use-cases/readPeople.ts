import { compositeRules } from '../catalogue/rules/composites';
import { readinessRules } from '../catalogue/readiness/readiness';
import { levelRules } from '../catalogue/rules';
import { bodyOn, factsOf } from '../core/intake/facts';
import { knownOn, type Known } from '../core/intake/known';
import { ageOn } from '../core/math/age';
import type { Level, LevelsAnswer } from '../core/level/answer';
import { assignLevels } from '../core/level/assign';
import { pathOf } from '../core/path';
import type { AttemptView, CountedAttempt, PersonOutline, PersonView, SittingView } from '../core/personView';
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
import { listAttempts } from '../database/attempts';
import { inOne, type Register } from '../database/connection';
import { listEntries } from '../database/entries';
import { addConfirmedLevel, listConfirmedLevels, type ConfirmedLevel } from '../database/levels';
import { findPerson, listIntakes, listPeople, type KeptPerson } from '../database/people';
import { groupBy } from './groupBy';
import { readBook } from './norms';
import { readPlace } from './places';

/** The one test of the loop so far. */
const loopTest = 'chair-stand-30s';

/** @param units results are told in; those of the hall where left out */
export async function readPerson(
  db: Register,
  id: PersonId,
  today: IsoDate,
  units?: UnitSystem,
): Promise<PersonView | undefined> {
  const person = await findPerson(db, id);
  return person && (await viewsOf(db, [person], today, units))[0];
}

/** Everybody who is not put aside, by name. For many people ask for the lines of the register instead. */
export async function readEverybody(db: Register, today: IsoDate): Promise<PersonView[]> {
  return viewsOf(
    db,
    (await listPeople(db)).filter((p) => !p.archived),
    today,
  );
}

/** All that the screens show of some people, in a handful of queries and in the order given. */
export async function viewsOf(
  db: Register,
  people: readonly KeptPerson[],
  today: IsoDate,
  units?: UnitSystem,
): Promise<PersonView[]> {
  return (await describeAll(db, people, today, units)).map(({ outline, levels }) => ({ ...outline, levels: levels() }));
}

/** The same for lists of many: levels are worked out only of those who wait for a yes to one. */
export async function outlinesOf(
  db: Register,
  people: readonly KeptPerson[],
  today: IsoDate,
): Promise<PersonOutline[]> {
  return (await describeAll(db, people, today)).map(({ outline }) => outline);
}

async function describeAll(
  db: Register,
  people: readonly KeptPerson[],
  today: IsoDate,
  units?: UnitSystem,
): Promise<Described[]> {
  const ids = people.map((p) => p.id);
  const place = await readPlace(db);
  const book = bookIn(units ?? place.units, await readBook(db));
  const records = await recordsOf(db, ids);
  const attempts = groupBy(await listAttempts(db, ids), (a) => a.personId);
  const levels = groupBy(await listConfirmedLevels(db, ids), (l) => l.personId);
  return people.flatMap((person) => {
    const known = knownOn(records.get(person.id) ?? nothingNoted, today, readinessRules);
    return known
      ? [describe(person, known, place, book, attempts.get(person.id) ?? [], levels.get(person.id) ?? [], today)]
      : [];
  });
}

const nothingNoted: PersonRecord = { intakes: [], entries: [] };

/** Everything ever noted of some people. */
export async function recordsOf(db: Register, ids: readonly PersonId[]): Promise<Map<PersonId, PersonRecord>> {
  const intakes = groupBy(await listIntakes(db, ids), (i) => i.personId);
  const entries = groupBy(await listEntries(db, ids), (e) => e.personId);
  return new Map(
    ids.map((id) => [id, { intakes: (intakes.get(id) ?? []).map((i) => i.intake), entries: entries.get(id) ?? [] }]),
  );
}

export async function readRecord(db: Register, id: PersonId): Promise<PersonRecord> {
  return (await recordsOf(db, [id])).get(id) ?? nothingNoted;
}

/** Every day on which something was noted or tested, newest first, today always among them. */
export async function daysNoted(db: Register, view: PersonView, today: IsoDate): Promise<IsoDate[]> {
  const record = await readRecord(db, view.person.id);
  const days = new Set([
    today,
    ...record.intakes.map((i) => i.notedOn),
    ...record.entries.map((e) => e.on),
    ...view.sittings.map((s) => s.attempt.sittingDate),
  ]);
  return [...days].filter((d) => d <= today).sort((a, b) => b.localeCompare(a));
}

/** What was known of somebody at the end of an earlier day. */
export async function readKnown(db: Register, id: PersonId, day: IsoDate): Promise<Known | undefined> {
  return knownOn(await readRecord(db, id), day, readinessRules);
}

export type ConfirmLevels =
  | { readonly kind: 'confirmed'; readonly codes: readonly string[] }
  | { readonly kind: 'nothing-to-confirm' }
  | { readonly kind: 'not-found' };

/** Confirms the levels that wait for a yes, with the facts and reasons it was decided by. */
export async function confirmLevels(db: Register, id: PersonId, today: IsoDate): Promise<ConfirmLevels> {
  const page = await readPerson(db, id, today);
  if (!page) return { kind: 'not-found' };
  const { rulesVersion } = page.levels;
  const levels = page.levelsWaiting;
  if (levels.length === 0) return { kind: 'nothing-to-confirm' };
  const { person, known, confirmed } = page;
  const facts = factsFrom(person, known, await readPlace(db), await listAttempts(db, [id]), confirmed, today);
  const normsVersion = (await readBook(db)).version;
  await inOne(db, async (all) => {
    for (const level of levels)
      await addConfirmedLevel(
        all,
        { personId: id, confirmedOn: today, rulesVersion, normsVersion, facts, level },
        new Date(),
      );
  });
  return { kind: 'confirmed', codes: levels.map((l) => l.code) };
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

function describe(
  person: KeptPerson,
  known: Known,
  place: Place,
  book: NormBook,
  attempts: readonly AttemptView[],
  confirmed: readonly ConfirmedLevel[],
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
  const levelsNow = newestOfEach(confirmed);
  const levelsWaiting = waiting(levels, levelsNow, latest);
  const newestDay = attempts.at(-1)?.sittingDate;
  const path = pathOf({
    today,
    readiness: readiness.outcome,
    readinessWhy: readiness.reasons[0]?.text ?? '',
    toAsk: readiness.asked !== 'current',
    lacking: [...(intake.heightCm === null ? ['height'] : []), ...(intake.massKg === null ? ['mass'] : [])],
    lastTestedOn,
    toRepeat:
      attempts.some((a) => a.sittingDate === newestDay && a.trial.state === 'to-repeat') &&
      latest?.attempt.sittingDate !== newestDay,
    toWatch,
    levelsWaiting: levelsWaiting.length,
    levelCode: levelsNow[0]?.level.code ?? null,
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
    otherAttempts: attempts.filter((a) => !counted.has(a.clientKey)).reverse(),
    confirmed,
    levelsNow,
    levelsWaiting,
    due,
  };
  return { outline, levels };
}

/** The newest confirmed level of each ladder, in the order of the ladders. */
function newestOfEach(confirmed: readonly ConfirmedLevel[]): ConfirmedLevel[] {
  return levelRules.ladders.flatMap(({ pattern }) => confirmed.findLast((c) => c.level.pattern === pattern) ?? []);
}

/** A level waits for a yes while nobody confirmed one since the newest test, or while it differs from the last one. */
function waiting(
  levels: () => LevelsAnswer,
  now: readonly ConfirmedLevel[],
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
