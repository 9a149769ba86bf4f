import type { LadderSwaps } from '../../../core/shapes/swap';
import { same, to } from '../swap';

/** What to do instead, a joint that hurts: the first that is open is offered first. Common practice, no published source. */
export const mobilitySwaps: LadderSwaps = {
  1: {
    knee: [same('range-half'), to('A1')],
    ankle: [same('range-half'), to('B1')],
    shoulder: [same('forearms-on-wall')],
  },
  2: {
    knee: [same('range-half')],
    hip: [same('range-half'), to('M1')],
    back: [to('M1')],
    shoulder: [same('strap')],
  },
  3: {
    back: [same('range-half')],
    shoulder: [same('range-half', 'no-band')],
  },
};
