import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { sitReachCutoffs, sitReachNorms, sitReachReliability } from './norms';

export const sitReach = {
  id: 'sit-reach',
  version: 1,
  title: 'Chair sit-and-reach',
  short: 'Sit and reach',
  capture: { kind: 'distance' },
  unit: 'cm',
  better: 'higher',
  sides: 'chosen',
  range: { min: -60, max: 60, whole: false },
  setUp: ['Chair with its back to the wall.'],
  say: 'Leg straight, reach to your toes, breathe out.',
  cautions: ['Not with fragile bone or a replaced hip whose limits are unknown.'],
  practice: 'Two tries.',
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.middleHalf.cite,
  seatCm: 43.2,
  norms: sitReachNorms,
  cutoffs: sitReachCutoffs,
  reliability: sitReachReliability,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
