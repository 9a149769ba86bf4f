import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const thighHold = {
  id: 'thigh-hold',
  version: 1,
  title: 'Part-squat hold to the first stop sign',
  short: 'Part-squat hold',
  capture: { kind: 'hold', capS: 45, starts: 'in-place' },
  unit: 's',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 45, whole: false },
  readTo: 1,
  setUp: ['A chair behind at the target height, a rail.', 'Mark the depth: the target seat, the hips just above it.'],
  say: 'Hold this. Keep talking to me.',
  cautions: ['In front, half an arm away.', 'Breath held, knee in, hands or a shake end it. Cap 45 s.'],
  practice: 'Find the depth, 2 s.',
  station: {
    group: 7,
    staff: 'instructor',
    lanes: 1,
    spotter: 'in front, half an arm away',
    restBeforeS: 300,
    betweenTriesS: 0,
    againAfterS: 300,
    takesS: 80,
  },
  offers: [],
  notCountedIf: ['touched the seat', 'straightened over 10 degrees'],
  stopAt: ['breath held', 'a knee falls in', 'pain of 3 and over', 'hands', '45 s'],
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
