import type { Move } from '../../../core/shapes/move';

/** How each drill is taught. Common practice, no published source. */
export const mobilityMoves: readonly Move[] = [
  {
    rung: 1,
    name: 'Ankle rock at the wall',
    start: 'Hands on the wall, one foot a little behind the wall line.',
    down: 'Knee to the wall, heel stays down.',
    up: 'Back again.',
    breath: 'Easy.',
    tempo: '2 in 2 out',
    checks: ['heel-up', 'knee-in'],
    lookFrom: ['side'],
    trains: ['ankle bend'],
    note: 'needs pain at most 3',
  },
  {
    rung: 2,
    name: 'Side-lying thigh stretch',
    start: 'On your side, hold the top ankle or a strap.',
    down: 'Knee back to thigh level, no further.',
    up: 'Forward again: it moves, it is not held.',
    breath: 'Easy.',
    tempo: '2 back 2 forward',
    checks: ['low-back-arch', 'knee-far'],
    lookFrom: ['front'],
    trains: ['front of thigh', 'hip'],
  },
  {
    rung: 3,
    name: 'Posture drill with a band',
    start: 'Sit or stand tall, band in both hands, thumbs out.',
    down: 'Hands together.',
    up: 'Elbows in, hands apart, chest opens.',
    breath: 'Out as it opens.',
    tempo: '2 out 4 back',
    checks: ['shrug', 'low-back-arch'],
    lookFrom: ['side'],
    trains: ['upper back', 'shoulders'],
  },
];
