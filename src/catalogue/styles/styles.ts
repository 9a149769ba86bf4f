import type { StyleQuestion } from '../../core/shapes/style';

const squats = [
  { pattern: 'S', from: 4, to: 8 },
  { pattern: 'W', from: 3, to: 6 },
] as const;
const both = [...squats, { pattern: 'L', from: 1, to: 8 }] as const;

/** Where good instructors differ, what is shipped and why. Common practice, no published source. */
export const styleQuestions: readonly StyleQuestion[] = [
  {
    id: 'squat',
    title: 'How to squat',
    on: [{ pattern: 'S', from: 4, to: 8 }],
    shipped: 'hips-back',
    whyShipped: 'it spares sore knees',
    forSoreKnee: 'hips-back',
    options: [
      {
        id: 'hips-back',
        name: 'Hips back',
        says: 'Bow first, the shins near upright, about 70 % of the weight on the heels: kind to knees, more for hips and back.',
        cue: 'Hips back first, then down.',
        first: ['back-round'],
        setUp: { of: 'squat', shankDeg: 20, arms: 'forward' },
      },
      {
        id: 'upright',
        name: 'Upright',
        says: 'The knees go forward and the trunk stays tall: kind to backs, and it asks for ankles that bend.',
        cue: 'Knees forward over the second toe, chest tall, down between the heels.',
        first: ['heel-up'],
        setUp: { of: 'squat', trunkPerShank: 0.5, arms: 'crossed' },
      },
      {
        id: 'square',
        name: 'Square',
        says: 'Feet straight, thighs level, the whole foot carries; shins and trunk lean alike.',
        cue: 'Feet straight, whole foot, shins and chest lean alike.',
        first: ['knee-in'],
        setUp: { of: 'squat', trunkPerShank: 1, arms: 'forward' },
      },
    ],
  },
  {
    id: 'lunge',
    title: 'The trunk in a lunge',
    on: [{ pattern: 'L', from: 2, to: 8 }],
    shipped: 'upright',
    whyShipped: 'it is easier to balance; a sore knee is offered the hinged one',
    forSoreKnee: 'hinged',
    options: [
      {
        id: 'upright',
        name: 'Upright',
        says: 'The trunk stays tall, the front of the thigh works.',
        cue: 'Chest tall, straight down like a lift.',
        first: ['knee-in'],
        setUp: { of: 'lunge', trunkDeg: 12 },
      },
      {
        id: 'hinged',
        name: 'Hinged',
        says: 'The trunk bows over the front thigh, the buttock works and the knee carries less.',
        cue: 'Bow a little over the front thigh, hips back.',
        first: ['knee-far'],
        setUp: { of: 'lunge', trunkDeg: 35 },
      },
    ],
  },
  {
    id: 'toes',
    title: 'Toes',
    on: squats,
    shipped: 'as-they-fall',
    whyShipped: 'hips are built differently',
    options: [
      {
        id: 'as-they-fall',
        name: 'As they fall',
        says: 'Up to 15 degrees out, as the hips like it.',
        cue: 'Toes as they fall, a little out is fine.',
        first: [],
      },
      {
        id: 'straight',
        name: 'Straight',
        says: 'Both feet point straight ahead.',
        cue: 'Toes straight ahead.',
        first: [],
      },
    ],
  },
  {
    id: 'knee-track',
    title: 'Where the knees go',
    on: both,
    shipped: 'second-toe',
    whyShipped: 'between the schools; inside the big toe is a fault in all of them',
    options: [
      {
        id: 'second-toe',
        name: 'Over the second and third toe',
        says: 'The middle of the foot.',
        cue: 'Knees point where the second toe points.',
        first: ['knee-in'],
      },
      {
        id: 'big-toe',
        name: 'Over the big toe',
        says: 'Straight ahead, never inside it.',
        cue: 'Knees over the big toes, never inside.',
        first: ['knee-in'],
      },
      {
        id: 'outside',
        name: 'A little outside',
        says: 'Knees pushed out a little keep the hips working.',
        cue: 'Knees a little outside the toes.',
        first: ['knee-in'],
      },
    ],
  },
  {
    id: 'depth',
    title: 'How deep',
    on: squats,
    shipped: 'level',
    whyShipped: 'thighs level is enough; with a weight nobody goes deeper',
    options: [
      {
        id: 'level',
        name: 'Thighs level at most',
        says: 'Level is enough for chairs, stairs and strength.',
        cue: 'No lower than thighs level.',
        first: [],
      },
      {
        id: 'as-form-allows',
        name: 'As deep as form allows',
        says: 'As deep as heels and back stay right; never under the target of the level, and with a weight no deeper than level.',
        cue: 'As deep as heels and back stay right, not under your target.',
        first: ['back-round', 'heel-up'],
      },
    ],
  },
];

/** Where schools differ and the ladders hold both, or the rule depends on the person: told, not chosen. */
export const toldOnly = [
  {
    id: 'knees-past-toes',
    title: 'Knees past the toes',
    schools: 'never / fine with the heel down',
    does: 'at most level with the toes when the knee hurts or is replaced, else allowed while the heel stays down',
  },
  {
    id: 'slide-first',
    title: 'Slide or step first',
    schools: 'slide back first / split squat first',
    does: 'the ladder has both; slide first unless floor, socks or feet that feel little forbid it',
  },
] as const;
