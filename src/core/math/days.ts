import type { IsoDate } from '../shapes/facts';

const dayMs = 86_400_000;

/** Calendar days on a line; only differences mean anything. @throws RangeError unless a real `YYYY-MM-DD` */
export function dayNumber(date: IsoDate): number {
  const parts = /^(\d{4})-(\d\d)-(\d\d)$/.exec(date);
  const ms = parts ? Date.UTC(Number(parts[1]), Number(parts[2]) - 1, Number(parts[3])) : NaN;
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== date)
    throw new RangeError(`dayNumber: not a calendar day: ${date}`);
  return ms / dayMs;
}

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

export function addDays(date: IsoDate, days: number): IsoDate {
  return new Date((dayNumber(date) + days) * dayMs).toISOString().slice(0, 10);
}
