import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const footFeel = {
  id: 'foot-feel',
  version: 1,
  title: 'Light touch on four toes a side',
  short: 'Foot feeling',
  capture: { kind: 'staged', stages: ['1', '2', '3', '4', '5', '6', '7', '8'].map((id) => ({ id })), ends: 'all' },
  unit: 'of 8 touches',
  better: 'higher',
  sides: 'both',
  range: { min: 0, max: 8, whole: true },
  setUp: ['Sitting, eyes shut.'],
  say: 'Say when you feel it.',
  cautions: ['Under 6 of 8 counts as numb feet.'],
  practice: 'Touch the hand first.',
  place: [{ what: 'thing', thing: 'filament' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
