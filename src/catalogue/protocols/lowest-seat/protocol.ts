import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const lowestSeat = {
  id: 'lowest-seat',
  version: 1,
  title: 'Lowest seat risen from without hands',
  short: 'Lowest seat',
  capture: { kind: 'staged', stages: ['1', '2', '3', '4', '5', '6'].map((id) => ({ id })), ends: 'lowest' },
  unit: 'cm',
  better: 'lower',
  sides: 'none',
  range: { min: 30, max: 60, whole: false },
  readTo: 1,
  setUp: [
    'A stable chair to the wall and firm pads, two at most, tied.',
    'Start at 53 cm; go down by what the cupboard makes, at most 5 cm a step.',
    'Measure with the person seated.',
  ],
  say: 'One stand without your hands. Good. Now a little lower.',
  cautions: [
    'Stand in front, an arm under the forearm; a chair of your own behind you.',
    'At most six stands. Replaced hip with limits: not under the limit. Knee pain of 3 and over: not under 43 cm.',
  ],
  practice: 'One from the usual seat.',
  station: {
    group: 4,
    staff: 'instructor',
    lanes: 1,
    spotter: 'in front, an arm under the forearm',
    restBeforeS: 120,
    betweenTriesS: 30,
    againAfterS: 120,
    takesS: 200,
    legs: true,
  },
  plan: { on: 'chair', wall: 'behind', spotter: 'ahead' },
  offers: [],
  notCountedIf: ['a pad slid', 'rocked more than twice'],
  stopAt: ['hands twice at one height', 'pain of 3 and over', 'a drop onto the seat'],
  place: [{ what: 'chair', fromCm: 35, toCm: 55 }, { what: 'pads' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
