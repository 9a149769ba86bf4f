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
  setUp: [
    '2.3 kg for women, 3.6 kg for men, as the norms used; any other weight has no norm and is noted.',
    'A chair without arms. Near its edge on the stronger side, elbow at the ribs.',
    'The palm in at the bottom, up at the top. Your hand between elbow and ribs keeps it still.',
  ],
  say: 'Curl and straighten fully, as many as you can in thirty seconds. Stop before it is too much.',
  cautions: ['Sore shoulder, elbow or wrist: leave it out.', 'The wrong weight is the usual fault, not the count.'],
  practice: 'One or two without the weight, one with it.',
  station: {
    group: 4,
    staff: 'counts',
    lanes: 2,
    spotter: 'beside, a hand between elbow and ribs',
    restBeforeS: 0,
    betweenTriesS: 0,
    againAfterS: 300,
    takesS: 75,
  },
  plan: { on: 'chair', spotter: 'beside' },
  offers: [
    { mark: 'not-full', word: 'Half curl' },
    { mark: 'rest', word: 'Rested' },
  ],
  notCountedIf: ['the elbow swung forward', 'not fully straightened', 'another weight'],
  stopAt: ['shoulder or elbow pain'],
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
