import { add, along, degrees, jointBetween, less, radians, times, type Point } from '../body/figure';
import { footShares, legCentre, lengthsOf, massShares, trunkShares, type Lengths } from '../body/segments';
import { lastHolding, root } from '../math/root';
import { kneeSideOf, type KneeSide } from './hinge';
import { gravity, type Bridge } from './setUp';
import { copAt, held, over, perKg, wantedFromHeel, type Reason } from './standing';
import { legMasses, legMoments, weightOf, type Leg, type LegMoments, type Mass } from './statics';

/** Shares of height of somebody who lies on the back; all assumptions. */
const lying = { shoulder: 0.055, hip: 0.05, buttockBeyondHip: 0.045, backContactOfTrunk: 0.1 } as const;
const highest = radians(75);

export interface BridgeAnswer {
  readonly status: 'ok' | 'infeasible';
  readonly reasons: readonly Reason[];
  readonly posture: {
    readonly trunkElevationDeg: number;
    readonly hipFlexDeg: number;
    readonly kneeFlexDeg: number;
    readonly dorsiflexionDeg: number;
    readonly hipHeightM: number;
    readonly hipLiftM: number;
    readonly kneePastAnkleM: number;
  };
  readonly footForceTotalN: number;
  readonly upperBackForceN: number;
  /** Of a leg that stands. */
  readonly momentNm: LegMoments;
  readonly momentNmPerKg: LegMoments;
  readonly kneeSide: KneeSide;
}

/** No posture: there is no balance that could be missing. */
interface NoBridge {
  readonly status: 'infeasible';
  readonly reasons: readonly Reason[];
}
const none = (why: Reason): NoBridge => ({ status: 'infeasible', reasons: [why] });

/** On the back, hips lifted: the origin is the floor under the shoulder, the feet on the + side. */
export function solveBridge(one: Bridge): BridgeAnswer | NoBridge {
  const lengths = lengthsOf(one.heightM);
  const lift = (elevation: number) => liftAt(one, lengths, elevation);
  const start = startOf(lengths);
  const first = lift(start);
  if (!first) return none('foot_too_far');
  const target = radians(one.hipFlexDeg);
  if (first.hipFlex <= target) return none('already_above_target');
  const to = lastHolding((elevation) => lift(elevation) !== null, start, highest, 100);
  const found = root((elevation) => (lift(elevation)?.hipFlex ?? NaN) - target, start, to);
  const solved = 'at' in found ? lift(found.at) : null;
  return solved ? answerOf(one, lengths, solved) : none('foot_too_far');
}

/** Of the trunk over the floor before it is lifted: asin((0.050 - 0.055) / 0.288). */
const startOf = ({ trunk, height }: Lengths): number => Math.asin(((lying.hip - lying.shoulder) * height) / trunk);

interface Lift {
  readonly elevation: number;
  readonly heelX: number;
  readonly leg: Leg;
  /** Angles of hip to knee and knee to ankle against the floor. */
  readonly thigh: number;
  readonly shank: number;
  readonly hipFlex: number;
}

/** `null` where the legs do not reach the feet. */
function liftAt({ heelToButtockM }: Bridge, lengths: Lengths, elevation: number): Lift | null {
  const { height, trunk, ankle: ankleHeight, ankleFromHeel, ballFromHeel } = lengths;
  const heelX = trunk * Math.cos(startOf(lengths)) + lying.buttockBeyondHip * height + heelToButtockM;
  const ankle: Point = [heelX + ankleFromHeel, ankleHeight];
  const hip = add([0, lying.shoulder * height], times(trunk, [Math.cos(elevation), Math.sin(elevation)]));
  const knee = jointBetween(hip, lengths.thigh, ankle, lengths.shank, 'left');
  if (!knee) return null;
  const angle = ([x, y]: Point) => Math.atan2(y, x);
  const [thigh, shank] = [angle(less(knee, hip)), angle(less(ankle, knee))];
  const leg: Leg = { ball: [heelX + ballFromHeel, 0], ankle, knee, hip };
  return { elevation, heelX, leg, thigh, shank, hipFlex: thigh - elevation };
}

function answerOf(one: Bridge, lengths: Lengths, lift: Lift): BridgeAnswer {
  const { massKg, limits } = one;
  const { leg, elevation, thigh, shank } = lift;
  const stance = one.singleLeg ? 1 : 2;
  const legs = legMasses(leg, massKg).map((m) => ({ ...m, kg: stance * m.kg }));
  const trunk: Mass = { kg: massShares.trunk * massKg, at: trunkCentre(lengths, elevation) };
  const lifted = one.singleLeg ? liftedLeg(one, lengths, lift) : [];
  // Head and arms lie on the floor.
  const masses: Mass[] = [trunk, ...legs, ...lifted, { kg: one.loadKg, at: leg.hip }];
  const back: Point = [lying.backContactOfTrunk * lengths.trunk * Math.cos(elevation), 0];
  const cop = copAt(lengths, one, wantedFromHeel(lengths, one));
  const foot: Point = [lift.heelX + cop.fromHeelM, 0];
  const turning = masses.reduce((sum, m) => sum + m.kg * gravity * (m.at[0] - back[0]), 0);
  const footForceTotalN = turning / (foot[0] - back[0]);
  // Heels drawn towards the buttocks are pushed forward by the floor.
  const pullN = (one.heelPullPct * massKg * gravity) / 100;
  const momentNm = legMoments(leg, massKg, { at: foot, n: [pullN / stance, footForceTotalN / stance] });
  const upperBackForceN = weightOf(masses) - footForceTotalN;
  const posture = {
    ...{ trunkElevationDeg: degrees(elevation), hipFlexDeg: degrees(thigh - elevation) },
    ...{ kneeFlexDeg: degrees(thigh - shank), dorsiflexionDeg: -(degrees(shank) + 90), hipHeightM: leg.hip[1] },
    ...{ hipLiftM: leg.hip[1] - lying.hip * lengths.height, kneePastAnkleM: leg.knee[0] - leg.ankle[0] },
  };
  const reasons = held([
    ['knee_rom', over(posture.kneeFlexDeg, limits.kneeFlexLimitDeg)],
    ['ankle_rom', over(posture.dorsiflexionDeg, limits.dfLimitDeg)],
    ['cop_outside_foot', over(0, cop.spareHeelM) || over(0, cop.spareToeM)],
    ['friction', over(Math.abs(pullN), limits.frictionLimit * footForceTotalN)],
    ['upper_back_unloaded', over(0, upperBackForceN)],
  ]);
  return {
    status: reasons.length === 0 ? 'ok' : 'infeasible',
    ...{ reasons, posture, footForceTotalN, upperBackForceN, momentNm },
    ...{ momentNmPerKg: perKg(momentNm, massKg), kneeSide: kneeSideOf(momentNm.knee) },
  };
}

const trunkCentre = ({ trunk, height }: Lengths, elevation: number): Point =>
  add(
    [0, lying.shoulder * height],
    times((1 - trunkShares.centreWithoutHead) * trunk, [Math.cos(elevation), Math.sin(elevation)]),
  );

/** The leg that is lifted: in line with the thigh of the other, or with its thigh upright and its shank towards the feet. */
function liftedLeg({ massKg, otherLeg }: Bridge, lengths: Lengths, { leg: { hip }, thigh }: Lift): Mass[] {
  const up: Point = otherLeg === 'straight' ? [Math.cos(thigh), Math.sin(thigh)] : [0, 1];
  const out: Point = otherLeg === 'straight' ? up : [1, 0];
  const knee = add(hip, times(lengths.thigh, up));
  const ankle = add(knee, times(lengths.shank, out));
  // A quarter turn counter-clockwise from the shank.
  const foot = add(ankle, times(0.5 * (footShares.ball - footShares.ankle) * lengths.foot, [-out[1], out[0]]));
  return [
    { kg: massShares.thigh * massKg, at: along(hip, knee, legCentre) },
    { kg: massShares.shank * massKg, at: along(knee, ankle, legCentre) },
    { kg: massShares.foot * massKg, at: foot },
  ];
}
