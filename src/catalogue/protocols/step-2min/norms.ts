import type { Cutoff, NormSet, Reliability, Standard } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** 25th and 75th percentile of 7,183 community volunteers. */
export const step2minNorms = {
  id: 'step-2min-middle-half',
  kind: 'middle-half',
  title: 'Two-minute steps',
  source: sources.middleHalf,
  unit: 'steps',
  population: '7,183 people of 60 to 94 living in the community, volunteers',
  zeroNotRanked: true,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, p25: 75, p75: 107 },
    { sex: 'female', ageLow: 65, ageHigh: 69, p25: 73, p75: 107 },
    { sex: 'female', ageLow: 70, ageHigh: 74, p25: 68, p75: 101 },
    { sex: 'female', ageLow: 75, ageHigh: 79, p25: 68, p75: 100 },
    { sex: 'female', ageLow: 80, ageHigh: 84, p25: 60, p75: 91, confidence: 'medium', other: { p25: 60, p75: 90 } },
    { sex: 'female', ageLow: 85, ageHigh: 89, p25: 55, p75: 85 },
    { sex: 'female', ageLow: 90, ageHigh: 94, p25: 44, p75: 72 },
    { sex: 'male', ageLow: 60, ageHigh: 64, p25: 87, p75: 115 },
    { sex: 'male', ageLow: 65, ageHigh: 69, p25: 86, p75: 116, confidence: 'medium', other: { p25: 87, p75: 116 } },
    { sex: 'male', ageLow: 70, ageHigh: 74, p25: 80, p75: 110 },
    { sex: 'male', ageLow: 75, ageHigh: 79, p25: 73, p75: 109 },
    { sex: 'male', ageLow: 80, ageHigh: 84, p25: 71, p75: 103 },
    { sex: 'male', ageLow: 85, ageHigh: 89, p25: 59, p75: 91 },
    { sex: 'male', ageLow: 90, ageHigh: 94, p25: 52, p75: 86 },
  ],
} as const satisfies NormSet;

export const step2minCutoffs = [
  {
    id: 'step-2min-risk',
    pastIf: '<',
    limit: 65,
    label: 'watch line',
    meaning: 'few steps at any age; longer ways may become hard',
    source: sources.riskZones,
  },
] as const satisfies readonly Cutoff[];

/** The result many keep when they manage on their own to 90, if they decline as most do. */
export const step2minStandard = {
  source: sources.standards,
  notFromAge: 90,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, limit: 97 },
    { sex: 'female', ageLow: 65, ageHigh: 69, limit: 93 },
    { sex: 'female', ageLow: 70, ageHigh: 74, limit: 89 },
    { sex: 'female', ageLow: 75, ageHigh: 79, limit: 84 },
    { sex: 'female', ageLow: 80, ageHigh: 84, limit: 78 },
    { sex: 'female', ageLow: 85, ageHigh: 89, limit: 70 },
    { sex: 'female', ageLow: 90, ageHigh: 94, limit: 60 },
    { sex: 'male', ageLow: 60, ageHigh: 64, limit: 106 },
    { sex: 'male', ageLow: 65, ageHigh: 69, limit: 101 },
    { sex: 'male', ageLow: 70, ageHigh: 74, limit: 95 },
    { sex: 'male', ageLow: 75, ageHigh: 79, limit: 88 },
    { sex: 'male', ageLow: 80, ageHigh: 84, limit: 80 },
    { sex: 'male', ageLow: 85, ageHigh: 89, limit: 71 },
    { sex: 'male', ageLow: 90, ageHigh: 94, limit: 60 },
  ],
} as const satisfies Standard;

export const step2minReliability = { r: 0.9, source: sources.reliability } as const satisfies Reliability;
