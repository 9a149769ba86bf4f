import type { Move } from '../../../core/shapes/move';

/** How each rung is taught, easiest first. Common practice, no published source. */
export const thighSetMoves: readonly Move[] = [
  {
    rung: 1,
    name: 'Knee press',
    start: 'Sit against the wall, leg straight, small towel under the knee.',
    down: 'Let go.',
    up: 'Press the knee down, toes up, count five.',
    breath: 'Keep breathing.',
    tempo: '5 s on 5 s off',
    checks: ['breath-hold', 'cramp'],
    lookFrom: ['side'],
    trains: ['front of thigh'],
    note: 'on a bed, plinth or two chairs for who does not use the floor',
  },
  {
    rung: 2,
    name: 'Straight leg lift',
    start: 'As before, other knee bent.',
    down: 'Lower slowly.',
    up: 'Knee straight first, lift a hand high, count five.',
    breath: 'Out as you lift.',
    tempo: '5 s up, 5 s off',
    checks: ['breath-hold', 'low-back-arch'],
    lookFrom: ['side'],
    trains: ['front of thigh', 'hip bend'],
  },
  {
    rung: 3,
    name: 'Straight leg lift, three ways',
    start: 'As before: toes straight, out, in.',
    down: 'Lower slowly.',
    up: 'Knee straight first, lift a hand high, count five.',
    breath: 'Out as you lift.',
    tempo: '5 s each way',
    checks: ['breath-hold', 'low-back-arch'],
    lookFrom: ['side'],
    trains: ['front of thigh', 'hip'],
  },
];
