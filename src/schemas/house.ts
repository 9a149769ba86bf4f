import type { InferType } from 'yup';
import { exactly, numberIn, wholeIn, yesNo } from './building';

/** The house rules a hall can set for itself; all else of them is as shipped. */
export const houseForm = exactly({
  firstClasses: wholeIn(0, 24, 'classes').required('Write how many, 0 for none.'),
  oldAfterWeeks: wholeIn(4, 26, 'weeks').required('Write how many weeks.'),
  usualSeatCm: numberIn(38, 60, 'cm').required('Write the height of the seat.'),
  fallsForCare: wholeIn(1, 6, 'falls').required('Write how many falls.'),
  lightWhileAsking: yesNo().required('Answer yes or no.'),
});

export type HouseForm = InferType<typeof houseForm>;
