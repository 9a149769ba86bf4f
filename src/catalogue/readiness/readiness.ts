import type { DaySignRow, ReadinessQuestion, ReadinessRules } from '../../core/shapes/readiness';
import { sources } from '../sources';

/** Seven questions, in the order they are asked. Own words; the weighing is the published one where it says so. */
const questions: readonly ReadinessQuestion[] = [
  {
    id: 'active',
    asks: 'On the move so that breathing quickens, half an hour, three days a week, for the last three months?',
    role: 'active',
    why: 'active so far',
    source: sources.screening,
  },
  {
    id: 'disease',
    asks: 'Did a doctor ever name a disease of the heart or vessels, the kidneys, or sugar?',
    role: 'disease',
    why: 'a known disease of heart, kidneys or sugar',
    source: sources.screening,
  },
  {
    id: 'symptoms',
    asks: 'Lately: pressure or pain in the chest, breathless at little effort, faint, ankles swelling, heart stumbling or racing, or calves that hurt when walking and ease on stopping?',
    role: 'symptom',
    why: 'signs that the heart or lungs may complain',
    source: sources.screening,
  },
  {
    id: 'uncontrolled',
    asks: 'Is heart, pressure or sugar out of hand at the moment, or are its drugs being changed?',
    role: 'asks-first',
    why: 'heart, pressure or sugar not under control',
    source: sources.practice,
  },
  {
    id: 'operation',
    asks: 'An operation or a new joint in the last three months, or a broken bone in the last six?',
    role: 'asks-first',
    why: 'an operation, a new joint or a broken bone not long ago',
    source: sources.practice,
  },
  {
    id: 'changed',
    asks: 'In the last half year: has an arm or leg become weak, or has walking changed?',
    role: 'asks-first',
    why: 'new weakness, or walking has changed',
    source: sources.practice,
  },
  {
    id: 'wasting',
    asks: 'Weight lost without wanting to, or pain that wakes at night?',
    role: 'asks-first',
    why: 'weight lost without wanting to, or pain at night',
    source: sources.practice,
  },
];

const doctor = 'Nothing more today. A licensed professional looks at it.';
const stays = { outcome: 'not-today', thenAskFirst: false, source: sources.practice } as const;
const asksOn = { outcome: 'not-today', thenAskFirst: true, source: sources.practice } as const;

/** The check of the day, as it is read out. */
const signs: readonly DaySignRow[] = [
  { id: 'chest', asks: 'chest pain or pressure', why: 'chest pain or pressure', nextStep: doctor, ...asksOn },
  { id: 'faint', asks: 'faint, or faint on standing', why: 'faint', nextStep: doctor, ...asksOn },
  { id: 'dizzy', asks: 'newly dizzy', why: 'newly dizzy', nextStep: doctor, ...asksOn },
  { id: 'breath', asks: 'more breathless than usual', why: 'more breathless than usual', nextStep: doctor, ...asksOn },
  {
    id: 'ill',
    asks: 'fever, or feeling ill',
    why: 'feeling ill',
    nextStep: 'Home and rest; come back when well.',
    ...stays,
  },
  { id: 'calf', asks: 'new swelling or calf pain', why: 'new swelling or calf pain', nextStep: doctor, ...asksOn },
  {
    id: 'fall',
    asks: 'a fall since last time that nobody looked at',
    why: 'a fall that nobody looked at',
    nextStep: 'Note the fall; somebody looks at it first.',
    ...asksOn,
  },
  {
    id: 'irregular-pulse',
    asks: 'pulse newly out of step',
    why: 'pulse newly out of step',
    nextStep: doctor,
    ...asksOn,
  },
  {
    id: 'no-food',
    asks: 'sugar-lowering drugs and no food for three hours',
    why: 'sugar-lowering drugs and no food for three hours',
    nextStep: 'Eat first, then put this check again.',
    ...stays,
  },
  {
    id: 'shoes',
    asks: 'shoes that let the foot swim',
    why: 'shoes that let the foot swim',
    nextStep: 'Find flat firm shoes; hands near a fixed hold.',
    outcome: 'ready-with-care',
    thenAskFirst: false,
    source: sources.practice,
  },
];

/** From the record to who may be tested. House numbers: common practice, no published source. */
export const readinessRules: ReadinessRules = {
  questions,
  signs,
  pulseOver: 120,
  pressures: [
    { systolic: 180, diastolic: 110, nextStep: 'Nothing more today. Call their own doctor today.' },
    { systolic: 160, diastolic: 100, nextStep: 'Nothing more today. See their own doctor this week.' },
  ],
  secondReadingAfterS: 300,
  lapsesAfterDays: 365,
  painAgainAfterDays: 14,
  painsRemembered: 3,
  strongPain: 5,
  surgeryDays: 12 * 7,
  eyeSurgeryDays: 4 * 7,
  newJointDays: 92,
  fallsForCare: 2,
  told: {
    bones: ['fragile-bone'],
    nerves: ['dizziness', 'numb-feet', 'neurological'],
    floor: ['cannot-lie', 'cannot-kneel', 'head-low'],
  },
  screeningSource: sources.screening,
  source: sources.practice,
};
