import { bodyOn, factsOf } from '../intake/facts';
import { ofKind } from '../intake/entries';
import type { Known } from '../intake/known';
import { daysBetween } from '../math/days';
import { assignLevels } from '../level/assign';
import type { LevelsAnswer } from '../level/answer';
import { liftedBefore } from '../level/lift';
import {
  isSteppedBack,
  saidBefore,
  standingsOf,
  trainedLevels,
  waitingLevels,
  type Decided,
  type Standing,
} from '../level/standing';
import { ageOn } from '../math/age';
import { takenAtOnce, type AtOnce } from '../measure/atOnce';
import { toRepeatOf, toResult, type AttemptView, type MovedAway } from '../measure/attempt';
import { upsetAfter } from '../level/cautious';
import { retestDue, upsetWords, type RetestDue } from '../retest/due';
import { compositesOf, type Composites } from '../score/composites';
import type { NormBook } from '../score/normBook';
import { resultIn } from '../score/shownUnits';
import type { CameBack } from '../train/away';
import type { Facts, IsoDate, TestResult } from '../shapes/facts';
import type { Person, Place, UnitSystem } from '../shapes/person';
import type { Protocol } from '../shapes/protocol';
import type { RuleBook } from '../shapes/rules';
import { together, type Compared, type Together } from '../retest/together';
import { pathOf, type Path, type PathFacts } from './path';
import { isWatched, newestOf, testViewOf, type DatedResult, type NewestTest, type TestView } from './testView';

/**
 * How somebody stands today: all that the lists of the register need.
 * @typeParam T what is known of each test: for lists the newest results are enough
 */
export interface PersonStand<T extends NewestTest = NewestTest> {
  readonly person: Person;
  /** What is known today. */
  readonly known: Known;
  readonly archived: boolean;
  readonly ageYears: number;
  readonly path: Path;
  /** Every test with a result, in the order of the stations. */
  readonly tests: readonly T[];
  readonly composites: Composites;
  /** The core test that speaks for them where one must; `null` where none was done. */
  readonly lead: T | null;
  /** The newest day of a core test: it sets the next. */
  readonly lastTestedOn: IsoDate | null;
  /** Tests whose newest result is past a watch line. */
  readonly toWatch: number;
  /** Tries of the newest day that broke off and were not done again. */
  readonly toRepeat: readonly AttemptView[];
  /** Oldest first. */
  readonly decided: readonly Decided[];
  /** Where they stand on each ladder, in the order of the ladders; empty where nothing was tested or decided. */
  readonly standings: readonly Standing[];
  readonly due: RetestDue | null;
}

/** The same with everything there is to say of each test. */
export interface PersonOutline extends PersonStand<TestView> {
  /** Units shown. */
  readonly units: UnitSystem;
  /** The power of rising by the same test the time before. */
  readonly powerBefore: Composites['power'];
  /** Everything tried, oldest first, and within a day in the order in which it stands for it. */
  readonly attempts: readonly AttemptView[];
  /** Of the figures that scored all of this. */
  readonly normsVersion: string;
  /** Attempts that once lay in this file and were moved to another. */
  readonly movedAway: readonly MovedAway[];
  /** Trials without a result: stopped, broken off, or a repeat of the same day. */
  readonly otherAttempts: readonly AttemptView[];
  /** The same test taken twice at once, while nobody has said which is kept. */
  readonly atOnce: readonly AtOnce[];
  /** What several tests of the newest two days say together; `null` where too few are known well enough. */
  readonly together: Together | null;
}

/** All that the screens of one person show. */
export interface PersonView extends PersonOutline {
  readonly levels: LevelsAnswer;
}

/** What is on record of one person, as lists read it. */
export interface StandRecords {
  readonly person: Person;
  readonly archived: boolean;
  readonly known: Known;
  /** By day, and within a day in the order in which they stand for it. */
  readonly attempts: readonly AttemptView[];
  /** Oldest first. */
  readonly decided: readonly Decided[];
  /** Classes they were in since the newest intake said how many there were, and the day of the newest. */
  readonly classesSince: number;
  readonly lastClassOn: IsoDate | null;
  /** The newest time they came back after weeks without one. */
  readonly cameBack: CameBack | null;
}

/** Everything on record of one person, as it stands. */
export interface PersonRecords extends StandRecords {
  readonly movedAway: readonly MovedAway[];
}

/** What everybody is judged by: the hall, the figures in the units shown, and the rules. */
export interface Hall {
  readonly place: Place;
  readonly book: NormBook;
  readonly rules: RuleBook;
}

export interface Described {
  readonly outline: PersonOutline;
  /** Worked out when they are first asked for, as that is most of the work. */
  readonly levels: () => LevelsAnswer;
}

/** Of somebody only how their tests were scored, for pages of the whole hall. */
export interface PersonScores {
  readonly person: Person;
  readonly units: UnitSystem;
  readonly tests: readonly NewestTest[];
  /** Tests whose newest result is past a watch line. */
  readonly toWatch: number;
}

export function scoresOf(
  { person, attempts }: Pick<PersonRecords, 'person' | 'attempts'>,
  { place, book }: Pick<Hall, 'place' | 'book'>,
): PersonScores {
  const tests = testsOf(person, book, attempts, newestOf);
  return { person, units: place.units, tests, toWatch: tests.filter(isWatched).length };
}

/** How somebody stands today, by the newest result of each test. */
export const standOn = (records: StandRecords, hall: Hall, today: IsoDate): PersonStand =>
  standBy(testsOf(records.person, hall.book, records.attempts, newestOf), records, hall, today, () =>
    levelsOf(records, hall, today),
  );

const levelsOf = (records: StandRecords, hall: Hall, today: IsoDate): LevelsAnswer =>
  assignLevels(hall.rules.levels, factsFrom(records, hall, today));

/** Works out everything that is shown of one person today. */
export function describePerson(records: PersonRecords, hall: Hall, today: IsoDate): Described {
  const { person, attempts, movedAway } = records;
  const { place, book, rules } = hall;
  let worked: LevelsAnswer | undefined;
  const levels = () => (worked ??= levelsOf(records, hall, today));
  const tests = testsOf(person, book, attempts, testViewOf);
  const stand = standBy(tests, records, hall, today, levels);
  const counted = new Set(tests.flatMap((t) => t.series.flatMap((s) => s.results.map(({ key }) => key))));
  const { power } = stand.composites;
  const before =
    power &&
    compositesFrom(
      tests.flatMap((t) => t.series[0]?.results[1]?.result ?? []),
      records,
      hall,
    ).power;
  const outline: PersonOutline = {
    ...stand,
    units: place.units,
    powerBefore: before?.test === power?.test ? before : null,
    attempts,
    normsVersion: book.version,
    movedAway,
    otherAttempts: attempts.filter((a) => !counted.has(a.clientKey)).reverse(),
    atOnce: takenAtOnce(attempts, (test) => 1000 * (book.protocols.find((p) => p.id === test)?.station.takesS ?? 0)),
    together: together(comparedOf(tests), rules.takenTogether),
  };
  return { outline, levels };
}

/** @param levels asked only where something was tested or decided, as that is most of the work */
function standBy<T extends NewestTest>(
  tests: readonly T[],
  records: StandRecords,
  hall: Hall,
  today: IsoDate,
  levels: () => LevelsAnswer,
): PersonStand<T> {
  const { person, archived, known, attempts, decided } = records;
  const { book, rules } = hall;
  const { intake, readiness } = known;
  const toWatch = tests.filter(isWatched).length;
  const core = rules.coreTests.flatMap((id) => tests.filter((t) => t.test === id && t.triedOn !== null));
  const lastTestedOn = newestDay(core);
  const upsets = {
    limiters: [...known.limiters, ...known.healed],
    lastFallOn: known.falls.at(-1)?.content.fellOn ?? null,
  };
  // Taken again at once: of those that were tested before it, and what was never tested beside them.
  const newest = rules.atOnceAgain.map((id) => ({ id, on: newestDay(tests.filter((t) => t.test === id)) }));
  const upset = newest.flatMap(({ on }) => (on === null ? [] : (upsetAfter(upsets, on) ?? []))).at(0) ?? null;
  const again = upset && newest.find(({ on }) => on === null || on < upset.on);
  const composites = compositesFrom(
    tests.flatMap((t) => t.series[0]?.results[0]?.result ?? []),
    records,
    hall,
  );
  const due = lastTestedOn
    ? retestDue(lastTestedOn, {
        pastCutoff: toWatch > 0 || composites.battery?.low === true,
        readiness: readiness.outcome,
        steppedBack: isSteppedBack(decided),
        upset,
        cameBack: records.cameBack && records.cameBack.on > lastTestedOn ? records.cameBack : null,
      })
    : null;
  const standings =
    lastTestedOn === null && decided.length === 0
      ? []
      : standingsOf(rules.levels.ladders, levels(), decided, lastTestedOn);
  const toRepeat = toRepeatOf(attempts);
  const path = pathOf({
    today,
    readiness: readiness.outcome,
    readinessWhy: readiness.reasons[0]?.text ?? '',
    toAsk: readiness.asked !== 'current',
    lacking: [...(intake.heightCm === null ? ['height'] : []), ...(intake.massKg === null ? ['mass'] : [])],
    begin: beginWith(newest, lastTestedOn === null, book),
    lastTestedOn,
    again: upset && again ? { why: upsetWords[upset.by], test: again.id } : null,
    toRepeat: toRepeat.length > 0,
    toWatch,
    levelsWaiting: waitingLevels(standings).length,
    levelName: trainedLevels(standings)[0]?.name ?? null,
    dueOn: due?.on ?? null,
  });
  const ageYears = ageOn(person.birthDate, today);
  return {
    ...{ person, known, archived, ageYears, path, tests, composites, lead: core[0] ?? null },
    ...{ lastTestedOn, toWatch, toRepeat, decided, standings, due },
  };
}

/** @param results one a test, the one gone by */
const compositesFrom = (
  results: readonly TestResult[],
  { person, known }: StandRecords,
  { book, rules }: Hall,
): Composites => compositesOf(rules.composites, book.protocols, results, (day) => bodyOn(person, known.intake, day));

/** The easy test comes first, and what goes with it; whoever was tested before without it goes on as they were. */
function beginWith(
  threeMinutes: readonly { readonly id: string; readonly on: IsoDate | null }[],
  never: boolean,
  { protocols }: NormBook,
): PathFacts['begin'] {
  const [first, ...others] = threeMinutes;
  const id = never ? first?.id : first?.on != null ? others.find(({ on }) => on === null)?.id : undefined;
  const protocol = protocols.find((p) => p.id === id);
  return protocol ? { test: protocol.id, title: protocol.title } : null;
}

/** The newest change of every test and side, with the two days it lies between. */
const comparedOf = (tests: readonly TestView[]): Compared[] =>
  tests.flatMap(({ test, series }) =>
    series.flatMap(({ results: [newest, before] }) =>
      newest && before ? [{ test, from: before.on, on: newest.on, change: newest.change }] : [],
    ),
  );

/** Everything the level engine reads, from the records. */
export function factsFrom(records: StandRecords, { place, rules }: Hall, day: IsoDate): Facts {
  const { person, known, attempts, decided, classesSince, lastClassOn } = records;
  return {
    ...factsOf(
      person,
      known,
      place,
      // What was done although it was closed feeds no level.
      attempts.flatMap((a) => (a.conditions.despite === undefined ? (toResult(a) ?? []) : [])),
      saidBefore(decided),
      day,
      { since: classesSince, lastOn: lastClassOn },
    ),
    lightWhileAsking: rules.levels.house.lightWhileAsking,
    liftHeightCm: liftedBefore(rules.levels.ladders, decided),
    shownSeatCm: lowestShown(known, day, rules.levels.house.oldAfterDays),
  };
}

/** The lowest seat that classes showed, of those that are not old yet; `null` where none was. */
function lowestShown({ entries }: Known, day: IsoDate, oldAfterDays: number): number | null {
  const seats = ofKind(entries, 'shown').flatMap((e) =>
    e.content.seatCm !== undefined && daysBetween(e.on, day) <= oldAfterDays ? [e.content.seatCm] : [],
  );
  return seats.length > 0 ? Math.min(...seats) : null;
}

/** The newest day on which one of these was tried. */
const newestDay = (tests: readonly NewestTest[]): IsoDate | null =>
  tests.reduce<IsoDate | null>((day, { triedOn }) => (day === null || (triedOn ?? '') > day ? triedOn : day), null);

/** Every test with anything taken down, in the order of the stations. */
function testsOf<V>(
  person: Person,
  { protocols }: NormBook,
  attempts: readonly AttemptView[],
  viewOf: (protocol: Protocol, sats: readonly DatedResult[], sex: Person['normTable']) => V | null,
): V[] {
  return protocols.flatMap((protocol) => {
    const sats = attempts.flatMap((a) => (a.test === protocol.id ? (satOf(person, protocol, a) ?? []) : []));
    return viewOf(protocol, sats, person.normTable) ?? [];
  });
}

/** @param protocol in the units shown, which the result is told in too */
function satOf(person: Person, protocol: Protocol, attempt: AttemptView): DatedResult | null {
  const kept = toResult(attempt);
  if (!kept) return null;
  const { conditions, trial } = attempt;
  return {
    key: attempt.clientKey,
    on: attempt.sittingDate,
    ageYears: ageOn(person.birthDate, attempt.sittingDate),
    result: resultIn(protocol, kept),
    protocolVersion: attempt.protocolVersion,
    aid: conditions.aid,
    shoes: conditions.shoes,
    conditions,
    fromPaper: trial.fromPaper,
    who: trial.who,
  };
}
