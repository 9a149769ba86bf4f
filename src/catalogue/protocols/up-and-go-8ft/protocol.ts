import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { upAndGo8ftCutoffs, upAndGo8ftNorms, upAndGo8ftReliability, upAndGo8ftStandard } from './norms';

export const upAndGo8ft = {
  id: 'up-and-go-8ft',
  version: 1,
  title: '8-foot up and go',
  short: 'Up and go',
  capture: { kind: 'timed', capS: 180 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 180, whole: false },
  setUp: ['Cone 2.44 m from the front edge of the chair.'],
  say: 'On go, stand up, walk round the cone as fast as is safe, sit down.',
  cautions: ['Walk beside them, on the side to bring along.'],
  practice: 'Once, walking.',
  place: [
    { what: 'chair', fromCm: 40, toCm: 48 },
    { what: 'walkway', metres: 3.5 },
  ],
  source: sources.middleHalf.cite,
  seatCm: 43.2,
  norms: upAndGo8ftNorms,
  cutoffs: upAndGo8ftCutoffs,
  standard: upAndGo8ftStandard,
  reliability: upAndGo8ftReliability,
  tries: { count: 2, by: 'best' },
} as const satisfies Protocol;
