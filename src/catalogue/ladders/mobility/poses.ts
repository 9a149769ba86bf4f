import type { Pose, RungPoses } from '../../../core/shapes/pose';

const atWall: Pose = {
  ...{ root: 'foot', trunk: 4, leg: { shank: 2, thigh: 10 }, hands: { to: 'wall' } },
  other: { bend: 12, falls: 'back', foot: 10 },
};
/** On the side, seen from above. */
const lying: Pose = {
  ...{ root: 'free', trunk: 4, leg: { shank: 34, thigh: 30, foot: 20 }, hands: { upper: 165, fore: 150 } },
  ...{ other: { shank: 92, thigh: 28, foot: 60 }, otherHand: { to: 'hips' } },
};
const drill: Pose = {
  ...{ root: 'foot', trunk: 0, leg: { shank: 2, hip: 'seat' }, hands: { upper: 6, fore: 88, apart: 0.5 } },
};

/** How each item of the set looks. Common practice, no published source. */
export const mobilityPoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', props: [], path: 'knee' },
    start: atWall,
    end: { ...atWall, trunk: 6, leg: { shank: 30, thigh: 20 }, other: { stays: true, foot: 24 } },
  },
  {
    ...{ rung: 2, view: 'above', props: ['mat', 'strap'], path: 'otherKnee' },
    start: lying,
    end: { ...lying, other: { shank: 116, thigh: 2, foot: 80 } },
  },
  {
    ...{ rung: 3, view: 'front', props: ['chair', 'band'], path: 'hand' },
    start: drill,
    end: { ...drill, hands: { upper: 0, fore: 88, apart: 1.7 } },
  },
];
