import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { dayNumber, daysBetween, isCalendarDay } from '../core/math/days';
import type { IsoDate } from '../core/shapes/facts';
import { copyRegister } from '../database/copy';
import { isDemo } from '../database/place';
import { registerFile } from '../database/theRegister';
import type { Desk } from './desk';

/** Every copy of so many days is kept, and of so many weeks before them the last of each. */
const kept = { days: 7, weeks: 4 } as const;

/** Weeks by the calendar, from Monday on: counted back from today each would slide on, and none would grow old. */
const weekOf = (day: IsoDate): number => Math.floor((dayNumber(day) + 3) / 7);

/**
 * Which of the daily copies are kept: all of the last seven days, and of the four weeks before them the newest each.
 * @param days of the copies there are, in any order
 */
export function copiesToKeep(days: readonly IsoDate[], today: IsoDate): IsoDate[] {
  const newestFirst = [...days].sort().reverse();
  const weeks = new Set<number>();
  return newestFirst.filter((day) => {
    if (daysBetween(day, today) < kept.days) return true;
    if (weeks.size === kept.weeks || weeks.has(weekOf(day))) return false;
    weeks.add(weekOf(day));
    return true;
  });
}

/** Where the daily copies of a register lie: in a folder of their own beside it. */
export const copiesOf = (file: string): string => join(dirname(file), 'copies');

const nameOf = (file: string, day: IsoDate): string => `${basename(file, '.sqlite')}-${day}.sqlite`;

/** The days of which there is a copy. */
function daysCopied(file: string): IsoDate[] {
  const folder = copiesOf(file);
  if (!existsSync(folder)) return [];
  return readdirSync(folder).flatMap((name) => {
    const day = name.slice(-'YYYY-MM-DD.sqlite'.length, -'.sqlite'.length);
    return isCalendarDay(day) && name === nameOf(file, day) ? [day] : [];
  });
}

/**
 * Makes the copy of a day where there is none yet, and lets go of those that are too old. The made-up hall is not copied:
 * it is made again by a command.
 * @returns where it was made
 */
export async function copyOfTheDay(desk: Desk, file: string = registerFile()): Promise<string | null> {
  const today = desk.today();
  const days = daysCopied(file);
  if (days.includes(today) || (await isDemo(desk.db))) return null;
  const folder = copiesOf(file);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const copy = join(folder, nameOf(file, today));
  await copyRegister(desk.db, copy);
  const keep = new Set(copiesToKeep([...days, today], today));
  // Days to come are of a clock that was wrong: nobody knows what they are worth, and they are left.
  for (const day of days) if (!keep.has(day) && day < today) rmSync(join(folder, nameOf(file, day)), { force: true });
  return copy;
}

/** A folder that cannot be read holds nothing that could be taken back. */
function newestCopy(file: string): IsoDate | null {
  try {
    return daysCopied(file).sort().at(-1) ?? null;
  } catch (error) {
    console.error('The copies of the register cannot be read:', error);
    return null;
  }
}

/** A copy that is older than this is told of. */
const oldAfterDays = 7;

/**
 * What is to be said of the copies on Today.
 * @returns the day of the newest one, or `never`; `null` where it is of the last week, or nothing needs a copy
 */
export async function copyToMiss(desk: Desk, people: number, file: string = registerFile()): Promise<string | null> {
  if (people === 0 || (await isDemo(desk.db))) return null;
  const newest = newestCopy(file);
  if (newest === null) return 'never';
  return daysBetween(newest, desk.today()) > oldAfterDays ? newest : null;
}
