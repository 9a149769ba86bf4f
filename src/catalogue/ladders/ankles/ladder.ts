import type { Ladder } from '../../../core/shapes/ladder';
import { hands, hold, positions, practice, steadyS } from '../needs';

const does = 'Up on the toes and slowly down; then the heels stay and the toes come up.';

/** Heel raises and toe raises: ankles that lift the toes and catch a trip. House rules. */
export const ankles = {
  pattern: 'A',
  title: 'Ankles',
  rungs: [
    {
      rung: 1,
      loads: { ankle: 'some' },
      name: 'Heels and toes, two hands',
      does,
      stance: 'two-foot',
      floor: false,
      needs: [],
      support: { is: '2', words: 'both hands on the rail' },
      seatedUnless: {
        needs: [positions(1), hold],
        name: 'Heels and toes, seated',
        does: 'Sitting tall, feet flat, knees over the ankles: heels up and slowly down; then the toes come up.',
        words: 'hands rest on the thighs',
      },
      within: [
        { dial: 'lowering', words: 'down for three counts' },
        { dial: 'lowering', words: 'down for four counts' },
        { dial: 'lowering', words: 'down for five counts' },
      ],
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 2,
      loads: { ankle: 'some' },
      name: 'Heels and toes, one hand',
      does,
      stance: 'two-foot',
      floor: false,
      needs: [positions(2), hands('1', 'one hand is enough to hold on'), hold],
      freest: '1',
      within: [
        { dial: 'lowering', words: 'down for three counts' },
        { dial: 'lowering', words: 'down for four counts' },
        { dial: 'lowering', words: 'down for five counts' },
      ],
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 3,
      loads: { ankle: 'some' },
      name: 'Heels and toes, fingertips',
      does,
      stance: 'two-foot',
      floor: false,
      needs: [positions(3), hands('f', 'fingertips are enough'), hold],
      freest: 'f',
      within: [
        { dial: 'lowering', words: 'down for three counts' },
        { dial: 'lowering', words: 'down for four counts' },
        { dial: 'lowering', words: 'down for five counts' },
      ],
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 4,
      loads: { hip: 'some', ankle: 'much' },
      name: 'Heel raise, one leg',
      does: 'One foot off the floor: up on the toes and slowly down, each leg.',
      stance: 'one-leg',
      floor: false,
      needs: [
        positions(3),
        steadyS(5),
        { kind: 'person', fact: 'heelRises', atLeast: 15, why: 'calves last', ...practice },
        hold,
      ],
      aSide: true,
      within: [
        { dial: 'lowering', words: 'down for three counts' },
        { dial: 'lowering', words: 'down for four counts' },
        { dial: 'lowering', words: 'down for five counts' },
      ],
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
  ],
} as const satisfies Ladder;
