import type { Offer, OfferReason } from '../../core/shapes/ladder';
import { backScratchCutoffs } from '../protocols/back-scratch/norms';
import { step2minCutoffs } from '../protocols/step-2min/norms';
import { upAndGo3mCutoffs } from '../protocols/up-and-go-3m/norms';
import { upAndGo8ftCutoffs } from '../protocols/up-and-go-8ft/norms';

const any = (...reasons: readonly (OfferReason & { readonly because: string })[]) => reasons;

/** What is offered beside the four ladders, the first three that hold. House rules: common practice, no published source. */
export const offers: readonly Offer[] = [
  {
    pattern: 'Q',
    when: [
      any(
        { limiter: 'knee-pain', painAtLeast: 3, because: 'a sore knee' },
        { limiter: 'knee-replaced', because: 'a knee replaced' },
      ),
    ],
  },
  { pattern: 'F', when: [any({ notManaged: 'floorTransfer', because: 'the floor transfer is not managed yet' })] },
  {
    pattern: 'A',
    when: [
      any(
        { fallsAtLeast: 1, because: 'a fall in the last 12 months' },
        { test: 'up-and-go-8ft', past: upAndGo8ftCutoffs, because: 'up and go past its line' },
        { test: 'up-and-go-3m', past: upAndGo3mCutoffs, because: 'up and go past its line' },
        { fact: 'fourStage', under: 4, because: 'not all four standing positions held' },
        { limiter: 'numb-feet', because: 'numb feet' },
      ),
    ],
  },
  {
    pattern: 'M',
    rung: 1,
    when: [
      any(
        { fact: 'kneeToWallCm', under: 7, because: 'an ankle that bends under 7 cm to the wall' },
        { seen: 'heelUpTwice', because: 'a heel that came up in two classes' },
      ),
    ],
  },
  {
    pattern: 'U',
    when: [
      any({ fact: 'cleanStands', atLeast: 8, because: 'eight stands' }),
      any(
        { wish: 'stairs', because: 'stairs wished for' },
        { test: 'step-2min', past: step2minCutoffs, because: 'the step test past its line' },
      ),
    ],
  },
  {
    pattern: 'W',
    when: [
      any(
        { given: 'S', rungs: [4, 6], afterFirstClasses: true, because: 'two classes on S4 to S6' },
        { wish: 'wide-stance', because: 'the wide stance wished for' },
      ),
    ],
  },
  {
    pattern: 'M',
    rung: 3,
    when: [any({ test: 'back-scratch', past: backScratchCutoffs, because: 'hands behind the back past its line' })],
  },
  { pattern: 'K', when: [any({ given: 'B', rungs: [4, 9], because: 'B4 or more given' })] },
  {
    pattern: 'M',
    rung: 2,
    when: [
      any({ given: 'L', rungs: [4, 9], because: 'L4 or more given' }),
      any({ seen: 'backThighTight', because: 'the front of the back thigh is tight' }),
    ],
  },
];
