import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const floorTransfer = {
  id: 'floor-transfer',
  version: 1,
  title: 'Down to the floor and up',
  short: 'Floor transfer',
  capture: { kind: 'timed', capS: 600, unhurried: true },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 600, whole: false },
  readTo: 1,
  setUp: [
    'A mat, a pad of 5 cm, a firm chair beside it and a second one.',
    'One way down, one way up, the chair first as a hold. Teach up before down.',
  ],
  say: 'Down and up your own safe way. Take your time.',
  cautions: [
    'A second person: one behind the hips, one at the chair.',
    'After rising hold on for 30 s before the first step.',
  ],
  hazards: ['floor'],
  practice: 'Shown, not tried.',
  station: {
    group: 8,
    staff: 'instructor',
    lanes: 1,
    spotter: 'one behind the hips, one at the chair',
    restBeforeS: 300,
    betweenTriesS: 0,
    againAfterS: null,
    takesS: 180,
  },
  plan: { on: 'mat', spotter: 'behind' },
  taps: { start: 'they set off', end: 'they stand again' },
  offers: [],
  notCountedIf: ['pulled up by a person: kept as help of a person'],
  stopAt: ['pain', 'cannot get past kneeling', 'fear'],
  place: [{ what: 'mat' }, { what: 'chair', fromCm: 35, toCm: 60 }],
  source: sources.practice.cite,
  asksHelp: true,
} as const satisfies Protocol;
