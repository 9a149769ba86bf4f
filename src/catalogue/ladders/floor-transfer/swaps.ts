import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const floorTransferSwaps: LadderSwaps = {
  1: {
    knee: [same('second-pad'), to('L1')],
    hip: [same('other-leg-leads'), to('S1')],
    back: [to('L1'), to('S2')],
    ankle: [same('other-leg-leads'), to('S2')],
    shoulder: [to('L1'), to('S4')],
  },
  2: {
    knee: [same('second-pad'), to('L1')],
    hip: [same('other-leg-leads'), to('S1')],
    back: [to('L1'), to('S2')],
    ankle: [same('other-leg-leads'), to('S2')],
    shoulder: [to('L1'), to('S4')],
  },
  3: {
    knee: [same('second-pad'), to('L1')],
    hip: [same('other-leg-leads'), to('S1')],
    back: [to('L1'), to('S2')],
    ankle: [same('other-leg-leads'), to('S2')],
    shoulder: [to('L1'), to('S4')],
  },
};
