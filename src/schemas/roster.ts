import { string, type InferType } from 'yup';
import { isCalendarDay } from '../core/math/days';
import { exactly, numberIn, oneOf } from './building';
import { birthDate, personName } from './person';
import { bodyLimits } from './requests';

/** One row of a roster, after its cells were read. */
export const rosterRow = (today: string) =>
  exactly({
    name: personName(),
    birthDate: string()
      .required('Write the birth date.')
      .test('date', 'Write the birth date with the year in full, such as 1949-05-28.', (v) => isCalendarDay(v))
      .concat(birthDate(today)),
    normTable: oneOf(['female', 'male']).nullable().defined(),
    heightCm: numberIn(...bodyLimits.heightCm, 'cm')
      .nullable()
      .defined(),
    massKg: numberIn(...bodyLimits.massKg, 'kg')
      .nullable()
      .defined(),
    group: string().max(60, 'Keep the group under 60 letters.').defined(),
    contactName: string().max(80, 'Keep it under 80 letters.').defined(),
    contactPhone: string().max(40, 'Keep it under 40 letters.').defined(),
  });

export type GoodRow = InferType<ReturnType<typeof rosterRow>>;
