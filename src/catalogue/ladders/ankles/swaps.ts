import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const anklesSwaps: LadderSwaps = {
  1: {
    knee: [same('range-half'), to('B1')],
    hip: [same('feet-closer')],
    back: [same('range-half')],
    ankle: [same('toes-only', 'seated'), to('B1')],
    shoulder: [same('rail-hip-high')],
  },
  2: {
    knee: [same('range-half'), to('A1')],
    hip: [to('A1')],
    back: [to('A1')],
    ankle: [same('toes-only', 'seated'), to('B1')],
    shoulder: [same('other-hand')],
  },
  3: {
    knee: [same('range-half'), to('A1')],
    hip: [to('A1')],
    back: [to('A1')],
    ankle: [same('toes-only', 'seated'), to('B1')],
    shoulder: [same('other-hand')],
  },
  4: {
    knee: [to('A1'), to('B1')],
    hip: [to('A1'), to('A2')],
    back: [to('A1')],
    ankle: [to('A1'), to('B1')],
    shoulder: [same('other-hand')],
  },
};
