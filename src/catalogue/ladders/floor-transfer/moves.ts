import type { Move } from '../../../core/shapes/move';

/** How each rung is taught, easiest first. Common practice, no published source. */
export const floorTransferMoves: readonly Move[] = [
  {
    rung: 1,
    name: 'Floor transfer with a helper',
    start: 'Firm chair beside you, pad on the floor, helper behind.',
    down: 'Hands on the seat, one foot back, sink to the knees.',
    up: 'Hands on the seat, strong foot forward, lean over it, push up.',
    breath: 'Out as you push.',
    tempo: 'slow',
    checks: ['rush', 'breath-hold', 'pulls'],
    lookFrom: ['side'],
    trains: ['getting up from the floor'],
    note: 'kneeling on a thick pad; way up is taught first',
  },
  {
    rung: 2,
    name: 'Floor transfer alone, with a chair',
    start: 'Firm chair beside you, pad on the floor.',
    down: 'Hands on the seat, sink to the knees, sit to the side.',
    up: 'Roll, hands and knees, to the chair, strong foot forward, push up.',
    breath: 'Out as you push.',
    tempo: 'slow',
    checks: ['rush', 'breath-hold', 'wobble'],
    lookFrom: ['side'],
    trains: ['getting up from the floor'],
  },
  {
    rung: 3,
    name: 'Floor transfer without',
    start: 'Clear floor, pad, chair near but not used.',
    down: 'One foot back, sink to one knee, hand down.',
    up: 'Hands and knees, strong foot forward, lean over it, stand.',
    breath: 'Out as you rise.',
    tempo: 'slow',
    checks: ['rush', 'wobble', 'knee-in'],
    lookFrom: ['side'],
    trains: ['getting up from the floor'],
  },
];
