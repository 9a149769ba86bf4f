import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { upAndGo3mCutoffs, upAndGo3mErrors, upAndGo3mNorms } from './norms';

export const upAndGo3m = {
  id: 'up-and-go-3m',
  version: 1,
  title: '3-metre up and go',
  short: '3-metre up and go',
  capture: { kind: 'timed', capS: 180 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 180, whole: false },
  setUp: ['A line 3 m from the chair.'],
  say: 'On go, stand up, walk to the line at your usual pace, turn, come back, sit down.',
  cautions: ['Walk beside them, on the side to bring along.'],
  practice: 'Once.',
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'walkway', metres: 4 },
  ],
  source: sources.upAndGo3m.cite,
  seatCm: 46,
  norms: upAndGo3mNorms,
  cutoffs: upAndGo3mCutoffs,
  publishedErrors: upAndGo3mErrors,
} as const satisfies Protocol;
