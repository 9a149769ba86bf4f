import type { Ladder } from '../../../core/shapes/ladder';
import { here, practice, shown } from '../needs';

/** Off the floor: a raised surface, or two chairs. */
const raised = {
  kind: 'place',
  why: 'a raised surface, or two chairs',
  ...practice,
  anyOf: [here('kit.raisedSurface', 'a firm raised surface'), here('kit.chair', 'two firm chairs')],
} as const;

/** For a sore knee: the front of the thigh works and the knee does not bend. Pain during it at most 3. House rules. */
export const thighSet = {
  pattern: 'Q',
  title: 'Thigh set',
  rungs: [
    {
      rung: 1,
      loads: {},
      name: 'Knee press',
      does: 'Leg straight on a raised surface, a small towel under the knee: press the knee down, toes up, count five. Pain at most 3.',
      stance: 'seated',
      floor: false,
      aSide: true,
      needs: [raised],
      support: { is: '0', words: 'hands rest beside' },
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 2,
      loads: { hip: 'some', back: 'some' },
      name: 'Straight leg lift',
      does: 'Knee straight first, then lift a hand high, count five. Pain at most 3.',
      stance: 'seated',
      floor: false,
      aSide: true,
      needs: [shown('Q', 1), raised],
      support: { is: '0', words: 'hands rest beside' },
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 3,
      loads: { hip: 'some', back: 'some' },
      name: 'Straight leg lift, three ways',
      does: 'The same with the toes straight, out, in, five seconds each. Pain at most 3.',
      stance: 'seated',
      floor: false,
      aSide: true,
      needs: [shown('Q', 2), raised],
      support: { is: '0', words: 'hands rest beside' },
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
  ],
} as const satisfies Ladder;
