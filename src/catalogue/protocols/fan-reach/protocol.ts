import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const fanReach = {
  id: 'fan-reach',
  version: 2,
  earlier: [{ version: 1, range: { min: 0, max: 10, whole: true } }],
  title: 'One-leg fan reach, clean rounds',
  short: 'Fan reach',
  capture: { kind: 'count', ends: { count: 3 }, capS: 120, halfAtTone: false },
  unit: 'rounds',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 3, whole: true },
  setUp: [
    'Three floor marks at 60 cm: 10, 12 and 2 o’clock.',
    'A rail beside the other hand. The arm of the standing side reaches over the mark to knee height, no touch.',
  ],
  say: 'Left, centre, right. Come up tall each time.',
  cautions: ['Stand behind, on the standing side.', 'Three rounds a side and no clock: a clock makes it a race.'],
  hazards: ['one-leg'],
  practice: 'One round a side.',
  station: {
    group: 7,
    staff: 'instructor',
    lanes: 1,
    spotter: 'behind, on the standing side',
    restBeforeS: 120,
    betweenTriesS: 60,
    againAfterS: 120,
    takesS: 120,
  },
  plan: { on: 'feet', rail: 'side', spotter: 'behind' },
  offers: [
    { mark: 'not-full', word: 'Not clean' },
    { mark: 'touch', word: 'Touched' },
  ],
  notCountedIf: ['the pelvis turned', 'the foot came down'],
  stopAt: ['the foot down twice', 'the back rounds'],
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
