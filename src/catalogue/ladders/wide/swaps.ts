import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const wideSwaps: LadderSwaps = {
  1: {
    knee: [to('W2'), to('Q1')],
    hip: [to('S1'), to('W2')],
    back: [same('trunk-tall'), to('S1')],
    ankle: [same('feet-closer')],
    shoulder: [same('hands-on-thighs')],
  },
  2: {
    knee: [same('feet-closer'), to('Q1'), to('B1')],
    hip: [to('S1'), to('B1')],
    back: [same('trunk-tall'), to('S1')],
    ankle: [same('feet-closer')],
    shoulder: [same('hands-on-thighs')],
  },
  3: {
    knee: [same('range-half'), to('W2'), to(['B3', 'B2'])],
    hip: [to(['S5', 'S4', 'S2'], 'seat+5'), to('W2'), to('S1')],
    back: [same('range-half', 'trunk-tall'), to('W2'), to('S1')],
    ankle: [same('range-half'), to('W2')],
    shoulder: [same('rail-hip-high')],
  },
  4: {
    knee: [to('W2'), to(['B3', 'B2']), to('Q1')],
    hip: [to(['S5', 'S4', 'S2'], 'seat+5'), to('W2'), to('S1')],
    back: [same('range-half', 'trunk-tall'), to('W3', 'range-half'), to('W2')],
    ankle: [same('range-half'), to('W2')],
  },
  5: {
    knee: [to('W3', 'range-half'), to('W2'), to(['B4', 'B3'])],
    hip: [to(['S5', 'S4', 'S2'], 'seat+5'), to('W2'), to('S1')],
    back: [to('W3', 'range-half'), to('W2'), to(['S5', 'S4'])],
    ankle: [same('range-half'), to('W2')],
  },
  6: {
    knee: [to('W3', 'range-half'), to('W2'), to(['B4', 'B3'])],
    hip: [to(['S5', 'S4', 'S2'], 'seat+5'), to('W2'), to('S1')],
    back: [to('W4', 'range-half'), to('W2'), to(['S5', 'S4'])],
    ankle: [to('W4', 'range-half'), to('W2')],
    shoulder: [to('W4'), to('W5')],
  },
};
