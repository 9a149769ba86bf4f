import type { Pose, RungPoses } from '../../../core/shapes/pose';

const straight = { bend: 0, falls: 'front', foot: -82 } as const;
const sat: Pose = { root: 'hip-on-floor', trunk: -4, leg: straight, hands: { to: 'floor' } };
const raised: Pose = {
  ...{ root: 'hip-on-floor', trunk: -4, leg: { shank: -110, thigh: 110, foot: -104 }, hands: { to: 'floor' } },
  other: { bend: 95, falls: 'front', foot: 0 },
};
const lowered: Pose = { ...raised, leg: straight };

/** How each rung looks, easiest first. Common practice, no published source. */
export const thighSetPoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', props: ['wall-behind', 'mat', 'towel'], path: 'knee' },
    start: { ...sat, leg: { bend: 22, falls: 'front', foot: -70 } },
    end: sat,
  },
  { rung: 2, view: 'side', props: ['wall-behind', 'mat'], start: lowered, end: raised, path: 'heel' },
  { rung: 3, view: 'side', props: ['wall-behind', 'mat', 'three-ways'], start: lowered, end: raised, path: 'heel' },
];
