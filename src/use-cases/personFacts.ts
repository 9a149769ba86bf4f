import { ageOn } from '../core/math/age';
import type { Body, Facts, IsoDate, TestResult } from '../core/shapes/facts';
import type { Intake, Person, Place } from '../core/shapes/person';
import type { AttemptView, PersonView } from '../core/personView';

/** A finished attempt as a result for scoring and levels; `null` while it has none. */
export function toResult(attempt: AttemptView): TestResult | null {
  const { trial } = attempt;
  if (trial.state !== 'finished') return null;
  return {
    test: attempt.test,
    testedOn: attempt.sittingDate,
    outcome: 'done',
    value: trial.counted,
    side: attempt.side,
    seatHeightCm: attempt.conditions.seatHeightCm ?? null,
    handsUsed: trial.handsUsed,
    cleanBeforeHands: trial.handsUsed ? trial.cleanBeforeHands : null,
  };
}

export function bodyOn(person: Person, intake: Intake, day: IsoDate): Body {
  return {
    ageYears: ageOn(person.birthDate, day),
    sex: person.normTable,
    heightCm: intake.heightCm,
    massKg: intake.massKg,
  };
}

/** Everything the level engine reads, from the records. */
export function factsOf(
  person: Person,
  intake: Intake,
  place: Place,
  attempts: readonly AttemptView[],
  levels: PersonView['confirmed'],
  day: IsoDate,
): Facts {
  const newest = new Map(levels.map(({ level }) => [level.pattern, level]));
  return {
    person: bodyOn(person, intake, day),
    testedOn: day,
    results: attempts.map(toResult).filter((r) => r !== null),
    readiness: intake.readiness,
    limiters: intake.limiters,
    falls12m: intake.falls12m,
    injuredInFall: intake.injuredInFall,
    walkingAid: intake.walkingAid,
    aidIndoors: intake.aidIndoors,
    floorSlides: place.floorSlides,
    sitsUnsupported: intake.sitsUnsupported,
    heelDownAtTarget: intake.heelDownAtTarget,
    sessionsLogged: intake.classesSoFar,
    shown: [],
    lastConfirmed: [...newest.values()].map(({ pattern, rung, support }) => ({ pattern, rung, support })),
    kit: place.kit,
    style: 'hips-back',
    impactCleared: false,
  };
}
