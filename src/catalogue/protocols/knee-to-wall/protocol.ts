import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const kneeToWall = {
  id: 'knee-to-wall',
  version: 1,
  title: 'Ankle range, knee to wall',
  short: 'Knee to wall',
  capture: { kind: 'distance' },
  unit: 'cm',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 30, whole: false },
  readTo: 0.5,
  setUp: [
    'A tape on the floor square to the wall, its 0 at the wall.',
    'The big toe on the tape, the knee over the second toe to the wall, hands on the wall.',
    'A slip of paper under the heel must stay pinched.',
  ],
  say: 'Knee to the wall, heel glued down. I slide you back a little each time.',
  cautions: ['A chair behind.', 'A pinch in front of the ankle or pain of 3 and over: leave it.'],
  practice: 'One try a side.',
  station: {
    group: 3,
    staff: 'counts',
    lanes: 1,
    spotter: 'beside; a chair behind them',
    restBeforeS: 0,
    betweenTriesS: 5,
    againAfterS: 0,
    takesS: 80,
  },
  plan: { on: 'feet', wall: 'ahead', spotter: 'beside' },
  offers: [],
  notCountedIf: ['the heel came up', 'the foot turned'],
  stopAt: ['the heel up', 'a pinch in front'],
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.kneeToWall.cite,
  tries: { count: 3, by: 'best' },
} as const satisfies Protocol;
