import {
  add,
  along,
  anklePoint,
  bonesReach,
  degrees,
  distance,
  hipOver,
  jointBetween,
  kneeOver,
  less,
  radians,
  trunkPoint,
  type Point,
} from '../body/figure';
import { lengthShares, lengthsOf, standingHip, type Lengths } from '../body/segments';
import { solveHinge } from '../load/hinge';
import { usualLimits, type Carrying } from '../load/setUp';
import { solveAlone } from '../load/squat';
import { root } from '../math/root';
import {
  jointLimits,
  armOf,
  pads,
  type JointBend,
  type Point3,
  type PoseFault,
  type SolvedArm,
  type SolvedLeg,
  type SolvedPose,
} from './solved';
import { onItsSide } from './sideSupport';
import {
  outsideHolds,
  type HandsAt,
  type Hold,
  type LegAt,
  type OutsideHold,
  type Pose,
  type RungPoses,
} from '../shapes/pose';

/** What is there, in metres. A hold that is not placed yet moves to where the arms reach. */
export interface Place {
  readonly heightM: number;
  readonly seatM: number;
  readonly surfaceM: number;
  readonly stepM: number;
  readonly boxM: number;
  readonly railM: number;
  readonly chairBackM: number;
}

class Fault extends Error {
  readonly fault: PoseFault;
  constructor(fault: PoseFault) {
    super(fault.kind);
    this.fault = fault;
  }
}
const outOfReach = (what: string, byM: number): never => {
  throw new Fault({ kind: 'out-of-reach', what, byMm: Math.round(byM * 1000) });
};

interface Foot {
  readonly ankle: Point;
  readonly heel: Point;
  readonly ball: Point;
  readonly toe: Point;
}

/** A foot at an ankle, turned about it; the toes lie flat where the heel is up. */
function footAt(lengths: Lengths, ankle: Point, pitchDeg: number): Foot {
  const p = radians(pitchDeg);
  const turned = (fromHeel: number): Point => {
    const [x, y] = [fromHeel - lengths.ankleFromHeel, -lengths.ankle];
    return add(ankle, [x * Math.cos(p) + y * Math.sin(p), -x * Math.sin(p) + y * Math.cos(p)]);
  };
  const ball = turned(lengths.ballFromHeel);
  const toes = lengths.foot - lengths.ballFromHeel;
  const toe: Point = pitchDeg > 0 && pitchDeg < 80 ? add(ball, [toes, 0]) : turned(lengths.foot);
  return { ankle, heel: turned(0), ball, toe };
}
const lowest = ({ heel, ball, toe }: Foot): number => Math.min(heel[1], ball[1], toe[1]);

interface FlatLeg extends Foot {
  readonly knee: Point;
  readonly hip: Point;
  readonly shank: number;
  readonly thigh: number;
  readonly foot: number;
  readonly on: number;
}

/** A leg from the hip down, by its angles. */
function legDown(
  lengths: Lengths,
  hip: Point,
  shankDeg: number,
  thighDeg: number,
  footDeg: number,
  on: number,
): FlatLeg {
  const knee = less(hip, less(hipOver([0, 0], lengths, radians(thighDeg)), [0, 0]));
  const ankle = less(knee, kneeOver([0, 0], lengths, radians(shankDeg)));
  return { ...footAt(lengths, ankle, footDeg), knee, hip, shank: shankDeg, thigh: thighDeg, foot: footDeg, on };
}

/** A leg whose foot stands, from the ground up. */
function legUp(
  lengths: Lengths,
  on: number,
  footDeg: number,
  shankDeg: number,
  thighOf: (knee: Point) => number,
): FlatLeg {
  const onToes = anklePoint(lengths, radians(footDeg));
  // With the toes up it is the heel that stands.
  const ankle = add(onToes, [0, on - lowest(footAt(lengths, onToes, footDeg))]);
  const knee = kneeOver(ankle, lengths, radians(shankDeg));
  const thigh = thighOf(knee);
  return legDown(lengths, hipOver(knee, lengths, radians(thigh)), shankDeg, thigh, footDeg, on);
}

/** The angle whose cosine puts an end so high over the other; out of reach where the bone is too short. */
function angleFor(what: string, height: number, length: number): number {
  if (Math.abs(height) > length + 1e-9) outOfReach(what, Math.abs(height) - length);
  return degrees(Math.acos(Math.max(-1, Math.min(1, height / length))));
}

/** The first angle on the way from one to another at which a height is nothing. */
function turned(what: string, from: number, to: number, heightAt: (deg: number) => number): number {
  const found = root((share) => heightAt(from + share * (to - from)), 0, 1);
  return 'at' in found ? from + found.at * (to - from) : outOfReach(what, Math.abs(found.near));
}

const isOn = <K extends string>(leg: LegAt, key: K): leg is Extract<LegAt, Record<K, unknown>> => key in leg;

/** The side view: where hip, shoulder and both legs are. */
interface Side {
  readonly hip: Point;
  readonly trunk: number;
  readonly legs: readonly [FlatLeg, FlatLeg];
  /** What the body lies on. */
  readonly on: number;
}

function sideOf(pose: Pose, place: Place, lengths: Lengths, stood?: FlatLeg): Side {
  const on = { 'foot-on-step': place.stepM, 'foot-on-surface': place.surfaceM }[pose.root as string] ?? 0;
  const first = firstLeg(pose, place, lengths, on);
  const hip = first.leg?.hip ?? first.hip;
  const trunk = first.trunk ?? trunkOf(pose, hip, lengths, on);
  const leg = first.leg ?? hungLeg(pose.leg, hip, trunk, lengths, on);
  const other = pose.other ? otherLeg(pose.other, stood, hip, trunk, lengths, on) : leg;
  return { hip, trunk, legs: [leg, other], on };
}

function trunkOf({ trunk }: Pose, hip: Point, { trunk: long, height }: Lengths, on: number): number {
  if (trunk !== 'lies') return trunk;
  return -angleFor('the shoulders on the ground', on + pads.shoulder * height - hip[1], long);
}

interface First {
  readonly leg?: FlatLeg;
  readonly hip: Point;
  readonly trunk?: number;
}

/** What carries the body, and where the hip is by it. */
function firstLeg(pose: Pose, place: Place, lengths: Lengths, on: number): First {
  const { height, hipAboveSeat, trunk: long, thigh } = lengths;
  switch (pose.root) {
    case 'hip-on-floor':
      return { hip: [0, hipAboveSeat] };
    case 'hip-on-seat':
      return { hip: [0, place.seatM + hipAboveSeat] };
    case 'free':
      return { hip: [0, standingHip(lengths)] };
    case 'knee': {
      if (!isOn(pose.leg, 'thigh')) throw new Error('a knee that carries has a thigh');
      const knee: Point = [0, pads.knee * height];
      const hip = hipOver(knee, lengths, radians(pose.leg.thigh));
      const foot = pose.leg.foot ?? 75;
      const shank = turned('the foot behind the knee', 60, 125, (a) =>
        lowest(legDown(lengths, hip, a, isThigh(pose.leg), foot, 0)),
      );
      return { leg: legDown(lengths, hip, shank, pose.leg.thigh, foot, 0), hip };
    }
    case 'elbow': {
      const shoulder: Point = [0, pads.elbow * height + armOf(lengths).upper];
      const hipFor = (t: number) => less(shoulder, trunkPoint([0, 0], radians(t), long, 0));
      if (!isOn(pose.leg, 'inLine')) return { hip: hipFor(Number(pose.trunk)) };
      const { inLine, foot } = pose.leg;
      const trunk =
        inLine === 'knees'
          ? angleFor('the knees on the floor', shoulder[1] - pads.knee * height, long + thigh)
          : turned('the feet on the floor', 60, 95, (t) => lowest(legDown(lengths, hipFor(t), t, -t, foot, 0)));
      return { hip: hipFor(trunk), trunk };
    }
    default:
      return standing(pose, place, lengths, on);
  }
}
const isThigh = (leg: LegAt): number => ('thigh' in leg ? leg.thigh : 0);

function standing({ leg, trunk, out = 0 }: Pose, place: Place, lengths: Lengths, on: number): First {
  const { height, hipAboveSeat, thigh } = lengths;
  const ankleY = on + lengths.ankle;
  // A leg that leans out to the side is that much less high.
  const upright = (hipY: number) => ankleY + (hipY - ankleY) / Math.cos(radians(out));
  if (isOn(leg, 'balanced')) return balancedOver(leg, trunk, upright(place.seatM + hipAboveSeat), lengths);
  if (isOn(leg, 'thigh')) {
    const up = legUp(lengths, on, leg.foot ?? 0, leg.shank, () => leg.thigh);
    return { leg: up, hip: up.hip };
  }
  if (!isOn(leg, 'hip')) throw new Error('a foot that carries has a shank');
  const lying = on + pads.shoulder * height;
  const up = legUp(lengths, on, leg.foot ?? 0, leg.shank, (knee) => {
    if (leg.hip === 'bridge') return angleFor('the shoulders on the ground', lying - knee[1], thigh + lengths.trunk);
    const hipY = leg.hip === 'seat' ? place.seatM + hipAboveSeat : on + hipAboveSeat;
    return angleFor('the hip on the seat', upright(hipY) - knee[1], thigh);
  });
  return { leg: up, hip: up.hip };
}

/** The load model says how this body stands over the seat or in the bow; where it finds no posture, the shank given. */
function balancedOver(
  leg: Extract<LegAt, { balanced: string }>,
  trunk: Pose['trunk'],
  hipHeightM: number,
  lengths: Lengths,
): First {
  const { height, thigh } = lengths;
  const carrying: Omit<Carrying, 'arms'> = {
    ...{ heightM: height, massKg: 70, loadKg: 0, loadAt: 'hands', support: null, toeFraction: 0.5, copRef: 'mtp' },
    limits: usualLimits,
  };
  if (leg.balanced === 'bow') {
    const lean = Number(trunk);
    const bow = solveHinge({ ...carrying, arms: 'hanging', trunkDeg: lean, kneeFlexDeg: leg.bend });
    const shank = 'posture' in bow ? bow.posture.shankDeg : 0;
    const up = legUp(lengths, 0, 0, shank, () => leg.bend - shank);
    return { leg: up, hip: up.hip, trunk: lean };
  }
  const standAt = (shankDeg: number) => {
    const over = solveAlone({ ...carrying, arms: leg.arms, hipHeightM, heelLiftM: 0, rule: 'shank', shankDeg });
    return 'posture' in over && over.posture.hipFlexDeg <= usualLimits.hipFlexLimitDeg ? over.posture : null;
  };
  // Over a low seat long legs bend the hip too far: the shins lean more, as far as ankles go.
  const most = jointLimits.ankle[1] - 2;
  const shanks = Array.from({ length: Math.max(1, most - leg.shank + 1) }, (_, i) => leg.shank + i);
  const shank = shanks.find((deg) => standAt(deg) !== null) ?? leg.shank;
  const up = legUp(lengths, 0, 0, shank, (knee) => angleFor('the hip over the seat', hipHeightM - knee[1], thigh));
  const lean = Math.min(standAt(shank)?.trunkDeg ?? Number(trunk), usualLimits.trunkLimitDeg);
  return { leg: up, hip: up.hip, trunk: lean };
}

/** The other leg; where it stays, its ball is where it was at the start. */
function otherLeg(
  leg: LegAt,
  stood: FlatLeg | undefined,
  hip: Point,
  trunk: number,
  lengths: Lengths,
  on: number,
): FlatLeg {
  if (!isOn(leg, 'stays')) return hungLeg(leg, hip, trunk, lengths, on);
  if (!stood) throw new Error('what stays stood somewhere at the start');
  const { ball } = footAt(lengths, [0, 0], leg.foot);
  const ankle = less(stood.ball, ball);
  const knee = jointBetween(hip, lengths.thigh, ankle, lengths.shank, 'left');
  if (!knee) return outOfReach('the other foot where it stood', distance(hip, ankle) - lengths.thigh - lengths.shank);
  const shank = degrees(Math.atan2(knee[0] - ankle[0], knee[1] - ankle[1]));
  const thigh = degrees(Math.atan2(knee[0] - hip[0], hip[1] - knee[1]));
  return { ...footAt(lengths, ankle, leg.foot), knee, hip, shank, thigh, foot: leg.foot, on: stood.on };
}

/** A leg that hangs on a hip that is known. */
function hungLeg(leg: LegAt, hip: Point, trunk: number, lengths: Lengths, on: number): FlatLeg {
  if (isOn(leg, 'inLine')) {
    if (leg.inLine === 'feet') return legDown(lengths, hip, trunk, -trunk, leg.foot, 0);
    const at = (shank: number) => legDown(lengths, hip, shank, -trunk, leg.foot, 0);
    return at(turned('the feet behind the knees', 60, 120, (shank) => lowest(at(shank))));
  }
  if (isOn(leg, 'falls')) {
    const ground = leg.onto === 'same' ? on : 0;
    const foot = leg.foot ?? 0;
    const at = (thigh: number) => legDown(lengths, hip, leg.bend - thigh, thigh, foot, ground);
    const span: readonly [number, number] = leg.falls === 'front' ? [150, -20] : [-120, 20];
    return at(turned('the other foot on the floor', ...span, (thigh) => lowest(at(thigh)) - ground));
  }
  if (isOn(leg, 'kneels')) {
    const thigh = angleFor('the knee on the floor', hip[1] - pads.knee * lengths.height, lengths.thigh);
    const b = leg.kneels === 'front' ? thigh : -thigh;
    const shank = turned('the foot behind the knee', 55, 130, (a) => lowest(legDown(lengths, hip, a, b, leg.foot, 0)));
    return legDown(lengths, hip, shank, b, leg.foot, 0);
  }
  if (isOn(leg, 'thigh')) return legDown(lengths, hip, leg.shank, leg.thigh, leg.foot ?? 0, -Infinity);
  throw new Error('only a leg that carries is balanced or follows its hip');
}

/** Where outside holds stand along x, of those that are placed. */
export type Placed = Partial<Record<OutsideHold, number>>;

const isOutside = (hold: Hold): hold is OutsideHold => (outsideHolds as readonly Hold[]).includes(hold);

/** How high a hold is for this body in this place, from what it hangs on. */
function heightOf(hold: OutsideHold, place: Place): number {
  const { railM, chairBackM, seatM, boxM, heightM } = place;
  return { rail: railM, 'chair-back': chairBackM, 'chair-seat': seatM, wall: 0.76 * heightM, box: boxM }[hold];
}

/** From where to where a hold may stand along x for a hand to reach it from that shoulder, arm nearly straight at most. */
function reachOf(shoulder: Point, y: number, lengths: Lengths): readonly [number, number] | null {
  const { upper, fore } = armOf(lengths);
  const most = 0.985 * (upper + fore);
  const dy = Math.abs(shoulder[1] - y);
  if (dy > most) return null;
  // As near as an elbow bends.
  const least2 = upper ** 2 + fore ** 2 + 2 * upper * fore * Math.cos(radians(jointLimits.elbow[1] - 2));
  const nearest = Math.sqrt(Math.max(0, least2 - dy ** 2));
  return [shoulder[0] + nearest, shoulder[0] + Math.sqrt(most ** 2 - dy ** 2)];
}

const handsOf = ({ hands, otherHand }: Pose): readonly HandsAt[] => [hands, ...(otherHand ? [otherHand] : [])];
const shoulderOf = ({ hip, trunk }: Side, { trunk: long }: Lengths): Point => trunkPoint(hip, radians(trunk), long, 0);

/** Where each outside hold stands so that hands reach it at the start and at the end; a bent elbow is chosen where both leave room. */
function placeHolds(poses: readonly Pose[], sides: readonly Side[], place: Place, lengths: Lengths): Placed {
  const spans = new Map<OutsideHold, [number, number]>();
  poses.forEach((pose, i) => {
    const side = sides[i];
    if (!side) return;
    for (const at of handsOf(pose)) {
      if (!('to' in at) || !isOutside(at.to)) continue;
      const y = heightOf(at.to, place) - (at.down ?? 0) * lengths.height;
      const shoulder = shoulderOf(side, lengths);
      const reach = reachOf(shoulder, y, lengths);
      if (!reach) {
        const far = Math.abs(shoulder[1] - y) - 0.985 * (armOf(lengths).upper + armOf(lengths).fore);
        outOfReach(`hands on the ${at.to}`, far);
        continue;
      }
      const known = spans.get(at.to) ?? [-Infinity, Infinity];
      spans.set(at.to, [Math.max(known[0], reach[0]), Math.min(known[1], reach[1])]);
    }
  });
  return Object.fromEntries(
    [...spans].map(([hold, [from, to]]) => {
      if (from > to + 1e-9) outOfReach(`hands on the ${hold}`, from - to);
      return [hold, from + 0.9 * (to - from)];
    }),
  );
}

/** Where a hand is, before its arm is bent to it. */
function handAt(at: HandsAt, side: Side, place: Place, placed: Placed, lengths: Lengths): Point {
  const { height, trunk: long } = lengths;
  const { hip, trunk } = side;
  const [leg] = side.legs;
  const shoulder = shoulderOf(side, lengths);
  const { upper, fore } = armOf(lengths);
  if ('upper' in at) {
    const [u, f] = [radians(at.upper), radians(at.fore)];
    return add(shoulder, [upper * Math.sin(u) + fore * Math.sin(f), -upper * Math.cos(u) - fore * Math.cos(f)]);
  }
  const onTrunk = (share: number, front: number) => trunkPoint(hip, radians(trunk), share * long, front * height);
  const down = (at.down ?? 0) * height;
  if (isOutside(at.to)) return [placed[at.to] ?? 0, heightOf(at.to, place) - down];
  switch (at.to) {
    // Along a rail at the side the hand goes with the body; beside a step it stands as much higher.
    case 'side-rail':
      return [shoulder[0] + 0.1 * height, place.railM + side.on - down];
    case 'own-seat':
      return [hip[0] + 0.02 * height, place.seatM + pads.hand * height];
    case 'floor':
      return [shoulder[0] + down, side.on + pads.hand * height];
    case 'thighs':
      return add(along(leg.hip, leg.knee, 0.38), [0.01 * height, 0.04 * height]);
    case 'knees':
      return add(along(leg.hip, leg.knee, 0.9), [0.02 * height, 0.03 * height]);
    case 'creases':
      return onTrunk(0.06, 0.055);
    case 'hips':
      return onTrunk(0.2, 0.01);
    case 'breastbone':
      return onTrunk(0.72, 0.1);
    case 'ribs':
      return onTrunk(0.6, 0.05);
    case 'forehead':
      return trunkPoint(shoulder, radians(trunk), 0.12 * height, 0.05 * height);
  }
}

/** How far apart hands are on it, in widths of the shoulders. */
const handsWide: Partial<Readonly<Record<Hold, number>>> = {
  ...{
    thighs: 0.75,
    knees: 0.75,
    'own-seat': 0.9,
    breastbone: 0.15,
    creases: 0.8,
    hips: 1.05,
    forehead: 0.3,
    ribs: 0.9,
  },
};

/** An arm bent to its hand in the upright plane through both; the elbow hangs back and down. */
function armTo(shoulder: Point3, hand: Point3, lengths: Lengths, what: string): SolvedArm {
  const { upper, fore } = armOf(lengths);
  const [dx, dy, dz] = [hand[0] - shoulder[0], hand[1] - shoulder[1], hand[2] - shoulder[2]];
  const flat = Math.hypot(dx, dz);
  const u = flat < 1e-6 ? 1e-6 : flat;
  // Behind the shoulder the elbow goes out behind it too.
  const forward = dx >= -1e-6 ? 1 : -1;
  const far = distance([0, 0], [flat, dy]);
  const fits = bonesReach([0, 0], upper, [flat, dy], fore);
  if (!fits && far > (upper + fore) * 1.003) outOfReach(what, far - upper - fore);
  const target: Point = fits ? [flat, dy] : [flat * 0.998, dy * 0.998];
  const bent = jointBetween([0, 0], upper, target, fore, forward > 0 ? 'right' : 'left') ?? [
    (upper / (upper + fore)) * flat,
    (upper / (upper + fore)) * dy,
  ];
  const elbow: Point3 = [shoulder[0] + (bent[0] * dx) / u, shoulder[1] + bent[1], shoulder[2] + (bent[0] * dz) / u];
  if (elbow[1] >= pads.elbow * lengths.height * 0.9) return { shoulder, elbow, hand };
  // On the floor an elbow lies out to the side.
  const [q, aside] = [0.5, Math.sqrt(Math.max(0, upper ** 2 - (far / 2) ** 2)) * Math.sign(shoulder[2] || 1)];
  return { shoulder, elbow: [shoulder[0] + q * dx, shoulder[1] + q * dy, shoulder[2] + aside], hand };
}

/** A leg in space: turned out about the upright, then leaning out to its side. */
function inSpace(leg: FlatLeg, sideways: number, { out = 0, turn = 0 }: Pose, lengths: Lengths): SolvedLeg {
  const z = sideways * lengthShares.hipOut * lengths.height;
  const [o, t] = [radians(out), radians(turn)];
  const at = ([x, y]: Point): Point3 => {
    const [ahead, below] = [x - leg.hip[0], leg.hip[1] - y];
    const aside = below * Math.sin(o);
    return [
      leg.hip[0] + ahead * Math.cos(t) - aside * Math.sin(t),
      leg.hip[1] - below * Math.cos(o),
      z + sideways * (ahead * Math.sin(t) + aside * Math.cos(t)),
    ];
  };
  const ankle = at(leg.ankle);
  // The foot stays flat: it is carried along with its ankle, the toes where the knee points.
  const footed = ([x, y]: Point): Point3 => {
    const ahead = x - leg.ankle[0];
    return [ankle[0] + ahead * Math.cos(t), ankle[1] + y - leg.ankle[1], ankle[2] + sideways * ahead * Math.sin(t)];
  };
  const { heel, ball, toe, on } = leg;
  return { hip: at(leg.hip), knee: at(leg.knee), ankle, heel: footed(heel), ball: footed(ball), toe: footed(toe), on };
}

/** Lowers a body whose legs go out, so that its feet stand where they stood. */
function lowered(side: Side, outDeg: number): Side {
  if (outDeg === 0) return side;
  const [leg] = side.legs;
  const dropM = (leg.hip[1] - leg.ankle[1]) * (1 - Math.cos(radians(outDeg)));
  const down = (p: Point): Point => [p[0], p[1] - dropM];
  const moved = (l: FlatLeg): FlatLeg => ({
    ...l,
    ...{
      hip: down(l.hip),
      knee: down(l.knee),
      ankle: down(l.ankle),
      heel: down(l.heel),
      ball: down(l.ball),
      toe: down(l.toe),
    },
  });
  return { ...side, hip: down(side.hip), legs: [moved(side.legs[0]), moved(side.legs[1])] };
}

function solved(pose: Pose, side: Side, place: Place, placed: Placed, lengths: Lengths): SolvedPose {
  const { height } = lengths;
  const shoulder = shoulderOf(side, lengths);
  const shoulderZ = lengthShares.shoulderOut * height * 0.85;
  const arm = (at: HandsAt, sideways: number): SolvedArm => {
    const [x, y] = handAt(at, side, place, placed, lengths);
    const from: Point3 = [shoulder[0], shoulder[1], sideways * shoulderZ];
    const wide = 'to' in at ? (handsWide[at.to] ?? 1) : (at.apart ?? 1);
    const hand: Point3 = [x, y, sideways * shoulderZ * wide];
    return armTo(from, hand, lengths, 'to' in at ? `hands on the ${at.to}` : 'hands');
  };
  const look = pose.head ?? (Math.abs(side.trunk) > 80 ? side.trunk : 0.7 * side.trunk);
  const neck: Point3 = [shoulder[0], shoulder[1], 0];
  const [hx, hy] = trunkPoint(shoulder, radians(look), pads.head * height, 0);
  const legs = [inSpace(side.legs[0], 1, pose, lengths), inSpace(side.legs[1], -1, pose, lengths)] as const;
  const arms = [arm(pose.hands, 1), arm(pose.otherHand ?? pose.hands, -1)] as const;
  return { head: [hx, hy, 0], neck, hip: [side.hip[0], side.hip[1], 0], legs, arms, bends: bendsOf(side, arms) };
}

function bendsOf(side: Side, arms: readonly SolvedArm[]): JointBend[] {
  const round = (d: number) => ((((d + 180) % 360) + 360) % 360) - 180;
  const ofLegs = side.legs.flatMap((leg): JointBend[] => [
    { joint: 'knee', degrees: round(leg.shank + leg.thigh) },
    { joint: 'hip', degrees: round(leg.thigh + side.trunk) },
    { joint: 'ankle', degrees: round(leg.shank - leg.foot) },
  ]);
  const ofArms = arms.map(({ shoulder, elbow, hand }): JointBend => {
    const [a, b] = [from(elbow, shoulder), from(hand, elbow)];
    const cos = (a[0] * b[0] + a[1] * b[1] + a[2] * b[2]) / (Math.hypot(...a) * Math.hypot(...b));
    return { joint: 'elbow', degrees: degrees(Math.acos(Math.max(-1, Math.min(1, cos)))) };
  });
  return [...ofLegs, ...ofArms];
}
const from = (a: Point3, b: Point3): Point3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/** Start and end of a movement of this body in this place, and what comes after it; with where its holds stand. */
export interface SolvedPair {
  readonly start: SolvedPose;
  readonly end: SolvedPose;
  readonly then: SolvedPose | null;
  readonly placed: Placed;
}

/** The poses of a movement. */
export type PosesToSolve = Pick<RungPoses, 'start' | 'end' | 'then'>;

/** @returns the poses as this body does them, or what is wrong with them for it, worst first */
export function solvePair(poses: PosesToSolve, place: Place): SolvedPair | { readonly faults: readonly PoseFault[] } {
  try {
    if (!isUpright(poses)) return solveOnSide(poses, place);
    const { start, end, then } = poses;
    const lengths = lengthsOf(place.heightM);
    const first = sideAt(start, place, lengths);
    const others = [end, ...(then ? [then] : [])].map(
      (pose) => [pose, sideAt(pose, place, lengths, first.legs[1])] as const,
    );
    const all = [[start, first] as const, ...others];
    const placed = placeHolds(
      all.map(([pose]) => pose),
      all.map(([, side]) => side),
      place,
      lengths,
    );
    const made = all.map(([pose, side]) => ({ pose, solved: solved(pose, side, place, placed, lengths) }));
    const faults = made.flatMap((one) => faultsOf(one.solved, one.pose));
    const [from, to, after] = made.map((one) => one.solved);
    if (!from || !to) throw new RangeError('solvePair: a movement has a start and an end');
    return faults.length > 0 ? { faults } : { start: from, end: to, then: after ?? null, placed };
  } catch (error) {
    if (error instanceof Fault) return { faults: [error.fault] };
    throw error;
  }
}

type Upright = { readonly [K in keyof PosesToSolve]: Extract<PosesToSolve[K], Pose | undefined> };
const isUpright = (poses: PosesToSolve): poses is Upright =>
  [poses.start, poses.end, poses.then].every((pose) => pose?.root !== 'side-elbow');

function solveOnSide({ start, end }: PosesToSolve, place: Place): SolvedPair {
  if (start.root !== 'side-elbow' || end.root !== 'side-elbow')
    throw new RangeError('solvePair: who lies on the side at the start does so at the end');
  return { start: onItsSide(start, place.heightM), end: onItsSide(end, place.heightM), then: null, placed: {} };
}

const sideAt = (pose: Pose, place: Place, lengths: Lengths, stood?: FlatLeg): Side =>
  lowered(sideOf(pose, place, lengths, stood), pose.out ?? 0);

/** A tenth of a millimetre is the rounding of the search. */
const contactMm = 1;

function faultsOf(pose: SolvedPose, { root }: Pose): PoseFault[] {
  const past = pose.bends.flatMap(({ joint, degrees: bend }): PoseFault[] => {
    const [least, most] = jointLimits[joint];
    return bend < least - 0.5 || bend > most + 0.5 ? [{ kind: 'past-limit', joint, degrees: Math.round(bend) }] : [];
  });
  if (root === 'free') return past;
  const contacts = pose.legs.flatMap((leg): PoseFault[] => {
    if (leg.on === -Infinity) return [];
    const low = Math.min(leg.heel[1], leg.ball[1], leg.toe[1], ...(root === 'knee' ? [leg.knee[1]] : []));
    const off = (low - leg.on) * 1000;
    return Math.abs(off) > contactMm ? [{ kind: 'off-contact', what: 'a foot', byMm: Math.round(off) }] : [];
  });
  const points = [
    ...pose.legs.flatMap((l) => [l.knee, l.ankle, l.heel, l.ball, l.toe]),
    ...pose.arms.flatMap((a) => [a.elbow, a.hand]),
    ...[pose.hip, pose.neck, pose.head],
  ];
  const under = points.flatMap(([, y]): PoseFault[] =>
    y < -contactMm / 1000 ? [{ kind: 'under-the-floor', what: 'a point', byMm: Math.round(-y * 1000) }] : [],
  );
  return [...past, ...contacts, ...under];
}
