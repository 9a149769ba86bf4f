import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const trunkSwaps: LadderSwaps = {
  1: {
    back: [to('M3'), to('B1')],
    shoulder: [same('arms-at-sides'), to(['B3', 'B2'])],
  },
  2: {
    knee: [same('pad'), to(['B3', 'B2'])],
    back: [to(['B3', 'B2'], 'range-half'), to('B1')],
    shoulder: [to(['B4', 'B3'])],
  },
  3: {
    knee: [same('pad'), to(['B3', 'B2'])],
    hip: [to('K2'), to('B1')],
    back: [to(['B3', 'B2'], 'range-half'), to('B1')],
    shoulder: [to('K2'), to('B3')],
  },
  4: {
    knee: [same('pad'), to(['B3', 'B2'])],
    hip: [to('K2'), to('B1')],
    back: [to(['B3', 'B2'], 'range-half'), to('B1')],
    shoulder: [to('K2'), to('B3')],
  },
  5: {
    back: [to(['B3', 'B2'], 'range-half'), to('B1')],
    ankle: [to('K2')],
    shoulder: [to(['B4', 'B3'])],
  },
};
