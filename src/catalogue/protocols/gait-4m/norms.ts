import type { Cutoff, NormSet, PublishedError } from '../../../core/shapes/norms';
import { sources } from '../../sources';

export const gait4mNorms = {
  id: 'gait-4m-mean',
  kind: 'mean-ci',
  worseOverInterval: false,
  title: 'Usual walking speed',
  source: sources.gait4m,
  unit: 'm/s',
  population: 'a pooling of published samples of 50 to 99',
  note: 'Mean and the interval of the mean. How single people spread is not given, so nobody is ranked.',
  rows: [
    { sex: 'male', ageLow: 50, ageHigh: 59, mean: 1.433, ciLow: 1.379, ciHigh: 1.488 },
    { sex: 'male', ageLow: 60, ageHigh: 69, mean: 1.339, ciLow: 1.266, ciHigh: 1.412 },
    { sex: 'male', ageLow: 70, ageHigh: 79, mean: 1.262, ciLow: 1.21, ciHigh: 1.315 },
    { sex: 'male', ageLow: 80, ageHigh: 99, mean: 0.968, ciLow: 0.834, ciHigh: 1.101 },
    { sex: 'female', ageLow: 50, ageHigh: 59, mean: 1.313, ciLow: 1.222, ciHigh: 1.405 },
    { sex: 'female', ageLow: 60, ageHigh: 69, mean: 1.241, ciLow: 1.183, ciHigh: 1.3 },
    { sex: 'female', ageLow: 70, ageHigh: 79, mean: 1.132, ciLow: 1.072, ciHigh: 1.192 },
    { sex: 'female', ageLow: 80, ageHigh: 99, mean: 0.943, ciLow: 0.852, ciHigh: 1.034 },
  ],
} as const satisfies NormSet;

export const gait4mCutoffs = [
  {
    id: 'gait-4m-performance',
    setsDate: true,
    pastIf: '<=',
    limit: 0.8,
    label: 'watch line',
    meaning: 'low physical performance',
    source: sources.ewgsop2,
  },
] as const satisfies readonly Cutoff[];

export const gait4mErrors = [
  {
    statistic: 'MDC95',
    value: 0.11,
    unit: 'm/s',
    population: 'older adults',
    community: true,
    source: sources.goldbergSchepens,
  },
  {
    statistic: 'small meaningful change',
    value: 0.05,
    unit: 'm/s',
    population: 'older adults, pooled',
    community: true,
    source: sources.perera,
  },
  {
    statistic: 'substantial meaningful change',
    value: 0.1,
    unit: 'm/s',
    population: 'older adults, pooled',
    community: true,
    source: sources.perera,
  },
] as const satisfies readonly PublishedError[];
