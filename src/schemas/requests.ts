import { mixed, string, ValidationError, type AnyObject, type InferType, type TestContext } from 'yup';
import {
  askFirstKinds,
  coachingStyles,
  ladderKey,
  limiterKinds,
  outcomes,
  patterns,
  type Pattern,
  readinessOutcomes,
  supports,
  walkingAids,
  wishes,
} from '../core/shapes/facts';
import type { Protocol } from '../core/shapes/protocol';
import { asText, day, exactly, listOf, numberIn, oneOf, wholeIn, words, yesNo } from './building';

/** Limits of a body; shared by forms and the open interface. */
export const bodyLimits = {
  ageYears: [18, 110],
  heightCm: [120, 220],
  massKg: [30, 250],
  seatCm: [25, 80],
  kneeCm: [30, 75],
} as const;

const sides = ['L', 'R'] as const;
export const helps = ['none', 'furniture', 'person'] as const;

const personFields = () =>
  exactly({
    age: wholeIn(...bodyLimits.ageYears, 'years'),
    birthDate: day(),
    sex: oneOf(['female', 'male']).nullable(),
    heightCm: numberIn(...bodyLimits.heightCm, 'cm').nullable(),
    /** Of the kneecap; stands for a share of the height. */
    kneeHeightCm: numberIn(...bodyLimits.kneeCm, 'cm').nullable(),
    massKg: numberIn(...bodyLimits.massKg, 'kg').nullable(),
  }).test('age-or-birth-date', function (value: AnyObject | undefined) {
    if (value?.['age'] === undefined && value?.['birthDate'] === undefined)
      return this.createError({ path: `${this.path}.age`, message: 'is needed, or a birthDate' });
    if (value['age'] !== undefined && value['birthDate'] !== undefined)
      return this.createError({
        path: `${this.path}.age`,
        message: 'and birthDate exclude each other: give one of them',
      });
    return true;
  });

export const fourStageSeconds = () =>
  exactly({
    sideBySide: numberIn(0, 10, 's').required('is needed'),
    semiTandem: numberIn(0, 10, 's').required('is needed'),
    tandem: numberIn(0, 10, 's').required('is needed'),
    oneLeg: numberIn(0, 10, 's').required('is needed'),
  });

/** One result as it is sent; what it may hold is told by the protocol it names. */
function resultFields(protocols: readonly Protocol[]) {
  const byId = new Map(protocols.map((p) => [p.id, p]));
  return exactly({
    test: oneOf(protocols.map((p) => p.id)).required('is needed: the id of a test'),
    side: oneOf(sides).nullable(),
    outcome: oneOf(outcomes),
    value: numberIn(-1000, 10_000).nullable(),
    testedOn: day(),
    seatHeightCm: numberIn(...bodyLimits.seatCm, 'cm').nullable(),
    handsUsed: yesNo(),
    cleanBeforeHands: wholeIn(0, 100).nullable(),
    trials: listOf(numberIn(-1000, 10_000), 10).nullable(),
    capS: numberIn(1, 1000, 's').nullable(),
    seconds: fourStageSeconds().nullable().default(undefined),
    help: oneOf(helps).nullable(),
  }).test('fits-its-test', function (value: AnyObject | undefined) {
    const protocol = byId.get(asText(value?.['test']));
    if (!value || !protocol) return true;
    const faults = resultFaults(value, protocol).map(([field, message]) =>
      this.createError({ path: `${this.path}.${field}`, message }),
    );
    return faults.length === 0 || new ValidationError(faults);
  });
}

type Fault = readonly [field: string, message: string];

/** A side where the test has none, or none where it is done on each. */
export function sideFaults(side: unknown, { id, sides }: Protocol): string[] {
  const given = side !== undefined && side !== null;
  if (!given && sides === 'both') return [`${id} is done on each side: L or R is needed`];
  return given && sides === 'none' ? [`${id} has no sides: leave it out`] : [];
}

/** What of a result does not fit the test it names, by field. */
export function resultFaults(result: AnyObject, protocol: Protocol): Fault[] {
  const sent = result as Record<string, unknown>;
  const { value, side, cleanBeforeHands, trials, capS, seconds, help, outcome = 'done' } = sent;
  const faults: Fault[] = [];
  const given = (v: unknown) => v !== undefined && v !== null;
  const range = `must be ${protocol.range.whole ? 'a whole number ' : ''}from ${protocol.range.min} to ${protocol.range.max} ${protocol.unit} for ${protocol.id}`;
  const fits = (v: unknown) =>
    typeof v !== 'number' ||
    (v >= protocol.range.min && v <= protocol.range.max && (!protocol.range.whole || Number.isInteger(v)));
  if (outcome === 'done' && ![value, trials, seconds].some(given) && !protocol.asksHelp)
    faults.push(['value', 'is needed for an outcome of done']);
  if (outcome !== 'done' && given(value))
    faults.push(['value', `goes with an outcome of done only, not ${asText(outcome)}`]);
  if (!fits(value)) faults.push(['value', range]);
  if (Array.isArray(trials) && !trials.every(fits)) faults.push(['trials', range]);
  if (outcome !== 'done' && Array.isArray(trials) && trials.length > 0)
    faults.push(['trials', `go with an outcome of done only, not ${asText(outcome)}`]);
  for (const message of sideFaults(side, protocol)) faults.push(['side', message]);
  if (typeof cleanBeforeHands === 'number' && typeof value === 'number' && cleanBeforeHands > value)
    faults.push(['cleanBeforeHands', 'must not be more than value']);
  const cap = protocol.capture.kind === 'hold' ? protocol.capture.capS : null;
  if (given(capS) && cap === null) faults.push(['capS', `is a field of holds, not of ${protocol.id}`]);
  if (typeof capS === 'number' && cap !== null && capS > cap) faults.push(['capS', `must be at most ${cap} s`]);
  if (typeof capS === 'number' && typeof value === 'number' && value > capS)
    faults.push(['value', `must be at most capS, ${capS} s`]);
  if (given(seconds) && !protocol.asksSeconds)
    faults.push(['seconds', `is a field of four-stage, not of ${protocol.id}`]);
  if (given(help) && !protocol.asksHelp) faults.push(['help', `is a field of floor-transfer, not of ${protocol.id}`]);
  return faults;
}

/** A result is never younger than the day the answer is for. */
function notAfter(this: TestContext<AnyObject>, value: AnyObject | undefined): true | ValidationError {
  const request = (value ?? {}) as {
    testedOn?: string;
    results?: ({ testedOn?: string } | null)[];
    person?: { birthDate?: string };
  };
  const faults: ValidationError[] = [];
  if (request.person?.birthDate !== undefined && request.testedOn === undefined)
    faults.push(this.createError({ path: 'testedOn', message: 'is needed with a birthDate' }));
  const { testedOn } = request;
  if (testedOn !== undefined && Array.isArray(request.results))
    request.results.forEach((result, i) => {
      if (typeof result?.testedOn === 'string' && result.testedOn > testedOn)
        faults.push(
          this.createError({ path: `results[${i}].testedOn`, message: `must not be after testedOn, ${testedOn}` }),
        );
    });
  return faults.length === 0 || new ValidationError(faults);
}

export const scoreRequest = (protocols: readonly Protocol[]) =>
  exactly({
    person: personFields().required('is needed'),
    testedOn: day(),
    results: listOf(resultFields(protocols), 1000).required('is needed: a list of results'),
  }).test('days', notAfter);

export type ScoreRequest = InferType<ReturnType<typeof scoreRequest>>;

/** A day, or a year alone, whose last day counts. */
const dayOrYear = () =>
  mixed<string>().test('day', function (value: unknown) {
    if (value === undefined || value === null || (typeof value === 'string' && /^(19|20)\d\d$/.test(value)))
      return true;
    return (
      day().isValidSync(value, { strict: true }) ||
      this.createError({ message: 'must be a day such as 2026-03-02, or a year' })
    );
  });

export const limiterFields = () =>
  exactly({
    kind: oneOf(limiterKinds).required('is needed'),
    side: oneOf(sides).nullable(),
    pain: wholeIn(0, 10).nullable(),
    since: dayOrYear().nullable(),
    /** Of a pain: several of a kind and side are its answers. */
    askedOn: day(),
    site: oneOf(['eye']).nullable(),
    limitsLifted: yesNo(),
    /** Rungs a release names, such as `S8`. */
    names: listOf(
      string()
        .matches(/^[SLHBWAUFQKM][1-9]$/, 'must be a rung, such as S8')
        .required('is needed'),
      40,
    ),
    /** Of something else: the ladders it closes, and what it is. */
    closes: listOf(oneOf(patterns).required('is needed'), patterns.length),
    text: string().typeError('must be text').max(200, 'must have at most 200 letters'),
  });

export const kitFields = () =>
  exactly({
    chairs: listOf(exactly({ heightCm: wholeIn(25, 80, 'cm').required('is needed'), arms: yesNo() }), 50)
      .min(1, 'must hold at least one chair: nobody is seated without')
      .required('is needed: at least one chair to sit on'),
    padsCm: listOf(wholeIn(1, 20, 'cm'), 20),
    raisedSurface: yesNo(),
    weightsKg: listOf(numberIn(0.1, 50, 'kg'), 50),
    stepsCm: listOf(wholeIn(1, 60, 'cm'), 20),
    rail: yesNo(),
    wedge: yesNo(),
    mat: yesNo(),
    /** Of earlier senders: one box to lift, its height not known. */
    box: yesNo(),
    boxes: listOf(exactly({ heightCm: wholeIn(5, 80, 'cm').nullable(), count: wholeIn(0, 200) }), 12),
  });

const onLadder = () => ({
  pattern: oneOf(patterns).required('is needed'),
  rung: wholeIn(1, 9).required('is needed'),
});

/** At most one entry a ladder; each further one is told of under its own path. */
function oneALadder<S extends ReturnType<typeof listOf<{ pattern: Pattern; rung: number }>>>(list: S) {
  return list.test('one-a-ladder', function (value) {
    const faults = (value ?? []).flatMap((entry, i, all) =>
      all.slice(0, i).some((e) => ladderKey(e) === ladderKey(entry))
        ? [
            this.createError({
              path: `${this.path}[${i}].pattern`,
              message: `is the second of ladder ${entry.pattern}: one a ladder`,
            }),
          ]
        : [],
    );
    return faults.length === 0 || new ValidationError(faults);
  });
}

export const levelsRequest = (protocols: readonly Protocol[]) =>
  exactly({
    person: personFields().required('is needed'),
    testedOn: day(),
    results: listOf(resultFields(protocols), 1000),
    readiness: oneOf(readinessOutcomes),
    askFirstKind: oneOf(askFirstKinds),
    limiters: listOf(limiterFields(), 50),
    falls12m: wholeIn(0, 100),
    injuredInFall: yesNo(),
    lastFallOn: day(),
    walkingAid: oneOf(walkingAids),
    aidIndoors: yesNo(),
    floorSlides: yesNo(),
    numbFeet: yesNo(),
    sitsUnsupported: yesNo(),
    followsTask: yesNo(),
    armsFree: yesNo(),
    lightWhileAsking: yesNo(),
    heelDownAtTarget: yesNo(),
    heelUpTwice: yesNo(),
    backThighTight: yesNo(),
    wishes: listOf(oneOf(wishes).required('is needed'), wishes.length),
    sessionsLogged: wholeIn(0, 10_000),
    missedWeeks: wholeIn(0, 520, 'weeks'),
    shownSeatCm: wholeIn(...bodyLimits.seatCm, 'cm').nullable(),
    liftHeightCm: wholeIn(0, 80, 'cm').nullable(),
    shown: listOf(exactly({ ...onLadder(), on: day() }), 100),
    held: listOf(exactly({ ...onLadder(), seconds: numberIn(0, 600, 's').required('is needed'), on: day() }), 100),
    lastConfirmed: oneALadder(listOf(exactly({ ...onLadder(), support: oneOf(supports).required('is needed') }), 20)),
    setByHand: oneALadder(
      listOf(
        exactly({
          ...onLadder(),
          support: oneOf(supports),
          reason: words(3, 'is needed: why, in a few words').max(200).required('is needed: why, in a few words'),
        }),
        20,
      ),
    ),
    kit: kitFields().optional().default(undefined),
    style: oneOf(coachingStyles),
    impactCleared: yesNo(),
  }).test('days', notAfter);

export type LevelsRequest = InferType<ReturnType<typeof levelsRequest>>;
