import type { ClassTemplate } from '../../core/shapes/class';
import { chain } from './chain';
import { dailyMinute } from './dailyMinute';
import { firstTimers } from './firstTimers';
import { halfMinutes } from './halfMinutes';
import { heldSet } from './heldSet';
import { holds } from './holds';
import { intervals } from './intervals';
import { splitStations } from './splitStations';

/** Classes that ship. All numbers are common practice, no published source. */
export const classTemplates: readonly ClassTemplate[] = [
  heldSet,
  halfMinutes,
  intervals,
  holds,
  splitStations,
  chain,
  dailyMinute,
  firstTimers,
];
