import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { step2minCutoffs, step2minNorms, step2minReliability, step2minStandard } from './norms';

export const step2min = {
  id: 'step-2min',
  version: 1,
  title: 'Two-minute step in place',
  short: 'Two-minute step',
  capture: { kind: 'count', ends: { time: 120 }, capS: 120, halfAtTone: false },
  unit: 'steps',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 300, whole: true },
  setUp: ['Mark half-way between kneecap and hip-bone crest on the wall.'],
  say: 'Step in place, right foot first, both knees to the mark.',
  cautions: ['Rests are allowed, the clock runs on. Walk for two minutes afterwards.'],
  practice: 'A few steps to find the height.',
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.middleHalf.cite,
  norms: step2minNorms,
  cutoffs: step2minCutoffs,
  standard: step2minStandard,
  reliability: step2minReliability,
} as const satisfies Protocol;
