import type { Ladder } from '../../../core/shapes/ladder';
import { getsUp, hold, mat, positions } from '../needs';

/** A set: three drills side by side, none above another. Moved, not held; pain at most 3. House rules. */
export const mobility = {
  pattern: 'M',
  title: 'Mobility',
  rungs: [
    {
      rung: 1,
      loads: { ankle: 'much' },
      name: 'Ankle rock at the wall',
      does: 'Hands on the wall, one foot a little back: knee to the wall, heel stays down. Pain at most 3.',
      stance: 'two-foot',
      floor: false,
      aSide: true,
      needs: [positions(1), hold],
      freest: '1',
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 2,
      loads: { knee: 'some', hip: 'some', back: 'some', shoulder: 'some' },
      name: 'Side-lying thigh stretch',
      does: 'On the side, hold the top ankle or a strap: knee back to thigh level, no further; it moves, it is not held. Pain at most 3.',
      stance: 'lying',
      floor: true,
      aSide: true,
      needs: [getsUp, mat],
      support: { is: '1', words: 'one hand holds the ankle or a strap' },
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
    {
      rung: 3,
      loads: { shoulder: 'much' },
      name: 'Posture drill with a band',
      does: 'Sitting tall, the band in both hands, thumbs out: elbows in, hands apart, the chest opens. Pain at most 3.',
      stance: 'seated',
      floor: false,
      needs: [],
      support: { is: '1', words: 'both hands hold the band' },
      dose: 'reps',
      startsWith: { reps: 5 },
      load: false,
    },
  ],
} as const satisfies Ladder;
