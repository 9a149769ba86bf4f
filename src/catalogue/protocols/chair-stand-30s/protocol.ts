import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import {
  chairStandCutoffs,
  chairStandErrors,
  chairStandNorms,
  chairStandReliability,
  chairStandStandard,
} from './norms';

export const chairStand30s = {
  id: 'chair-stand-30s',
  version: 1,
  title: '30-second chair stand',
  short: 'Chair stands',
  capture: { kind: 'count', ends: { time: 30 }, capS: 30, halfAtTone: true },
  unit: 'stands',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 60, whole: true },
  setUp: [
    'Chair without arms, its back to the wall, no castors. Seat 43 cm.',
    'Flat firm shoes. Feet flat, shoulder width, a little behind the knees.',
    'Sits in the middle of the seat, back straight, arms crossed on the chest.',
  ],
  say: 'On go, stand up fully, sit down fully, and keep going for thirty seconds. Keep your arms crossed.',
  cautions: [
    'Stand within arm’s reach, on the side to bring along.',
    'Stop at chest pain, dizziness, unusual breathlessness, sharp pain, or when asked to.',
  ],
  practice: 'One to three slow stands. Watch that the back of the legs leaves and meets the seat.',
  place: [{ what: 'chair', fromCm: 40, toCm: 48 }],
  source: sources.middleHalf.cite,
  seatCm: 43.2,
  norms: chairStandNorms,
  cutoffs: chairStandCutoffs,
  standard: chairStandStandard,
  reliability: chairStandReliability,
  publishedErrors: chairStandErrors,
  handsMakeZero: true,
  rises: { kind: 'rises-in', seconds: 30 },
} as const satisfies Protocol;
