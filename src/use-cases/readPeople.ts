import { normsVersion, protocolById } from '../catalogue/protocols';
import { levelRules } from '../catalogue/rules';
import { risePowerRule } from '../catalogue/rules/risePower';
import { ageOn } from '../core/math/age';
import type { Level, LevelsAnswer } from '../core/level/answer';
import { assignLevels } from '../core/level/assign';
import { pathOf } from '../core/path';
import type { AttemptView, PersonView, SittingView } from '../core/personView';
import { changeBetween, type Sat } from '../core/retest/change';
import { retestDue } from '../core/retest/due';
import { rowFor } from '../core/score/rank';
import { risePower, type RisePower } from '../core/score/risePower';
import { scoreResult } from '../core/score/scoreResult';
import type { IsoDate } from '../core/shapes/facts';
import type { NormRow } from '../core/shapes/norms';
import type { Intake, Person, PersonId, Place } from '../core/shapes/person';
import type { Protocol } from '../core/shapes/protocol';
import { listAttempts } from '../database/attempts';
import type { Register } from '../database/connection';
import { addConfirmedLevel, listConfirmedLevels, type ConfirmedLevel } from '../database/levels';
import { findPerson, intakeOn, listPeople, newestIntakes } from '../database/people';
import { bodyOn, factsOf, toResult } from './personFacts';
import { readPlace } from './places';

/** The one test of the loop so far. */
const loopTest = 'chair-stand-30s';

export async function readPerson(db: Register, id: PersonId, today: IsoDate): Promise<PersonView | undefined> {
  const person = await findPerson(db, id);
  const intake = person && (await intakeOn(db, id, today));
  if (!person || !intake) return undefined;
  return describe(
    person,
    intake,
    await readPlace(db),
    await listAttempts(db, id),
    await listConfirmedLevels(db, id),
    today,
  );
}

/** Everybody, by name, in a handful of queries. */
export async function readEverybody(db: Register, today: IsoDate): Promise<PersonView[]> {
  const [people, intakes, place] = [await listPeople(db), await newestIntakes(db), await readPlace(db)];
  const attempts = groupBy(await listAttempts(db), (a) => a.personId);
  const levels = groupBy(await listConfirmedLevels(db), (l) => l.personId);
  return people.flatMap((person) => {
    const intake = intakes.get(person.id);
    return intake
      ? [describe(person, intake, place, attempts.get(person.id) ?? [], levels.get(person.id) ?? [], today)]
      : [];
  });
}

export type ConfirmLevel = { kind: 'confirmed'; code: string } | { kind: 'nothing-to-confirm' } | { kind: 'not-found' };

/** Confirms what the rules give today, with the facts and reasons it was decided by. */
export async function confirmLevel(db: Register, id: PersonId, today: IsoDate): Promise<ConfirmLevel> {
  const page = await readPerson(db, id, today);
  if (!page) return { kind: 'not-found' };
  const level = page.levels.levels[0];
  if (!level) return { kind: 'nothing-to-confirm' };
  const facts = factsOf(
    page.person,
    page.intake,
    await readPlace(db),
    await listAttempts(db, id),
    page.confirmed,
    today,
  );
  const confirmed = {
    personId: id,
    confirmedOn: today,
    rulesVersion: page.levels.rulesVersion,
    normsVersion,
    facts,
    level,
  };
  await addConfirmedLevel(db, confirmed, new Date());
  return { kind: 'confirmed', code: level.code };
}

function describe(
  person: Person,
  intake: Intake,
  place: Place,
  attempts: readonly AttemptView[],
  confirmed: readonly ConfirmedLevel[],
  today: IsoDate,
): PersonView {
  const sittings = sittingsOf(person, intake, attempts);
  const counted = new Set(sittings.map((s) => s.attempt.clientKey));
  const levels = assignLevels(levelRules, factsOf(person, intake, place, attempts, confirmed, today));
  const latest = sittings[0];
  const toWatch = latest?.score.cutoffs.filter((c) => c.past).length ?? 0;
  const due = latest
    ? retestDue(latest.attempt.sittingDate, { pastCutoff: toWatch > 0, readiness: intake.readiness })
    : null;
  const levelWaiting = waiting(levels, confirmed, latest);
  const newestDay = attempts.at(-1)?.sittingDate;
  const path = pathOf({
    today,
    readiness: intake.readiness,
    readinessWhy: intake.readinessWhy,
    lacking: [...(intake.heightCm === null ? ['height'] : []), ...(intake.massKg === null ? ['mass'] : [])],
    lastTestedOn: latest?.attempt.sittingDate ?? null,
    toRepeat:
      attempts.some((a) => a.sittingDate === newestDay && a.trial.state === 'to-repeat') &&
      latest?.attempt.sittingDate !== newestDay,
    toWatch,
    levelWaiting: levelWaiting?.code ?? null,
    levelCode: confirmed.at(-1)?.level.code ?? null,
    dueOn: due?.on ?? null,
  });
  return {
    person,
    intake,
    ageYears: ageOn(person.birthDate, today),
    path,
    sittings,
    otherAttempts: attempts.filter((a) => !counted.has(a.clientKey)).reverse(),
    levels,
    confirmed,
    levelWaiting,
    due,
  };
}

/** A level waits for a yes while nobody confirmed one since the newest test, or while it differs from the last one. */
function waiting(
  levels: LevelsAnswer,
  confirmed: readonly ConfirmedLevel[],
  latest: SittingView | undefined,
): Level | null {
  const level = levels.levels[0];
  if (!level || !latest) return null;
  const last = confirmed.findLast((c) => c.level.pattern === level.pattern);
  const since = last !== undefined && last.confirmedOn >= latest.attempt.sittingDate;
  return since && last.level.code === level.code ? null : level;
}

function sittingsOf(person: Person, intake: Intake, attempts: readonly AttemptView[]): SittingView[] {
  const firstOfDay = new Map<IsoDate, AttemptView>();
  for (const attempt of attempts)
    if (attempt.test === loopTest && attempt.trial.state === 'finished' && !firstOfDay.has(attempt.sittingDate))
      firstOfDay.set(attempt.sittingDate, attempt);
  const inOrder = [...firstOfDay.values()];
  return inOrder.map((attempt, i) => toSitting(person, intake, attempt, inOrder[i - 1])).reverse();
}

function toSitting(person: Person, intake: Intake, attempt: AttemptView, before: AttemptView | undefined): SittingView {
  const protocol = protocolById(attempt.test);
  if (!protocol)
    throw new RangeError(`readPeople: the register holds the test ${attempt.test}, which the catalogue does not`);
  const sat = satOf(person, attempt);
  return {
    attempt,
    ageYears: sat.ageYears,
    score: scoreResult(protocol, sat.result, { ageYears: sat.ageYears, sex: person.normTable }),
    power: powerOf(protocol, person, intake, sat),
    change: changeBetween(protocol, before && satOf(person, before), sat, person.normTable),
  };
}

function satOf(person: Person, attempt: AttemptView): Sat {
  const result = toResult(attempt);
  if (!result) throw new RangeError(`readPeople: attempt ${attempt.clientKey} is no sitting, it has no result`);
  const { aid, shoes } = attempt.conditions;
  return {
    on: attempt.sittingDate,
    ageYears: ageOn(person.birthDate, attempt.sittingDate),
    result,
    protocolVersion: attempt.protocolVersion,
    aid,
    shoes,
  };
}

function powerOf({ rises }: Protocol, person: Person, intake: Intake, { result, on }: Sat): RisePower | null {
  const body = bodyOn(person, intake, on);
  if (!rises || rises.kind !== 'rises-in' || result.handsUsed || !result.value || !result.seatHeightCm) return null;
  if (body.heightCm === null || body.massKg === null) return null;
  const secondsPerStand = rises.seconds / result.value;
  return risePower(
    {
      massKg: body.massKg,
      heightM: body.heightCm / 100,
      seatM: result.seatHeightCm / 100,
      secondsPerStand,
      sex: body.sex,
    },
    risePowerRule,
  );
}

function groupBy<T>(all: readonly T[], key: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const known = groups.get(key(one));
    if (known) known.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}

/** Names for the search of the frame. */
export async function listFindable(
  db: Register,
  today: IsoDate,
): Promise<{ id: PersonId; name: string; about: string }[]> {
  const words = { female: 'women', male: 'men' };
  return (await listPeople(db)).map(({ id, name, birthDate, normTable }) => ({
    id,
    name,
    about: `${ageOn(birthDate, today)}, ${normTable ? words[normTable] : 'norm table open'}`,
  }));
}

/** What the station page takes along of everybody, so that it needs no server while a test runs. */
export async function listStation(db: Register, protocol: Protocol, today: IsoDate) {
  return (await readEverybody(db, today)).map(({ person, intake, ageYears, sittings, levels, due }) => ({
    id: person.id,
    name: person.name,
    ageYears,
    readiness: intake.readiness,
    readinessWhy: intake.readinessWhy,
    seatHeightCm: intake.seatHeightCm,
    cautions: levels.cautions.slice(0, -1).map((c) => c.text),
    row: paceRow(protocol, ageYears, person.normTable),
    lastTestedOn: sittings[0]?.attempt.sittingDate ?? null,
    due: due !== null && due.on <= today,
  }));
}

/** With the norm table left open the pace is that of the lower median. */
function paceRow(protocol: Protocol, ageYears: number, sex: Person['normTable']): NormRow | null {
  const sexes = sex ? [sex] : (['female', 'male'] as const);
  const rows = sexes.flatMap((s) => rowFor(protocol.norms, { ageYears, sex: s }) ?? []);
  return rows.sort((a, b) => a.p25 + a.p75 - (b.p25 + b.p75))[0] ?? null;
}
