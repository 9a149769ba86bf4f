import type { ClassTemplate } from '../../core/shapes/class';
import { end, start, water } from './frame';

/** Repetitions are half of what each counted in 30 s; a round ends with 10 s left, or it was the last. */
export const halfMinutes: ClassTemplate = {
  ...{ id: 'half-minutes', title: 'Half-minute rounds', minutes: 30 },
  says: 'Staying power: the same few, again each half-minute. Not for the first two classes.',
  blocks: [
    ...start,
    { id: 'show', kind: 'show', title: 'Show; everybody says their number', minutes: 1.5 },
    {
      ...{ id: 's', kind: 'work', title: 'Squat', minutes: 3 },
      parts: [{ pattern: 'S', scheme: '5e30x6', tempo: [1, 2], shelves: { A: ['S1-3'], B: ['S4'], C: ['S5', 'S7'] } }],
      cues: ['Nose over toes', 'Knees', 'Feather', 'Heels', 'Breathe out', 'Tall'],
    },
    water('water-1', 2),
    {
      ...{ id: 'h', kind: 'work', title: 'Hinge', minutes: 3 },
      parts: [{ pattern: 'H', scheme: '4e30x6', tempo: [2, 2], shelves: { A: ['H1'], B: ['H2-3'], C: ['H4'] } }],
      cues: ['Long back', 'Hips', 'Soft knees', 'Squeeze', 'Breath', 'Slow'],
    },
    { id: 'walk', kind: 'walk', title: 'Walk round the chair, hold near', minutes: 1 },
    {
      ...{ id: 'a', kind: 'work', title: 'Ankles', minutes: 2 },
      parts: [{ pattern: 'A', scheme: '8e30x4', tempo: [1, 1], shelves: { A: ['A1'], B: ['A2'], C: ['A3'] } }],
      cues: ['Big toes', 'Toes up', 'Tall', 'Slow down'],
    },
    water('water-2', 1.5),
    {
      ...{ id: 'l', kind: 'work', title: 'Lunge, sides in turn', minutes: 3 },
      parts: [
        {
          ...{ pattern: 'L', scheme: '4e30x6', aSide: true, tempo: [2, 2], freest: 'f' },
          shelves: { A: ['L1'], B: ['L2-3'], C: ['L4'] },
        },
      ],
      cues: ['Two lanes', 'Knee', 'Heel', 'Tall', 'Breath', 'Quiet'],
    },
    ...end,
  ],
};
