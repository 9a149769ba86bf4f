import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { step2minCutoffs, step2minNorms, step2minReliability, step2minStandard } from './norms';

export const step2min = {
  id: 'step-2min',
  version: 1,
  title: 'Two-minute step in place',
  short: 'Two-minute step',
  capture: { kind: 'count', ends: { time: 120 }, capS: 120, halfAtTone: false },
  unit: 'steps',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 300, whole: true },
  setUp: [
    'A wall with this person’s mark, half-way between kneecap and hip-bone crest, the name on the tape.',
    'A rail or a chair back a hand away. The faller next to the rail.',
    'Measure the mark before, at the door.',
  ],
  say: 'March, right foot first, knee to the mark. Do not run. Rest if you must, the clock runs. Stop before it is too much.',
  cautions: [
    'In front, all in view.',
    'No jogging. A low knee is not counted until it is up again.',
    'Afterwards 2 minutes of easy walking, then seated and watched for 2 minutes. No second try that day.',
  ],
  practice: 'Four steps to find the mark.',
  station: {
    group: 6,
    staff: 'counts',
    lanes: 2,
    spotter: 'in front, all in view',
    restBeforeS: 120,
    betweenTriesS: 0,
    againAfterS: 900,
    takesS: 140,
    legs: true,
    restAlways: true,
    // Two minutes walked and two seated and watched; five to anything timed, ten to balance.
    restAfterS: { seated: 240, timed: 300, balance: 600 },
  },
  plan: { on: 'feet', wall: 'side', rail: 'side', spotter: 'ahead' },
  heightMark: 'half-thigh',
  offers: [
    { mark: 'not-full', word: 'Low knee' },
    { mark: 'touch', word: 'Touched' },
    { mark: 'rest', word: 'Rested' },
  ],
  notCountedIf: ['jogged', 'the mark of another person', 'both knees counted'],
  stopAt: ['chest, dizziness, breath, pale', 'asks to'],
  calls: [
    { atS: 60, words: 'one minute left' },
    { atS: 90, words: 'thirty seconds left' },
  ],
  asksEffort: true,
  device: 'steps',
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.middleHalf.cite,
  norms: step2minNorms,
  cutoffs: step2minCutoffs,
  standard: step2minStandard,
  reliability: step2minReliability,
} as const satisfies Protocol;
