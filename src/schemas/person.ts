import { string, ValidationError, type InferType } from 'yup';
import { ageOn } from '../core/math/age';
import { isCalendarDay } from '../core/math/days';
import { limiterKinds, patterns, walkingAids } from '../core/shapes/facts';
import { intakeSections, joints } from '../core/shapes/intake';
import { words as written, exactly, listOf, numberIn, oneOf, typedDay, wholeIn, yesNo } from './building';
import { bodyLimits } from './requests';

const isGrown = (years: number): boolean => years >= bodyLimits.ageYears[0] && years <= bodyLimits.ageYears[1];

export const personName = () =>
  written(2, 'Write a name of at least two letters.')
    .max(80, 'Write a name of at most 80 letters.')
    .defined('Write a name.');

export const birthDate = (today: string) =>
  typedDay()
    .required('Write the birth date.')
    .test(
      'not-in-future',
      'This birth date is in the future: look at the year.',
      (v?: string) => v === undefined || v <= today,
    )
    .test(
      'adult',
      `Ready Stool is for people of ${bodyLimits.ageYears[0]} to ${bodyLimits.ageYears[1]}: look at the year.`,
      (v?: string) => v === undefined || v > today || !isCalendarDay(v) || isGrown(ageOn(v, today)),
    );

export const normTable = () => oneOf(['female', 'male']).nullable().defined('Choose a norm table, or leave it open.');

/** A day that may be left out, and is never still to come. */
const pastDay = (today: string) =>
  string()
    .nullable()
    .defined()
    .test('calendar-day', 'This is not a day of the calendar.', (v?: string | null) => !v || isCalendarDay(v))
    .test('past', 'This day is still to come.', (v?: string | null) => !v || v <= today);

const words = (most: number) => string().max(most, `Keep it under ${most} letters.`).defined();
const contact = () => exactly({ name: words(80), phone: words(40) }).required();

/** Everything but pain, as the intake keeps it. */
const limiter = (today: string) =>
  exactly({
    kind: oneOf(limiterKinds.filter((k) => !k.endsWith('-pain'))).required(),
    side: oneOf(['L', 'R']).nullable(),
    since: pastDay(today).optional(),
    limitsLifted: yesNo(),
    by: string().max(80),
    limits: string().max(300),
    writtenOn: pastDay(today).optional(),
    ofTheEye: yesNo(),
    closes: listOf(oneOf(patterns).required(), patterns.length),
    text: string().max(200, 'Keep it under 200 letters.'),
  }).test('in-writing', function (value) {
    const { kind, limitsLifted, limits = '', by = '', writtenOn, text = '' } = value;
    const said = kind !== 'other' || text.trim().length >= 3;
    if (said && !limitsLifted && limits.trim() === '') return true;
    const written = limitsLifted || limits.trim() !== '';
    const faults = [
      ...(said ? [] : [{ path: 'text', message: 'Write what it is.' }]),
      ...(written && by.trim().length < 2 ? [{ path: 'by', message: 'Write who gave it in writing.' }] : []),
      ...(!written || writtenOn ? [] : [{ path: 'writtenOn', message: 'Choose the day it was written.' }]),
    ].map(({ path, message }) => this.createError({ path: `${this.path}.${path}`, message }));
    return faults.length === 0 || new ValidationError(faults);
  });

export const painFields = (today: string) =>
  exactly({
    joint: oneOf(joints).required(),
    side: oneOf(['L', 'R']).nullable().defined(),
    /** `null` while nobody has said. */
    level: wholeIn(0, 10)
      .nullable()
      .defined('Say how much, 0 to 10.')
      .test('said', 'Say how much, 0 to 10.', (v?: number | null) => v !== null),
    since: pastDay(today),
    /** Asked now; what was not asked now stays as it was. */
    asked: yesNo().required(),
  });

export const fallFields = (today: string) =>
  exactly({
    fellOn: typedDay()
      .required('Write the day, or about when.')
      .test('past', 'This day is still to come.', (v?: string) => v === undefined || v <= today),
    hurt: yesNo().required(),
    lookedAt: yesNo().required(),
    headStruck: yesNo().required(),
    unexplained: yesNo().required(),
  });

/** What is asked of a new person, and again when something changes. Said to an instructor, so in whole sentences. */
export const personForm = (today: string) =>
  exactly({
    name: personName(),
    birthDate: birthDate(today),
    normTable: normTable(),
    heightCm: numberIn(...bodyLimits.heightCm, 'cm')
      .nullable()
      .defined(),
    massKg: numberIn(...bodyLimits.massKg, 'kg')
      .nullable()
      .defined(),
    shankCm: numberIn(25, 65, 'cm').nullable().defined(),
    kneecapCm: numberIn(...bodyLimits.kneeCm, 'cm')
      .nullable()
      .defined(),
    hipBoneCm: numberIn(60, 140, 'cm').nullable().defined(),
    seatHeightCm: numberIn(30, 60, 'cm').nullable().defined(),
    pains: listOf(painFields(today), 20).required(),
    falls: listOf(fallFields(today), 20).required(),
    withdrawn: listOf(string().max(64).required(), 50).required(),
    limiters: listOf(limiter(today), 30).required(),
    aidOutdoors: oneOf(walkingAids).required(),
    aidIndoors: oneOf(walkingAids).required(),
    sitsUnsupported: yesNo().required(),
    heelDownAtTarget: yesNo().required(),
    followsTask: yesNo().required(),
    armsFree: yesNo().required(),
    aloneAtHome: yesNo().required(),
    classesSoFar: wholeIn(0, 5000, 'classes').required('Write how many, 0 for none.'),
    medicines: words(500),
    bloodThinners: yesNo().required(),
    sugarLowering: yesNo().required(),
    contact: contact(),
    clinician: contact(),
    toComplete: listOf(oneOf(intakeSections).required(), 10).required(),
  }).test('step-height', 'order', function (value) {
    const { kneecapCm, hipBoneCm } = value;
    if (typeof kneecapCm !== 'number' || typeof hipBoneCm !== 'number' || hipBoneCm > kneecapCm) return true;
    return this.createError({ path: 'hipBoneCm', message: 'The hip bone is higher than the kneecap: look again.' });
  });

/** What tells the items of the form’s lists apart: kind or joint, and side. */
export function personItem(item: Readonly<Record<string, unknown>>): string | null {
  const what = item['kind'] ?? item['joint'];
  const side = item['side'];
  return typeof what === 'string' ? `${what} ${typeof side === 'string' ? side : ''}`.trim() : null;
}

export type PersonForm = InferType<ReturnType<typeof personForm>>;

export const walkInFalls = ['none', 'one', 'hurt-or-more'] as const;

/** Name, age, norm table and six questions: enough to be in the line. */
export const walkInForm = (today: string) =>
  exactly({
    name: personName(),
    ageYears: wholeIn(...bodyLimits.ageYears, 'years').required('Write the age in years.'),
    normTable: normTable(),
    symptoms: yesNo().required('Answer yes or no.'),
    disease: yesNo().required('Answer yes or no.'),
    active: yesNo().required('Answer yes or no.'),
    operation: yesNo().required('Answer yes or no.'),
    falls: oneOf(walkInFalls).required('Choose one.'),
    pains: listOf(painFields(today), 20).required(),
  });

export type WalkInForm = InferType<ReturnType<typeof walkInForm>>;
