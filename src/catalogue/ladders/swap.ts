import type { SwapDialId, SwapOffer } from '../../core/shapes/swap';

/** The same movement with something changed. */
export const same = (...dials: readonly SwapDialId[]): SwapOffer => ({ same: true, dials });

/** Another movement, the first of these that is open, done so. */
export const to = (rungs: string | readonly string[], ...dials: readonly SwapDialId[]): SwapOffer => ({
  same: false,
  rungs: typeof rungs === 'string' ? [rungs] : rungs,
  dials,
});
