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
  setUp: [
    'Seated for 5 minutes, feet flat, legs not crossed, the cuff on and the arm at the height of the heart.',
    'A chair with arms beside a rail; its seat touches the calves when they stand.',
    'Then up beside the rail; the cuff stays on.',
  ],
  say: 'Stand up. Tell me at once if you feel light-headed.',
  cautions: [
    'Stand in front, half an arm away; the chair touches the calves.',
    'A drop of 15 systolic or 7 diastolic from seated, or feeling light-headed: not today, and somebody licensed is told.',
  ],
  practice: 'None.',
  station: {
    group: 0,
    staff: 'instructor',
    lanes: 1,
    spotter: 'in front, half an arm away',
    restBeforeS: 0,
    betweenTriesS: 0,
    againAfterS: 300,
    takesS: 420,
  },
  plan: { on: 'armchair', rail: 'side', spotter: 'ahead' },
  taps: { start: 'they stand' },
  dropLimits: { upper: 15, lower: 7, source: 'Shaw et al. 2017, from a seated start; from memory' },
  offers: [],
  notCountedIf: ['talked or crossed the legs while seated', 'under 5 minutes seated'],
  stopAt: ['light-headed, blurred or pale: seat them'],
  place: [{ what: 'thing', thing: 'cuff' }],
  source: sources.practice.cite,
} as const satisfies Protocol;
