import type { Pose, RungPoses } from '../../../core/shapes/pose';

const sitting: Pose = { root: 'foot', trunk: 0, leg: { shank: 2, hip: 'seat' }, hands: { to: 'creases' } };
const soft: Pose = { root: 'foot', trunk: 6, leg: { shank: 5, thigh: 8 }, hands: { to: 'creases' } };
const bow = (trunk: number, bend: number): Pose => ({
  ...{ root: 'foot', trunk, leg: { balanced: 'bow', bend }, hands: { to: 'creases' } },
  head: trunk * 0.8,
});
const oneLeg: Pose = {
  ...{ root: 'foot', trunk: 4, leg: { shank: 3, thigh: 6 }, hands: { to: 'hips' } },
  other: { shank: 30, thigh: 0, foot: 30 },
};

/** How each rung looks, easiest first. Common practice, no published source. */
export const hingePoses: readonly RungPoses[] = [
  {
    rung: 1,
    view: 'side',
    props: ['chair'],
    start: sitting,
    end: { ...sitting, trunk: 42, head: 34 },
    path: 'shoulder',
  },
  { rung: 2, view: 'side', hold: 'chair-back', props: [], start: soft, end: bow(62, 24), path: 'shoulder' },
  { rung: 3, view: 'side', hold: 'rail', props: [], start: soft, end: bow(38, 18), path: 'shoulder' },
  {
    ...{ rung: 4, view: 'side', hold: 'rail', props: [], path: 'shoulder' },
    start: { ...soft, hands: { to: 'thighs' } },
    end: { ...bow(62, 24), hands: { to: 'knees' } },
  },
  {
    ...{ rung: 5, view: 'side', props: ['box'], path: 'hand' },
    start: { ...soft, hands: { upper: 4, fore: 8 } },
    end: { ...bow(52, 70), hands: { upper: 8, fore: 10 } },
  },
  {
    ...{ rung: 6, view: 'side', hold: 'rail', props: [], path: 'shoulder' },
    start: { ...soft, hands: { to: 'hips' }, other: { bend: 14, falls: 'back', foot: 32 } },
    end: { ...bow(56, 26), hands: { to: 'hips' }, other: { stays: true, foot: 38 } },
  },
  {
    ...{ rung: 7, view: 'side', hold: 'rail', props: [], path: 'shoulder' },
    start: oneLeg,
    end: { ...bow(62, 20), hands: { to: 'hips' }, other: { shank: 62, thigh: -54, foot: 60 } },
  },
  {
    ...{ rung: 8, view: 'side', hold: 'rail', props: [], path: 'hand' },
    start: { ...oneLeg, hands: { to: 'ribs' } },
    end: { ...bow(46, 28), hands: { upper: 60, fore: 66 }, other: { shank: 58, thigh: -24, foot: 50 } },
  },
];
