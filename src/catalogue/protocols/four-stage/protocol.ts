import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { fourStageCutoffs } from './norms';

export const fourStage = {
  id: 'four-stage',
  version: 1,
  title: 'Four standing positions, 10 s each',
  short: 'Four positions',
  capture: {
    kind: 'staged',
    stages: ['sideBySide', 'semiTandem', 'tandem', 'oneLeg'].map((id) => ({ id, holdS: 10 })),
    ends: 'first-not',
  },
  unit: 'positions',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 4, whole: true },
  setUp: ['A fixed hold within reach.'],
  say: 'Hold each position until I say stop.',
  cautions: ['Help into the stance, then let go and time.'],
  hazards: ['one-leg'],
  practice: 'Show each position.',
  place: [{ what: 'fixed-hold' }],
  source: sources.fourStage.cite,
  cutoffs: fourStageCutoffs,
  asksSeconds: true,
} as const satisfies Protocol;
