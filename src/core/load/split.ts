import { bonesReach, degrees, hipOver, jointBetween, kneeOver, less, radians, type Point } from '../body/figure';
import { footShares, standingHip } from '../body/segments';
import { lastHolding, root } from '../math/root';
import { gravity, type Split } from './setUp';
import { squatAt } from './squat';
import {
  copAt,
  held,
  jointReasons,
  over,
  perKg,
  standingOn,
  standsNot,
  stoodAt,
  unsolved,
  wantedFromHeel,
  type Reason,
  type Standing,
  type Stood,
  type Unsolved,
} from './standing';
import {
  groundFor,
  kneeShare,
  legMasses,
  legMoments,
  overAngles,
  trunkMoment,
  turningOf,
  type Leg,
  type LegMoments,
  type Mass,
} from './statics';
import type { Upper } from './upper';

/** From the moment without a brace to the one with a brace of a tenth of the body weight. */
type Band = readonly [number, number];

export interface SplitAnswer {
  readonly status: 'ok' | 'infeasible';
  readonly reasons: readonly Reason[];
  readonly bandNmPerKg: {
    readonly frontKnee: Band;
    readonly frontHip: Band;
    readonly rearKnee: Band;
    readonly rearHip: Band;
  };
  readonly frontShare: number;
  readonly loadPointXM: number;
  readonly front: {
    readonly shankDeg: number;
    readonly thighDeg: number;
    readonly kneeFlexDeg: number;
    readonly hipFlexDeg: number;
    readonly dorsiflexionDeg: number;
    readonly kneePastToeM: number;
    readonly forceN: Point;
    readonly momentNm: LegMoments;
    readonly momentNmPerKg: LegMoments;
    readonly kneeShare: number | null;
  };
  readonly rear: {
    readonly shankDeg: number;
    readonly thighDeg: number;
    readonly kneeFlexDeg: number;
    readonly hipFlexDeg: number;
    readonly dorsiflexionDeg: number;
    readonly kneeHeightM: number;
    readonly forceN: Point;
    readonly momentNm: LegMoments;
    readonly momentNmPerKg: LegMoments;
  };
  readonly bracePct: number;
  readonly trunkDeg: number;
  readonly hipHeightM: number;
  readonly hipRiseM: number;
  readonly lumbarTotalNm: number;
  readonly lumbarTotalNmPerKg: number;
}

/** One posture on two legs, before it is known how the floor shares the work. */
export interface Stride {
  readonly standing: Standing;
  readonly front: Leg;
  readonly rear: Leg;
  readonly rearShank: number;
  readonly rearThigh: number;
  readonly upper: Upper;
  readonly masses: readonly Mass[];
  readonly angles: { readonly shank: number; readonly thigh: number; readonly trunk: number };
}

/** A split stance: the front foot flat, the rear one on its ball a step behind. */
export function solveSplit(one: Split): SplitAnswer | Unsolved {
  if (standsNot(one)) return unsolved('no_ground_contact');
  const standing = standingOn(one, 0);
  const bracket = squatAt({ ...one, heelLiftM: 0, rule: 'pose', shankDeg: 0, trunkDeg: 0 });
  if (!bracket) {
    const tooHigh = one.hipHeightM > standingHip(standing.lengths);
    return unsolved(tooHigh ? 'hip_too_high' : 'hip_too_low');
  }
  const stride = strideOver(one, standing);
  if (one.rule === 'pose' || one.rule === 'share_by_trunk') {
    const shank = radians(one.shankDeg);
    if (!bracket.reaches(shank)) return unsolved('shank_angle_unreachable');
    if (!stride.reaches(shank)) return unsolved('rear_leg_unreachable');
    if (one.rule === 'pose') return answerOf(one, stride.at(shank, radians(one.trunkDeg)));
    const found = root((trunk) => stride.share(shank, trunk) - one.frontShare, radians(-20), radians(80));
    return 'at' in found ? answerOf(one, stride.at(shank, found.at)) : unsolved('front_share_unreachable');
  }
  const trunk = radians(one.trunkDeg);
  if (!stride.reaches(bracket.from)) return unsolved('rear_leg_unreachable');
  const to = lastHolding(stride.reaches, bracket.from, bracket.to, 55);
  const found = root((shank) => stride.share(shank, trunk) - one.frontShare, bracket.from, to);
  return 'at' in found ? answerOf(one, stride.at(found.at, trunk)) : unsolved('front_share_unreachable');
}

interface StrideOver {
  /** Whether the rear leg does. */
  readonly reaches: (shank: number) => boolean;
  /** Of the floor on the front leg; NaN where the rear one does not reach. */
  readonly share: (shank: number, trunk: number) => number;
  /** `null` where the rear leg does not reach. */
  readonly at: (shank: number, trunk: number) => Stride | null;
}

/** All split stances with the hips at one height. */
export function strideOver(one: Split, standing: Standing): StrideOver {
  const { lengths, ankle, target } = standing;
  const { massKg } = one;
  // cos b = (y - Ls cos a) / Lt
  const y = one.hipHeightM - ankle[1];
  const thighOf = (shank: number) =>
    Math.acos(Math.min(1, Math.max(-1, (y - lengths.shank * Math.cos(shank)) / lengths.thigh)));
  const rearFoot = rearFootOf(one, standing);
  const hipAt = (shank: number): Point => hipOver(kneeOver(ankle, lengths, shank), lengths, thighOf(shank));
  const rearAt = (shank: number): Leg | null => {
    const hip = hipAt(shank);
    const knee = jointBetween(rearFoot.ankle, lengths.shank, hip, lengths.thigh, 'right');
    return knee && { ball: rearFoot.ball, ankle: rearFoot.ankle, knee, hip };
  };
  const massesOf = ({ leg, upper }: Pick<Stood, 'leg' | 'upper'>): Mass[] => [
    ...legMasses(leg, massKg),
    upper.pelvis,
    ...upper.above,
  ];
  const upright = stoodAt(standing, 0, 0, 0);
  const { ry } = groundFor([...massesOf(upright), ...legMasses(upright.leg, massKg)], upright.upper.support);
  const turning = overAngles((...angles) => {
    const stood = stoodAt(standing, ...angles);
    return turningOf(massesOf(stood), stood.upper.support);
  });
  return {
    reaches: (shank) => bonesReach(rearFoot.ankle, lengths.shank, hipAt(shank), lengths.thigh),
    share: (shank, trunk) => {
      const rear = rearAt(shank);
      if (!rear) return NaN;
      const m0 = turning(shank, thighOf(shank), trunk) + turningOf(legMasses(rear, massKg), null);
      return shareOf(one, target, { ry, m0 });
    },
    at: (shank, trunk) => {
      const rear = rearAt(shank);
      if (!rear) return null;
      const stood = stoodAt(standing, shank, thighOf(shank), trunk);
      const [bone, up] = [less(rear.knee, rear.ankle), less(rear.hip, rear.knee)];
      return {
        ...{ standing, front: stood.leg, rear, upper: stood.upper, angles: stood.angles },
        ...{ rearShank: Math.atan2(bone[0], bone[1]), rearThigh: Math.atan2(-up[0], up[1]) },
        masses: [...massesOf(stood), ...legMasses(rear, massKg)],
      };
    },
  };
}

/** The rear foot stands on its ball, a step behind. */
function rearFootOf({ rearFootDeg, stepM }: Split, { lengths }: Standing): Pick<Leg, 'ball' | 'ankle'> {
  const pitch = radians(rearFootDeg);
  const [cos, sin] = [Math.cos(pitch), Math.sin(pitch)];
  const [d, h] = [(footShares.ball - footShares.ankle) * lengths.foot, lengths.ankle];
  return { ball: [-stepM, 0], ankle: [-stepM - d * cos + h * sin, d * sin + h * cos] };
}

/** F front = (M0 + step Ry) / (cx + step), as a share of Ry. */
const shareOf = ({ stepM }: Split, target: Point, { ry, m0 }: { readonly ry: number; readonly m0: number }): number =>
  (m0 + stepM * ry) / (target[0] + stepM) / ry;

function answerOf(one: Split, stride: Stride | null): SplitAnswer | Unsolved {
  if (!stride) return unsolved('rear_leg_unreachable');
  const { massKg, limits } = one;
  const { standing, front, rear, upper, angles } = stride;
  const { lengths, target } = standing;
  const { rx, ry, m0 } = groundFor(stride.masses, upper.support);
  const frontShare = shareOf(one, target, { ry, m0 });
  const bodyWeight = massKg * gravity;
  /** The two legs with a brace, which pushes the front foot back and the rear one forward. */
  const legs = (braceN: number) => {
    const onFront: Point = [rx * frontShare - braceN, ry * frontShare];
    const onRear: Point = [rx * (1 - frontShare) + braceN, ry * (1 - frontShare)];
    return {
      ...{ onFront, onRear },
      front: legMoments(front, massKg, { at: target, n: onFront }),
      rear: legMoments(rear, massKg, { at: rear.ball, n: onRear }),
    };
  };
  const braceN = one.bracePct === 'auto' ? leastBrace(one, legs) : (one.bracePct * bodyWeight) / 100;
  const solved = legs(braceN);
  const [none, tenth] = [legs(0), legs(0.1 * bodyWeight)];
  const band = (leg: 'front' | 'rear', joint: 'knee' | 'hip'): Band => [
    none[leg][joint] / massKg,
    tenth[leg][joint] / massKg,
  ];
  const [shankDeg, thighDeg, trunkDeg] = [degrees(angles.shank), degrees(angles.thigh), degrees(angles.trunk)];
  const [rearShankDeg, rearThighDeg] = [degrees(stride.rearShank), degrees(stride.rearThigh)];
  const lumbarTotalNm = trunkMoment(upper.lumbar, upper.above, upper.support);
  const answer = {
    bandNmPerKg: {
      ...{ frontKnee: band('front', 'knee'), frontHip: band('front', 'hip') },
      ...{ rearKnee: band('rear', 'knee'), rearHip: band('rear', 'hip') },
    },
    ...{ frontShare, loadPointXM: m0 / ry },
    front: {
      ...{ shankDeg, thighDeg, kneeFlexDeg: shankDeg + thighDeg, hipFlexDeg: thighDeg + trunkDeg },
      ...{ dorsiflexionDeg: shankDeg, kneePastToeM: front.knee[0] - lengths.foot, forceN: solved.onFront },
      ...{ momentNm: solved.front, momentNmPerKg: perKg(solved.front, massKg), kneeShare: kneeShare(solved.front) },
    },
    rear: {
      ...{ shankDeg: rearShankDeg, thighDeg: rearThighDeg, kneeFlexDeg: rearShankDeg + rearThighDeg },
      ...{ hipFlexDeg: rearThighDeg + trunkDeg, dorsiflexionDeg: rearShankDeg - one.rearFootDeg },
      ...{ kneeHeightM: rear.knee[1], forceN: solved.onRear },
      ...{ momentNm: solved.rear, momentNmPerKg: perKg(solved.rear, massKg) },
    },
    ...{ bracePct: (100 * braceN) / bodyWeight, trunkDeg, hipHeightM: front.hip[1] },
    ...{ hipRiseM: standingHip(lengths) - front.hip[1], lumbarTotalNm, lumbarTotalNmPerKg: lumbarTotalNm / massKg },
  };
  const joints = jointReasons({ ...answer.front, trunkDeg }, limits).filter(
    ([reason]) => reason !== 'hip_extension_rom',
  );
  const cop = copAt(lengths, one, wantedFromHeel(lengths, one));
  const rubs = (force: Point) => over(Math.abs(force[0]), limits.frictionLimit * Math.max(force[1], 0));
  const reasons = held([
    ...joints,
    ['rear_ankle_rom', over(answer.rear.dorsiflexionDeg, limits.dfLimitDeg)],
    ['rear_knee_rom', over(answer.rear.kneeFlexDeg, limits.kneeFlexLimitDeg)],
    ['rear_hip_extension_rom', over(-limits.hipExtLimitDeg, answer.rear.hipFlexDeg)],
    ['rear_toe_rom', over(one.rearFootDeg, limits.mtpLimitDeg)],
    ['rear_knee_through_floor', over(0.03 * lengths.height, rear.knee[1])],
    ['front_foot_lifts', over(0, frontShare)],
    ['rear_foot_lifts', over(frontShare, 1)],
    ['cop_outside_foot', over(0, cop.spareHeelM) || over(0, cop.spareToeM)],
    ['friction', rubs(solved.onFront) || rubs(solved.onRear)],
    ['hand_out_of_reach', over(upper.reachUsed ?? 0, 1)],
  ]);
  return { status: reasons.length === 0 ? 'ok' : 'infeasible', reasons, ...answer };
}

type Legs = (braceN: number) => {
  readonly onFront: Point;
  readonly onRear: Point;
  readonly front: LegMoments;
  readonly rear: LegMoments;
};

/**
 * The brace that makes the sum of the squares of the four moments of knees and hips least. Each is linear in it, m + s B,
 * so that B = - sum m s / sum s^2; then at most what friction and the cap allow.
 */
function leastBrace({ massKg, limits }: Split, legs: Legs): number {
  const [at0, at1] = [legs(0), legs(1)];
  const pairs = (['front', 'rear'] as const).flatMap((leg) =>
    (['knee', 'hip'] as const).map((joint) => [at0[leg][joint], at1[leg][joint] - at0[leg][joint]] as const),
  );
  const best = -pairs.reduce((sum, [m, s]) => sum + m * s, 0) / pairs.reduce((sum, [, s]) => sum + s * s, 0);
  const cap = (limits.braceCapPct * massKg * gravity) / 100;
  // |Rx| <= mu Ry under each foot.
  const room = (force: Point) => limits.frictionLimit * Math.max(force[1], 0);
  const most = Math.min(cap, room(at0.onFront) + at0.onFront[0], room(at0.onRear) - at0.onRear[0]);
  const least = Math.max(-cap, at0.onFront[0] - room(at0.onFront), -at0.onRear[0] - room(at0.onRear));
  return Math.max(Math.min(best, most), Math.min(least, most));
}
