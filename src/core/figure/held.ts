import type { Support } from '../shapes/facts';
import type { HandsAt, Pose, RungPoses } from '../shapes/pose';
import { solvePair, type Place } from './pose';
import type { SolvedPose } from './solved';

/** Hands just above a rail, in shares of height. */
const above = -0.03;

/** The poses with the hands as free as the level says; where the movement says it, as they are. */
export function withHands(poses: RungPoses, support: Support): RungPoses {
  const { hold, start, end, then } = poses;
  if (hold === undefined || support === '0' || start.root === 'side-elbow' || end.root === 'side-elbow') return poses;
  const held: HandsAt = support === 'h' ? { to: hold, down: above } : { to: hold };
  const both = support === '2' || support === 'h';
  const put = (pose: Pose): Pose =>
    both ? { ...pose, hands: held, otherHand: held } : { ...pose, hands: held, otherHand: pose.hands };
  return { ...poses, start: put(start), end: put(end), ...(then ? { then: put(then) } : {}) };
}

/** The height a figure is drawn for where none is noted, in cm. */
export const usualHeightCm = 165;

/** Of things of the hall, in metres: common practice, no published source. */
const usual = { railM: 0.9, chairBackM: 0.88, surfaceM: 0.48, boxM: 0.5, seatM: 0.45 } as const;
/** Step of each rung of the step-up, in metres. */
const steps: Readonly<Record<number, number>> = { 2: 0.12, 3: 0.2 };

/** The place of a figure: this body, the seat or target of its level, and what a hall usually has. @param targetCm of the level */
export function placeFor(heightCm: number, rung: { readonly rung: number; readonly targetCm: number | null }): Place {
  const targetM = rung.targetCm === null ? null : rung.targetCm / 100;
  return {
    ...usual,
    heightM: heightCm / 100,
    // Whoever is tall holds where their hip is.
    railM: Math.max(usual.railM, 0.5 * (heightCm / 100)),
    seatM: targetM ?? usual.seatM,
    boxM: targetM ?? usual.boxM,
    stepM: steps[rung.rung] ?? 0.12,
  };
}

/** Whoever may spot: upright, one step from the belt, a hand open near it. */
const spotting: Pose = {
  ...{ root: 'foot', trunk: 0, leg: { shank: 0, thigh: 0 } },
  ...{ hands: { upper: 30, fore: 62 }, otherHand: { upper: 5, fore: 12 } },
};

/** Whoever may spot, as they stand by; of a usual height, their foot at nothing. */
export function spotter(place: Place): SolvedPose | null {
  const pair = solvePair({ start: spotting, end: spotting }, { ...place, heightM: usualHeightCm / 100 });
  return 'faults' in pair ? null : pair.start;
}
