import type { DoneOf } from '../shapes/classLog';
import type { Dose } from '../shapes/dose';
import type { Level } from '../level/answer';
import { printDose } from '../level/code';
import { cappedDose } from '../level/dose';
import type { Ladder } from '../shapes/ladder';

type Of = Pick<Level, 'pattern' | 'rung' | 'dose' | 'doseCaps'>;
type On = Pick<Ladder, 'rungs'>;

/** Top of the dose of a level. Common practice, no published source. */
interface Top {
  readonly reps?: number;
  readonly sets?: number;
  /** Steps of repetitions or seconds, where they are not one by one. */
  readonly ladder?: readonly number[];
}

/** Seconds of a hold, lowest first; the last ones only where a rung opens by them. */
const holdSteps = [5, 10, 15, 20, 30] as const;
const usualHoldS = 15;

/** How long a rung has to be held until a rung above opens by it; `null` where none does. */
const holdOpens = (pattern: Of['pattern'], rung: number, { rungs }: On): number | null =>
  rungs
    .flatMap((r) => r.needs)
    .flatMap((need) =>
      'held' in need && need.held.pattern === pattern && need.held.rung === rung ? [need.held.seconds] : [],
    )
    .reduce<number | null>((most, s) => Math.max(most ?? 0, s), null);

/** The most of a level, and by which steps it is reached. */
function topOf({ pattern, rung, dose }: Of, ladder: On): Top {
  const on = ladder.rungs.find((r) => r.rung === rung);
  switch (dose.kind) {
    case 'holds': {
      const most = holdOpens(pattern, rung, ladder) ?? usualHoldS;
      return { ladder: holdSteps.filter((s) => s <= most) };
    }
    case 'intervals':
      return { sets: 3 };
    case 'half-minute':
      return { sets: 10 };
    case 'reps':
      if (on?.rising === 'with-hands' || on?.rising === 'free') return { reps: 5 };
      if ((pattern === 'B' && rung === 6) || (pattern === 'H' && rung === 8)) return { reps: 6 };
      return on?.aSide ? { ladder: [3, 5, 6, 8] } : { reps: 10 };
  }
}

/** Repetitions, seconds or rounds, whichever grows. */
export const amountOf = (dose: Dose): number =>
  dose.kind === 'holds'
    ? dose.holdS
    : dose.kind === 'intervals' || dose.kind === 'half-minute'
      ? dose.rounds
      : dose.reps;
const withAmount = (dose: Dose, n: number): Dose => {
  switch (dose.kind) {
    case 'holds':
      return { ...dose, holdS: n };
    case 'intervals':
    case 'half-minute':
      return { ...dose, rounds: n };
    case 'reps':
      return { ...dose, reps: n };
  }
};
const mostOf = ({ reps, sets, ladder }: Top): number => reps ?? sets ?? ladder?.at(-1) ?? 0;

/**
 * Whether a level has the most of its dose; a dose above it, by somebody's word or the test, is at its top too, and so is one
 * that a limiter caps.
 */
export const isTopDose = (level: Of, on: On): boolean => printDose(doseUp(level, on)) === printDose(level.dose);

/** One step more; the same dose where it is at its top. */
export function doseUp(level: Of, on: On): Dose {
  const top = topOf(level, on);
  const now = amountOf(level.dose);
  const next = top.ladder ? top.ladder.find((n) => n > now) : now + 1;
  return next === undefined || next > mostOf(top)
    ? level.dose
    : cappedDose(withAmount(level.dose, next), level.doseCaps);
}

/** Half of it, at least one (of a hold five seconds): after a down-sign, and after being away. */
export function halfDose(dose: Dose): Dose {
  const least = dose.kind === 'holds' ? Math.min(5, dose.holdS) : 1;
  return withAmount(dose, Math.max(least, Math.floor(amountOf(dose) / 2)));
}

/** One round less, where there are several; else a third less, at least one. */
export function lessDose(dose: Dose): Dose {
  if ((dose.kind === 'reps' || dose.kind === 'holds') && dose.sets > 1) return { ...dose, sets: dose.sets - 1 };
  if ((dose.kind === 'intervals' || dose.kind === 'half-minute') && dose.rounds > 1)
    return { ...dose, rounds: dose.rounds - 1 };
  return withAmount(dose, Math.max(1, Math.floor((amountOf(dose) * 2) / 3)));
}

/** Repetitions or seconds of all rounds together; of a kind that has no number in a round, the rounds. */
const wholeOf = (dose: Dose): number =>
  dose.kind === 'intervals'
    ? dose.rounds
    : dose.kind === 'half-minute'
      ? dose.reps * dose.rounds
      : amountOf(dose) * dose.sets;

/** A dose as it was done, never more of anything than it asked for. */
export function doneDose(dose: Dose, { of, n }: DoneOf): Dose {
  switch (dose.kind) {
    case 'reps':
    case 'holds':
      return of === 'rounds'
        ? { ...dose, sets: Math.min(dose.sets, n) }
        : withAmount(dose, Math.min(amountOf(dose), n));
    case 'half-minute':
      return of === 'rounds'
        ? { ...dose, rounds: Math.min(dose.rounds, n) }
        : { ...dose, reps: Math.min(dose.reps, n) };
    case 'intervals':
      return of === 'rounds' ? { ...dose, rounds: Math.min(dose.rounds, n) } : dose;
  }
}

/** Whether at least half of a dose was done. */
export const isHalf = (dose: Dose, done: DoneOf): boolean => 2 * wholeOf(doneDose(dose, done)) >= wholeOf(dose);

/** What may be tapped of a dose that was cut short, least first: whole rounds, and repetitions (of a hold seconds) in each. */
export function doneChoices(dose: Dose): Readonly<Record<DoneOf['of'], readonly number[]>> {
  const under = (n: number) => Array.from({ length: Math.max(0, n - 1) }, (_, i) => i + 1);
  switch (dose.kind) {
    case 'reps':
      return { rounds: under(dose.sets), each: under(dose.reps) };
    case 'holds':
      return { rounds: under(dose.sets), each: holdSteps.filter((s) => s < dose.holdS) };
    case 'half-minute':
      return { rounds: under(dose.rounds), each: under(dose.reps) };
    case 'intervals':
      return { rounds: under(dose.rounds), each: [] };
  }
}
