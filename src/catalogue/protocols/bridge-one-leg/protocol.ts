import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const bridgeOneLeg = {
  id: 'bridge-one-leg',
  version: 1,
  title: 'One-leg bridge, clean lifts',
  short: 'One-leg bridge',
  capture: { kind: 'count', ends: { count: 10 }, capS: 60, halfAtTone: false },
  unit: 'lifts',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 60, whole: true },
  setUp: ['Mat.'],
  say: 'Lift by the hips, keep the pelvis level.',
  cautions: ['Only for those who manage the floor.'],
  hazards: ['floor'],
  practice: 'One lift.',
  place: [{ what: 'mat' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
