import type { ClassBlock, ClassTemplate, Part } from '../../core/shapes/class';
import { end, start } from './frame';

const stations: readonly Part[] = [
  {
    ...{ pattern: 'L', scheme: '12x2', aSide: true, tempo: [2, 4], restS: 30 },
    shelves: { A: ['L1-2'], B: ['L4'], C: ['L5'] },
  },
  { pattern: 'H', scheme: '10x2', tempo: [2, 4], shelves: { A: ['H1'], B: ['H2'], C: ['H3-4'] } },
  { pattern: 'A', scheme: '10x2', tempo: [1, 3], shelves: { A: ['A1'], B: ['A1'], C: ['A1-2'] } },
];
const turn = (at: 0 | 1 | 2, title: string): ClassBlock => ({
  ...{ id: `turn-${at + 1}`, kind: 'work', title, minutes: 6.5, parts: stations, stations: { turn: at } },
  cues: [
    'Straight down like a lift',
    'Push the hips back',
    'Big toes; then sit wide and count to fifteen aloud, twice',
  ],
});
const move = (id: string): ClassBlock => ({ id, kind: 'rest', title: 'To the next station', minutes: 0.5 });

/** Straps and rails are few: a third of the group at each, the instructor at the first. */
export const splitStations: ClassTemplate = {
  ...{ id: 'split-stations', title: 'Split squats 12 by 2 a side, three stations', minutes: 35.5 },
  says: 'A third of the group at each station: split squat, hinge, ankles. For few rails and straps.',
  blocks: [
    ...start,
    { id: 'show', kind: 'show', title: 'Show the three stations', minutes: 2 },
    turn(0, 'Stations, first turn'),
    move('move-1'),
    turn(1, 'Stations, second turn'),
    move('move-2'),
    turn(2, 'Stations, third turn'),
    ...end,
  ],
};
