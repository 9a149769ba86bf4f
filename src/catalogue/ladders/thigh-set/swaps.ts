import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const thighSetSwaps: LadderSwaps = {
  1: {
    knee: [same('press-lighter', 'towel-higher'), to('B1')],
    hip: [same('press-lighter')],
    back: [same('press-lighter', 'back-supported')],
  },
  2: {
    knee: [to('Q1'), to('B1')],
    hip: [to('Q1')],
    back: [to('Q1')],
  },
  3: {
    knee: [to('Q1'), to('B1')],
    hip: [to('Q1')],
    back: [to('Q1')],
  },
};
