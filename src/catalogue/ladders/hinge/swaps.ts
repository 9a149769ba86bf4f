import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const hingeSwaps: LadderSwaps = {
  1: {
    knee: [same('feet-further'), to('B1')],
    hip: [same('range-half'), to('B1')],
    back: [same('range-half', 'stick'), to('B1')],
    ankle: [same('feet-further')],
  },
  2: {
    knee: [same('knees-softer'), to('H1'), to('B2')],
    hip: [same('range-half'), to('B1'), to('A1')],
    back: [same('range-half', 'stick'), to('B1'), to('S1')],
    ankle: [same('hands+1'), to('H1')],
    shoulder: [same('rail-hip-high', 'range-half'), to('H1')],
  },
  3: {
    knee: [same('hands+1'), to('H1'), to(['B3', 'B2'])],
    hip: [same('range-half'), to('B1'), to('A1')],
    back: [same('range-half'), to('B1'), to(['S4', 'S2'])],
    ankle: [to('H2'), to('H1'), to(['B3', 'B2'])],
  },
  4: {
    knee: [same('range-half'), to('H2'), to(['B3', 'B2'])],
    hip: [same('range-half'), to('B1'), to('A1')],
    back: [to('H2', 'range-half'), to(['B3', 'B2']), to('B1')],
    ankle: [to('H2'), to('H1'), to(['B3', 'B2'])],
  },
  5: {
    knee: [same('box+10'), to('H4'), to('H2')],
    hip: [to('H2', 'range-half'), to(['B3', 'B2']), to('A1')],
    back: [to('H2', 'range-half'), to(['S4', 'S2']), to(['B3', 'B2'])],
    ankle: [to('H2'), to('H4', 'hands+1'), to(['B3', 'B2'])],
    shoulder: [same('no-load'), to('H4'), to('H1')],
  },
  6: {
    knee: [to('H4'), to('H2'), to(['B4', 'B3'])],
    hip: [to('H2', 'range-half'), to(['B3', 'B2']), to('A1')],
    back: [to('H2', 'range-half'), to(['B3', 'B2']), to('L1')],
    ankle: [to('H2'), to('H4', 'hands+1'), to(['B4', 'B3'])],
  },
  7: {
    knee: [to('H4'), to('H6'), to(['B4', 'B3'])],
    hip: [to('H2', 'range-half'), to(['B3', 'B2']), to('A1')],
    back: [to('H2', 'range-half'), to(['B3', 'B2']), to('L1')],
    ankle: [to('H2'), to('H4', 'hands+1'), to(['B4', 'B3'])],
    shoulder: [same('other-hand')],
  },
  8: {
    knee: [to('H4'), to('H6'), to(['B4', 'B3'])],
    hip: [to('H2', 'range-half'), to(['B3', 'B2']), to('A1')],
    back: [to('H2', 'range-half'), to(['B3', 'B2']), to('L1')],
    ankle: [to('H2'), to('H4', 'hands+1'), to(['B4', 'B3'])],
    shoulder: [same('hand-on-hip'), to('H6')],
  },
};
