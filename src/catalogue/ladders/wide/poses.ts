import type { Pose, RungPoses } from '../../../core/shapes/pose';

const wide = { out: 14, turn: 32 } as const;
const astride: Pose = {
  ...{ root: 'foot', trunk: 0, leg: { shank: 4, hip: 'seat' }, hands: { to: 'chair-back' } },
};
const round: Pose = {
  ...{ root: 'foot', trunk: 0, leg: { shank: 2, hip: 'seat' }, turn: 42, out: 4 },
  hands: { upper: 50, fore: 95, apart: 0.45 },
};
const tall: Pose = {
  root: 'foot',
  trunk: 2,
  leg: { shank: 2, thigh: 2 },
  hands: { upper: 4, fore: 10, apart: 1.3 },
  ...wide,
};
const sunk: Pose = {
  ...{ root: 'foot', trunk: 20, leg: { balanced: 'squat', shank: 24, arms: 'forward' }, ...wide },
  hands: { upper: 60, fore: 70, apart: 1.3 },
};

/** How each rung looks, easiest first. Common practice, no published source. */
export const widePoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', props: ['chair-turned'], path: 'shoulder' },
    start: astride,
    end: { ...astride, trunk: 8 },
  },
  { rung: 2, view: 'front', props: ['chair'], start: round, end: { ...round, trunk: 12 }, path: 'shoulder' },
  { rung: 3, view: 'front', hold: 'rail', props: [], start: tall, end: sunk, path: 'hip' },
  { rung: 4, view: 'front', hold: 'rail', props: [], start: tall, end: sunk, path: 'hip' },
  { rung: 5, view: 'front', hold: 'rail', props: ['chair'], start: tall, end: sunk, path: 'hip' },
  {
    ...{ rung: 6, view: 'front', props: [], path: 'hip' },
    start: { ...tall, hands: { to: 'ribs' } },
    end: { ...sunk, hands: { upper: 80, fore: 88 }, otherHand: { to: 'ribs' } },
  },
];
