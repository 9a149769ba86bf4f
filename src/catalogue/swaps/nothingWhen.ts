import type { LoadedJoint } from '../../core/shapes/ladder';

/** Signs at a joint that leave nothing to swap: the movement stops, and somebody licensed looks. Common practice, no published source. */
export const nothingWhen: Readonly<Record<LoadedJoint, readonly string[]>> = {
  knee: [
    'hot or swollen',
    'gives way or locks',
    'new since a fall',
    'replaced under 6 months and worse than last time',
  ],
  hip: [
    'groin pain on standing after a fall',
    'hip replaced and new groin pain or a shorter, turned-out leg (lie still, emergency call)',
    'replaced with limits: only what the limits allow',
  ],
  back: [
    'spine fracture or fragile bone and new back pain',
    'pain, tingling or weakness down a leg',
    'bladder or bowel change (emergency call)',
  ],
  ankle: [
    'calf swollen, hot or tender (their doctor today)',
    'cannot stand on it after a twist',
    'wound or colour change with numb feet',
  ],
  shoulder: ['left arm, jaw or chest with it, or with effort (emergency call)', 'cannot lift the arm since a fall'],
};
