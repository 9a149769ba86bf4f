import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const fanReach = {
  id: 'fan-reach',
  version: 1,
  title: 'One-leg fan reach, clean rounds',
  short: 'Fan reach',
  capture: { kind: 'count', ends: { count: 3 }, capS: 120, halfAtTone: false },
  unit: 'rounds',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 10, whole: true },
  setUp: ['A fixed hold within reach.'],
  say: 'Reach left, centre, right on one leg.',
  cautions: ['Stop where the pelvis turns.'],
  hazards: ['one-leg'],
  practice: 'One round.',
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
