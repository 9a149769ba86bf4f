import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { upAndGo8ftCutoffs, upAndGo8ftNorms, upAndGo8ftReliability, upAndGo8ftStandard } from './norms';

export const upAndGo8ft = {
  id: 'up-and-go-8ft',
  version: 1,
  title: '8-foot up and go',
  short: 'Up and go',
  capture: { kind: 'timed', capS: 180 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 180, whole: false },
  readTo: 0.1,
  setUp: [
    'Chair 43 cm to the wall. A cone: 2.44 m from the front edge of the seat to the back of the cone, 1.2 m clear beyond.',
    'Hands on the thighs, one foot a little ahead. May push off the chair.',
  ],
  say: 'On go: up, round the cone, back, sit. As fast as you can walk safely. I start the watch on go, ready or not.',
  cautions: [
    'Stand half-way, a step to the outside of the turn; walk half a step behind those who have fallen.',
    'Walk, never run. An aid is kept with the time.',
  ],
  practice: 'Once, walking.',
  station: {
    group: 5,
    staff: 'spots',
    lanes: 1,
    spotter: 'half-way, a step to the outside of the turn',
    restBeforeS: 120,
    betweenTriesS: 60,
    againAfterS: 60,
    takesS: 100,
    legs: true,
  },
  plan: { on: 'chair', wall: 'behind', way: { metres: 2.44, end: 'cone' }, spotter: 'half-way' },
  taps: { end: 'they sit again' },
  offers: [{ mark: 'touch', word: 'Touched' }],
  notCountedIf: ['ran or jogged', 'touched you', 'the cone was hit', 'started early'],
  stopAt: ['stumbled twice', 'breathless', 'pain'],
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'walkway', metres: 3.5 },
  ],
  source: sources.middleHalf.cite,
  seatCm: 43.2,
  norms: upAndGo8ftNorms,
  cutoffs: upAndGo8ftCutoffs,
  standard: upAndGo8ftStandard,
  reliability: upAndGo8ftReliability,
  tries: { count: 2, by: 'best' },
  // 20 %: common practice, no published source; a change of 4.1 s was published for people who need about 20 s (Ries 2009, from memory).
  changeBy: { kind: 'time', share: 0.2 },
} as const satisfies Protocol;
