import type { Pose, RungPoses } from '../../../core/shapes/pose';

const tall: Pose = { root: 'foot', trunk: 2, leg: { shank: 3, thigh: 0 }, hands: { to: 'hips' } };
const onToes: Pose = { ...tall, leg: { shank: 3, thigh: -1, foot: 34 } };
/** The heels stay. */
const toesUp: Pose = { ...tall, leg: { shank: 1, thigh: 1, foot: -16 } };
const other = { shank: 62, thigh: 4, foot: 40 } as const;

/** Up on the toes, and after it the toes up. */
const both = { view: 'side', hold: 'rail', props: [], start: tall, end: onToes, then: toesUp, path: 'heel' } as const;

/** How each rung looks, easiest first. Common practice, no published source. */
export const anklePoses: readonly RungPoses[] = [
  { rung: 1, ...both },
  { rung: 2, ...both },
  { rung: 3, ...both },
  {
    ...{ rung: 4, view: 'side', hold: 'rail', props: [], path: 'heel' },
    start: { ...tall, other },
    end: { ...onToes, other },
  },
];
