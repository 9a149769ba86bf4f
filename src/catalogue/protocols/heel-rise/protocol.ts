import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

export const heelRise = {
  id: 'heel-rise',
  version: 1,
  title: 'Heel raises, both heels',
  short: 'Heel raises',
  capture: { kind: 'count', ends: { count: 25 }, capS: 60, halfAtTone: false },
  unit: 'raises',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 25, whole: true },
  setUp: [
    'A rail, and a string or a ruler at the height of the first raise.',
    'Fingertips only, knees straight, shoes on.',
    'To the beat: one up, one down.',
  ],
  say: 'Up on your toes as high as the first, down, to my count.',
  cautions: ['Stop at calf pain or cramp.'],
  practice: 'Two raises.',
  station: {
    group: 7,
    staff: 'counts',
    lanes: 2,
    spotter: 'beside; the rail in front',
    restBeforeS: 60,
    betweenTriesS: 0,
    againAfterS: 300,
    takesS: 70,
  },
  plan: { on: 'feet', rail: 'ahead', spotter: 'beside' },
  offers: [{ mark: 'not-full', word: 'Half height' }],
  notCountedIf: ['the knees bend', 'under half the height of the first', 'leans on the hands'],
  stopAt: ['two faults', 'off the beat', 'calf pain or cramp', '25'],
  beatS: 1,
  place: [{ what: 'fixed-hold' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
