import type { Dose } from '../shapes/dose';
import type { Level } from '../level/answer';
import type { Rung } from '../shapes/ladder';

type Of = Pick<Level, 'pattern' | 'rung' | 'dose'>;
type On = Pick<Rung, 'aSide' | 'rising'> | undefined;

/** Top of the dose of a level. Common practice, no published source. */
interface Top {
  readonly reps?: number;
  readonly sets?: number;
  /** Steps of repetitions or seconds, where they are not one by one. */
  readonly ladder?: readonly number[];
}

/** The most of a level, and by which steps it is reached. */
function topOf({ pattern, rung, dose }: Of, on: On): Top {
  switch (dose.kind) {
    case 'holds':
      return { ladder: [5, 10, 15] };
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

/** Whether a level has the most of its dose; a dose above it, by somebody's word or the test, is at its top too. */
export const isTopDose = (level: Of, on: On): boolean => amountOf(level.dose) >= mostOf(topOf(level, on));

/** One step more; the same dose where it is at its top. */
export function doseUp(level: Of, on: On): Dose {
  const top = topOf(level, on);
  const now = amountOf(level.dose);
  const next = top.ladder ? top.ladder.find((n) => n > now) : now + 1;
  return next === undefined || next > mostOf(top) ? level.dose : withAmount(level.dose, next);
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
