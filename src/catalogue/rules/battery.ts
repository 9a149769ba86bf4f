import type { BatteryRule } from '../../core/shapes/norms';
import { sources } from '../sources';

/** Walk under 4.82 s is 4 points, so up to 4.81 of a time rounded to 0.01 s. Over 60 s, five stands are not done. */
export const batteryRule: BatteryRule = {
  holdS: 10,
  tandemPartS: 3,
  gait: [
    { upToS: 4.81, points: 4 },
    { upToS: 6.2, points: 3 },
    { upToS: 8.7, points: 2 },
    { upToS: null, points: 1 },
  ],
  stands: [
    { upToS: 11.19, points: 4 },
    { upToS: 13.69, points: 3 },
    { upToS: 16.69, points: 2 },
    { upToS: 60, points: 1 },
  ],
  lowUpTo: 8,
  source: sources.fiveStands,
  lowSource: sources.ewgsop2,
};
