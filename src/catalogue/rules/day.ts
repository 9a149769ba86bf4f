import type { DaySets } from '../../core/shapes/day';

/** What a testing day has in it. Common practice, no published source. */
export const daySets: DaySets = {
  full: ['four-stage', 'one-leg', 'chair-stand-30s', 'up-and-go-8ft', 'step-2min'],
  first: ['four-stage', 'one-leg', 'chair-stand-30s'],
  // The check of the room 4, the warm-up 5, the closing 3 minutes.
  besidesS: 12 * 60,
  mostS: 60 * 60,
  mostLegs: 3,
  mostLegsWithCare: 2,
};
