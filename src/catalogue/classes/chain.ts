import type { ClassBlock, ClassTemplate, Part } from '../../core/shapes/class';
import { end, start, water } from './frame';

const moves = (hinge: string, lift: string, lunge: string): readonly Part[] => [
  { pattern: 'H', scheme: hinge, tempo: [2, 4], shelves: { A: ['H1-2'], B: ['H3'], C: ['H4'] } },
  // Who does not lift stands up from a seat.
  { pattern: 'S', scheme: lift, tempo: [2, 4], shelves: { A: ['S2-4'], B: ['H5', 'S5'], C: ['H5'] } },
  {
    ...{ pattern: 'L', scheme: lunge, aSide: true, tempo: [2, 4], restS: 5 },
    shelves: { A: ['L1'], B: ['L2-3'], C: ['L4-6'] },
  },
];
const once = (n: 1 | 2 | 3, cue: string): ClassBlock => ({
  ...{ id: `chain-${n}`, kind: 'work', title: `Chain, ${['first', 'second', 'third'][n - 1] ?? ''} time`, minutes: 3 },
  ...{ parts: moves('6x1', '4x1', '3x1'), cues: [cue] },
});

/** Learn apart, then join: hinge, lift, step back into the stance, stand tall. */
export const chain: ClassTemplate = {
  ...{ id: 'chain', title: 'One chain: hinge, lift, lunge', minutes: 37 },
  says: 'Learn three moves apart, then join them. In the first half of the term the box stands at 50 cm.',
  blocks: [
    ...start,
    {
      ...{ id: 'learn', kind: 'work', title: 'Learn each', minutes: 6.5, showS: 60 },
      ...{ parts: moves('5x1', '5x1', '5x1'), cues: ['Push the hips back', 'Box close', 'Two lanes'] },
    },
    once(1, 'Slow, and named'),
    water('sit-1', 1.5),
    once(2, 'Breath out on every rise'),
    water('sit-2', 1.5),
    once(3, 'Silent: you count'),
    {
      id: 'walk',
      kind: 'walk',
      title: 'Balance walk along the wall',
      minutes: 3,
      cues: ['Look where you go', 'Turn the other way'],
    },
    {
      ...{ id: 'a', kind: 'work', title: 'Ankles', minutes: 2.5, cues: ['Slow down'] },
      parts: [{ pattern: 'A', scheme: '10x1', tempo: [1, 3], shelves: { A: ['A1'], B: ['A2'], C: ['A3'] } }],
    },
    ...end,
  ],
};
