import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { reachForwardCutoffs, reachForwardErrors, reachForwardNorms } from './norms';

export const reachForward = {
  id: 'reach-forward',
  version: 1,
  title: 'Forward reach',
  short: 'Forward reach',
  capture: { kind: 'distance' },
  unit: 'cm',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 80, whole: false },
  setUp: ['Rule on the wall at shoulder height.'],
  say: 'Reach forward as far as you can, heels down.',
  cautions: ['Spotter within arm’s reach.'],
  practice: 'Two tries.',
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.reachForward.cite,
  norms: reachForwardNorms,
  cutoffs: reachForwardCutoffs,
  publishedErrors: reachForwardErrors,
  tries: { count: 3, by: 'mean' },
} as const satisfies Protocol;
