import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const lowestSeat = {
  id: 'lowest-seat',
  version: 1,
  title: 'Lowest seat risen from without hands',
  short: 'Lowest seat',
  capture: { kind: 'staged', stages: [], ends: 'lowest' },
  unit: 'cm',
  better: 'lower',
  sides: 'none',
  range: { min: 30, max: 60, whole: false },
  setUp: ['Chair against the wall; pads from 53 cm down.'],
  say: 'Stand up once without your hands.',
  cautions: ['Stop at the first use of hands.'],
  practice: 'One stand from the usual seat.',
  place: [{ what: 'chair', fromCm: 35, toCm: 55 }, { what: 'pads' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
