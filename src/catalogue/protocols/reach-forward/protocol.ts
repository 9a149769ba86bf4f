import type { Protocol } from '../../../core/shapes/protocol';
import { sources } from '../../sources';
import { reachForwardCutoffs, reachForwardErrors, reachForwardNorms } from './norms';

export const reachForward = {
  id: 'reach-forward',
  version: 1,
  title: 'Forward reach',
  short: 'Forward reach',
  capture: { kind: 'distance', fromStart: true },
  unit: 'cm',
  better: 'higher',
  sides: 'none',
  range: { min: 0, max: 80, whole: false },
  readTo: 0.5,
  setUp: [
    'A stick or tape level on the wall at the height of this person’s shoulder.',
    'Beside the wall without touching it, feet at ease, the arm up to level, a fist.',
    'Read the knuckle before and after.',
  ],
  say: 'Reach as far forward as you can without a step. Keep the heels down.',
  cautions: ['Stand in front and to the side of the free arm; a chair behind.', 'A sore shoulder: the other arm.'],
  practice: 'Two tries.',
  station: {
    group: 2,
    staff: 'spots',
    lanes: 1,
    spotter: 'in front and to the side of the free arm',
    restBeforeS: 0,
    betweenTriesS: 20,
    againAfterS: 60,
    takesS: 120,
  },
  plan: { on: 'feet', wall: 'side', spotter: 'ahead' },
  offers: [{ mark: 'caught', word: 'Stepped or caught' }],
  notCountedIf: ['a heel up', 'a step', 'touched the wall', 'the trunk turned'],
  stopAt: ['a heel up, a step, caught'],
  place: [
    { what: 'thing', thing: 'wall' },
    { what: 'thing', thing: 'tape' },
  ],
  source: sources.reachForward.cite,
  norms: reachForwardNorms,
  cutoffs: reachForwardCutoffs,
  publishedErrors: reachForwardErrors,
  tries: { count: 3, by: 'mean' },
} as const satisfies Protocol;
