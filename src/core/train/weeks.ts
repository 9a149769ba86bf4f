import { addDays, dayNumber } from '../math/days';
import type { Dose } from '../shapes/dose';
import type { IsoDate } from '../shapes/facts';
import type { PersonId } from '../shapes/person';
import { gradeOf } from './grade';
import { presentIn, sessionOf } from './log';
import type { HeldClass } from './past';
import { isVariant } from './variant';

/** A class with how long it was. */
export interface TimedClass extends HeldClass {
  readonly minutes: number;
}

/** What was trained in one week, of a person or of a group. */
export interface TrainedWeek {
  /** ISO 8601, the Monday it begins on. */
  readonly monday: IsoDate;
  readonly classes: number;
  /** Times somebody was there, and was planned to be. */
  readonly came: number;
  readonly planned: number;
  /** Of the classes they were in. */
  readonly minutes: number;
  /** Repetitions of all that was done clean, of whatever variant; holds have none. */
  readonly cleanReps: number;
}

/** What was trained over weeks, of a person or of a group. */
export interface Weeks {
  readonly whose: string;
  readonly weeks: readonly TrainedWeek[];
  /** Of each person the classes that were held, oldest first, and whether they came; of one person only theirs. */
  readonly people: readonly {
    readonly id: PersonId;
    readonly name: string;
    readonly classes: readonly { readonly day: IsoDate; readonly came: boolean }[];
  }[];
}

/** Half a minute at a slow tempo. Common practice, no published source. */
const repsAnInterval = 5;

const mondayOf = (day: IsoDate): IsoDate => addDays(day, -((dayNumber(day) + 3) % 7));

function repsIn(dose: Dose): number {
  switch (dose.kind) {
    case 'reps':
      return dose.reps * dose.sets;
    case 'half-minute':
      return dose.reps * dose.rounds;
    case 'intervals':
      return repsAnInterval * dose.rounds;
    case 'holds':
      return 0;
  }
}

/**
 * Week after week, those without a class among them, oldest first.
 * @param people whose weeks they are
 * @param before how many classes somebody was in before these
 * @param until the day of the last week
 * @param count of weeks
 */
export function weeksOf(
  classes: readonly TimedClass[],
  people: readonly PersonId[],
  before: (id: PersonId) => number,
  until: IsoDate,
  count: number,
): TrainedWeek[] {
  const mine = new Set(people);
  const sofar = new Map(people.map((id) => [id, before(id)]));
  const last = mondayOf(until);
  const weeks = new Map(
    Array.from({ length: count }, (_, i) => addDays(last, 7 * (i - count + 1))).map((monday) => [
      monday,
      { monday, classes: 0, came: 0, planned: 0, minutes: 0, cleanReps: 0 },
    ]),
  );
  for (const one of classes) {
    const there = presentIn(one.people, one.lines).filter((id) => mine.has(id));
    const week = weeks.get(mondayOf(one.day));
    if (week) {
      week.planned += one.people.filter((id) => mine.has(id)).length;
      week.came += there.length;
      week.classes += there.length > 0 ? 1 : 0;
      week.minutes += there.length > 0 ? one.minutes : 0;
      week.cleanReps += there.reduce((sum, id) => sum + cleanRepsOf(one, id, sofar.get(id) ?? 0), 0);
    }
    for (const id of there) sofar.set(id, (sofar.get(id) ?? 0) + 1);
  }
  return [...weeks.values()];
}

function cleanRepsOf({ doing, lines }: HeldClass, id: PersonId, classesSoFar: number): number {
  const variants = doing.flatMap((b) =>
    b.parts.flatMap((part) => part.filter(isVariant).filter((v) => v.personId === id)),
  );
  const clean = new Set(
    [...new Set(variants.map((v) => v.pattern))].filter((pattern) => {
      const session = sessionOf(lines, id, pattern, classesSoFar);
      return session.kind === 'counts' && ['C', 'U'].includes(gradeOf(session.facts, false));
    }),
  );
  return variants.filter((v) => clean.has(v.pattern)).reduce((sum, v) => sum + repsIn(v.dose), 0);
}
