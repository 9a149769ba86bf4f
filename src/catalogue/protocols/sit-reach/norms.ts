import type { Cutoff, NormSet, Reliability } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** 25th and 75th percentile of 7,183 community volunteers; inches, as printed. */
export const sitReachNorms = {
  id: 'sit-reach-middle-half',
  kind: 'middle-half',
  title: 'Chair sit-and-reach',
  source: sources.middleHalfMedium,
  unit: 'in',
  inTestUnit: 2.54,
  population: '7,183 people of 60 to 94 living in the community, volunteers',
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, p25: -0.5, p75: 5 },
    { sex: 'female', ageLow: 65, ageHigh: 69, p25: -0.5, p75: 4.5 },
    { sex: 'female', ageLow: 70, ageHigh: 74, p25: -1, p75: 4 },
    { sex: 'female', ageLow: 75, ageHigh: 79, p25: -1.5, p75: 3.5 },
    { sex: 'female', ageLow: 80, ageHigh: 84, p25: -2, p75: 3 },
    { sex: 'female', ageLow: 85, ageHigh: 89, p25: -2.5, p75: 2.5 },
    { sex: 'female', ageLow: 90, ageHigh: 94, p25: -4.5, p75: 1 },
    { sex: 'male', ageLow: 60, ageHigh: 64, p25: -2.5, p75: 4 },
    { sex: 'male', ageLow: 65, ageHigh: 69, p25: -3, p75: 3 },
    { sex: 'male', ageLow: 70, ageHigh: 74, p25: -3, p75: 3, other: { p25: -3.5, p75: 2.5 } },
    { sex: 'male', ageLow: 75, ageHigh: 79, p25: -4, p75: 2 },
    { sex: 'male', ageLow: 80, ageHigh: 84, p25: -5.5, p75: 1.5 },
    { sex: 'male', ageLow: 85, ageHigh: 89, p25: -5.5, p75: 0.5 },
    { sex: 'male', ageLow: 90, ageHigh: 94, p25: -6.5, p75: -0.5 },
  ],
} as const satisfies NormSet;

export const sitReachCutoffs = [
  {
    id: 'sit-reach-risk',
    pastIf: '<=',
    limit: -2,
    sex: 'female',
    inTestUnit: 2.54,
    label: 'watch line',
    meaning: 'short at the back of the thigh; bending may become hard',
    source: sources.riskZonesMedium,
  },
  {
    id: 'sit-reach-risk',
    pastIf: '<=',
    limit: -4,
    sex: 'male',
    inTestUnit: 2.54,
    label: 'watch line',
    meaning: 'short at the back of the thigh; bending may become hard',
    source: sources.riskZonesMedium,
  },
] as const satisfies readonly Cutoff[];

export const sitReachReliability = { r: 0.95, source: sources.reliability } as const satisfies Reliability;
