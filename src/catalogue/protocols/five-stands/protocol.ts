import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { fiveStandsCutoffs, fiveStandsErrors, fiveStandsNorms } from './norms';

export const fiveStands = {
  id: 'five-stands',
  version: 1,
  title: 'Five chair stands, timed',
  short: 'Five stands',
  capture: { kind: 'timed', capS: 60, reps: 5 },
  unit: 's',
  better: 'lower',
  sides: 'none',
  range: { min: 1, max: 120, whole: false },
  setUp: ['Chair with its back to the wall.'],
  say: 'Cross your arms. Stand up and sit down five times, as fast as you safely can.',
  cautions: ['Spotter within arm’s reach.'],
  practice: 'One slow stand.',
  place: [{ what: 'chair', fromCm: 40, toCm: 48 }],
  source: sources.fiveStands.cite,
  seatCm: 43.2,
  rises: { kind: 'seconds-for', rises: 5 },
  norms: fiveStandsNorms,
  cutoffs: fiveStandsCutoffs,
  publishedErrors: fiveStandsErrors,
} as const satisfies Protocol;
