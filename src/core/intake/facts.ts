import { ageOn } from '../math/age';
import { daysBetween } from '../math/days';
import { askFirstKinds, plainFacts, wishes } from '../shapes/facts';
import type { AskFirstKind, Body, Facts, IsoDate, RungConfirmed, SetByHand, TestResult } from '../shapes/facts';
import type { Intake } from '../shapes/intake';
import type { Person, Place } from '../shapes/person';
import type { ReadinessReason } from '../shapes/readiness';
import { toKit } from './cupboard';
import { ofKind } from './entries';
import type { Known } from './known';

export function bodyOn(person: Person, intake: Intake, day: IsoDate): Body {
  return {
    ageYears: ageOn(person.birthDate, day),
    sex: person.normTable,
    heightCm: intake.heightCm,
    kneeHeightCm: intake.kneecapCm,
    massKg: intake.massKg,
  };
}

/** Why a professional is asked, the strictest of all reasons; as for symptoms where none says. */
export const askFirstKindIn = (reasons: readonly ReadinessReason[]): AskFirstKind =>
  askFirstKinds.find((kind) => reasons.some((r) => r.outcome === 'ask-first' && (r.askFirst ?? 'symptoms') === kind)) ??
  'symptoms';

/**
 * Everything the level engine reads, out of what was known on the day.
 * @param classes how many were held since the intake said how many there were, and when the last one was
 */
export function factsOf(
  person: Person,
  known: Known,
  place: Place,
  results: readonly TestResult[],
  said: { readonly lastConfirmed: readonly RungConfirmed[]; readonly setByHand: readonly SetByHand[] },
  day: IsoDate,
  classes: { readonly since: number; readonly lastOn: IsoDate | null } = { since: 0, lastOn: null },
): Facts {
  const { intake, limiters, falls, readiness } = known;
  const shown = ofKind(known.entries, 'shown');
  const noticed = new Set(ofKind(known.entries, 'noticed').map((e) => e.content.what));
  return {
    ...plainFacts,
    person: bodyOn(person, intake, day),
    testedOn: day,
    results,
    readiness: readiness.outcome,
    askFirstKind: askFirstKindIn(readiness.reasons),
    // What healed keeps older tests from coming back to life.
    limiters: [...limiters, ...known.healed],
    falls12m: falls.length,
    injuredInFall: falls.some((f) => f.content.hurt),
    lastFallOn: falls.at(-1)?.content.fellOn ?? null,
    walkingAid: intake.aidOutdoors,
    aidIndoors: intake.aidIndoors !== 'none',
    floorSlides: place.cupboard.floors.some((f) => f.slides),
    sitsUnsupported: intake.sitsUnsupported,
    heelDownAtTarget: intake.heelDownAtTarget,
    followsTask: intake.followsTask,
    armsFree: intake.armsFree,
    sessionsLogged: intake.classesSoFar + classes.since,
    // Of who was in none yet nobody knows.
    missedWeeks: classes.lastOn === null ? 0 : Math.floor(daysBetween(classes.lastOn, day) / 7),
    shown: shown.map(({ on, content: { pattern, rung } }) => ({ pattern, rung, on })),
    held: shown.flatMap(({ on, content: { pattern, rung, heldS } }) =>
      heldS === undefined ? [] : [{ pattern, rung, on, seconds: heldS }],
    ),
    wishes: wishes.filter((wish) => noticed.has(wish)),
    heelUpTwice: noticed.has('heel-up-twice'),
    backThighTight: noticed.has('back-thigh-tight'),
    ...said,
    kit: toKit(place.cupboard),
  };
}
