import type { Squat, SquatRule } from './setUp';
import { solveAlone } from './squat';
import type { Solved, Unsolved } from './standing';

/**
 * What two set-ups have in common while they are compared. A difference is said only under one of these: of two squats that
 * differ in everything nobody can say what made it.
 */
export const locks = ['as-people-do-it', 'same-shin', 'same-lean', 'same-pose'] as const;
export type Lock = (typeof locks)[number];

/** A set-up without its rule: the lock is what gives it one. */
type Free<T> = T extends Squat
  ? Omit<T, keyof SquatRule | 'trunkPerShank' | 'shankDeg' | 'trunkDeg' | 'kneePastToeM'>
  : never;
export type FreeSquat = Free<Squat>;

export type Compared =
  | {
      readonly lock: Lock;
      /** The second over the first, per cent. */
      readonly kneePct: number | null;
      readonly hipPct: number | null;
      readonly lumbarTotalPct: number | null;
      readonly first: Solved;
      readonly second: Solved;
    }
  | Unsolved;

/**
 * The effort of a second set-up over that of a first. @returns why there is none where either has no posture; `null` for a
 * joint that the first does not load
 */
export function compareSquats(lock: Lock, first: FreeSquat, second: FreeSquat): Compared {
  const start = solveAlone({ ...first, ...asPeopleDo });
  if (!('posture' in start)) return start;
  const rule = ruleOf(lock, start);
  const [a, b] = [solveAlone({ ...first, ...rule }), solveAlone({ ...second, ...rule })];
  if (!('posture' in a)) return a;
  if (!('posture' in b)) return b;
  return {
    ...{ lock, first: a, second: b },
    kneePct: effortPct(b.momentNmPerKg.knee, a.momentNmPerKg.knee),
    hipPct: effortPct(b.momentNmPerKg.hip, a.momentNmPerKg.hip),
    lumbarTotalPct: effortPct(b.momentNmPerKg.lumbarTotal, a.momentNmPerKg.lumbarTotal),
  };
}

/** One effort over another of the same person, per cent; `null` where there is nothing to compare with. */
export const effortPct = (now: number | null, then: number | null): number | null =>
  now !== null && then !== null && then > 0 ? (100 * now) / then : null;

/** The trunk leans as the shins do. */
export const asPeopleDo = { rule: 'parallel', trunkPerShank: 1 } as const;

/** @param start the first set-up as people do it: what is held to is its own shin, lean or both */
function ruleOf(lock: Lock, { posture: { shankDeg, trunkDeg } }: Solved): SquatRule {
  switch (lock) {
    case 'as-people-do-it':
      return asPeopleDo;
    case 'same-shin':
      return { rule: 'shank', shankDeg };
    case 'same-lean':
      return { rule: 'trunk', trunkDeg };
    case 'same-pose':
      return { rule: 'pose', shankDeg, trunkDeg };
  }
}
