import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { upAndGo3mCutoffs, upAndGo3mErrors, upAndGo3mNorms } from './norms';

export const upAndGo3m = {
  id: 'up-and-go-3m',
  version: 1,
  title: '3-metre up and go',
  short: '3-metre up and go',
  capture: { kind: 'timed', capS: 180 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 180, whole: false },
  readTo: 0.1,
  setUp: ['An armchair: seat 46 cm, arms 65 cm. A line at 3 m.', 'Usual shoes, usual aid, back against the chair.'],
  say: 'On go: walk at your usual pace to the line, turn, back, sit.',
  cautions: [
    'Stand half-way, a step to the outside of the turn.',
    'Usual pace: the 8-foot one is the fast one. One of the two, never both on a day.',
  ],
  practice: 'Once.',
  station: {
    group: 5,
    staff: 'spots',
    lanes: 1,
    spotter: 'half-way, a step to the outside of the turn',
    restBeforeS: 120,
    betweenTriesS: 0,
    againAfterS: 60,
    takesS: 80,
    legs: true,
  },
  plan: { on: 'armchair', wall: 'behind', way: { metres: 3, end: 'line' }, spotter: 'half-way' },
  taps: { end: 'they sit again' },
  offers: [{ mark: 'touch', word: 'Touched' }],
  notCountedIf: ['hurried by you', 'the aid changed'],
  stopAt: ['stumbled twice', 'breathless', 'pain'],
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'walkway', metres: 4 },
  ],
  source: sources.upAndGo3m.cite,
  seatCm: 46,
  norms: upAndGo3mNorms,
  cutoffs: upAndGo3mCutoffs,
  publishedErrors: upAndGo3mErrors,
  // 20 %: common practice, no published source; a change of 4.1 s was published for people who need about 20 s (Ries 2009, from memory).
  changeBy: { kind: 'time', share: 0.2 },
} as const satisfies Protocol;
