import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { oneLegCutoffs, oneLegErrors, oneLegNorms } from './norms';

export const oneLeg = {
  id: 'one-leg',
  version: 1,
  title: 'One-leg stance, eyes open',
  short: 'One leg',
  capture: { kind: 'hold', capS: 45, starts: 'foot-off' },
  unit: 's',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 45, whole: false },
  setUp: ['A fixed hold within reach.'],
  say: 'Arms crossed, lift one foot, look at the spot.',
  cautions: ['Stop the clock at the first touch or hop.'],
  hazards: ['one-leg'],
  practice: 'One try a side.',
  place: [{ what: 'fixed-hold' }],
  source: sources.oneLeg.cite,
  norms: oneLegNorms,
  cutoffs: oneLegCutoffs,
  publishedErrors: oneLegErrors,
  tries: { count: 3, by: 'best' },
} as const satisfies Protocol;
