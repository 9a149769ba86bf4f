import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const lungeSwaps: LadderSwaps = {
  1: {
    knee: [same('step-short'), to('A1'), to('Q1')],
    hip: [same('step-short'), to('A1'), to('B1')],
    back: [same('step-short', 'trunk-tall'), to('A1')],
    ankle: [same('step-short'), to('B1')],
    shoulder: [same('rail-hip-high'), to('A1')],
  },
  2: {
    knee: [same('step-short'), to('L1'), to(['B3', 'B2'])],
    hip: [same('step-short'), to('A1'), to('B1')],
    back: [same('step-short', 'trunk-tall'), to('L1'), to('A1')],
    ankle: [same('step-short'), to(['S4', 'S2']), to(['B3', 'B2'])],
    shoulder: [same('rail-hip-high'), to('L1')],
  },
  3: {
    knee: [to('L2', 'step-short'), to('L1'), to(['B3', 'B2'])],
    hip: [to('L2', 'step-short'), to('A1'), to('B1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to('A1')],
    ankle: [to('L2', 'step-short'), to(['S4', 'S2']), to(['B3', 'B2'])],
    shoulder: [same('other-hand'), to('L1')],
  },
  4: {
    knee: [to('L2', 'step-short'), to('L1'), to(['B5', 'B4', 'B3'])],
    hip: [to('L2', 'step-short'), to('L1'), to('A1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to(['S5', 'S4'])],
    ankle: [same('step-short'), to('S4'), to(['B4', 'B3', 'B2'])],
    shoulder: [same('rail-hip-high', 'no-straps'), to('L1')],
  },
  5: {
    knee: [to('L2', 'step-short'), to('H6'), to(['B5', 'B4', 'B3'])],
    hip: [to('L2', 'step-short'), to('L1'), to('A1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to(['S5', 'S4'])],
    ankle: [to('L4', 'step-short'), to('S4'), to(['B4', 'B3', 'B2'])],
    shoulder: [same('rail-hip-high')],
  },
  6: {
    knee: [to('L2', 'step-short', 'mark-form'), to('H6'), to('L1')],
    hip: [to('L2', 'step-short'), to('L1'), to('A1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to(['S5', 'S4'])],
    ankle: [to('L4', 'step-short'), to('S4'), to(['B4', 'B3', 'B2'])],
    shoulder: [same('other-hand')],
  },
  7: {
    knee: [to('L2', 'step-short', 'mark-form'), to('H6'), to('L1')],
    hip: [to('L2', 'step-short'), to('L1'), to('A1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to(['S5', 'S4'])],
    ankle: [to('L4', 'step-short'), to('S4'), to(['B4', 'B3', 'B2'])],
    shoulder: [same('other-hand')],
  },
  8: {
    knee: [to('L2', 'step-short', 'mark-form'), to('H6'), to('L1')],
    hip: [to('L2', 'step-short'), to('L1'), to('A1')],
    back: [to('L2', 'step-short', 'trunk-tall'), to('L1'), to(['S5', 'S4'])],
    ankle: [to('L4', 'step-short'), to('S4'), to(['B4', 'B3', 'B2'])],
    shoulder: [same('other-hand')],
  },
};
