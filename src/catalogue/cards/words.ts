import type { CardWords } from '../../core/shapes/card';

/** Exact words of the cards, for somebody of eighty. Common practice, no published source. */
export const cardWords: CardWords = {
  hands: [
    { support: ['2', '1', 'f', 'h', '0'], on: ['B1', 'W2', 'F3', 'Q', 'K', 'M'], words: null },
    { support: ['2', '1'], on: ['F1-2'], words: 'Hands on the seat of the firm chair.' },
    { support: ['2'], on: ['S1'], words: 'Hands on the seat beside you.' },
    {
      ...{ support: ['2'], on: ['S2-3'], with: 'walker' },
      words: 'Frame in front, brakes on. Push the chair, not the frame.',
    },
    { support: ['2'], on: ['S2'], with: 'arms', words: 'Hands on the arms of the chair.' },
    { support: ['2'], on: ['S2'], words: 'Hands on the seat, beside your hips. Push, do not pull.' },
    { support: ['2'], on: ['S3'], words: 'Hands on your thighs.' },
    { support: ['2'], on: ['H1'], words: 'Hands in the creases of your hips.' },
    { support: ['2'], on: ['W1'], words: 'Hands on the chair back in front of you.' },
    { support: ['2'], on: ['H2'], words: 'Both hands on the chair back. They slide down with you.' },
    { support: ['2'], on: ['L2-3'], words: 'Both hands on the chair back; its seat touches the wall.' },
    { support: ['2'], words: 'Both hands on the rail.' },
    { support: ['1'], on: ['H3'], words: 'One hand in the crease of the hip, one on the rail.' },
    { support: ['1'], on: ['H4'], words: 'One hand glides down the thigh, one holds.' },
    { support: ['1'], on: ['S4-5'], words: 'One hand on the rail beside you.' },
    { support: ['1'], words: 'One hand on the rail. The other on your hip.' },
    { support: ['f'], words: 'Fingertips on the rail.' },
    { support: ['h', '0'], on: ['H5'], words: 'Both hands on the box. The rail is beside you.' },
    { support: ['h'], words: 'Hands just above the rail. Do not touch unless you must.' },
    { support: ['0'], on: ['B'], words: 'Arms flat beside you.' },
    { support: ['0'], words: 'No hands. The rail is one step away.' },
  ],
  warmUp: 'First: walk or march five minutes.',
  effort: 'How hard: I could still chat (3-4 of 10).',
  stop: [
    'Chest pain or pressure',
    'Cannot get your breath',
    'Dizzy, sick or cold sweat',
    'Sudden weakness, face or speech not right',
    'A sharp pain',
  ],
  then: ['Sit down.', 'Do not go home alone.'],
  notToday: 'Not today if you are ill, dizzy, have a new pain, or fell since last time: tell us.',
  aches:
    'Stiff on both sides for two days is normal. A sore joint that is worse the next day: do half, tell us. A calf that is newly sore or swollen: your doctor today.',
  home: {
    title: 'At home, on days without class',
    daysCount: 'One class a week is too little to keep you steady. These days count.',
    rules: [
      'Shoes on. Phone in the pocket.',
      'Not after tablets for sleep, not in the first half-hour after getting up, not with the light off.',
    ],
    hold: 'Hold on to a kitchen counter or a heavy table.',
    seat: 'A seat as high as your kneecap or higher.',
    how: ['easy', 'right', 'hard', 'it hurt'],
    weeks: 4,
    days: 3,
    most: 3,
  },
  spotter: [
    'Stand on the side named, half a step behind, feet apart, one hand open near the belt.',
    'Do not hold, do not talk during the ten seconds.',
    'If they go: belt and shoulder, down with them to the chair behind.',
    'Say “caught”, not “sorry”.',
  ],
};
