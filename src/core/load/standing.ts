import { anklePoint, degrees, hipOver, kneeOver, less, solePoint, type Angles, type Point } from '../body/figure';
import { lengthsOf, type Lengths } from '../body/segments';
import { gravity, type Carrying, type CopRef, type Limits } from './setUp';
import {
  cross,
  groundFor,
  kneeShare,
  legMasses,
  legMoments,
  trunkMoment,
  type Leg,
  type LegMoments,
  type Mass,
} from './statics';
import { upperOf, type Upper } from './upper';

/** A body that stands on both feet: the same under squat and hinge. */
export interface Standing {
  readonly one: Carrying;
  readonly lengths: Lengths;
  /** Foot pitch, radians, and where on the sole the weight is wanted. */
  readonly pitch: number;
  readonly ankle: Point;
  readonly target: Point;
}

export function standingOn(one: Carrying, heelLiftM: number): Standing {
  const lengths = lengthsOf(one.heightM);
  const pitch = Math.asin(heelLiftM / lengths.ballFromHeel);
  const target = solePoint(lengths, wantedFromHeel(lengths, one), pitch);
  return { one, lengths, pitch, ankle: anklePoint(lengths, pitch), target };
}

/** From where to where of the sole a share of the weight is counted, in metres from the heel. */
export const copRange = ({ ballFromHeel, foot, heelPad }: Lengths, ref: CopRef): readonly [number, number] =>
  ref === 'mtp' ? [0, ballFromHeel] : ref === 'toe' ? [0, foot] : [heelPad, ballFromHeel];

/** s* = s0 + f (s1 - s0) */
export function wantedFromHeel(
  lengths: Lengths,
  { toeFraction, copRef }: Pick<Carrying, 'toeFraction' | 'copRef'>,
): number {
  const [from, to] = copRange(lengths, copRef);
  return from + toeFraction * (to - from);
}

/** A posture with all that stands in it. */
export interface Stood {
  readonly angles: Angles;
  readonly leg: Leg;
  readonly upper: Upper;
  /** Both legs, pelvis and all above. */
  readonly masses: readonly Mass[];
}

export function stoodAt({ one, lengths, pitch, ankle }: Standing, shank: number, thigh: number, trunk: number): Stood {
  const knee = kneeOver(ankle, lengths, shank);
  const hip = hipOver(knee, lengths, thigh);
  const leg: Leg = { ball: [lengths.ballFromHeel, 0], ankle, knee, hip };
  const upper = upperOf(lengths, one, hip, trunk);
  const legs = legMasses(leg, one.massKg).map((m) => ({ ...m, kg: 2 * m.kg }));
  return { angles: { shank, thigh, trunk, foot: pitch }, leg, upper, masses: [...legs, upper.pelvis, ...upper.above] };
}

/** T = sum m g (x - cx) - (h - c) x F: 0 with the weight where it is wanted, above it with the body too far forward. */
export function outOfBalance({ target }: Standing, { masses, upper: { support } }: Stood): number {
  const weight = masses.reduce((sum, m) => sum + m.kg * gravity * (m.at[0] - target[0]), 0);
  return weight - (support ? cross(less(support.at, target), support.n) : 0);
}

/** Ry, which hangs on no posture. */
export const floorForce = ({ massKg, loadKg, support }: Pick<Carrying, 'massKg' | 'loadKg' | 'support'>): number =>
  (massKg + loadKg) * gravity - (massKg * gravity * (support?.fyPct ?? 0)) / 100;

/** Under a fiftieth of the body weight nobody stands any more. */
export const standsNot = (one: Pick<Carrying, 'massKg' | 'loadKg' | 'support'>): boolean =>
  floorForce(one) < 0.02 * one.massKg * gravity;

export interface Posture {
  readonly shankDeg: number;
  readonly thighDeg: number;
  readonly trunkDeg: number;
  readonly dorsiflexionDeg: number;
  readonly dorsiflexionSpareDeg: number;
  readonly kneeFlexDeg: number;
  readonly hipFlexDeg: number;
  readonly footPitchDeg: number;
  readonly hipHeightM: number;
  readonly seatHeightM: number;
  readonly kneePastToeM: number;
  readonly handReachUsed: number | null;
}

/** Where the weight lies on the sole, in metres from the heel and as a share of the foot. */
export interface Cop {
  readonly fromHeelM: number;
  readonly fractionOfFoot: number;
  readonly toeFraction: number;
  readonly spareHeelM: number;
  readonly spareToeM: number;
}

export interface Moments extends LegMoments {
  /** Of both sides. */
  readonly lumbarTotal: number;
}

/** A solved posture with its numbers; an infeasible one has them too, to be shown as no advice. */
export interface Solved {
  readonly status: 'ok' | 'infeasible';
  readonly reasons: readonly Reason[];
  readonly posture: Posture;
  readonly cop: Cop;
  readonly momentNm: Moments;
  readonly momentNmPerKg: Moments;
  readonly kneeShare: number | null;
  readonly grfTotalN: readonly [number, number];
  readonly frictionUsed: number;
  readonly handForcePct: readonly [number, number] | null;
  readonly hipRiseM: number;
}

/** Why a posture will not do, in the order in which they are told. */
export const reasons = [
  'no_ground_contact',
  'hip_too_low',
  'hip_too_high',
  'shank_angle_unreachable',
  'no_balance',
  'falls_backward',
  'falls_forward',
  'ankle_rom',
  'knee_rom',
  'knee_hyperextended',
  'hip_rom',
  'hip_extension_rom',
  'trunk_lean_limit',
  'leaning_back',
  'rear_leg_unreachable',
  'front_share_unreachable',
  'rear_ankle_rom',
  'rear_knee_rom',
  'rear_hip_extension_rom',
  'rear_toe_rom',
  'rear_knee_through_floor',
  'front_foot_lifts',
  'rear_foot_lifts',
  'cop_outside_foot',
  'friction',
  'hand_out_of_reach',
  'hand_pull_large',
  'upper_back_unloaded',
  'foot_too_far',
  'already_above_target',
  'knee_moment',
  'hip_moment',
  'support_cannot_meet_limit',
] as const;
export type Reason = (typeof reasons)[number];

/** Beside a limit nothing is told apart under this. */
const close = 1e-9;
export const over = (value: number, limit: number): boolean => value > limit + close;

/** The reasons that hold, in the order given. */
export const held = (checks: readonly (readonly [Reason, boolean])[]): Reason[] =>
  checks.flatMap(([reason, holds]) => (holds ? [reason] : []));

/** What a posture of a standing leg asks of its joints. */
export function jointReasons(
  posture: Pick<Posture, 'dorsiflexionDeg' | 'kneeFlexDeg' | 'hipFlexDeg' | 'trunkDeg'>,
  limits: Limits,
): (readonly [Reason, boolean])[] {
  return [
    ['ankle_rom', over(posture.dorsiflexionDeg, limits.dfLimitDeg)],
    ['knee_rom', over(posture.kneeFlexDeg, limits.kneeFlexLimitDeg)],
    ['knee_hyperextended', over(0, posture.kneeFlexDeg)],
    ['hip_rom', over(posture.hipFlexDeg, limits.hipFlexLimitDeg)],
    ['hip_extension_rom', over(-limits.hipExtLimitDeg, posture.hipFlexDeg)],
    ['trunk_lean_limit', over(posture.trunkDeg, limits.trunkLimitDeg)],
    ['leaning_back', over(-limits.trunkBackLimitDeg, posture.trunkDeg)],
  ];
}

/** All the numbers of a posture, and why it will not do. */
export function solvedAt(standing: Standing, stood: Stood): Solved {
  const { one, lengths, pitch } = standing;
  const { massKg, support } = one;
  const { leg, upper } = stood;
  const { ground, fromHeel, cop, posture, frictionUsed, reasons } = weighed(standing, stood);
  const onOneFoot = { at: solePoint(lengths, fromHeel, pitch), n: [ground.rx / 2, ground.ry / 2] as const };
  const legs = legMoments(leg, massKg, onOneFoot);
  const momentNm = { ...legs, lumbarTotal: trunkMoment(upper.lumbar, upper.above, upper.support) };
  return {
    status: reasons.length === 0 ? 'ok' : 'infeasible',
    reasons,
    ...{ posture, cop, momentNm, momentNmPerKg: perKg(momentNm, massKg), kneeShare: kneeShare(legs) },
    ...{ grfTotalN: [ground.rx, ground.ry], frictionUsed },
    handForcePct: support && [support.fxPct, support.fyPct],
    // From standing on the same wedge.
    hipRiseM: leg.ankle[1] + lengths.shank + lengths.thigh - leg.hip[1],
  };
}

/** Whether a posture will do, without its moments: for searches over many. */
export const willDo = (standing: Standing, stood: Stood): boolean => weighed(standing, stood).reasons.length === 0;

function weighed(standing: Standing, stood: Stood) {
  const { one, lengths, pitch } = standing;
  const { limits, support } = one;
  const { upper, masses } = stood;
  const ground = groundFor(masses, upper.support);
  const fromHeel = copOf(lengths, pitch, ground);
  const cop = copAt(lengths, one, fromHeel);
  const posture = postureOf(standing, stood);
  const frictionUsed = Math.abs(ground.rx) / ground.ry;
  const reasons = held([
    ...jointReasons(posture, limits),
    ['cop_outside_foot', isOff(cop, close)],
    ['friction', over(frictionUsed, limits.frictionLimit)],
    ['hand_out_of_reach', over(upper.reachUsed ?? 0, 1)],
    ['hand_pull_large', over(Math.abs(support?.fxPct ?? 0), limits.pullLimitPct)],
  ]);
  return { ground, fromHeel, cop, posture, frictionUsed, reasons };
}

const isOff = ({ spareHeelM, spareToeM }: Cop, by: number): boolean => spareHeelM < -by || spareToeM < -by;

/** t = (xm Ry - M0) / (cos p Ry + sin p Rx), s = xm - t behind the ball; in front of it s = M0 / Ry */
function copOf({ ballFromHeel }: Lengths, pitch: number, { rx, ry, m0 }: ReturnType<typeof groundFor>): number {
  const behind = (ballFromHeel * ry - m0) / (Math.cos(pitch) * ry + Math.sin(pitch) * rx);
  return behind >= 0 ? ballFromHeel - behind : m0 / ry;
}

export function copAt(
  lengths: Lengths,
  { copRef, limits }: Pick<Carrying, 'copRef' | 'limits'>,
  fromHeelM: number,
): Cop {
  const [from, to] = copRange(lengths, copRef);
  return {
    fromHeelM,
    fractionOfFoot: fromHeelM / lengths.foot,
    toeFraction: (fromHeelM - from) / (to - from),
    spareHeelM: fromHeelM - limits.heelMargin * lengths.foot,
    spareToeM: (1 - limits.toeMargin) * lengths.foot - fromHeelM,
  };
}

export const perKg = <M extends object>(moments: M, massKg: number): M =>
  Object.fromEntries(Object.entries(moments).map(([joint, nm]) => [joint, Number(nm) / massKg])) as M;

function postureOf({ one, lengths }: Standing, { angles, leg, upper }: Stood): Posture {
  const [shankDeg, thighDeg] = [degrees(angles.shank), degrees(angles.thigh)];
  const [trunkDeg, footPitchDeg] = [degrees(angles.trunk), degrees(angles.foot)];
  const dorsiflexionDeg = shankDeg - footPitchDeg;
  return {
    ...{ shankDeg, thighDeg, trunkDeg, dorsiflexionDeg, dorsiflexionSpareDeg: one.limits.dfLimitDeg - dorsiflexionDeg },
    ...{ kneeFlexDeg: shankDeg + thighDeg, hipFlexDeg: thighDeg + trunkDeg, footPitchDeg },
    hipHeightM: leg.hip[1],
    seatHeightM: leg.hip[1] - lengths.hipAboveSeat,
    kneePastToeM: leg.knee[0] - lengths.foot,
    handReachUsed: upper.reachUsed,
  };
}

/** No posture at all: why, and how far from balance the nearest was, in metres; `null` where that says nothing. */
export interface Unsolved {
  readonly status: 'infeasible';
  readonly reasons: readonly Reason[];
  readonly balanceGapM: number | null;
}

export const unsolved = (...why: readonly Reason[]): Unsolved => ({
  status: 'infeasible',
  reasons: why,
  balanceGapM: null,
});

/** @param near what of balance was missing at best, N·m */
export const unbalanced = (near: number, one: Carrying): Unsolved => ({
  status: 'infeasible',
  reasons: ['no_balance', near < 0 ? 'falls_backward' : 'falls_forward'],
  balanceGapM: near / floorForce(one),
});
