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
  readTo: 1,
  setUp: [
    'Standing or seated tall, the preferred hand over the shoulder, the other up the back.',
    'Line up the middle fingers yourself.',
    'A ruler between the middle fingers: minus is a gap, plus an overlap.',
  ],
  say: 'Reach towards each other. Do not pull the fingers together.',
  cautions: ['Stop at pain.'],
  practice: 'Two tries.',
  station: {
    group: 3,
    staff: 'counts',
    lanes: 1,
    spotter: 'behind',
    restBeforeS: 0,
    betweenTriesS: 10,
    againAfterS: 0,
    takesS: 70,
  },
  plan: { on: 'feet', spotter: 'behind' },
  offers: [],
  notCountedIf: ['fingers hooked and pulled'],
  stopAt: ['pain'],
  place: [{ what: 'thing', thing: 'tape' }],
  source: sources.middleHalf.cite,
  norms: backScratchNorms,
  cutoffs: backScratchCutoffs,
  reliability: backScratchReliability,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
