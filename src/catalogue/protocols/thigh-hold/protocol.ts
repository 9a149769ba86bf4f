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
  range: { min: 0, max: 300, whole: false },
  setUp: ['Chair behind, fixed hold in reach.'],
  say: 'Hold this, keep breathing.',
  cautions: ['Ends at a held breath or the first stop sign.'],
  practice: 'Find the depth.',
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
