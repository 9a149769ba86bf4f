import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { backScratchCutoffs, backScratchNorms, backScratchReliability } from './norms';

export const backScratch = {
  id: 'back-scratch',
  version: 1,
  title: 'Hands behind the back',
  short: 'Hands behind the back',
  capture: { kind: 'distance' },
  unit: 'cm',
  better: 'higher',
  sides: 'chosen',
  range: { min: -60, max: 60, whole: false },
  setUp: ['A rule.'],
  say: 'One hand over the shoulder, one up the back.',
  cautions: ['Stop at pain.'],
  practice: 'Two tries.',
  place: [{ what: 'thing', thing: 'tape' }],
  source: sources.middleHalf.cite,
  norms: backScratchNorms,
  cutoffs: backScratchCutoffs,
  reliability: backScratchReliability,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
