import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { fourStageCutoffs } from './norms';

export const fourStage = {
  id: 'four-stage',
  version: 1,
  title: 'Four standing positions, 10 s each',
  short: 'Four positions',
  capture: {
    kind: 'staged',
    stages: ['sideBySide', 'semiTandem', 'tandem', 'oneLeg'].map((id) => ({ id, holdS: 10 })),
    ends: 'first-not',
  },
  unit: 'positions',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 4, whole: true },
  readTo: 0.1,
  setUp: [
    'A corner, a rail or two chair backs with their seats to the wall; tape lines on the floor.',
    'Shoes on, no stick. The hip at most 30 cm from the hold; for anybody who has fallen a chair touches the back of the knees.',
    'You help them in. The clock starts when you let go.',
  ],
  say: 'I help you in. When I let go I count. Move your arms if you like, keep your feet still.',
  cautions: [
    'Stand on the side to bring along: one hand under the forearm without touching, the other behind the belt.',
    'Whoever cannot stand for 1 s without help has held none.',
  ],
  hazards: ['one-leg'],
  practice: 'Show each position; none is practised.',
  station: {
    group: 1,
    staff: 'spots',
    lanes: 1,
    spotter: 'on the side to bring along, a hand under the forearm and one behind the belt, not touching',
    restBeforeS: 0,
    betweenTriesS: 5,
    againAfterS: 60,
    takesS: 95,
  },
  plan: { on: 'feet', wall: 'behind', rail: 'side', spotter: 'beside' },
  taps: { start: 'you let go', end: 'the feet move or something is touched' },
  offers: [{ mark: 'caught', word: 'Caught' }],
  notCountedIf: ['feet moved before you let go', 'held you when the clock started'],
  stopAt: ['the feet move', 'a hold or you are touched', '10 s'],
  place: [{ what: 'fixed-hold' }],
  source: sources.fourStage.cite,
  cutoffs: fourStageCutoffs,
  asksSeconds: true,
} as const satisfies Protocol;
