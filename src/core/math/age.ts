import { dayNumber } from './days';
import type { IsoDate } from '../shapes/facts';

/**
 * Age in whole years on a day. Someone born on 29 February turns a year older on 1 March in other years.
 * @throws RangeError if `onDate` is before `birthDate`
 */
export function ageOn(birthDate: IsoDate, onDate: IsoDate): number {
  if (dayNumber(onDate) < dayNumber(birthDate))
    throw new RangeError(`ageOn: ${onDate} is before the birth date ${birthDate}`);
  const years = Number(onDate.slice(0, 4)) - Number(birthDate.slice(0, 4));
  return onDate.slice(5) < birthDate.slice(5) ? years - 1 : years;
}
