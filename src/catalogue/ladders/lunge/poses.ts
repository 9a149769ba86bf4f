import type { Pose, RungPoses } from '../../../core/shapes/pose';

const tall: Pose = { root: 'foot', trunk: 2, leg: { shank: 0, thigh: 2 }, hands: { to: 'hips' } };
const sliding: Pose = {
  ...{ root: 'foot', trunk: 16, leg: { shank: 14, thigh: 34 }, hands: { to: 'hips' } },
  other: { bend: 14, falls: 'back', foot: 30 },
};
/** A long step, standing between both feet. */
const longStep: Pose = {
  ...{ root: 'foot', trunk: 4, leg: { shank: -8, thigh: 15 }, hands: { to: 'hips' } },
  other: { bend: 8, falls: 'back', foot: 38 },
};
const sunk: Pose = {
  ...{ root: 'foot', trunk: 12, leg: { shank: 8, thigh: 72 }, hands: { to: 'hips' } },
  other: { stays: true, foot: 48 },
};
const stepped: Pose = {
  ...{ root: 'foot', trunk: 10, leg: { shank: 52, thigh: 4, foot: 40 }, hands: { to: 'hips' } },
  other: { bend: 42, falls: 'front' },
};

/** How each rung looks, easiest first. Common practice, no published source. */
export const lungePoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', hold: 'rail', props: [], path: 'hip' },
    start: {
      ...{ root: 'foot', trunk: 2, leg: { shank: -10, thigh: 12 }, hands: { to: 'hips' } },
      other: { bend: 4, falls: 'back', foot: 0 },
    },
    end: {
      ...{ root: 'foot', trunk: 4, leg: { shank: 3, thigh: 9 }, hands: { to: 'hips' } },
      other: { stays: true, foot: 30 },
    },
  },
  { rung: 2, view: 'side', hold: 'chair-back', props: ['plate'], start: tall, end: sliding, path: 'otherFoot' },
  { rung: 3, view: 'side', hold: 'chair-back', props: ['plate'], start: tall, end: sliding, path: 'otherFoot' },
  { rung: 4, view: 'side', hold: 'rail', props: ['pad'], start: longStep, end: sunk, path: 'hip' },
  { rung: 5, view: 'side', hold: 'rail', props: ['pad'], start: longStep, end: sunk, path: 'hip' },
  {
    ...{ rung: 6, view: 'side', hold: 'side-rail', props: [], path: 'otherFoot' },
    start: tall,
    end: {
      ...{ root: 'foot', trunk: 10, leg: { shank: 10, thigh: 46 }, hands: { to: 'hips' } },
      other: { bend: 42, falls: 'back', foot: 45 },
    },
  },
  { rung: 7, view: 'side', hold: 'side-rail', props: [], start: tall, end: stepped, path: 'otherFoot' },
  { rung: 8, view: 'side', hold: 'side-rail', props: [], start: tall, end: stepped, path: 'otherFoot' },
];
