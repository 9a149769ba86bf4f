import { add, along, distance, times, trunkPoint, type Point } from '../body/figure';
import { lengthShares, massShares, trunkShares, type Lengths } from '../body/segments';
import { gravity, type Carrying, type Force } from './setUp';
import type { Mass } from './statics';

/** Everything above the hips: where it is, what it weighs and what it holds on to. */
export interface Upper {
  readonly shoulder: Point;
  readonly lumbar: Point;
  readonly pelvis: Mass;
  /** Above L5/S1: trunk with head, each arm, what is carried. */
  readonly above: readonly Mass[];
  readonly support: Force | null;
  /** From shoulder to hand, over the length of the arm; `null` without a support. */
  readonly reachUsed: number | null;
}

/**
 * @param hip joint, in metres
 * @param trunk lean from vertical, radians, + forward
 */
export function upperOf(lengths: Lengths, one: Carrying, hip: Point, trunk: number): Upper {
  const { massKg, loadKg, loadAt } = one;
  const at = (along: number, toFront = 0) => trunkPoint(hip, trunk, along, toFront);
  const shoulder = at(lengths.trunk);
  const lumbarUp = trunkShares.lumbar * lengths.trunk;
  const pelvisUp = trunkShares.pelvisOfLumbar * lumbarUp;
  const { trunkWithHead, pelvis } = massShares;
  // What is left of trunk, head and neck without the pelvis lies where both together have their centre.
  const restUp = (trunkWithHead * trunkShares.centre * lengths.trunk - pelvis * pelvisUp) / (trunkWithHead - pelvis);
  const hand = handOf(lengths, one);
  const hands = one.support?.hands ?? 0;
  const free = freeArm(lengths, one, shoulder, at);
  const held = hand && along(shoulder, hand, lengths.armCentre / lengths.reach);
  const arms = [0, 1].map((n): Mass => ({ kg: massShares.arm * massKg, at: (n < hands && held) || free.centre }));
  const load: Mass[] = loadKg > 0 ? [{ kg: loadKg, at: loadAt === 'shoulders' ? shoulder : free.grip }] : [];
  return {
    shoulder,
    lumbar: at(lumbarUp),
    pelvis: { kg: pelvis * massKg, at: at(pelvisUp) },
    above: [{ kg: (trunkWithHead - pelvis) * massKg, at: at(restUp) }, ...arms, ...load],
    support: supportOf(one, hand),
    reachUsed: hand ? distance(hand, shoulder) / lengths.reach : null,
  };
}

/** h = (L + x from toe, hand height) */
export const handOf = (lengths: Lengths, { support }: Pick<Carrying, 'support'>): Point | null =>
  support && [lengths.foot + support.xFromToeM, support.handHeightM];

/** F = M g / 100 (fx, fy), on the person. */
function supportOf({ massKg, support }: Carrying, hand: Point | null): Force | null {
  if (!support || !hand) return null;
  return { at: hand, n: times((massKg * gravity) / 100, [support.fxPct, support.fyPct]) };
}

/** An arm that holds on to nothing: its centre, and what is in its hand. */
function freeArm(
  lengths: Lengths,
  { arms }: Carrying,
  shoulder: Point,
  at: (along: number, toFront: number) => Point,
): { readonly centre: Point; readonly grip: Point } {
  if (arms === 'crossed') {
    const { crossedArms, hugged } = lengthShares;
    const h = lengths.height;
    return { centre: at(crossedArms[0] * h, crossedArms[1] * h), grip: at(hugged[0] * h, hugged[1] * h) };
  }
  const way: Point = arms === 'hanging' ? [0, -1] : [1, 0];
  return { centre: add(shoulder, times(lengths.armCentre, way)), grip: add(shoulder, times(lengths.reach, way)) };
}
