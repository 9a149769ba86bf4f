import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const bridgeSwaps: LadderSwaps = {
  1: {
    knee: [same('feet-further'), to('Q1')],
    hip: [same('press-lighter')],
    back: [same('press-lighter')],
    ankle: [same('heels-further')],
  },
  2: {
    knee: [same('heels-further'), to('H2'), to('B1')],
    hip: [same('range-half'), to('B1')],
    back: [same('range-half'), to('B1')],
    ankle: [same('heels-further'), to('B1')],
    shoulder: [same('arms-on-belly')],
  },
  3: {
    knee: [same('heels-further'), to('B2'), to('H4')],
    hip: [same('range-half'), to('B1'), to('A1')],
    back: [same('range-half'), to('B1')],
    ankle: [same('heels-further'), to('B1')],
    shoulder: [same('arms-on-belly')],
  },
  4: {
    knee: [same('heels-further'), to('B3'), to('H4')],
    hip: [to('B3', 'range-half'), to('B1'), to('A1')],
    back: [to('B3', 'range-half'), to('B1'), to('S1')],
    ankle: [same('heels-further'), to('B3'), to('B1')],
    shoulder: [same('arms-on-belly')],
  },
  5: {
    knee: [to('B4'), to('B3'), to('H4')],
    hip: [to('B3', 'range-half'), to('B1'), to('A1')],
    back: [to('B3', 'range-half'), to('B1'), to('S1')],
    ankle: [to('B4'), to('B3'), to('B1')],
    shoulder: [same('arms-on-belly')],
  },
  6: {
    knee: [to('B4'), to('B3'), to('H4')],
    hip: [to('B3', 'range-half'), to('B1'), to('A1')],
    back: [to('B3', 'range-half'), to('B1'), to('S1')],
    ankle: [to('B4'), to('B3'), to('B1')],
    shoulder: [same('arms-on-belly')],
  },
};
