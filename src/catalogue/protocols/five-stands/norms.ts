import type { Cutoff, NormSet, PublishedError } from '../../../core/shapes/norms';
import { sources } from '../../sources';

export const fiveStandsNorms = {
  id: 'five-stands-limit',
  kind: 'limit',
  title: 'Five chair stands',
  source: sources.fiveStandsLimits,
  unit: 's',
  population: 'a pooling of published samples of 60 to 89',
  note: 'Slower than this is worse than average. It is a limit, not a mean, so no percentile is made of it.',
  rows: [
    { sex: 'both', ageLow: 60, ageHigh: 69, limit: 11.4 },
    { sex: 'both', ageLow: 70, ageHigh: 79, limit: 12.6 },
    { sex: 'both', ageLow: 80, ageHigh: 89, limit: 14.8 },
  ],
} as const satisfies NormSet;

export const fiveStandsCutoffs = [
  {
    id: 'five-stands-falls',
    pastIf: '>=',
    limit: 12,
    label: 'watch line',
    meaning: 'goes with repeated falls',
    source: sources.tiedemann,
  },
  {
    id: 'five-stands-low-strength',
    setsDate: true,
    pastIf: '>',
    limit: 15,
    label: 'upper watch line',
    meaning: 'low strength of the legs; goes with repeated falls',
    source: sources.ewgsop2Buatois,
  },
] as const satisfies readonly Cutoff[];

export const fiveStandsErrors = [
  {
    statistic: 'SEM',
    value: 0.9,
    unit: 's',
    population: 'older women in the community',
    community: true,
    source: sources.goldberg2012,
  },
  {
    statistic: 'MDC95',
    value: 2.5,
    unit: 's',
    population: 'older women in the community',
    community: true,
    source: sources.goldberg2012,
  },
] as const satisfies readonly PublishedError[];
