import { radians } from '../body/figure';
import { standingHip } from '../body/segments';
import { root } from '../math/root';
import type { Squat } from './setUp';
import {
  floorForce,
  outOfBalance,
  solvedAt,
  standingOn,
  standsNot,
  stoodAt,
  unbalanced,
  unsolved,
  willDo,
  type Moments,
  type Solved,
  type Standing,
  type Stood,
  type Unsolved,
} from './standing';
import { overAngles } from './statics';
import { handOf } from './upper';

/** What the support does: every figure against the same without it; `null` where there is no support. */
export interface SupportEffect {
  readonly ankleChangePct: number | null;
  readonly kneeChangePct: number | null;
  readonly hipChangePct: number | null;
  readonly lumbarTotalChangePct: number | null;
  readonly baselineStatus: 'ok' | 'infeasible';
}

export type SquatAnswer = (Solved & { readonly supportEffect: SupportEffect | null }) | Unsolved;

/** Trunk leans that are looked through. */
const trunkFrom = radians(-20);
const trunkTo = radians(80);

/** A posture with the hip at its height and the weight where it is wanted, by its rule. */
export function solveSquat(one: Squat): SquatAnswer {
  const solved = solveAlone(one);
  return 'posture' in solved ? { ...solved, supportEffect: effectOf(one, solved) } : solved;
}

/** The same without what a support does. */
export function solveAlone(one: Squat): Solved | Unsolved {
  if (standsNot(one)) return unsolved('no_ground_contact');
  const at = squatAt(one);
  if (!at) return unsolved(isTooHigh(one) ? 'hip_too_high' : 'hip_too_low');
  switch (one.rule) {
    case 'parallel':
      return parallel(one, at);
    case 'shank':
      return byShank(one, at, radians(one.shankDeg));
    case 'knee_past_toe':
      return byShank(one, at, Math.asin(kneeSine(one, at.standing)));
    case 'trunk': {
      const trunk = radians(one.trunkDeg);
      const found = root((shank) => at.balance(shank, trunk), at.from, at.to);
      return 'at' in found ? at.solved(found.at, trunk) : unbalanced(found.near, one);
    }
    case 'pose':
    case 'hold': {
      const [shank, trunk] = [radians(one.shankDeg), radians(one.trunkDeg)];
      if (!at.reaches(shank)) return unsolved('shank_angle_unreachable');
      return one.rule === 'pose' ? at.solved(shank, trunk) : held(one, shank, trunk);
    }
  }
}

/** sin a = (L + d - x of the ankle) / Ls */
export const kneeSine = (one: { readonly kneePastToeM: number }, { lengths, ankle }: Standing): number =>
  (lengths.foot + one.kneePastToeM - ankle[0]) / lengths.shank;

interface SquatAt {
  readonly standing: Standing;
  /** Shank angles that put the hip at its height. */
  readonly from: number;
  readonly to: number;
  readonly reaches: (shank: number) => boolean;
  readonly stood: (shank: number, trunk: number) => Stood;
  readonly balance: (shank: number, trunk: number) => number;
  readonly solved: (shank: number, trunk: number) => Solved;
  readonly willDo: (shank: number, trunk: number) => boolean;
}

const shankFrom = radians(-15);
const shankTo = radians(60);
const close = 1e-12;

/** `null` where no shank puts the hip at this height. */
export function squatAt(one: Squat): SquatAt | null {
  const standing = standingOn(one, one.heelLiftM);
  const { shank: ls, thigh: lt } = standing.lengths;
  const y = one.hipHeightM - standing.ankle[1];
  // cos a >= (y - Lt) / Ls, and cos a <= (y + Lt) / Ls
  const [least, most] = [(y - lt) / ls, (y + lt) / ls];
  if (least > 1 || most < -1) return null;
  const outer = least <= -1 ? Math.PI : Math.acos(least);
  const inner = most >= 1 ? 0 : Math.acos(most);
  const from = inner > 0 ? Math.max(shankFrom, inner) : Math.max(shankFrom, -outer);
  const to = Math.min(shankTo, outer);
  if (from > to) return null;
  // cos b = (y - Ls cos a) / Lt
  const thigh = (shank: number) => Math.acos(Math.min(1, Math.max(-1, (y - ls * Math.cos(shank)) / lt)));
  const stood = (shank: number, trunk: number) => stoodAt(standing, shank, thigh(shank), trunk);
  const moment = overAngles((...angles) => outOfBalance(standing, stoodAt(standing, ...angles)));
  return {
    ...{ standing, from, to },
    reaches: (shank) => shank >= from - close && shank <= to + close,
    stood,
    balance: (shank, trunk) => moment(shank, thigh(shank), trunk),
    solved: (shank, trunk) => solvedAt(standing, stood(shank, trunk)),
    willDo: (shank, trunk) => willDo(standing, stood(shank, trunk)),
  };
}

function isTooHigh(one: Squat): boolean {
  const { lengths, ankle } = standingOn(one, one.heelLiftM);
  return one.hipHeightM > ankle[1] + standingHip(lengths) - lengths.ankle;
}

/** The trunk leans as the shins do; where that finds no balance the shins stop and the trunk alone is solved. */
function parallel(one: Extract<Squat, { rule: 'parallel' }>, at: SquatAt): Solved | Unsolved {
  const k = one.trunkPerShank;
  const to = Math.min(at.to, radians(one.limits.dfLimitDeg) + at.standing.pitch, trunkTo / k);
  if (to < at.from) return unsolved('ankle_rom');
  const found = root((shank) => at.balance(shank, k * shank), at.from, to);
  if ('at' in found) return at.solved(found.at, k * found.at);
  return solveTrunk(one, at, found.near < 0 ? to : at.from);
}

/** The same set-up under one shin after another, each with its trunk solved; for searches over them. */
export interface OverShanks {
  readonly fits: (shankDeg: number) => boolean;
  readonly solved: (shankDeg: number) => Solved | Unsolved;
}

export function overShanks(one: Squat): OverShanks {
  const at = standsNot(one) ? null : squatAt(one);
  return {
    fits: (shankDeg) => {
      const shank = radians(shankDeg);
      const found = at?.reaches(shank) ? root((trunk) => at.balance(shank, trunk), trunkFrom, trunkTo) : null;
      return at !== null && found !== null && 'at' in found && at.willDo(shank, found.at);
    },
    solved: (shankDeg) => (at ? byShank(one, at, radians(shankDeg)) : solveAlone({ ...one, rule: 'shank', shankDeg })),
  };
}

function byShank(one: Squat, at: SquatAt, shank: number): Solved | Unsolved {
  return at.reaches(shank) ? solveTrunk(one, at, shank) : unsolved('shank_angle_unreachable');
}

/** The lean that puts the weight where it is wanted, over shins that are given. */
function solveTrunk(one: Squat, at: SquatAt, shank: number): Solved | Unsolved {
  const found = root((trunk) => at.balance(shank, trunk), trunkFrom, trunkTo);
  return 'at' in found ? at.solved(shank, found.at) : unbalanced(found.near, one);
}

/** Fx = -T(Fx = 0) / (hy - cy): how hard the hands pull so that this posture stands. */
function held(one: Squat, shank: number, trunk: number): Solved | Unsolved {
  const { support } = one;
  if (!support) throw new RangeError('held: nothing is held on to');
  const still = squatAt({ ...one, support: { ...support, fxPct: 0 } });
  const hand = still && handOf(still.standing.lengths, one);
  if (!hand) throw new RangeError('held: the hand is nowhere');
  const pullN = -still.balance(shank, trunk) / (hand[1] - still.standing.target[1]);
  const fxPct = (100 * pullN) / (floorForce({ ...one, loadKg: 0, support: null }) || 1);
  const pulled = squatAt({ ...one, support: { ...support, fxPct } });
  if (!pulled) throw new RangeError('held: the posture is out of reach');
  return pulled.solved(shank, trunk);
}

function effectOf(one: Squat, solved: Solved): SupportEffect | null {
  if (!one.support) return null;
  const without: Squat =
    one.rule === 'hold'
      ? { ...one, support: null, rule: 'pose', shankDeg: one.shankDeg, trunkDeg: one.trunkDeg }
      : { ...one, support: null };
  const base = solveAlone(without);
  const change = (joint: keyof Moments): number | null => {
    const was = 'posture' in base ? base.momentNm[joint] : 0;
    return Math.abs(was) < 1e-9 ? null : (100 * (solved.momentNm[joint] - was)) / Math.abs(was);
  };
  return {
    ankleChangePct: change('ankle'),
    kneeChangePct: change('knee'),
    hipChangePct: change('hip'),
    lumbarTotalChangePct: change('lumbarTotal'),
    baselineStatus: base.status,
  };
}
