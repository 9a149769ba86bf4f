import { radians } from '../body/figure';
import { root } from '../math/root';
import type { Hinge } from './setUp';
import {
  outOfBalance,
  solvedAt,
  standingOn,
  standsNot,
  stoodAt,
  unbalanced,
  unsolved,
  type Solved,
  type Unsolved,
} from './standing';

/** Which side of the thigh holds the knee. */
export type KneeSide = 'quadriceps' | 'hamstring';
export const kneeSideOf = (kneeNm: number): KneeSide => (kneeNm >= 0 ? 'quadriceps' : 'hamstring');

export type HingeAnswer =
  | (Solved & {
      readonly kneeSide: KneeSide;
      /** Hip bend less half the knee bend: how far the back of the thigh is drawn out. Rough, an assumption. */
      readonly hamstringStretchIndexDeg: number;
    })
  | Unsolved;

/** Trunk lean and knee bend are given; the shins find the balance. */
export function solveHinge(one: Hinge): HingeAnswer {
  if (standsNot(one)) return unsolved('no_ground_contact');
  const standing = standingOn(one, 0);
  const [trunk, bend] = [radians(one.trunkDeg), radians(one.kneeFlexDeg)];
  const stood = (shank: number) => stoodAt(standing, shank, bend - shank, trunk);
  const found = root((shank) => outOfBalance(standing, stood(shank)), radians(-30), radians(45));
  if (!('at' in found)) return unbalanced(found.near, one);
  const solved = solvedAt(standing, stood(found.at));
  const { hipFlexDeg, kneeFlexDeg } = solved.posture;
  return {
    ...solved,
    kneeSide: kneeSideOf(solved.momentNm.knee),
    hamstringStretchIndexDeg: hipFlexDeg - 0.5 * kneeFlexDeg,
  };
}
