import type { Pose, RungPoses } from '../../../core/shapes/pose';

const tall: Pose = { root: 'foot', trunk: 2, leg: { shank: 3, thigh: 0 }, hands: { to: 'hips' } };
const onToes: Pose = { ...tall, leg: { shank: 3, thigh: -1, foot: 34 } };
const other = { shank: 62, thigh: 4, foot: 40 } as const;

/** How each rung looks, easiest first. Common practice, no published source. */
export const anklePoses: readonly RungPoses[] = [
  { rung: 1, view: 'side', hold: 'rail', props: [], start: tall, end: onToes, path: 'heel' },
  { rung: 2, view: 'side', hold: 'rail', props: [], start: tall, end: onToes, path: 'heel' },
  { rung: 3, view: 'side', hold: 'rail', props: [], start: tall, end: onToes, path: 'heel' },
  {
    ...{ rung: 4, view: 'side', hold: 'rail', props: [], path: 'heel' },
    start: { ...tall, other },
    end: { ...onToes, other },
  },
];
