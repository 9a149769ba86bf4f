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
    asks: 'Did a doctor ever name a disease of the heart or vessels, the kidneys, or diabetes?',
    role: 'disease',
    why: 'a known disease of heart or kidneys, or diabetes',
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
    asks: 'Is the heart, blood pressure or diabetes out of hand at the moment, or are its drugs being changed?',
    role: 'asks-first',
    why: 'heart, blood pressure or diabetes not under control',
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
    asks: 'Lost weight without trying, or pain that wakes at night?',
    role: 'asks-first',
    why: 'lost weight without trying, or pain at night',
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
    asks: 'heartbeat newly irregular',
    why: 'heartbeat newly irregular',
    nextStep: doctor,
    ...asksOn,
  },
  {
    id: 'no-food',
    asks: 'took something that lowers sugar, and no food for three hours',
    why: 'took something that lowers sugar, and no food for three hours',
    nextStep: 'Eat first, then do this check again.',
    ...stays,
  },
  {
    id: 'shoes',
    asks: 'loose or slippery shoes',
    why: 'loose or slippery shoes',
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
  pulseAgainFrom: 100,
  pulseUnder: { always: 40, dizzy: 50 },
  systolicUnder: { always: 90, dizzy: 100 },
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
  oldJointDays: 365,
  newBackPain: { from: 6, days: 6 * 7 },
  fallsForCare: 2,
  told: {
    bones: ['fragile-bone'],
    nerves: ['dizziness', 'numb-feet', 'neurological'],
    floor: ['cannot-lie', 'cannot-kneel', 'head-low'],
  },
  screeningSource: sources.screening,
  source: sources.practice,
};
