import type { Pose, RungPoses } from '../../../core/shapes/pose';

const sitting: Pose = { root: 'foot', trunk: 6, leg: { shank: -4, hip: 'seat' }, hands: { to: 'thighs' } };
const down: Pose = {
  ...{ root: 'foot', trunk: 'lies', leg: { shank: -14, hip: 'lying' }, hands: { upper: 86, fore: 86 }, head: -84 },
};
const up: Pose = { ...down, leg: { shank: -4, hip: 'bridge' }, hands: { upper: 86, fore: 86 } };

/** How each rung looks, easiest first. Common practice, no published source. */
export const bridgePoses: readonly RungPoses[] = [
  { rung: 1, view: 'side', props: ['chair'], start: sitting, end: { ...sitting, trunk: 0 }, path: 'shoulder' },
  {
    ...{ rung: 2, view: 'side', props: ['surface'], path: 'hip' },
    start: { ...down, root: 'foot-on-surface' },
    end: { ...up, root: 'foot-on-surface' },
  },
  { rung: 3, view: 'side', props: ['mat'], start: down, end: up, path: 'hip' },
  { rung: 4, view: 'side', props: ['mat'], start: down, end: up, path: 'hip' },
  {
    ...{ rung: 5, view: 'side', props: ['mat'], path: 'hip' },
    start: { ...down, other: { bend: 100, falls: 'front', onto: 'same' } },
    end: { ...up, other: { stays: true, foot: 0 } },
  },
  {
    ...{ rung: 6, view: 'side', props: ['mat'], path: 'hip' },
    start: { ...down, other: { bend: 0, falls: 'front', foot: -80, onto: 'same' } },
    end: { ...up, other: { shank: -116, thigh: 116, foot: -100 } },
  },
];
