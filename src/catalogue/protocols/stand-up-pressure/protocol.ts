import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const standUpPressure = {
  id: 'stand-up-pressure',
  version: 1,
  title: 'Pressure seated and standing',
  short: 'Stand-up pressure',
  capture: {
    kind: 'staged',
    stages: [{ id: 'seated' }, { id: '1 min', afterS: 60 }, { id: '3 min', afterS: 180 }],
    ends: 'all',
  },
  unit: 'mmHg drop',
  better: 'lower',
  sides: 'none',
  range: { min: -100, max: 150, whole: true },
  setUp: ['Five minutes seated first.'],
  say: 'Stand up; tell me if you feel light-headed.',
  cautions: ['A drop of 20 with symptoms: not today.'],
  practice: 'None.',
  place: [{ what: 'thing', thing: 'cuff' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
