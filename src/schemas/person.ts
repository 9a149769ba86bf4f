import type { InferType } from 'yup';
import { string } from 'yup';
import { ageOn } from '../core/math/age';
import { isCalendarDay } from '../core/math/days';
import { readinessOutcomes, walkingAids } from '../core/shapes/facts';
import { exactly, listOf, numberIn, oneOf, typedDay, wholeIn, yesNo } from './building';
import { bodyLimits, limiterFields } from './requests';

const isGrown = (years: number): boolean => years >= bodyLimits.ageYears[0] && years <= bodyLimits.ageYears[1];

/** What is asked of a new person, and again when something changes. Said to an instructor, so in whole sentences. */
export const personForm = (today: string) =>
  exactly({
    name: string()
      .trim()
      .min(2, 'Write a name of at least two letters.')
      .max(80, 'Write a name of at most 80 letters.')
      .required('Write a name.'),
    birthDate: typedDay()
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
      ),
    normTable: oneOf(['female', 'male']).nullable().defined('Choose a norm table, or leave it open.'),
    heightCm: numberIn(...bodyLimits.heightCm, 'cm')
      .nullable()
      .defined(),
    massKg: numberIn(...bodyLimits.massKg, 'kg')
      .nullable()
      .defined(),
    seatHeightCm: numberIn(30, 60, 'cm').nullable().defined(),
    readiness: oneOf(readinessOutcomes).required('Choose one.'),
    readinessWhy: string().max(300, 'Keep it under 300 letters.').defined(),
    limiters: listOf(limiterFields(), 30).required(),
    falls12m: wholeIn(0, 50, 'falls').required('Write how many, 0 for none.'),
    injuredInFall: yesNo().required(),
    walkingAid: oneOf(walkingAids).required(),
    aidIndoors: yesNo().required(),
    sitsUnsupported: yesNo().required(),
    heelDownAtTarget: yesNo().required(),
    classesSoFar: wholeIn(0, 5000, 'classes').required('Write how many, 0 for none.'),
  });

export type PersonForm = InferType<ReturnType<typeof personForm>>;
