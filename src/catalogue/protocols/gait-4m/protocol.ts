import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { gait4mCutoffs, gait4mErrors, gait4mNorms } from './norms';

export const gait4m = {
  id: 'gait-4m',
  version: 2,
  earlier: [{ version: 1 }],
  title: '4-metre usual walk',
  short: '4-metre walk',
  capture: { kind: 'timed', capS: 60 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 60, whole: false },
  readTo: 0.01,
  setUp: [
    'Tape at 0 and at 4 m, 1 m clear beyond.',
    'Toes at the line, standing still: no run-in. Usual shoes and aid.',
  ],
  say: 'Walk to the other end at your usual pace, as if to the shop. Past the line before you stop.',
  cautions: [
    'Walk beside and half a step behind, out of their sight.',
    'Stop the clock when the first foot is over the line.',
  ],
  practice: 'None; show it.',
  station: {
    group: 5,
    staff: 'counts',
    lanes: 1,
    spotter: 'beside and half a step behind, outside the line of sight',
    restBeforeS: 0,
    betweenTriesS: 10,
    againAfterS: 10,
    takesS: 45,
  },
  plan: { on: 'feet', way: { metres: 4, end: 'line' }, spotter: 'beside' },
  taps: { end: 'the first foot is over the line' },
  offers: [{ mark: 'touch', word: 'Touched' }],
  notCountedIf: ['slowed before the line', 'talked', 'ran'],
  stopAt: ['a stumble'],
  place: [{ what: 'walkway', metres: 6 }],
  source: sources.gait4m.cite,
  norms: gait4mNorms,
  cutoffs: gait4mCutoffs,
  publishedErrors: gait4mErrors,
  speedOverM: 4,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
