import { string } from 'yup';
import { exactly, listOf, numberIn, wholeIn, yesNo } from './building';

/** The hall: its name, the number to call, and what there is to sit on, hold and lift. */
export const placeForm = exactly({
  name: string().trim().min(2, 'Write the name of the hall.').max(80).required('Write the name of the hall.'),
  town: string().max(80).defined(),
  emergencyNumber: string().trim().min(2, 'Write the number to call.').max(20).required('Write the number to call.'),
  floorSlides: yesNo().required(),
  kit: exactly({
    chairs: listOf(exactly({ heightCm: wholeIn(25, 80, 'cm').required(), arms: yesNo().required() }), 30).required(),
    padsCm: listOf(wholeIn(1, 20, 'cm').required(), 10).required(),
    weightsKg: listOf(numberIn(0.1, 50, 'kg').required(), 30).required(),
    raisedSurface: yesNo().required(),
    rail: yesNo().required(),
    mat: yesNo().required(),
    box: yesNo().required(),
  }).required(),
});
