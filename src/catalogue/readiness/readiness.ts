import type { symptomIds } from '../../core/shapes/intake';
import type { DaySignRow, ReadinessQuestion, ReadinessRules } from '../../core/shapes/readiness';
import { houseRules } from '../rules/house';
import { sources } from '../sources';

/** In the order they are read out. Own words; the weighing is the published one where it says so. */
const questions: readonly ReadinessQuestion[] = [
  {
    id: 'active',
    asks: 'Active already: half an hour, three days a week, for the last three months?',
    role: 'active',
    why: 'active so far',
    source: sources.screening,
  },
  {
    id: 'disease',
    asks: 'Has a doctor told you that you have heart disease (attack, stent, bypass, failure, valve, irregular heartbeat, pacemaker), a stroke or mini-stroke, narrowed leg arteries, kidney disease or diabetes? High blood pressure alone, treated and steady, is a no.',
    role: 'disease',
    why: 'a known disease of heart, vessels or kidneys, or diabetes',
    source: sources.screening,
  },
  {
    id: 'uncontrolled',
    asks: 'Is the heart, blood pressure or diabetes out of hand at the moment, or are its tablets being changed?',
    role: 'asks-first',
    why: 'heart, blood pressure or diabetes not under control',
    source: sources.practice,
  },
  ...symptoms(),
  {
    id: 'told',
    asks: 'Has a doctor ever told you not to exercise, not to strain, or only under supervision (aneurysm, eye bleed, hernia)?',
    role: 'asks-first',
    why: 'told not to exercise or strain, or only under supervision',
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

/** One key each, so that a yes says which. */
function symptoms(): ReadinessQuestion[] {
  const rows: readonly (readonly [(typeof symptomIds)[number], asks: string, why: string])[] = [
    ['chest', 'pain or pressure in chest, jaw or arm?', 'pain or pressure in chest, jaw or arm'],
    [
      'breath',
      'short of breath at little effort, lying flat, or so that it wakes you?',
      'short of breath at little effort, lying flat or at night',
    ],
    ['faint', 'dizzy or faint?', 'dizzy or faint'],
    ['racing', 'heart racing or stumbling?', 'heart racing or stumbling'],
    ['swelling', 'ankles swelling?', 'ankles swelling'],
    ['calves', 'calves that cramp when walking and ease when you stand?', 'calves that cramp when walking'],
    ['tired', 'unusually tired by everyday things?', 'unusually tired by everyday things'],
  ];
  return rows.map(([id, asks, why], i) => ({
    ...{ id, asks, why, role: 'symptom', source: sources.screening },
    ...(i === 0 ? { lead: 'In the last month, at rest or moving:' } : {}),
  }));
}

const doctor = 'Nothing more today. A licensed professional looks at it.';
const stays = { outcome: 'not-today', thenAskFirst: false, source: sources.practice } as const;
const asksOn = { outcome: 'not-today', thenAskFirst: true, source: sources.practice } as const;

const careful = { outcome: 'ready-with-care', thenAskFirst: false, source: sources.practice } as const;

/** The check of the day, as it is read out. */
const signs: readonly DaySignRow[] = [
  {
    id: 'chest',
    asks: 'chest pain or pressure',
    why: 'chest pain or pressure',
    nextStep: 'Now or in the last hour: seat them and call the emergency number. Earlier: their doctor today.',
    ...asksOn,
  },
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
    asks: 'a fall since last time',
    why: 'a fall that nobody looked at',
    nextStep: 'Note the fall; somebody looks at it first.',
    ...asksOn,
  },
  {
    id: 'irregular-pulse',
    asks: 'heartbeat newly irregular',
    why: 'heartbeat newly irregular',
    nextStep: 'Their doctor today; if it is there now, call the emergency number.',
    ...asksOn,
  },
  {
    id: 'tablets',
    asks: 'new or changed tablets',
    why: 'new or changed tablets',
    nextStep: 'A minute seated first, then slow rises.',
    ...careful,
  },
  {
    id: 'hot-joint',
    asks: 'a joint hot or swollen today',
    why: 'a joint hot or swollen',
    nextStep: 'It counts as pain of 6 today: say which.',
    ...careful,
  },
  {
    id: 'worse',
    asks: 'worse than usual in a sore place',
    why: 'worse than usual in a sore place',
    nextStep: 'Say how much beside it; under it today, less range.',
    ...careful,
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
    ...careful,
  },
];

/** From the record to who may be tested. House numbers: common practice, no published source. */
export const readinessRules: ReadinessRules = {
  questions,
  symptomsAtOnce: {
    id: 'symptoms',
    asks: 'Today or in the last month: chest pain or pressure, faint, dizzy, breathless, fever or ill, new swelling or calf pain, a fall nobody has looked at?',
    role: 'symptom',
    why: 'signs that the heart or lungs may complain',
    source: sources.screening,
  },
  meanwhile: {
    symptoms: 'Meanwhile nothing: no test, no class.',
    operation: 'Meanwhile only the seated squeeze and seated ankles; no pushing with the arms.',
    disease: 'Meanwhile the seated push, square on the seat, the seated squeeze and seated ankles; no hold over 10 s.',
    light:
      'Meanwhile light work, as this hall has it: standing up with the hands, the seated bow, the squeeze and the bridge on a raised surface; no hold over 10 s.',
  },
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
  hotJointPain: 6,
  surgeryDays: 12 * 7,
  eyeSurgeryDays: 4 * 7,
  newJointDays: 92,
  oldJointDays: 365,
  newBackPain: { from: 6, days: 6 * 7 },
  fallsForCare: houseRules.fallsForCare,
  told: {
    bones: ['fragile-bone'],
    nerves: ['poor-sight', 'dizziness', 'numb-feet', 'neurological'],
    floor: ['cannot-lie', 'cannot-kneel', 'head-low'],
  },
  screeningSource: sources.screening,
  source: sources.practice,
};
