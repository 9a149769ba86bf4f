import type { IsoDate } from '../shapes/facts';

const dayMs = 86_400_000;

/**
 * Calendar days since 1 January 1970; only differences mean anything. Lists ask it many times a line: the digits are
 * read as they stand, and a day counted by the calendar itself.
 * @throws RangeError unless a real `YYYY-MM-DD`
 */
export function dayNumber(date: IsoDate): number {
  const [year, month, day] = [digits(date, 0, 4), digits(date, 5, 7), digits(date, 8, 10)];
  const whole = date.length === 10 && date.charCodeAt(4) === dash && date.charCodeAt(7) === dash;
  if (!whole || !(month >= 1 && month <= 12) || !(day >= 1 && day <= daysIn(month, year)))
    throw new RangeError(`dayNumber: not a calendar day: ${date}`);
  // The year begins in March, so that a leap day ends it.
  const y = month > 2 ? year : year - 1;
  const sinceMarch = Math.floor((153 * ((month + 9) % 12) + 2) / 5) + day - 1;
  return 365 * y + leapDaysTo(y) + sinceMarch - daysToEpoch;
}

const dash = 45;

/** The number some digits say; NaN where one is none. */
function digits(date: string, from: number, to: number): number {
  let number = 0;
  for (let i = from; i < to; i++) {
    const digit = date.charCodeAt(i) - 48;
    number = digit >= 0 && digit <= 9 ? 10 * number + digit : NaN;
  }
  return number;
}

const leapDaysTo = (year: number): number => Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400);
const isLeap = (year: number): boolean => leapDaysTo(year) > leapDaysTo(year - 1);
const daysIn = (month: number, year: number): number =>
  month === 2 ? (isLeap(year) ? 29 : 28) : month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
/** From 1 March of the year 0 to 1 January 1970. */
const daysToEpoch = 719_468;

/** True for a day that exists, as `YYYY-MM-DD`. */
export function isCalendarDay(date: string): boolean {
  try {
    dayNumber(date);
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}

/** Whole days from `earlier` to `later`; negative when they are the other way round. */
export function daysBetween(earlier: IsoDate, later: IsoDate): number {
  return dayNumber(later) - dayNumber(earlier);
}

export const addDays = (date: IsoDate, days: number): IsoDate => dayOfNumber(dayNumber(date) + days);

/** The day of a number of days since 1 January 1970. */
export const dayOfNumber = (number: number): IsoDate => new Date(number * dayMs).toISOString().slice(0, 10);
