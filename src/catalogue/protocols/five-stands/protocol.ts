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
  range: { min: 1, max: 60, whole: false },
  readTo: 0.01,
  setUp: [
    'Chair 43 to 46 cm, its back to the wall.',
    'As for the chair stand, and instead of it, not after it.',
    'The clock stops at the full stand of the fifth, not when they sit.',
  ],
  say: 'Stand up straight five times as fast as you can. Arms stay folded.',
  cautions: ['In front, within an arm.', 'Hands, or over 60 s: not done.'],
  practice: 'One stand.',
  station: {
    group: 4,
    staff: 'counts',
    lanes: 1,
    spotter: 'in front, within an arm',
    restBeforeS: 120,
    betweenTriesS: 0,
    againAfterS: 300,
    takesS: 60,
    legs: true,
    // The three-part battery walks before it stands. Guralnik 1994, from memory.
    after: ['gait-4m', 'arm-curl'],
  },
  plan: { on: 'chair', wall: 'behind', spotter: 'ahead' },
  offers: [
    { mark: 'hands', word: 'Hands' },
    { mark: 'not-full', word: 'Not full' },
  ],
  notCountedIf: ['hands', 'not full', 'stopped when seated'],
  stopAt: ['60 s', 'hands', 'any stop sign'],
  place: [{ what: 'chair', fromCm: 40, toCm: 48 }],
  source: sources.fiveStands.cite,
  seatCm: 43.2,
  rises: { kind: 'seconds-for', rises: 5 },
  norms: fiveStandsNorms,
  cutoffs: fiveStandsCutoffs,
  publishedErrors: fiveStandsErrors,
  // 20 %: common practice, no published source; a change of 4.1 s was published for people who need about 20 s (Ries 2009, from memory).
  changeBy: { kind: 'time', share: 0.2 },
} as const satisfies Protocol;
