import type { DaySets } from '../../core/shapes/day';

/** What a testing day has in it, and what is left out first when time runs out. Common practice, no published source. */
export const daySets: DaySets = {
  full: ['four-stage', 'one-leg', 'chair-stand-30s', 'up-and-go-8ft', 'step-2min'],
  first: ['four-stage', 'one-leg', 'chair-stand-30s'],
  walkIn: ['four-stage', 'chair-stand-30s'],
  mostWalkIns: 2,
  battery: ['four-stage', 'gait-4m', 'five-stands'],
  // The check of the room 4, the warm-up 5, the closing 3 minutes.
  besidesS: 12 * 60,
  closingS: 3 * 60,
  mostS: 60 * 60,
  mostLegs: 3,
  mostLegsWithCare: 2,
  seatedTooLongS: 15 * 60,
  meanwhile: ['the knee mark for the step', 'height', 'the leaf', 'water'],
  drops: [
    { id: 'further', words: 'what is further and opens nothing', does: { kind: 'further' } },
    {
      id: 'one-leg-third',
      words: 'the third try on one leg',
      does: { kind: 'try', test: 'one-leg', share: 1 / 3, say: 'Two tries a side today.' },
    },
    { id: 'step', words: 'the two-minute step, to the next class day', does: { kind: 'test', test: 'step-2min' } },
    {
      id: 'up-and-go-second',
      words: 'the second up and go',
      does: { kind: 'try', test: 'up-and-go-8ft', share: 0.4, say: 'One trial today, kept as a single one.' },
    },
    { id: 'up-and-go', words: 'the up and go', does: { kind: 'test', test: 'up-and-go-8ft' } },
    {
      id: 'one-leg-second',
      words: 'one leg beyond one try a side',
      does: { kind: 'try', test: 'one-leg', share: 1 / 3, say: 'One try a side today.' },
    },
  ],
};
