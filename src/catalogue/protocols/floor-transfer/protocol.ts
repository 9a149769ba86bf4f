import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const floorTransfer = {
  id: 'floor-transfer',
  version: 1,
  title: 'Down to the floor and up',
  short: 'Floor transfer',
  capture: { kind: 'timed', capS: 600 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 600, whole: false },
  setUp: ['Chair beside, a pad to kneel on, a second person.'],
  say: 'Go down and come back up your own safe way.',
  cautions: ['A second person is needed.'],
  hazards: ['floor'],
  practice: 'Shown, not tried.',
  place: [{ what: 'mat' }, { what: 'chair', fromCm: 35, toCm: 60 }],
  source: sources.practice.cite,
  asksHelp: true,
} as const satisfies Protocol;
