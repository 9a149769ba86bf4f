import type { Cutoff, NormSet, PublishedError } from '../../../core/shapes/norms';
import { sources } from '../../sources';

export const reachForwardNorms = {
  id: 'reach-forward-mean-spread',
  kind: 'mean-sd',
  skewed: false,
  title: 'Functional reach',
  source: sources.reachForward,
  unit: 'in',
  inTestUnit: 2.54,
  population: 'people of 41 to 87 in the community',
  note: 'Rows of about twenty years each: a rank is coarse.',
  rows: [
    { sex: 'female', ageLow: 41, ageHigh: 69, mean: 13.81, sd: 2.2 },
    { sex: 'female', ageLow: 70, ageHigh: 87, mean: 10.47, sd: 3.5 },
    { sex: 'male', ageLow: 41, ageHigh: 69, mean: 14.98, sd: 2.21 },
    { sex: 'male', ageLow: 70, ageHigh: 87, mean: 13.16, sd: 1.55 },
  ],
} as const satisfies NormSet;

export const reachForwardCutoffs = [
  {
    id: 'reach-forward-falls',
    pastIf: '<',
    limit: 25.4,
    label: 'watch line',
    meaning: 'goes with twice the odds of falls',
    source: sources.reachFalls,
  },
  {
    id: 'reach-forward-many-falls',
    pastIf: '<',
    limit: 15.24,
    label: 'lower watch line',
    meaning: 'goes with four times the odds of falls',
    source: sources.reachFalls,
  },
] as const satisfies readonly Cutoff[];

export const reachForwardErrors = [
  {
    statistic: 'MDC95',
    value: 9,
    unit: 'cm',
    population: 'Parkinson disease',
    community: false,
    source: sources.steffenSeney,
  },
] as const satisfies readonly PublishedError[];
