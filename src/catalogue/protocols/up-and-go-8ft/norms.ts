import type { Cutoff, NormSet, Reliability, Standard } from '../../../core/shapes/norms';
import { sources } from '../../sources';

/** 25th and 75th percentile of 7,183 community volunteers; for times the 25th is the slower one. */
export const upAndGo8ftNorms = {
  id: 'up-and-go-8ft-middle-half',
  kind: 'middle-half',
  title: '8-foot up and go',
  source: sources.middleHalf,
  unit: 's',
  population: '7,183 people of 60 to 94 living in the community, volunteers',
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, p25: 6, p75: 4.4 },
    { sex: 'female', ageLow: 65, ageHigh: 69, p25: 6.4, p75: 4.8 },
    { sex: 'female', ageLow: 70, ageHigh: 74, p25: 7.1, p75: 4.9 },
    { sex: 'female', ageLow: 75, ageHigh: 79, p25: 7.4, p75: 5.2 },
    { sex: 'female', ageLow: 80, ageHigh: 84, p25: 8.7, p75: 5.7 },
    { sex: 'female', ageLow: 85, ageHigh: 89, p25: 9.6, p75: 6.2 },
    { sex: 'female', ageLow: 90, ageHigh: 94, p25: 11.5, p75: 7.3 },
    { sex: 'male', ageLow: 60, ageHigh: 64, p25: 5.6, p75: 3.8 },
    { sex: 'male', ageLow: 65, ageHigh: 69, p25: 5.9, p75: 4.3, confidence: 'medium', other: { p25: 5.7, p75: 4.3 } },
    { sex: 'male', ageLow: 70, ageHigh: 74, p25: 6.2, p75: 4.4, confidence: 'medium', other: { p25: 6, p75: 4.2 } },
    { sex: 'male', ageLow: 75, ageHigh: 79, p25: 7.2, p75: 4.6 },
    { sex: 'male', ageLow: 80, ageHigh: 84, p25: 7.6, p75: 5.2 },
    { sex: 'male', ageLow: 85, ageHigh: 89, p25: 8.9, p75: 5.5, confidence: 'medium', other: { p25: 8.9, p75: 5.3 } },
    { sex: 'male', ageLow: 90, ageHigh: 94, p25: 10, p75: 6.2 },
  ],
} as const satisfies NormSet;

export const upAndGo8ftCutoffs = [
  {
    id: 'up-and-go-8ft-falls',
    setsDate: true,
    pastIf: '>=',
    limit: 8.5,
    label: 'watch line',
    meaning: 'goes with more falls',
    source: sources.roseUpAndGo,
  },
  {
    id: 'up-and-go-8ft-risk',
    pastIf: '>=',
    limit: 9,
    label: 'upper watch line',
    meaning: 'slow at any age; getting about may become hard',
    source: sources.riskZonesMedium,
  },
] as const satisfies readonly Cutoff[];

/** The result many keep when they manage on their own to 90, if they decline as most do. */
export const upAndGo8ftStandard = {
  source: sources.standards,
  notFromAge: 90,
  rows: [
    { sex: 'female', ageLow: 60, ageHigh: 64, limit: 5 },
    { sex: 'female', ageLow: 65, ageHigh: 69, limit: 5.3 },
    { sex: 'female', ageLow: 70, ageHigh: 74, limit: 5.6 },
    { sex: 'female', ageLow: 75, ageHigh: 79, limit: 6 },
    { sex: 'female', ageLow: 80, ageHigh: 84, limit: 6.5 },
    { sex: 'female', ageLow: 85, ageHigh: 89, limit: 7.1 },
    { sex: 'female', ageLow: 90, ageHigh: 94, limit: 8 },
    { sex: 'male', ageLow: 60, ageHigh: 64, limit: 4.8 },
    { sex: 'male', ageLow: 65, ageHigh: 69, limit: 5.1 },
    { sex: 'male', ageLow: 70, ageHigh: 74, limit: 5.5 },
    { sex: 'male', ageLow: 75, ageHigh: 79, limit: 5.9 },
    { sex: 'male', ageLow: 80, ageHigh: 84, limit: 6.4 },
    { sex: 'male', ageLow: 85, ageHigh: 89, limit: 7.1 },
    { sex: 'male', ageLow: 90, ageHigh: 94, limit: 8 },
  ],
} as const satisfies Standard;

export const upAndGo8ftReliability = { r: 0.95, source: sources.reliability } as const satisfies Reliability;
