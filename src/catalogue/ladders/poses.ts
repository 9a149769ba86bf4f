import type { Pattern } from '../../core/shapes/facts';
import type { RungPoses } from '../../core/shapes/pose';
import { anklePoses } from './ankles/poses';
import { bridgePoses } from './bridge/poses';
import { floorTransferPoses } from './floor-transfer/poses';
import { hingePoses } from './hinge/poses';
import { lungePoses } from './lunge/poses';
import { mobilityPoses } from './mobility/poses';
import { squatPoses } from './squat/poses';
import { stepUpPoses } from './step-up/poses';
import { thighSetPoses } from './thigh-set/poses';
import { trunkPoses } from './trunk/poses';
import { widePoses } from './wide/poses';

/** How the rungs of each ladder look. Whoever judges a level needs none of it. */
const poses: Readonly<Record<Pattern, readonly RungPoses[]>> = {
  S: squatPoses,
  L: lungePoses,
  H: hingePoses,
  B: bridgePoses,
  W: widePoses,
  A: anklePoses,
  U: stepUpPoses,
  F: floorTransferPoses,
  Q: thighSetPoses,
  K: trunkPoses,
  M: mobilityPoses,
};

export const posesOf = (pattern: Pattern, rung: number): RungPoses | undefined =>
  poses[pattern].find((p) => p.rung === rung);
