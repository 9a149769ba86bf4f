import type { DayPerson, DaySets, DayStaff, DayTest } from '../../shapes/day';
import type { DayPlan } from './day';
import { planDay } from './plan';

export interface DayOffer {
  readonly today: readonly string[];
  /** On the next class day; empty where all fits. */
  readonly nextDay: readonly string[];
  readonly plan: DayPlan;
  /** With check, warm-up and closing. */
  readonly minutes: number;
  /** What the full set would take. */
  readonly fullMinutes: number;
}

/** Whoever may start, and what is to be minded when they are planned. */
export interface DayComer extends Omit<DayPerson, 'tests'> {
  readonly withCare: boolean;
}

/**
 * All of the tests where they end in time, else the first ones today and the others on the next class day. Rests are never
 * squeezed to make it fit. Common practice, no published source.
 */
export function offerDay(
  comers: readonly DayComer[],
  tests: readonly DayTest[],
  staff: readonly DayStaff[],
  sets: DaySets,
): DayOffer {
  const full = planSet(comers, sets.full, tests, staff, sets);
  const fullMinutes = full.minutes;
  if (60 * fullMinutes <= sets.mostS) return { today: sets.full, nextDay: [], ...full, fullMinutes };
  const nextDay = sets.full.filter((id) => !sets.first.includes(id));
  return { today: sets.first, nextDay, ...planSet(comers, sets.first, tests, staff, sets), fullMinutes };
}

/** One set of tests for everybody who may start, and the minutes with check, warm-up and closing. */
export function planSet(
  comers: readonly DayComer[],
  ids: readonly string[],
  tests: readonly DayTest[],
  staff: readonly DayStaff[],
  sets: DaySets,
): { readonly plan: DayPlan; readonly minutes: number } {
  const plan = planDay(
    comers.map((comer) => ({ ...comer, tests: forToday(comer, ids, tests, sets) })),
    tests.filter((t) => ids.includes(t.id)),
    staff,
  );
  return { plan, minutes: Math.ceil((plan.endS + sets.besidesS) / 60) };
}

/**
 * In the order of the day, with no more leg tests than somebody may have: the last ones wait for another day.
 * @param had what was done today already, which counts first
 */
export function forToday(
  { withCare, over85 }: Pick<DayComer, 'withCare' | 'over85'>,
  ids: readonly string[],
  tests: readonly DayTest[],
  sets: Pick<DaySets, 'mostLegs' | 'mostLegsWithCare'>,
  had: readonly { readonly test: string }[] = [],
): string[] {
  const done = new Set(had.map((r) => r.test));
  const most = withCare || over85 ? sets.mostLegsWithCare : sets.mostLegs;
  let legs = tests.filter((t) => t.legs && done.has(t.id)).length;
  return [...tests]
    .filter((t) => ids.includes(t.id))
    .sort((a, b) => a.group - b.group)
    .flatMap((t) => (t.legs && !done.has(t.id) && ++legs > most ? [] : [t.id]));
}
