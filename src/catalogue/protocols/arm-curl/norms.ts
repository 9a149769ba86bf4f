import type { Cutoff, NormSet, Reliability, Standard } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** 25th and 75th percentile of 7,183 community volunteers. */
export const armCurlNorms = {
  id: 'arm-curl-middle-half',
  kind: 'middle-half',
  title: 'Arm curls',
  source: sources.middleHalf,
  unit: 'curls',
  population: '7,183 people of 60 to 94 living in the community, volunteers',
  zeroNotRanked: true,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, p25: 13, p75: 19 },
    { sex: 'female', ageLow: 65, ageHigh: 69, p25: 12, p75: 18 },
    { sex: 'female', ageLow: 70, ageHigh: 74, p25: 12, p75: 17 },
    { sex: 'female', ageLow: 75, ageHigh: 79, p25: 11, p75: 17 },
    { sex: 'female', ageLow: 80, ageHigh: 84, p25: 10, p75: 16 },
    { sex: 'female', ageLow: 85, ageHigh: 89, p25: 10, p75: 15 },
    { sex: 'female', ageLow: 90, ageHigh: 94, p25: 8, p75: 13 },
    { sex: 'male', ageLow: 60, ageHigh: 64, p25: 16, p75: 22 },
    { sex: 'male', ageLow: 65, ageHigh: 69, p25: 15, p75: 21 },
    { sex: 'male', ageLow: 70, ageHigh: 74, p25: 14, p75: 21 },
    { sex: 'male', ageLow: 75, ageHigh: 79, p25: 13, p75: 19 },
    { sex: 'male', ageLow: 80, ageHigh: 84, p25: 13, p75: 19 },
    { sex: 'male', ageLow: 85, ageHigh: 89, p25: 11, p75: 17 },
    { sex: 'male', ageLow: 90, ageHigh: 94, p25: 10, p75: 14 },
  ],
} as const satisfies NormSet;

export const armCurlCutoffs = [
  {
    id: 'arm-curl-risk',
    pastIf: '<',
    limit: 11,
    label: 'watch line',
    meaning: 'few curls at any age; lifting and carrying may become hard',
    source: sources.riskZones,
  },
] as const satisfies readonly Cutoff[];

/** The result many keep when they manage on their own to 90, if they decline as most do. */
export const armCurlStandard = {
  source: sources.standards,
  notFromAge: 90,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, limit: 17 },
    { sex: 'female', ageLow: 65, ageHigh: 69, limit: 17 },
    { sex: 'female', ageLow: 70, ageHigh: 74, limit: 16 },
    { sex: 'female', ageLow: 75, ageHigh: 79, limit: 15 },
    { sex: 'female', ageLow: 80, ageHigh: 84, limit: 14 },
    { sex: 'female', ageLow: 85, ageHigh: 89, limit: 13 },
    { sex: 'female', ageLow: 90, ageHigh: 94, limit: 11 },
    { sex: 'male', ageLow: 60, ageHigh: 64, limit: 19 },
    { sex: 'male', ageLow: 65, ageHigh: 69, limit: 18 },
    { sex: 'male', ageLow: 70, ageHigh: 74, limit: 17 },
    { sex: 'male', ageLow: 75, ageHigh: 79, limit: 16 },
    { sex: 'male', ageLow: 80, ageHigh: 84, limit: 15 },
    { sex: 'male', ageLow: 85, ageHigh: 89, limit: 13 },
    { sex: 'male', ageLow: 90, ageHigh: 94, limit: 11 },
  ],
} as const satisfies Standard;

export const armCurlReliability = { r: 0.81, source: sources.reliability } as const satisfies Reliability;
