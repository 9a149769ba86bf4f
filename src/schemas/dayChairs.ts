import { string } from 'yup';
import { exactly, listOf, wholeIn } from './building';
import { bodyLimits } from './requests';

/** The chairs of each station as they are asked for: a height in whole centimetres a lane. */
export const chairsAsked = exactly({
  stations: listOf(
    exactly({
      staff: string().typeError('must be text').min(1, 'is needed').max(64).required('is needed'),
      seatsCm: listOf(wholeIn(...bodyLimits.seatCm, 'cm').required('is needed'), 60).required('is needed'),
    }),
    41,
  ).required('is needed'),
}).required('is needed');
