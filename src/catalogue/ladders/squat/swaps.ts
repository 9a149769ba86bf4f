import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const squatSwaps: LadderSwaps = {
  1: {
    knee: [same('press-lighter'), to('B1'), to('Q1')],
    hip: [same('stance-wider'), to('B1')],
    back: [same('press-lighter'), to('B1')],
    ankle: [same('feet-further')],
    shoulder: [same('hands-off', 'arms-crossed'), to('B1')],
  },
  2: {
    knee: [same('seat+5', 'beside-hips'), to('S1'), to('Q1')],
    hip: [same('seat+5'), to('S1'), to('Q1')],
    back: [same('seat+5'), to('S1'), to('B1')],
    ankle: [same('seat+5'), to('S1')],
    shoulder: [same('seat+5', 'other-hand'), to('S3', 'seat+5'), to('B1')],
  },
  3: {
    knee: [same('seat+5'), to('S2', 'seat+10', 'beside-hips'), to('Q1')],
    hip: [same('seat+5'), to('S1'), to('B1')],
    back: [same('seat+5'), to('S2', 'seat+5'), to('S1')],
    ankle: [same('seat+5'), to('S1')],
    shoulder: [same('seat+5'), to('B1')],
  },
  4: {
    knee: [same('seat+5', 'style=hips-back'), to('S2', 'seat+10', 'beside-hips'), to('H2')],
    hip: [same('seat+5', 'stance-wider'), to('S1'), to('A1')],
    back: [same('seat+5', 'style=upright'), to('S2', 'seat+5'), to('S1')],
    ankle: [same('seat+5', 'heel-wedge'), to('S1')],
    shoulder: [same('seat+5')],
  },
  5: {
    knee: [same('seat+5', 'style=hips-back'), to('S2', 'seat+10', 'beside-hips'), to(['B3', 'B2'])],
    hip: [same('seat+5', 'stance-wider'), to('S1'), to('A1')],
    back: [same('seat+5', 'style=upright'), to('S4'), to('S1')],
    ankle: [same('seat+5', 'heel-wedge'), to('S4', 'seat+5'), to('S1')],
    shoulder: [same('seat+5')],
  },
  6: {
    knee: [to('S5', 'seat+5'), to(['B4', 'B3', 'B2']), to('Q1')],
    hip: [to('S5', 'seat+5'), to(['B3', 'B2']), to('A1')],
    back: [same('seat+5'), to('S5', 'seat+5'), to('S1')],
    ankle: [same('seat+5', 'heel-wedge'), to('S4', 'seat+5'), to(['B3', 'B2'])],
    shoulder: [same('rail-hip-high')],
  },
  7: {
    knee: [same('seat+5', 'style=hips-back'), to('H4'), to(['B4', 'B3', 'B2'])],
    hip: [to('S5', 'seat+5', 'stance-wider'), to(['B3', 'B2']), to('A1')],
    back: [to('S5', 'seat+5', 'style=upright'), to('L1'), to('Q1')],
    ankle: [same('seat+5', 'heel-wedge'), to('S4', 'seat+5'), to(['B3', 'B2'])],
    shoulder: [same('rail-hip-high')],
  },
  8: {
    knee: [to('S7', 'seat+5', 'no-load'), to('H4'), to(['B4', 'B3', 'B2'])],
    hip: [to('S5', 'seat+5', 'no-load'), to(['B3', 'B2']), to('A1')],
    back: [to('S5', 'seat+5', 'no-load'), to('L1'), to('Q1')],
    ankle: [to('S5', 'seat+5', 'heel-wedge'), to('S4'), to(['B3', 'B2'])],
    shoulder: [to('S7'), to('S5')],
  },
  9: {
    knee: [to('S7', 'seat+5'), to('A1'), to(['B4', 'B3'])],
    hip: [to('S5', 'seat+5'), to('A1')],
    back: [to('S5', 'seat+5'), to('A1')],
    ankle: [to('S5', 'seat+5'), to(['B3', 'B2'])],
    shoulder: [to('S7')],
  },
};
