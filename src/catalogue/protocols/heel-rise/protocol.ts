import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const heelRise = {
  id: 'heel-rise',
  version: 1,
  title: 'Heel raises, both heels',
  short: 'Heel raises',
  capture: { kind: 'count', ends: { count: 25 }, capS: 60, halfAtTone: false },
  unit: 'raises',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 25, whole: true },
  setUp: ['Fingertips on a fixed hold.'],
  say: 'Up on your toes and slowly down.',
  cautions: ['Stop at calf pain.'],
  practice: 'Two raises.',
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
