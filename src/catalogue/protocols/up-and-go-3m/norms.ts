import type { Cutoff, NormSet, PublishedError } from '../../../core/shapes/norms';
import { sources } from '../../sources';

export const upAndGo3mNorms = {
  id: 'up-and-go-3m-interval',
  kind: 'mean-ci',
  worseOverInterval: true,
  title: '3-metre up and go',
  source: sources.upAndGo3m,
  unit: 's',
  population: 'a pooling of published samples of 60 to 99',
  note: 'Slower than the upper end of the interval is worse than average. How single people spread is not given, so no percentile is made of it.',
  rows: [
    { sex: 'both', ageLow: 60, ageHigh: 69, mean: 8.1, ciLow: 7.1, ciHigh: 9 },
    { sex: 'both', ageLow: 70, ageHigh: 79, mean: 9.2, ciLow: 8.2, ciHigh: 10.2 },
    { sex: 'both', ageLow: 80, ageHigh: 99, mean: 11.3, ciLow: 10, ciHigh: 12.7 },
  ],
} as const satisfies NormSet;

export const upAndGo3mCutoffs = [
  {
    id: 'up-and-go-3m-falls',
    setsDate: true,
    pastIf: '>=',
    limit: 12,
    label: 'watch line',
    meaning: 'goes with more falls',
    source: sources.upAndGoSheet,
  },
  {
    id: 'up-and-go-3m-performance',
    pastIf: '>=',
    limit: 20,
    label: 'upper watch line',
    meaning: 'low physical performance',
    source: sources.ewgsop2,
  },
] as const satisfies readonly Cutoff[];

export const upAndGo3mErrors = [
  {
    statistic: 'MDC90',
    value: 2.49,
    unit: 's',
    population: 'hip or knee osteoarthritis awaiting replacement',
    community: false,
    source: sources.kennedy,
  },
] as const satisfies readonly PublishedError[];
