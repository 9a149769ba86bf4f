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
  setUp: ['A tape on the floor to the wall.'],
  say: 'Knee to the wall, heel down.',
  cautions: ['Hold the wall.'],
  practice: 'One try a side.',
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.kneeToWall.cite,
  tries: { count: 3, by: 'best' },
} as const satisfies Protocol;
