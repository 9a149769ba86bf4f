import type { ClassBlock, ClassTemplate } from '../../core/shapes/class';
import { end, start, water } from './frame';

const round = (id: string, title: string, cues: readonly string[]): ClassBlock => ({
  ...{ id, kind: 'work', title, minutes: 6.3, cues },
  parts: [
    {
      ...{ pattern: 'A', scheme: '10x2', tempo: [1, 3], restS: 0, freest: 'f' },
      shelves: { A: ['A1'], B: ['A2'], C: ['A3-4'] },
    },
    {
      ...{ pattern: 'S', scheme: '10x1', tempo: [2, 4], freest: 'f' },
      shelves: { A: ['S1-3'], B: ['S4-5'], C: ['S6-7'] },
    },
    {
      ...{ pattern: 'L', scheme: '5x1', aSide: true, tempo: [2, 2], restS: 5, freest: 'f' },
      shelves: { A: ['L1'], B: ['L2-3'], C: ['L4-6'] },
    },
    {
      ...{ pattern: 'H', scheme: '10x1', tempo: [2, 4], freest: 'f' },
      shelves: { A: ['H1-2'], B: ['H3'], C: ['H4'] },
    },
    {
      ...{ pattern: 'U', scheme: '5x1', aSide: true, tempo: [2, 2], restS: 5, freest: 'f' },
      shelves: { A: ['U1'], B: ['U1'], C: ['U1'] },
    },
  ],
});

export const heldSet: ClassTemplate = {
  ...{ id: 'held-set', title: 'Held leg set: five moves by ten', minutes: 28.8 },
  says: 'Everybody holds. For full rooms, hot days, a stand-in instructor.',
  blocks: [
    ...start,
    { id: 'show', kind: 'show', title: 'Show five, easiest first', minutes: 1.7 },
    round('round-1', 'Five moves, first round', [
      ...['Weight on the big toes', 'Hips back first', 'Two lanes', 'Flat back', 'Knee to hip height'],
    ]),
    water('water', 1.5),
    round('round-2', 'Five moves, second round', [
      ...[
        'Three counts down',
        'Knee over second toe',
        'Push the back off',
        'Push the hips back',
        'Stand tall, then down',
      ],
    ]),
    ...end,
  ],
};
