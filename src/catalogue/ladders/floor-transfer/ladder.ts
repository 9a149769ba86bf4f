import type { Ladder } from '../../../core/shapes/ladder';
import { here, mat, positions, shown, stands } from '../needs';

const chair = here('kit.chair', 'a firm chair');

/** Down to the floor and up again, learned: it does not ask for what it teaches. The way up is taught first. House rules. */
export const floorTransfer = {
  pattern: 'F',
  title: 'To the floor',
  rungs: [
    {
      rung: 1,
      loads: { knee: 'some', hip: 'some', back: 'some', ankle: 'some', shoulder: 'some' },
      name: 'Floor transfer with a helper',
      does: 'A firm chair beside, a thick pad on the floor, a helper behind: one foot back, sink to the knees; up over the strong foot.',
      stance: 'split',
      floor: true,
      aSide: true,
      needs: [positions(2), stands(5), chair, mat],
      freest: '2',
      dose: 'reps',
      startsWith: { reps: 1, rounds: 1 },
      load: false,
    },
    {
      rung: 2,
      loads: { knee: 'some', hip: 'some', back: 'some', ankle: 'some', shoulder: 'some' },
      name: 'Floor transfer alone, with a chair',
      does: 'Hands on the seat, sink to the knees, sit to the side; roll, hands and knees, to the chair, push up.',
      stance: 'split',
      floor: true,
      aSide: true,
      needs: [shown('F', 1), chair, mat],
      freest: '1',
      dose: 'reps',
      startsWith: { reps: 1, rounds: 1 },
      load: false,
    },
    {
      rung: 3,
      loads: { knee: 'some', hip: 'some', back: 'some', ankle: 'some', shoulder: 'some' },
      name: 'Floor transfer without',
      does: 'The chair near but not used: sink to one knee, hand down; up over the strong foot, leaning over it.',
      stance: 'split',
      floor: true,
      aSide: true,
      needs: [shown('F', 2), mat],
      dose: 'reps',
      startsWith: { reps: 1, rounds: 1 },
      load: false,
    },
  ],
} as const satisfies Ladder;
