import type { Pose, RungPoses } from '../../../core/shapes/pose';

const tall: Pose = { root: 'foot', trunk: 2, leg: { shank: 2, thigh: 2 }, hands: { upper: 2, fore: 8 } };
const sitting: Pose = { root: 'foot', trunk: 0, leg: { shank: 2, hip: 'seat' }, hands: { to: 'own-seat' } };
const overSeat: Pose = {
  ...{ root: 'foot', trunk: 40, leg: { balanced: 'squat', shank: 20, arms: 'forward' } },
  hands: { upper: 62, fore: 72 },
};
const hugged: Pose = {
  ...{ root: 'foot', trunk: 40, leg: { balanced: 'squat', shank: 22, arms: 'crossed' } },
  hands: { to: 'breastbone' },
};
const onToes: Pose = {
  ...{ root: 'foot', trunk: 2, leg: { shank: 2, thigh: 0, foot: 35 } },
  hands: { upper: 40, fore: 60 },
};

/** How each rung looks, easiest first. Common practice, no published source. */
export const squatPoses: readonly RungPoses[] = [
  { rung: 1, view: 'side', props: ['chair'], start: sitting, end: { ...sitting, trunk: 12 }, path: 'shoulder' },
  {
    ...{ rung: 2, view: 'side', props: ['chair'], path: 'hip' },
    start: { ...sitting, trunk: 28, leg: { shank: 12, hip: 'seat' } },
    end: { ...tall, trunk: 8, leg: { shank: 8, thigh: 8 }, hands: { to: 'thighs' } },
  },
  {
    ...{ rung: 3, view: 'side', props: ['chair'], path: 'hip' },
    start: { ...sitting, trunk: 32, leg: { shank: 12, hip: 'seat' }, hands: { to: 'thighs' } },
    end: tall,
  },
  {
    ...{ rung: 4, view: 'side', hold: 'rail', props: ['chair'], path: 'hip' },
    start: { ...sitting, trunk: 30, leg: { shank: 10, hip: 'seat' }, hands: { upper: 45, fore: 75 } },
    end: tall,
  },
  { rung: 5, view: 'side', hold: 'rail', props: ['chair'], start: tall, end: overSeat, path: 'hip' },
  { rung: 6, view: 'side', hold: 'rail', props: ['chair'], start: tall, end: overSeat, path: 'hip' },
  { rung: 7, view: 'side', hold: 'rail', props: [], start: tall, end: overSeat, path: 'hip' },
  {
    ...{ rung: 8, view: 'side', props: ['weight'], path: 'hip' },
    start: { ...tall, hands: { to: 'breastbone' } },
    end: hugged,
  },
  {
    ...{ rung: 9, view: 'side', hold: 'rail', props: [], path: 'hip' },
    start: { root: 'foot', trunk: 25, leg: { shank: 22, thigh: 30 }, hands: { upper: -35, fore: -20 } },
    end: onToes,
  },
];
