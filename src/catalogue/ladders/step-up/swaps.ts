import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const stepUpSwaps: LadderSwaps = {
  1: {
    knee: [to('L1'), to('A1'), to('H2')],
    hip: [same('knee-lower'), to('A1')],
    back: [same('knee-lower'), to('L1'), to('A1')],
    ankle: [to('L1'), to('H2'), to('S4')],
    shoulder: [same('other-hand')],
  },
  2: {
    knee: [same('step-lower'), to('L1'), to('H2')],
    hip: [same('step-lower'), to('A1')],
    back: [same('step-lower'), to('L1'), to('A1')],
    ankle: [to('L1'), to('H2'), to('S4')],
    shoulder: [same('other-hand')],
  },
  3: {
    knee: [to('U2', 'low'), to('H4'), to('L1')],
    hip: [same('step-lower'), to('A1')],
    back: [to('U2', 'low'), to('L1'), to('A1')],
    ankle: [to('L1'), to('H2'), to('S4')],
    shoulder: [same('other-hand')],
  },
  4: {
    knee: [to('A1'), to('H4')],
    hip: [to('A1')],
    back: [to('A1')],
    ankle: [to('S4'), to('H2')],
  },
};
