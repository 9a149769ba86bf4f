import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { gait4mCutoffs, gait4mErrors, gait4mNorms } from './norms';

export const gait4m = {
  id: 'gait-4m',
  version: 1,
  title: '4-metre usual walk',
  short: '4-metre walk',
  capture: { kind: 'timed', capS: 60 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 60, whole: false },
  setUp: ['4 m marked, with room to run in and out.'],
  say: 'Walk at your usual pace.',
  cautions: ['Walk behind and beside.'],
  practice: 'None.',
  place: [{ what: 'walkway', metres: 6 }],
  source: sources.gait4m.cite,
  norms: gait4mNorms,
  cutoffs: gait4mCutoffs,
  publishedErrors: gait4mErrors,
  speedOverM: 4,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
