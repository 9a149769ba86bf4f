import type { Cutoff, NormSet, PublishedError } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** Best of three with eyes open on the leg people chose, 45 s cap. The rows of both sexes together are left out. */
export const oneLegNorms = {
  id: 'one-leg-mean-spread',
  kind: 'mean-sd',
  skewed: true,
  title: 'One-leg stance, eyes open, best of three',
  source: sources.oneLeg,
  unit: 's',
  population: 'people of 50 to 99 in the community, 18 to 51 a row',
  note: 'Many stop at the cap of 45 s and many fall short of the mean, so the mean and its spread are said and no percentile is made of them. The leg people chose was timed: the better leg is compared.',
  rows: [
    { sex: 'female', ageLow: 50, ageHigh: 59, mean: 40.9, sd: 10, n: 50 },
    { sex: 'male', ageLow: 50, ageHigh: 59, mean: 41.5, sd: 10.5, n: 48 },
    { sex: 'female', ageLow: 60, ageHigh: 69, mean: 30.4, sd: 16.4, n: 50 },
    { sex: 'male', ageLow: 60, ageHigh: 69, mean: 33.8, sd: 16, n: 51 },
    { sex: 'female', ageLow: 70, ageHigh: 79, mean: 16.7, sd: 15, n: 45 },
    { sex: 'male', ageLow: 70, ageHigh: 79, mean: 25.9, sd: 18.1, n: 50 },
    { sex: 'female', ageLow: 80, ageHigh: 99, mean: 10.6, sd: 13.2, n: 23 },
    { sex: 'male', ageLow: 80, ageHigh: 99, mean: 8.7, sd: 12.6, n: 32 },
  ],
} as const satisfies NormSet;

export const oneLegCutoffs = [
  {
    id: 'one-leg-falls',
    setsDate: true,
    pastIf: '<',
    limit: 5,
    label: 'watch line',
    meaning: 'goes with falls that hurt',
    source: sources.vellas,
  },
] as const satisfies readonly Cutoff[];

export const oneLegErrors = [
  {
    statistic: 'MDC95',
    value: 24.1,
    unit: 's',
    population: 'older adults',
    community: true,
    source: sources.goldberg2011,
  },
] as const satisfies readonly PublishedError[];
