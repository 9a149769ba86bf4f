import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';

const touch = (id: string) => ({ id });
/** The first, third and fifth toe of each foot, not one foot after the other. */
const touches = ['R1', 'L1', 'R3', 'L5', 'R5', 'L3'].map(touch);
/** Version 1 touched four toes of each foot, a foot at a time. */
const eight = ['1', '2', '3', '4', '5', '6', '7', '8'].map(touch);

export const footFeel = {
  id: 'foot-feel',
  version: 2,
  earlier: [
    {
      version: 1,
      capture: { kind: 'staged', stages: eight, ends: 'all' },
      range: { min: 0, max: 8, whole: true },
      sides: 'both',
    },
  ],
  title: 'Light touch on three toes a side',
  short: 'Foot feeling',
  capture: { kind: 'staged', stages: touches, ends: 'all' },
  unit: 'touches',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 6, whole: true },
  setUp: [
    'Seated, shoes and socks off, one foot at a time on your towel.',
    'Eyes shut. Touch the hand first, so that they know what it feels like.',
    'Touch the pad of the toe with a fingertip for one to two seconds, very lightly.',
  ],
  say: 'Say left or right when you feel me touch. I touch very lightly.',
  cautions: ['Under 5 of 6 counts as numb feet.', 'A wound or a blister: shoes on again, tell them, note it.'],
  practice: 'Touch the hand first.',
  station: {
    group: 0,
    staff: 'counts',
    lanes: 1,
    spotter: 'seated in front',
    restBeforeS: 0,
    betweenTriesS: 0,
    againAfterS: 60,
    takesS: 90,
  },
  plan: { on: 'chair', spotter: 'ahead' },
  offers: [],
  notCountedIf: ['touched longer than two seconds', 'pressed, stroked or tapped twice'],
  stopAt: ['a wound or a blister is seen'],
  place: [{ what: 'chair', fromCm: 35, toCm: 60 }],
  source: sources.footFeel.cite,
} as const satisfies Protocol;
