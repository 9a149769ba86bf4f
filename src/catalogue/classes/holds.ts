import type { ClassTemplate } from '../../core/shapes/class';
import { end, start } from './frame';

/** Half the group holds, the other half sits behind and counts aloud for them. */
export const holds: ClassTemplate = {
  ...{ id: 'holds', title: 'Holds, ended by the first stop sign', minutes: 33 },
  says: 'Half the group holds, the other half counts aloud behind them. The first stop sign ends a hold.',
  blocks: [
    ...start,
    { id: 'show', kind: 'show', title: 'Show: shaking is the end, not the aim', minutes: 2 },
    {
      ...{ id: 's', kind: 'work', title: 'Squat, held', minutes: 5 },
      parts: [{ pattern: 'S', scheme: 'h15x3', restS: 75, shelves: { A: ['S1'], B: ['S4-5'], C: ['S6'] } }],
      cues: ['Count aloud', 'Knees', 'Easy shoulders'],
    },
    {
      ...{ id: 'l', kind: 'work', title: 'Step stance, held on the front leg', minutes: 2 },
      parts: [
        {
          ...{ pattern: 'L', scheme: 'h10x2', aSide: true, restS: 20, freest: 'f' },
          shelves: { A: ['L1'], B: ['L1'], C: ['L1-3'] },
        },
      ],
      cues: ['Two lanes', 'Front heel'],
    },
    { id: 'walk', kind: 'walk', title: 'Walk, water', minutes: 1.5 },
    {
      ...{ id: 'w', kind: 'work', title: 'Wide, held', minutes: 5 },
      parts: [
        {
          // The next rung opens by a hold of half a minute; a minute of rest is left then.
          ...{ pattern: 'W', scheme: 'h15x3', restS: 75, longestS: 30 },
          shelves: { A: ['W1-2'], B: ['W3'], C: ['W4-5'] },
        },
      ],
      cues: ['Sit between your feet', 'Count', 'Ribs soft'],
    },
    {
      ...{ id: 'h', kind: 'work', title: 'Hinge, a pause at the bottom', minutes: 3 },
      parts: [{ pattern: 'H', scheme: 'h5x3', restS: 30, shelves: { A: ['H1'], B: ['H2'], C: ['H3'] } }],
      cues: ['Flat back', 'Soft knees', 'Breathe'],
    },
    {
      ...{ id: 'a', kind: 'work', title: 'Heels up, held', minutes: 1.5 },
      parts: [
        {
          ...{ pattern: 'A', scheme: 'h5x4', restS: 10, freest: 'f' },
          shelves: { A: ['A1'], B: ['A2'], C: ['A3'] },
        },
      ],
      cues: ['Big toes'],
    },
    ...end,
  ],
};
