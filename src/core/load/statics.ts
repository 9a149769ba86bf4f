import { along, less, type Point } from '../body/figure';
import { legCentre, massShares } from '../body/segments';
import { gravity, type Force } from './setUp';

/** A mass and where its centre is. */
export interface Mass {
  readonly kg: number;
  readonly at: Point;
}

/** rx Fy - ry Fx: the moment of a force about a point, counter-clockwise positive. */
export const cross = (r: Point, f: Point): number => r[0] * f[1] - r[1] * f[0];

export const weightOf = (masses: readonly Mass[]): number => masses.reduce((sum, m) => sum + m.kg * gravity, 0);

/**
 * A moment about one point of all that stands on an ankle hangs on the angles of shank, thigh and trunk as
 * k + a sin + b sin + c sin + d cos: five looks give the whole of it, and searches need no more of them.
 * @param look the moment by angles, radians
 */
export function overAngles(look: OfAngles): OfAngles {
  const right = Math.PI / 2;
  const [upright, upsideDown] = [look(0, 0, 0), look(0, 0, Math.PI)];
  const [k, d] = [(upright + upsideDown) / 2, (upright - upsideDown) / 2];
  const [a, b, c] = [look(right, 0, 0) - upright, look(0, right, 0) - upright, look(0, 0, right) - k];
  return (shank, thigh, trunk) =>
    k + a * Math.sin(shank) + b * Math.sin(thigh) + c * Math.sin(trunk) + d * Math.cos(trunk);
}

type OfAngles = (shank: number, thigh: number, trunk: number) => number;

/** Joints of one leg, with the ball of its foot. */
export interface Leg {
  readonly ball: Point;
  readonly ankle: Point;
  readonly knee: Point;
  readonly hip: Point;
}

/** Masses of one leg: foot, shank, thigh. The centre of the foot lies midway from the ankle to the ball. */
export const legMasses = (
  { ball, ankle, knee, hip }: Leg,
  massKg: number,
): readonly [foot: Mass, shank: Mass, thigh: Mass] => [
  { kg: massShares.foot * massKg, at: along(ankle, ball, 0.5) },
  { kg: massShares.shank * massKg, at: along(knee, ankle, legCentre) },
  { kg: massShares.thigh * massKg, at: along(hip, knee, legCentre) },
];

/** Internal net moments of one leg, N·m: ankle + plantarflexor, knee + extensor, hip + extensor. */
export interface LegMoments {
  readonly ankle: number;
  readonly knee: number;
  readonly hip: number;
}

/**
 * Newton and Euler from the floor up, one leg at rest: each bone gets the force and the moment that hold it, and hands the
 * opposite on to the next.
 * @param ground force of the floor on this foot, and where it takes hold
 */
export function legMoments(leg: Leg, massKg: number, ground: Force): LegMoments {
  const { ankle, knee, hip } = leg;
  const [foot, shank, thigh] = legMasses(leg, massKg);
  const down = (m: Mass): Point => [0, -m.kg * gravity];
  const [wf, ws, wt] = [down(foot), down(shank), down(thigh)];
  // Fa = -(R + Wf);  Ma = -[(c - a) x R + (cf - a) x Wf]
  const fa: Point = [-(ground.n[0] + wf[0]), -(ground.n[1] + wf[1])];
  const ma = -(cross(less(ground.at, ankle), ground.n) + cross(less(foot.at, ankle), wf));
  // Fk = Fa - Ws;  Mk = Ma - [(cs - k) x Ws + (a - k) x -Fa]
  const fk = less(fa, ws);
  const mk = ma - (cross(less(shank.at, knee), ws) + cross(less(ankle, knee), [-fa[0], -fa[1]]));
  // Fh = Fk - Wt;  Mh = Mk - [(ct - h) x Wt + (k - h) x -Fk]
  const mh = mk - (cross(less(thigh.at, hip), wt) + cross(less(knee, hip), [-fk[0], -fk[1]]));
  return { ankle: -ma, knee: mk, hip: -mh };
}

/** Of the whole of the two efforts the part of the knee; `null` where there is none. */
export function kneeShare({ knee, hip }: LegMoments): number | null {
  const [k, h] = [Math.max(knee, 0), Math.max(hip, 0)];
  return k + h <= 1e-9 ? null : k / (k + h);
}

/** What the floor must give: its force, and its moment about the origin. */
export interface Ground {
  readonly rx: number;
  readonly ry: number;
  readonly m0: number;
}

/** sum m g x - h x F: about the origin. */
export const turningOf = (masses: readonly Mass[], support: Force | null): number =>
  masses.reduce((sum, m) => sum + m.kg * gravity * m.at[0], 0) - (support ? cross(support.at, support.n) : 0);

/** Ry = sum m g - Fy, Rx = -Fx, M0 = sum m g x - h x F */
export function groundFor(masses: readonly Mass[], support: Force | null): Ground {
  const [fx, fy] = support?.n ?? [0, 0];
  return { rx: 0 - fx, ry: weightOf(masses) - fy, m0: turningOf(masses, support) };
}

/** Moment at a point of the trunk of all that is above it, + extensor. */
export function trunkMoment(at: Point, above: readonly Mass[], support: Force | null): number {
  const weight = above.reduce((sum, m) => sum - cross(less(m.at, at), [0, -m.kg * gravity]), 0);
  return weight - (support ? cross(less(support.at, at), support.n) : 0);
}
