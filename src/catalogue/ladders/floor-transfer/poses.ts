import type { Pose, RungPoses } from '../../../core/shapes/pose';

/** One foot in front, the other knee on the floor. */
const halfKneeling: Pose = {
  ...{ root: 'foot', trunk: 26, leg: { shank: 6, thigh: 100 }, hands: { to: 'chair-seat' } },
  other: { kneels: 'back', foot: 70 },
};
const leaning: Pose = {
  ...{ root: 'foot', trunk: 56, leg: { shank: 14, thigh: 34 }, hands: { to: 'chair-seat' } },
  other: { bend: 26, falls: 'back', foot: 40 },
};

/** How each rung looks, easiest first. Common practice, no published source. */
export const floorTransferPoses: readonly RungPoses[] = [
  { rung: 1, view: 'side', props: ['pad'], start: halfKneeling, end: leaning, path: 'hip' },
  { rung: 2, view: 'side', props: ['pad'], start: halfKneeling, end: leaning, path: 'hip' },
  {
    ...{ rung: 3, view: 'side', props: ['pad'], path: 'hip' },
    start: { ...halfKneeling, hands: { to: 'thighs' } },
    end: { root: 'foot', trunk: 3, leg: { shank: 2, thigh: 4 }, hands: { upper: 2, fore: 8 } },
  },
];
