import type { Rank } from './rank';
import { momentsOf } from './rank';

/** A rail on which better always lies to the right, so that rails of different tests stand under each other. */
export interface PerformanceScale {
  /** Standard deviations from the middle; for figures without a spread, quarters of the limit or mean. */
  readonly at: (value: number) => number;
  /** What the steps are made of, as that is all that may be read from them. */
  readonly steps: 'spread' | 'share';
}

/** Without a published spread a quarter of the limit is one step: a scale to draw on, not a rank. */
const shareOfLimit = 0.25;

/** @returns null where the source gives nothing to draw on */
export function performanceScale(rank: Rank, higherIsBetter: boolean): PerformanceScale | null {
  const sign = higherIsBetter ? 1 : -1;
  switch (rank.kind) {
    case 'ranked': {
      // The spread of a time is negative already.
      const { mean, sd } = momentsOf(rank.row);
      return { at: (value) => (value - mean) / sd, steps: 'spread' };
    }
    case 'mean': {
      const { row } = rank;
      const step = 'sd' in row ? row.sd : shareOfLimit * row.mean;
      return { at: (value) => (sign * (value - row.mean)) / step, steps: 'sd' in row ? 'spread' : 'share' };
    }
    case 'limit':
      return { at: (value) => (sign * (value - rank.limit)) / (shareOfLimit * rank.limit), steps: 'share' };
    case 'no-norm':
      return null;
  }
}
