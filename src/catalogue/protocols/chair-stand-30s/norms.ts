import type { Cutoff, NormSet, PublishedError, Reliability, Standard } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** 25th and 75th percentile of 7,183 community volunteers on a 17-inch seat. */
export const chairStandNorms = {
  id: 'chair-stand-middle-half',
  kind: 'middle-half',
  title: '30-second chair stand',
  source: sources.middleHalf,
  unit: 'stands',
  population: '7,183 people of 60 to 94 living in the community, volunteers; 17-inch seat',
  zeroNotRanked: true,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, p25: 12, p75: 17 },
    { sex: 'female', ageLow: 65, ageHigh: 69, p25: 11, p75: 16 },
    { sex: 'female', ageLow: 70, ageHigh: 74, p25: 10, p75: 15 },
    { sex: 'female', ageLow: 75, ageHigh: 79, p25: 10, p75: 15 },
    { sex: 'female', ageLow: 80, ageHigh: 84, p25: 9, p75: 14 },
    { sex: 'female', ageLow: 85, ageHigh: 89, p25: 8, p75: 13 },
    { sex: 'female', ageLow: 90, ageHigh: 94, p25: 4, p75: 11 },
    { sex: 'male', ageLow: 60, ageHigh: 64, p25: 14, p75: 19 },
    { sex: 'male', ageLow: 65, ageHigh: 69, p25: 12, p75: 18 },
    { sex: 'male', ageLow: 70, ageHigh: 74, p25: 12, p75: 17 },
    { sex: 'male', ageLow: 75, ageHigh: 79, p25: 11, p75: 17 },
    { sex: 'male', ageLow: 80, ageHigh: 84, p25: 10, p75: 15 },
    { sex: 'male', ageLow: 85, ageHigh: 89, p25: 8, p75: 14 },
    { sex: 'male', ageLow: 90, ageHigh: 94, p25: 7, p75: 12 },
  ],
} as const satisfies NormSet;

export const chairStandCutoffs = [
  {
    id: 'chair-stand-below-average',
    pastIf: '<',
    limit: 'p25',
    label: 'watch line',
    meaning: 'fewer than most of the same age; goes with more falls',
    source: sources.belowAverage,
  },
  {
    id: 'chair-stand-risk',
    setsDate: true,
    pastIf: '<',
    limit: 8,
    label: 'lower watch line',
    meaning: 'few stands at any age; getting about may become hard',
    source: sources.riskZones,
  },
] as const satisfies readonly Cutoff[];

/** The count many keep when they manage on their own to 90, if they decline as most do. */
export const chairStandStandard = {
  source: sources.standards,
  notFromAge: 90,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, limit: 15 },
    { sex: 'female', ageLow: 65, ageHigh: 69, limit: 15 },
    { sex: 'female', ageLow: 70, ageHigh: 74, limit: 14 },
    { sex: 'female', ageLow: 75, ageHigh: 79, limit: 13 },
    { sex: 'female', ageLow: 80, ageHigh: 84, limit: 12 },
    { sex: 'female', ageLow: 85, ageHigh: 89, limit: 11 },
    { sex: 'female', ageLow: 90, ageHigh: 94, limit: 9 },
    { sex: 'male', ageLow: 60, ageHigh: 64, limit: 17 },
    { sex: 'male', ageLow: 65, ageHigh: 69, limit: 16 },
    { sex: 'male', ageLow: 70, ageHigh: 74, limit: 15 },
    { sex: 'male', ageLow: 75, ageHigh: 79, limit: 14 },
    { sex: 'male', ageLow: 80, ageHigh: 84, limit: 13 },
    { sex: 'male', ageLow: 85, ageHigh: 89, limit: 11 },
    { sex: 'male', ageLow: 90, ageHigh: 94, limit: 9 },
  ],
} as const satisfies Standard;

export const chairStandReliability = { r: 0.89, source: sources.reliability } as const satisfies Reliability;

export const chairStandErrors = [
  {
    statistic: 'MCID',
    value: 2,
    unit: 'stands',
    population: 'hip osteoarthritis (2.0 to 2.6)',
    community: false,
    source: sources.wright,
  },
  {
    statistic: 'MDC90',
    value: 1.64,
    unit: 'stands',
    population: 'hip or knee osteoarthritis awaiting replacement',
    community: false,
    source: sources.gillMcBurney,
  },
] as const satisfies readonly PublishedError[];
