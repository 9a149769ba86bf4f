import type { Pose, RungPoses } from '../../../core/shapes/pose';

const tall: Pose = { root: 'foot', trunk: 2, leg: { shank: 0, thigh: 2 }, hands: { to: 'hips' } };
const onStep = (thigh: number): Pose => ({
  ...{ root: 'foot-on-step', trunk: 14, leg: { shank: 14, thigh }, hands: { to: 'hips' } },
  other: { bend: 8, falls: 'back', foot: 22 },
});
const up: Pose = { ...tall, root: 'foot-on-step' };

/** How each rung looks, easiest first. Common practice, no published source. */
export const stepUpPoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', hold: 'side-rail', props: [], path: 'otherKnee' },
    start: { ...tall, trunk: 6, leg: { shank: 4, thigh: 14 }, other: { bend: 14, falls: 'back', foot: 32 } },
    end: { ...tall, other: { shank: 2, thigh: 84, foot: 0 } },
  },
  { rung: 2, view: 'side', hold: 'side-rail', props: ['step'], start: onStep(46), end: up, path: 'hip' },
  { rung: 3, view: 'side', hold: 'side-rail', props: ['step'], start: onStep(60), end: up, path: 'hip' },
  {
    ...{ rung: 4, view: 'side', hold: 'rail', props: [], path: 'hip' },
    start: { root: 'foot', trunk: 20, leg: { shank: 18, thigh: 24 }, hands: { upper: -30, fore: -15 } },
    end: { root: 'foot', trunk: 2, leg: { shank: 2, thigh: 0, foot: 35 }, hands: { upper: 30, fore: 50 } },
  },
];
