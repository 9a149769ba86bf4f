import { add, bonesReach, jointBetween, less, radians, type Point } from '../body/figure';
import { lengthShares, lengthsOf } from '../body/segments';
import { root } from '../math/root';
import type { SideSupport } from '../shapes/pose';
import { armOf, pads, type Point3, type SolvedArm, type SolvedLeg, type SolvedPose } from './solved';

/** One knee on the other, as shares of height. An assumption of the drawing. */
const kneesApart = 0.065;
/** Knees bent, toes a little away, in degrees. */
const bent = { knee: 85, ankle: -40 } as const;
/** From the wrist line of the floor to where the forearm lies: turned out to the head by so much. */
const forearmOutDeg = 40;

/** Along the body from the legs to the head, and across it from the lower side to the upper, tilted by an angle. */
const axes = (deg: number): readonly [along: Point, across: Point] => {
  const a = radians(deg);
  return [
    [Math.cos(a), Math.sin(a)],
    [-Math.sin(a), Math.cos(a)],
  ];
};
const times = ([x, y]: Point, by: number): Point => [x * by, y * by];

/**
 * A body on its lower forearm and knee, in the plane one sees from in front: first along the floor to the head, then up.
 * With the hip up, shoulder, hip and knee of the lower side lie in one line; with it down the hip rests on the floor.
 * @param heightM of the body
 */
export function onItsSide({ hip: at, lift = 0 }: SideSupport, heightM: number): SolvedPose {
  const lengths = lengthsOf(heightM);
  const { trunk, thigh } = lengths;
  const hipOut = lengthShares.hipOut * heightM;
  const shoulderOut = lengthShares.shoulderOut * heightM * 0.85;
  const { upper } = armOf(lengths);
  const kneeY = pads.knee * heightM;
  const shoulderY = pads.elbow * heightM + upper;
  // Of the lower side: knee, hip, shoulder, each with the height it must have.
  const thighDeg =
    at === 'down'
      ? Math.asin((pads.hip * heightM - kneeY) / thigh) * (180 / Math.PI)
      : tilt(kneeY, shoulderY, thigh + trunk, shoulderOut - hipOut);
  const trunkDeg = at === 'down' ? tilt(pads.hip * heightM, shoulderY, trunk, shoulderOut - hipOut) : thighDeg;
  const [alongThigh, acrossThigh] = axes(thighDeg);
  const [alongTrunk, across] = axes(trunkDeg);
  const lowerKnee: Point = [0, kneeY];
  const lowerHip = add(lowerKnee, times(alongThigh, thigh));
  const middle = add(lowerHip, times(across, hipOut));
  const upperHip = add(middle, times(across, hipOut));
  const neck = add(middle, times(alongTrunk, trunk));
  const upperKnee = kneeOf(upperHip, add(lowerKnee, times(acrossThigh, kneesApart * heightM)), thigh, lift);
  const flat = (p: Point, x = 0): Point3 => [x, p[1], -p[0]];

  const leg = (hip: Point, knee: Point): SolvedLeg => {
    const { ankle, foot, ankleFromHeel, ballFromHeel, shank } = lengths;
    // The shins go back, the feet on along the thighs, or along the floor they lie on.
    const up = Math.max(0, (knee[1] - hip[1]) / thigh);
    const onward: Point = [-Math.sqrt(1 - up ** 2), up];
    const [k, p] = [radians(bent.knee), radians(bent.ankle)];
    const ankleAt: Point3 = flat(add(knee, times(onward, shank * Math.cos(k))), -shank * Math.sin(k));
    const way = [Math.sin(p), Math.cos(p)] as const;
    const under = [-Math.cos(p), Math.sin(p)] as const;
    const footPoint = (fromHeel: number): Point3 => {
      const [l, d] = [fromHeel - ankleFromHeel, ankle];
      const [x, o] = [l * way[0] + d * under[0], l * way[1] + d * under[1]];
      return [ankleAt[0] + x, ankleAt[1] + onward[1] * o, ankleAt[2] - onward[0] * o];
    };
    const [heel, ball, toe] = [footPoint(0), footPoint(ballFromHeel), footPoint(foot)];
    return { hip: flat(hip), knee: flat(knee), ankle: ankleAt, heel, ball, toe, on: -Infinity };
  };
  return {
    head: flat(add(neck, times(alongTrunk, pads.head * heightM))),
    ...{ neck: flat(neck), hip: flat(middle) },
    legs: [leg(upperHip, upperKnee), leg(lowerHip, lowerKnee)],
    arms: [
      handOnHip(add(neck, times(across, shoulderOut)), add(upperHip, times(alongTrunk, 0.06 * heightM)), heightM),
      forearmDown(less(neck, times(across, shoulderOut)), heightM),
    ],
    bends: [0, 1].flatMap(() => [
      { joint: 'knee' as const, degrees: bent.knee },
      { joint: 'ankle' as const, degrees: bent.ankle },
    ]),
  };
}

/** How far a line of that length is tilted whose upper end lies across from it by so much, to end at that height. @returns degrees */
function tilt(fromY: number, toY: number, length: number, across: number): number {
  const found = root((deg) => fromY + length * Math.sin(radians(deg)) - across * Math.cos(radians(deg)) - toY, 0, 80);
  if (!('at' in found)) throw new RangeError('tilt: no body is so short');
  return found.at;
}

/** The upper knee: over the lower one, or lifted from there about its hip. */
function kneeOf(hip: Point, over: Point, thigh: number, lift: number): Point {
  const rest = Math.asin(Math.max(-1, Math.min(1, (hip[1] - over[1]) / thigh)));
  const a = rest - radians(lift);
  return [hip[0] - thigh * Math.cos(a), hip[1] - thigh * Math.sin(a)];
}

/** The upper arm, its hand on the hip, the elbow up. */
function handOnHip(shoulder: Point, hand: Point, heightM: number): SolvedArm {
  const { upper, fore } = armOf(lengthsOf(heightM));
  const elbow = bonesReach(shoulder, upper, hand, fore) ? jointBetween(shoulder, upper, hand, fore, 'right') : null;
  if (!elbow) throw new RangeError('handOnHip: no arm is so short');
  const flat = (p: Point): Point3 => [0, p[1], -p[0]];
  return { shoulder: flat(shoulder), elbow: flat(elbow), hand: flat(hand) };
}

/** The arm one lies on: upright from the elbow, the forearm flat in front. */
function forearmDown(shoulder: Point, heightM: number): SolvedArm {
  const { upper, fore } = armOf(lengthsOf(heightM));
  const y = pads.elbow * heightM;
  const out = radians(forearmOutDeg);
  return {
    shoulder: [0, shoulder[1], -shoulder[0]],
    elbow: [0, shoulder[1] - upper, -shoulder[0]],
    hand: [fore * Math.cos(out), y, -shoulder[0] - fore * Math.sin(out)],
  };
}
