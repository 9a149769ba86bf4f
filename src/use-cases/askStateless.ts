import { protocolById, protocols } from '../catalogue/protocols';
import { readinessRules } from '../catalogue/readiness/readiness';
import { levelRules } from '../catalogue/rules';
import { compositeRules } from '../catalogue/rules/composites';
import { reckonedPain } from '../core/intake/pains';
import { ageOn } from '../core/math/age';
import { assignAccessories } from '../core/level/accessories';
import { assignLevels, levelAt, withAccessories } from '../core/level/assign';
import { printDose } from '../core/level/code';
import { roundTo } from '../core/math/round';
import type { MeasurementError } from '../core/score/error';
import { positionsHeld } from '../core/measure/readTrial';
import { resultOfTries } from '../core/measure/tries';
import { compositesOf, type Composites } from '../core/score/composites';
import type { NormBook } from '../core/score/normBook';
import type { Rank } from '../core/score/rank';
import { moreIsBetter, scoreResult, type Score } from '../core/score/scoreResult';
import { isOpen } from '../core/level/standing';
import { plainFacts, type Facts, type IsoDate, type Kit, type Limiter, type TestResult } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import type { Protocol } from '../core/shapes/protocol';
import { groupBy } from './groupBy';
import { changesOfSent, printChange, togetherOfSent } from './printChange';
import { shippedBook } from './norms';
import { parse, type FieldError } from '../schemas/parse';
import { levelsRequest, scoreRequest, type LevelsRequest, type ScoreRequest } from '../schemas/requests';

export type Answered =
  | { readonly kind: 'answered'; readonly body: object }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

const scoreSchema = scoreRequest(protocols);
const allRules = withAccessories(levelRules);
const levelsSchema = levelsRequest(protocols);

/**
 * Scores results that are kept nowhere.
 * @param book the figures to score by; the shipped ones where left out
 */
export function askScore(input: unknown, today: IsoDate, book: NormBook = shippedBook): Answered {
  const parsed = parse(scoreSchema, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { person, testedOn = today, results } = parsed.value;
  const young = ageFaults(person, [testedOn, ...results.flatMap((r) => r.testedOn ?? [])]);
  if (young.length > 0) return { kind: 'rejected', errors: young };
  const sex = person.sex ?? null;
  const all = results.map((r) => toTestResult(r, testedOn));
  const scores = all.map((result) => ({ result, score: scored(book, result, ageFor(person, result.testedOn), sex) }));
  const composites = compositesFrom(all, person, sex);
  const changes = changesOfSent(
    all,
    (test) => inBook(book, test),
    (day) => ageFor(person, day),
    sex,
  );
  const withChange = (result: TestResult) => {
    const found = changes.find((c) => c.newer === result);
    return found ? { change: printChange(found) } : {};
  };
  return {
    kind: 'answered',
    body: {
      age: ageFor(person, testedOn),
      normsVersion: book.version,
      results: scores.map(({ result, score }) => ({
        ...printScore(book, result, score, sex, isPoorerSide(result, all)),
        ...withChange(result),
      })),
      together: togetherOfSent(changes),
      composites: printComposites(composites),
      warnings: warningsOf(all, composites),
    },
  };
}

/** Levels from facts that are kept nowhere, for the ladders built so far. */
export function askLevels(input: unknown, today: IsoDate): Answered {
  const parsed = parse(levelsSchema, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { person, testedOn = today, results = [] } = parsed.value;
  const young = ageFaults(person, [testedOn]);
  if (young.length > 0) return { kind: 'rejected', errors: young };
  const facts = toFacts(
    parsed.value,
    testedOn,
    results.map((r) => toTestResult(r, testedOn)),
  );
  const past = handFaults(facts);
  if (past.length > 0) return { kind: 'rejected', errors: past };
  const answer = assignLevels(levelRules, facts);
  const { rulesVersion, levels, cautions, refused } = answer;
  const beside = assignAccessories(levelRules, facts, levels);
  const body = {
    rulesVersion,
    levels: levels.map((l) => ({ ...l, dose: printDose(l.dose) })),
    accessories: beside.open.map((l) => ({ ...l, dose: printDose(l.dose) })),
    closed: [...answer.closed, ...beside.closed],
    cautions,
    refused,
  };
  return { kind: 'answered', body };
}

type SentPerson = ScoreRequest['person'];
type SentResult = NonNullable<ScoreRequest['results'][number]>;

/** A birth date that makes nobody of 18 to 110 on the days asked about is a slip. */
function ageFaults(person: SentPerson, days: readonly IsoDate[]): FieldError[] {
  const { birthDate } = person;
  if (birthDate === undefined) return [];
  const off = days.some((day) => day < birthDate || ageOn(birthDate, day) < 18 || ageOn(birthDate, day) > 110);
  return off ? [{ path: '/person/birthDate', message: 'must make somebody of 18 to 110 on the day of the test' }] : [];
}

function ageFor(person: SentPerson, day: IsoDate): number {
  if (person.age !== undefined) return person.age;
  return ageOn(person.birthDate ?? day, day);
}

function toTestResult(sent: SentResult, testedOn: IsoDate): TestResult {
  return {
    ...sent,
    testedOn: sent.testedOn ?? testedOn,
    outcome: sent.outcome ?? 'done',
    value: sent.value ?? derived(sent),
    trials: sent.trials?.filter((t) => t !== undefined) ?? null,
  };
}

/** Sent without its value, a result follows from its tries or its seconds by the rule of the test. */
function derived({ test, trials, seconds }: SentResult): number | null {
  const protocol = protocolById(test);
  if (seconds) return positionsHeld(seconds);
  return protocol ? resultOfTries(protocol, trials?.filter((t) => t !== undefined) ?? []) : null;
}

const inBook = ({ protocols: all }: NormBook, test: string) => all.find((p) => p.id === test);

function scored(book: NormBook, result: TestResult, ageYears: number, sex: NormTable): Score {
  const protocol = inBook(book, result.test);
  if (!protocol) throw new RangeError(`askScore: the schema let ${result.test} through, which is no test`);
  return scoreResult(protocol, result, { ageYears, sex });
}

/** What several results say together; of two of one test the first is gone by. */
function compositesFrom(results: readonly TestResult[], person: SentPerson, sex: NormTable): Composites {
  const { heightCm = null, massKg = null } = person;
  return compositesOf(compositeRules, protocols, results, (day) => ({
    ...{ heightCm, massKg, sex },
    ageYears: ageFor(person, day),
  }));
}

const batteryParts = ['four-stage', 'gait-4m', 'five-stands'];

function warningsOf(results: readonly TestResult[], { battery }: Composites): string[] {
  const hasAll = batteryParts.every((test) => results.some((r) => r.test === test));
  return hasAll && !battery
    ? ['The three-part battery needs the seconds of each standing position, and its parts no more than 14 days apart.']
    : [];
}

/** One of two legs is compared with norms that were taken of the leg people chose: the better one. */
function isPoorerSide(result: TestResult, results: readonly TestResult[]): boolean {
  const protocol = protocolById(result.test);
  if (protocol?.sides !== 'both' || !result.side || result.value === null) return false;
  const { value } = result;
  return results.some(
    (r) =>
      r.test === result.test &&
      r.testedOn === result.testedOn &&
      r.side !== result.side &&
      r.value !== null &&
      (moreIsBetter(protocol) ? r.value > value : r.value < value),
  );
}

function printScore(book: NormBook, result: TestResult, score: Score, sex: NormTable, poorerSide: boolean): object {
  const protocol = inBook(book, result.test);
  const norm = (rank: Rank) => (poorerSide ? null : printRank(rank, protocol));
  const notes = poorerSide ? ['The norms are of the leg people chose: the other side is compared.'] : score.notes;
  return {
    test: result.test,
    side: result.side ?? null,
    value: result.value,
    unit: protocol?.unit,
    ...(protocol?.speedOverM !== undefined && score.scored !== null ? { speedMS: roundTo(score.scored, 0.001) } : {}),
    ...(result.outcome === 'done' ? {} : { outcome: result.outcome }),
    ...(score.handsUsed ? { handsUsed: true } : {}),
    norm: norm(score.rank),
    ...(sex === null ? { norms: score.both && { female: norm(score.both.female), male: norm(score.both.male) } } : {}),
    cutoffs: score.cutoffs.map(({ id, limit, past, source }) => ({ id, limit, past, source: source.cite })),
    standard: score.standard && { ...score.standard, source: score.standard.source.cite },
    error: score.error && printError(score.error),
    publishedErrors: (protocol?.publishedErrors ?? []).map(({ source, ...rest }) => ({ ...rest, source: source.cite })),
    notes,
  };
}

/** Figures in the unit scored in: that of the test, or m/s for a walk. */
function printRank(rank: Rank, protocol: Protocol | undefined): object | null {
  const set = protocol?.norms?.id;
  switch (rank.kind) {
    case 'no-norm':
      return null;
    case 'ranked': {
      const { row, p50, percentile, z, band } = rank;
      const { sex, ageLow, ageHigh, p25, p75 } = row;
      const two = (n: number) => roundTo(n, 0.01);
      return {
        ...{ set, sex, ageLow, ageHigh, p25: two(p25), p50: two(p50), p75: two(p75) },
        ...{ percentile: roundTo(percentile, 0.1), z: two(z), band },
      };
    }
    case 'limit':
      return { set, ...rank.row, worseThanAverageOver: rank.limit, worseThanAverage: rank.worse };
    case 'mean':
      return { set, ...rank.row };
  }
}

function printError({ sem, mdc90, mdc95, source, from }: MeasurementError): object {
  const two = (n: number | null) => (n === null ? null : roundTo(n, 0.01));
  return { sem: two(sem), mdc90: two(mdc90), mdc95: two(mdc95), from, source: source.cite };
}

function printComposites({ battery, power }: Composites): object {
  return {
    battery: battery && {
      ...{ total: battery.total, balance: battery.balance, gait: battery.gait, stands: battery.stands },
      ...{ low: battery.low, source: battery.source.cite },
    },
    risePower: power && {
      ...{ watts: roundTo(power.watts, 0.1), wattsPerKg: roundTo(power.wattsPerKg, 0.01), low: power.low },
      ...{ limit: power.limit, source: power.source.cite },
    },
  };
}

/** Nobody’s word goes past a limiter, the floor transfer, balance or what the hall has. */
function handFaults(facts: Facts): FieldError[] {
  return facts.setByHand.flatMap(({ pattern, rung, reason }, i): FieldError[] => {
    const ladder = allRules.ladders.find((l) => l.pattern === pattern);
    if (!ladder) return [];
    const path = `/setByHand/${i}/rung`;
    if (!ladder.rungs.some((r) => r.rung === rung))
      return [{ path, message: `is no rung of ${pattern}: the highest is ${ladder.rungs.length}` }];
    const at = levelAt(allRules, facts, pattern, rung, reason);
    if (isOpen(at)) return [];
    const closed = at.blockers.map((b) => b.text).join('; ') || 'nothing may be done today';
    return [{ path, message: `cannot be set by hand: ${closed}` }];
  });
}

function toFacts(sent: LevelsRequest, testedOn: IsoDate, results: readonly TestResult[]): Facts {
  const walkingAid = sent.walkingAid ?? 'none';
  const limiters = toLimiters(sent.limiters ?? [], testedOn);
  const numb = sent.numbFeet === true && !limiters.some((l) => l.kind === 'numb-feet');
  return {
    ...plainFacts,
    ...definedOf({
      ...{ readiness: sent.readiness, askFirstKind: sent.askFirstKind, falls12m: sent.falls12m },
      ...{ injuredInFall: sent.injuredInFall, lastFallOn: sent.lastFallOn, floorSlides: sent.floorSlides },
      ...{ sitsUnsupported: sent.sitsUnsupported, followsTask: sent.followsTask, armsFree: sent.armsFree },
      ...{ lightWhileAsking: sent.lightWhileAsking, heelDownAtTarget: sent.heelDownAtTarget },
      ...{ sessionsLogged: sent.sessionsLogged, missedWeeks: sent.missedWeeks, shown: sent.shown },
      ...{ held: sent.held, wishes: sent.wishes, heelUpTwice: sent.heelUpTwice, backThighTight: sent.backThighTight },
      ...{ shownSeatCm: sent.shownSeatCm, liftHeightCm: sent.liftHeightCm, lastConfirmed: sent.lastConfirmed },
      ...{ setByHand: sent.setByHand, style: sent.style, impactCleared: sent.impactCleared },
    }),
    person: {
      ageYears: ageFor(sent.person, testedOn),
      sex: sent.person.sex ?? null,
      heightCm: sent.person.heightCm ?? null,
      kneeHeightCm: sent.person.kneeHeightCm ?? null,
      massKg: sent.person.massKg ?? null,
    },
    testedOn,
    results,
    limiters: numb ? [...limiters, { kind: 'numb-feet' }] : limiters,
    walkingAid,
    aidIndoors: sent.aidIndoors ?? walkingAid !== 'none',
    kit: toKit(sent.kit),
  };
}

/** Without what was left out. */
const definedOf = <T extends object>(sent: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(sent).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };

/** Several pains of a kind and side are the answers to one question, the newest in force. */
function toLimiters(sent: NonNullable<LevelsRequest['limiters']>, testedOn: IsoDate): Limiter[] {
  const all = sent.map(({ askedOn = testedOn, site, names, closes, text, ...limiter }) => ({
    askedOn,
    limiter: {
      ...limiter,
      ...(site === 'eye' ? { ofTheEye: true } : {}),
      ...(names ? { names } : {}),
      ...(closes ? { closes } : {}),
      ...(text === undefined ? {} : { text }),
    },
  }));
  const ofOne = ({ limiter: { kind, side } }: (typeof all)[number]) =>
    kind.endsWith('-pain') ? `${kind} ${side ?? ''}` : '';
  return [...groupBy(all, ofOne)].flatMap(([pain, entries]) => {
    if (pain === '') return entries.map((e) => e.limiter);
    const answers = [...entries].sort((a, b) => (a.askedOn < b.askedOn ? -1 : a.askedOn > b.askedOn ? 1 : 0));
    const newest = answers.at(-1);
    if (!newest) return [];
    // Not asked for a number, it is read as the worst.
    const levels = answers.map(({ askedOn, limiter }) => ({ on: askedOn, level: limiter.pain ?? 10 }));
    return [{ ...newest.limiter, pain: reckonedPain(levels, testedOn, readinessRules) }];
  });
}

function toKit(kit: LevelsRequest['kit']): Kit {
  return {
    chairs: (kit?.chairs ?? []).map((c) => ({ heightCm: c.heightCm, arms: c.arms ?? false })),
    padsCm: (kit?.padsCm ?? []).filter((p) => p !== undefined),
    weightsKg: (kit?.weightsKg ?? []).filter((w) => w !== undefined),
    raisedSurface: kit?.raisedSurface ?? false,
    rail: kit?.rail ?? false,
    wedge: kit?.wedge ?? false,
    mat: kit?.mat ?? false,
    stepsCm: (kit?.stepsCm ?? []).filter((s) => s !== undefined),
    boxesCm: kit?.boxes
      ? kit.boxes.flatMap((b) => Array.from({ length: b.count ?? 1 }, () => b.heightCm ?? null))
      : kit?.box
        ? [null]
        : [],
  };
}
