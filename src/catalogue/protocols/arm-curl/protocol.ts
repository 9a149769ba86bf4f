import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { armCurlCutoffs, armCurlNorms, armCurlReliability, armCurlStandard } from './norms';

export const armCurl = {
  id: 'arm-curl',
  version: 1,
  title: '30-second arm curl',
  short: 'Arm curl',
  capture: { kind: 'count', ends: { time: 30 }, capS: 30, halfAtTone: true },
  unit: 'curls',
  better: 'higher',
  sides: 'chosen',
  range: { min: 0, max: 80, whole: true },
  setUp: ['5 lb for women, 8 lb for men.'],
  say: 'Curl the weight all the way up and down as often as you can.',
  cautions: ['Sore shoulder or wrist: leave it out.'],
  practice: 'One or two without the weight.',
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'weight', kg: 2.3 },
    { what: 'weight', kg: 3.6 },
  ],
  seatedArms: true,
  source: sources.middleHalf.cite,
  norms: armCurlNorms,
  cutoffs: armCurlCutoffs,
  standard: armCurlStandard,
  reliability: armCurlReliability,
} as const satisfies Protocol;
