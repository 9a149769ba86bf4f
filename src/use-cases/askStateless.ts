import { normsVersion, protocolById, protocols } from '../catalogue/protocols';
import { levelRules } from '../catalogue/rules';
import { risePowerRule } from '../catalogue/rules/risePower';
import { ageOn } from '../core/math/age';
import { assignLevels } from '../core/level/assign';
import { printDose } from '../core/level/code';
import { roundTo } from '../core/math/round';
import type { MeasurementError } from '../core/score/error';
import type { Ranked, Rank } from '../core/score/rank';
import { risePower, type RisePower } from '../core/score/risePower';
import { scoreResult, type Score } from '../core/score/scoreResult';
import type { Facts, IsoDate, Kit, TestResult } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import { parse, type FieldError } from '../schemas/parse';
import { levelsRequest, scoreRequest, type LevelsRequest, type ScoreRequest } from '../schemas/requests';

export type Answered =
  | { readonly kind: 'answered'; readonly body: object }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

const scoreSchema = scoreRequest(protocols);
const levelsSchema = levelsRequest(protocols);

/** Scores results that are kept nowhere. */
export function askScore(input: unknown, today: IsoDate): Answered {
  const parsed = parse(scoreSchema, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { person, testedOn = today, results } = parsed.value;
  const young = ageFaults(person, [testedOn, ...results.flatMap((r) => r.testedOn ?? [])]);
  if (young.length > 0) return { kind: 'rejected', errors: young };
  const sex = person.sex ?? null;
  const all = results.map((r) => toTestResult(r, testedOn));
  const scores = all.map((result) => ({ result, score: scored(result, ageFor(person, result.testedOn), sex) }));
  const power = powerOf(all, person, sex);
  return {
    kind: 'answered',
    body: {
      age: ageFor(person, testedOn),
      normsVersion,
      results: scores.map(({ result, score }) => printScore(result, score, sex)),
      composites: { battery: null, risePower: power && printPower(power) },
      warnings: warningsOf(all),
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
  const answer = assignLevels(
    levelRules,
    toFacts(
      parsed.value,
      testedOn,
      results.map((r) => toTestResult(r, testedOn)),
    ),
  );
  const { rulesVersion, levels, cautions, refused } = answer;
  const body = {
    rulesVersion,
    levels: levels.map((l) => ({ ...l, dose: printDose(l.dose) })),
    accessories: [],
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
    value: sent.value ?? null,
    trials: sent.trials?.filter((t) => t !== undefined) ?? null,
  };
}

function scored(result: TestResult, ageYears: number, sex: NormTable): Score {
  const protocol = protocolById(result.test);
  if (!protocol) throw new RangeError(`askScore: the schema let ${result.test} through, which is no test`);
  return scoreResult(protocol, result, { ageYears, sex });
}

/** From the five stands first, then from the counted ones; a count with hands tells nothing of rising. */
function powerOf(results: readonly TestResult[], person: SentPerson, sex: NormTable): RisePower | null {
  const { heightCm, massKg } = person;
  if (!heightCm || !massKg) return null;
  const usable = results.filter((r) => r.outcome === 'done' && !r.handsUsed && (r.value ?? 0) > 0 && r.seatHeightCm);
  const perStand = usable.flatMap((r) => {
    const rises = protocolById(r.test)?.rises;
    if (!rises || !r.value || !r.seatHeightCm) return [];
    const secondsPerStand = rises.kind === 'seconds-for' ? r.value / rises.rises : rises.seconds / r.value;
    return [{ first: rises.kind === 'seconds-for', secondsPerStand, seatM: r.seatHeightCm / 100 }];
  });
  const chosen = perStand.find((p) => p.first) ?? perStand[0];
  return chosen
    ? risePower(
        { massKg, heightM: heightCm / 100, seatM: chosen.seatM, secondsPerStand: chosen.secondsPerStand, sex },
        risePowerRule,
      )
    : null;
}

function warningsOf(results: readonly TestResult[]): string[] {
  const parts = ['four-stage', 'gait-4m', 'five-stands'];
  const hasAll = parts.every((test) => results.some((r) => r.test === test));
  return hasAll
    ? ['The three-part performance battery is not computed by this version; its parts are answered one by one.']
    : [];
}

function printScore(result: TestResult, score: Score, sex: NormTable): object {
  const protocol = protocolById(result.test);
  const set = protocol?.norms?.id;
  const norm = (rank: Rank) => (rank.kind === 'ranked' ? printRank(rank, set) : null);
  return {
    test: result.test,
    side: result.side ?? null,
    value: result.value,
    unit: protocol?.unit,
    ...(result.outcome === 'done' ? {} : { outcome: result.outcome }),
    ...(score.handsUsed ? { handsUsed: true } : {}),
    norm: norm(score.rank),
    ...(sex === null ? { norms: score.both && { female: norm(score.both.female), male: norm(score.both.male) } } : {}),
    cutoffs: score.cutoffs.map(({ id, limit, past, source }) => ({ id, limit, past, source: source.cite })),
    standard: score.standard && { ...score.standard, source: score.standard.source.cite },
    error: score.error && printError(score.error),
    notes: score.notes,
  };
}

function printRank({ row, p50, percentile, z, band }: Ranked, set: string | undefined): object {
  return { set, ...row, p50, percentile: roundTo(percentile, 0.1), z: roundTo(z, 0.01), band };
}

function printError({ sem, mdc90, mdc95, source }: MeasurementError): object {
  return { sem: roundTo(sem, 0.01), mdc90: roundTo(mdc90, 0.01), mdc95: roundTo(mdc95, 0.01), source: source.cite };
}

function printPower({ watts, wattsPerKg, low, limit, source }: RisePower): object {
  return { watts: roundTo(watts, 0.1), wattsPerKg: roundTo(wattsPerKg, 0.01), low, limit, source: source.cite };
}

function toFacts(sent: LevelsRequest, testedOn: IsoDate, results: readonly TestResult[]): Facts {
  const walkingAid = sent.walkingAid ?? 'none';
  const limiters = sent.limiters ?? [];
  const numb = sent.numbFeet === true && !limiters.some((l) => l.kind === 'numb-feet');
  return {
    person: {
      ageYears: ageFor(sent.person, testedOn),
      sex: sent.person.sex ?? null,
      heightCm: sent.person.heightCm ?? null,
      massKg: sent.person.massKg ?? null,
    },
    testedOn,
    results,
    readiness: sent.readiness ?? 'ready',
    limiters: numb ? [...limiters, { kind: 'numb-feet' }] : limiters,
    falls12m: sent.falls12m ?? 0,
    injuredInFall: sent.injuredInFall ?? false,
    lastFallOn: null,
    walkingAid,
    aidIndoors: sent.aidIndoors ?? walkingAid !== 'none',
    floorSlides: sent.floorSlides ?? true,
    sitsUnsupported: sent.sitsUnsupported ?? true,
    heelDownAtTarget: sent.heelDownAtTarget ?? false,
    sessionsLogged: sent.sessionsLogged ?? 2,
    shown: sent.shown ?? [],
    lastConfirmed: sent.lastConfirmed ?? [],
    kit: toKit(sent.kit),
    style: sent.style ?? 'hips-back',
    impactCleared: sent.impactCleared ?? false,
  };
}

function toKit(kit: LevelsRequest['kit']): Kit {
  return {
    chairs: (kit?.chairs ?? []).map((c) => ({ heightCm: c.heightCm, arms: c.arms ?? false })),
    padsCm: (kit?.padsCm ?? []).filter((p) => p !== undefined),
    weightsKg: (kit?.weightsKg ?? []).filter((w) => w !== undefined),
    raisedSurface: kit?.raisedSurface ?? false,
    rail: kit?.rail ?? true,
    mat: kit?.mat ?? true,
    box: kit?.box ?? true,
  };
}
