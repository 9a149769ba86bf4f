import type { ClassBlock, ClassTemplate, Part } from '../../core/shapes/class';
import { coolDown, logMinute, start, water } from './frame';

/** 30 + 15 + 30 + 15 + 30 is two minutes, with the change two and a half; a side apart takes it twice. */
const block = (
  id: string,
  title: string,
  minutes: number,
  showS: number,
  part: Omit<Part, 'scheme'>,
  cues: readonly string[],
): ClassBlock => ({
  ...{ id, kind: 'work', title, minutes, showS, cues },
  parts: [{ ...part, scheme: '30/15x3' }],
});

export const intervals: ClassTemplate = {
  ...{ id: 'intervals', title: 'Intervals 30/15 by three', minutes: 38 },
  says: 'Nobody counts: one thing to mind each round.',
  blocks: [
    ...start,
    block('s', 'Squat', 3.5, 60, { pattern: 'S', tempo: [2, 4], shelves: { A: ['S1-3'], B: ['S4-5'], C: ['S7-8'] } }, [
      ...['Hips back first', 'Knee over second toe', 'Feather touch'],
    ]),
    block(
      'h',
      'Hinge',
      3.3,
      50,
      { pattern: 'H', tempo: [2, 4], shelves: { A: ['H1-2'], B: ['H3'], C: ['H4', 'H6'] } },
      [...['Push the hips back', 'Long neck', 'Squeeze at the top']],
    ),
    water('water', 1.5),
    block(
      ...(['l', 'Lunge', 5.8, 50] as const),
      { pattern: 'L', aSide: true, tempo: [2, 2], shelves: { A: ['L1'], B: ['L2-3'], C: ['L4-6'] } },
      ['Two lanes', 'Front heel heavy', 'Tall'],
    ),
    block(
      ...(['a', 'Ankles or step-up', 2.9, 20] as const),
      { pattern: 'A', tempo: [1, 3], shelves: { A: ['A1'], B: ['A2-3'], C: ['U1-2'] } },
      ['Big toes', 'Slow down', 'No leaning'],
    ),
    { id: 'floor', kind: 'floor', title: 'The way down, together', minutes: 4 },
    block('b', 'Bridge', 3, 0, { pattern: 'B', tempo: [2, 4], shelves: { A: ['B1'], B: ['B2'], C: ['B3-5'] } }, [
      ...['Heels press', 'Ribs down', 'Level belt'],
    ]),
    { ...coolDown, minutes: 5, cues: ['Walk, easy. Nobody stands still.', ...(coolDown.cues ?? [])] },
    logMinute,
  ],
};
