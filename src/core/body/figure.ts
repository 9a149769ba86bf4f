import { footShares, lengthsOf, trunkShares, type Lengths } from './segments';

/** x forward to the toes, y up, in metres; the origin is the floor under the back of the heel. */
export type Point = readonly [x: number, y: number];

export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const less = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
export const times = (k: number, a: Point): Point => [k * a[0], k * a[1]];
/** Between two points, a share of the way from the first. */
export const along = (a: Point, b: Point, share: number): Point => add(a, times(share, less(b, a)));
export const distance = (a: Point, b: Point): number => Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (angle: number): number => (angle * 180) / Math.PI;

/**
 * Angles of a side view, in radians: shank from vertical, + knee forward; thigh, + hip behind the knee; trunk, + shoulder
 * forward; foot, + heel up.
 */
export interface Angles {
  readonly shank: number;
  readonly thigh: number;
  readonly trunk: number;
  readonly foot: number;
}

export interface Figure {
  readonly heel: Point;
  readonly ankle: Point;
  readonly ball: Point;
  readonly toe: Point;
  readonly knee: Point;
  readonly hip: Point;
  /** Between the fifth lumbar and the first sacral vertebra. */
  readonly lumbar: Point;
  readonly shoulder: Point;
}

/** A point of the foot, given as it is with the foot flat; the foot turns about the ball, which stays. */
export function footPoint({ ballFromHeel }: Lengths, [x, y]: Point, pitch: number): Point {
  const [cos, sin] = [Math.cos(pitch), Math.sin(pitch)];
  return [ballFromHeel + (x - ballFromHeel) * cos + y * sin, -(x - ballFromHeel) * sin + y * cos];
}

/** A point of the sole so far from the heel: in front of the ball it lies on the floor. */
export const solePoint = (lengths: Lengths, fromHeel: number, pitch: number): Point =>
  fromHeel >= lengths.ballFromHeel ? [fromHeel, 0] : footPoint(lengths, [fromHeel, 0], pitch);

export const anklePoint = (lengths: Lengths, pitch: number): Point =>
  footPoint(lengths, [footShares.ankle * lengths.foot, lengths.ankle], pitch);

/** knee = ankle + Ls (sin a, cos a) */
export const kneeOver = (ankle: Point, { shank }: Lengths, angle: number): Point =>
  add(ankle, [shank * Math.sin(angle), shank * Math.cos(angle)]);

/** hip = knee + Lt (-sin b, cos b) */
export const hipOver = (knee: Point, { thigh }: Lengths, angle: number): Point =>
  add(knee, [-thigh * Math.sin(angle), thigh * Math.cos(angle)]);

/** A point so far along a trunk from the hip, and so far to the front of it. */
export function trunkPoint(hip: Point, angle: number, alongIt: number, toFront: number): Point {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [hip[0] + alongIt * sin + toFront * cos, hip[1] + alongIt * cos - toFront * sin];
}

/** Joint points of somebody standing, from angles. */
export function figureOf(heightM: number, { shank, thigh, trunk, foot }: Angles): Figure {
  const lengths = lengthsOf(heightM);
  const ankle = anklePoint(lengths, foot);
  const knee = kneeOver(ankle, lengths, shank);
  const hip = hipOver(knee, lengths, thigh);
  return {
    heel: solePoint(lengths, 0, foot),
    ankle,
    ball: [lengths.ballFromHeel, 0],
    toe: [lengths.foot, 0],
    knee,
    hip,
    lumbar: trunkPoint(hip, trunk, trunkShares.lumbar * lengths.trunk, 0),
    shoulder: trunkPoint(hip, trunk, lengths.trunk, 0),
  };
}

/** Whether two bones that end at two points can meet. */
export function bonesReach(from: Point, fromLength: number, to: Point, toLength: number): boolean {
  const far = distance(from, to);
  return far <= fromLength + toLength && far >= Math.abs(fromLength - toLength) && far > 0;
}

/**
 * The joint between two bones that end at two points: where two circles meet, on the left of the way from the first to the
 * second or on the right of it.
 * @returns null where the bones do not reach
 */
export function jointBetween(
  from: Point,
  fromLength: number,
  to: Point,
  toLength: number,
  side: 'left' | 'right',
): Point | null {
  if (!bonesReach(from, fromLength, to, toLength)) return null;
  const far = distance(from, to);
  const [ex, ey] = times(1 / far, less(to, from));
  const q = (fromLength ** 2 + far ** 2 - toLength ** 2) / (2 * far);
  const out = Math.sqrt(Math.max(0, fromLength ** 2 - q ** 2)) * (side === 'left' ? 1 : -1);
  return [from[0] + q * ex - out * ey, from[1] + q * ey + out * ex];
}
