import type { ClassTemplate } from '../../core/shapes/class';
import { coolDown, roomCheck, warmUp, water } from './frame';

/** Rungs of the first two classes; no load, no floor, no hold over 10 s. */
export const firstTimers: ClassTemplate = {
  ...{ id: 'first-timers', title: 'First-timers’ hour', minutes: 52 },
  says: 'At most twelve new people. No load, no floor, effort 3 to 4.',
  blocks: [
    { ...roomCheck, title: 'Arrive, own chair, room check read slowly', minutes: 5 },
    {
      ...{ id: 'room', kind: 'talk', title: 'The room and three words', minutes: 4 },
      cues: ['Water, toilet, what to hold', 'Three words: stop, slower, help', 'Four: you could chat'],
    },
    warmUp,
    {
      ...{ id: 's', kind: 'work', title: 'Squat', minutes: 7, showS: 50 },
      parts: [
        {
          ...{ pattern: 'S', scheme: '4x3', tempo: [2, 4], restS: 60 },
          shelves: { A: ['S1'], B: ['S2-3'], C: ['S4-5'] },
        },
      ],
      cues: ['Nose over toes', 'Hands on the seat', 'Feather'],
    },
    {
      ...{ id: 'h', kind: 'work', title: 'Hinge', minutes: 5, showS: 50 },
      parts: [{ pattern: 'H', scheme: '5x2', tempo: [2, 4], shelves: { A: ['H1'], B: ['H1-2'], C: ['H2'] } }],
      cues: ['Long back', 'Hips back'],
    },
    water('water', 2),
    {
      ...{ id: 'a', kind: 'work', title: 'Ankles', minutes: 3.5, showS: 20 },
      parts: [{ pattern: 'A', scheme: '8x2', tempo: [1, 3], shelves: { A: ['A1'], B: ['A1'], C: ['A1'] } }],
      cues: ['Big toes', 'Slow'],
    },
    {
      ...{ id: 'l', kind: 'work', title: 'Step stance', minutes: 3.5, showS: 20 },
      parts: [
        {
          ...{ pattern: 'L', scheme: '3x2', aSide: true, tempo: [2, 2], restS: 20, freest: '2' },
          shelves: { A: ['L1'], B: ['L1'], C: ['L1'] },
        },
      ],
      cues: ['Two lanes', 'Weight on, weight off'],
    },
    {
      ...{ id: 'b', kind: 'work', title: 'Seated squeeze', minutes: 2, showS: 20 },
      parts: [{ pattern: 'B', scheme: 'h5x5', restS: 10, shelves: { A: ['B1'], B: ['B1'], C: ['B1'] } }],
      cues: ['Squeeze', 'Out'],
    },
    {
      ...{ id: 'walk', kind: 'walk', title: 'Walk, stop, turn, sit', minutes: 3 },
      cues: ['Along the wall', 'Feel the chair before you sit'],
    },
    { id: 'tomorrow', kind: 'talk', title: 'What will be stiff, what to ring about, the next date', minutes: 3 },
    coolDown,
    { id: 'log', kind: 'log', title: 'A card to each, their name spoken; two questions', minutes: 5 },
  ],
};
