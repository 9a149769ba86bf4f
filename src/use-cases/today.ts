import { isCalendarDay } from '../core/math/days';
import type { IsoDate } from '../core/shapes/facts';

/** The day set for demonstrations and pictures, or `undefined` on an ordinary day. The one place that reads it. */
export function pretendedToday(): IsoDate | undefined {
  const set = process.env['READY_STOOL_TODAY'];
  if (set === undefined || set === '') return undefined;
  if (!isCalendarDay(set))
    throw new RangeError(`READY_STOOL_TODAY must be a day of the calendar, YYYY-MM-DD, not ${set}`);
  return set;
}

/** Today in the local calendar. */
export function today(): IsoDate {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, '0');
  return pretendedToday() ?? `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
