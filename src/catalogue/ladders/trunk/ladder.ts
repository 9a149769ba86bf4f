import type { Ladder } from '../../../core/shapes/ladder';
import { getsUp, held, mat, shown } from '../needs';

const onArms = { is: '0', words: 'as the movement says' } as const;

/** The trunk held long, all of it on the floor. House rules. */
export const trunk = {
  pattern: 'K',
  title: 'Trunk',
  rungs: [
    {
      rung: 1,
      loads: { back: 'much', shoulder: 'some' },
      name: 'Chest lift, lying on the front',
      does: 'Face down, hands under the forehead; lift the breastbone a little, eyes down.',
      stance: 'lying',
      floor: true,
      needs: [getsUp, mat],
      support: onArms,
      dose: 'holds',
      load: false,
    },
    {
      rung: 2,
      loads: { knee: 'some', back: 'much', shoulder: 'some' },
      name: 'Forearm support from the knees',
      does: 'Forearms and knees down; lift the seat to a straight line.',
      stance: 'lying',
      floor: true,
      needs: [shown('K', 1), mat],
      support: onArms,
      dose: 'holds',
      load: false,
    },
    {
      rung: 3,
      loads: { knee: 'some', hip: 'some', back: 'much', shoulder: 'much' },
      name: 'Side support from the knees',
      does: 'On one forearm, knees bent, foot down; hip up to a straight line.',
      stance: 'lying',
      floor: true,
      aSide: true,
      needs: [shown('K', 2), mat],
      support: onArms,
      dose: 'holds',
      load: false,
    },
    {
      rung: 4,
      loads: { knee: 'some', hip: 'some', back: 'much', shoulder: 'much' },
      name: 'Side support, top leg lifts',
      does: 'The same; the top leg lifts a hand high.',
      stance: 'lying',
      floor: true,
      aSide: true,
      needs: [held('K', 3, 30), mat],
      support: onArms,
      dose: 'holds',
      load: false,
    },
    {
      rung: 5,
      loads: { back: 'much', ankle: 'some', shoulder: 'some' },
      name: 'Forearm support, knees off',
      does: 'Forearms and toes; knees off the floor, a straight line.',
      stance: 'lying',
      floor: true,
      needs: [held('K', 2, 30), mat],
      support: onArms,
      dose: 'holds',
      load: false,
    },
  ],
} as const satisfies Ladder;
