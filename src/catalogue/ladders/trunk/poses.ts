import type { Pose, RungPoses, SideSupport } from '../../../core/shapes/pose';

const prone: Pose = {
  ...{
    root: 'hip-on-floor',
    trunk: 90,
    leg: { bend: 0, falls: 'back', foot: 140 },
    hands: { to: 'forehead' },
    head: 88,
  },
};
const forearms = { upper: 0, fore: 88 } as const;
const dipped: Pose = {
  ...{ root: 'elbow', trunk: 90, leg: { kneels: 'front', foot: 145 }, hands: forearms, head: 84 },
};
const line: Pose = { root: 'elbow', trunk: 0, leg: { inLine: 'knees', foot: 145 }, hands: forearms };
const long: Pose = { root: 'elbow', trunk: 0, leg: { inLine: 'feet', foot: 62 }, hands: forearms };

const onSide: SideSupport = { root: 'side-elbow', hip: 'up' };

/** How each rung looks, easiest first. Common practice, no published source. */
export const trunkPoses: readonly RungPoses[] = [
  {
    ...{ rung: 1, view: 'side', props: ['mat'], path: 'shoulder' },
    start: prone,
    end: { ...prone, trunk: 78, head: 74, leg: { bend: 0, falls: 'back', foot: 140 } },
  },
  { rung: 2, view: 'side', props: ['mat'], start: dipped, end: line, path: 'hip' },
  { rung: 3, view: 'front', props: ['mat'], start: { root: 'side-elbow', hip: 'down' }, end: onSide, path: 'hip' },
  { rung: 4, view: 'front', props: ['mat'], start: onSide, end: { ...onSide, lift: 24 }, path: 'knee' },
  { rung: 5, view: 'side', props: ['mat'], start: line, end: long, path: 'otherKnee' },
];
