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
  readTo: 1,
  setUp: [
    'Chair 43 cm, its back to the wall. Your foot against its leg.',
    'On the front edge of the seat, the better leg straight, heel down, foot square; the other foot flat.',
    'Hands one over the other. A ruler along the shin, 0 at the toe: minus is short of it.',
  ],
  say: 'Slide your hands down your leg towards the toe. Out. Hold two counts.',
  cautions: [
    'Not with fragile bone, a broken spine, or a replaced hip whose limits are unknown.',
    'Stop at pain in the back or down the leg.',
  ],
  practice: 'Two tries.',
  station: {
    group: 3,
    staff: 'counts',
    lanes: 1,
    spotter: 'beside, a foot against the chair leg',
    restBeforeS: 0,
    betweenTriesS: 10,
    againAfterS: 0,
    takesS: 90,
  },
  plan: { on: 'chair', wall: 'behind', spotter: 'beside' },
  offers: [],
  notCountedIf: ['the knee bent', 'bounced', 'held under two counts'],
  stopAt: ['the knee bends', 'pain in the back or down the leg'],
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
