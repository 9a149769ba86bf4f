import type { IsoDate } from '../core/shapes/facts';
import { inOne, type Register } from '../database/connection';
import { theRegister } from '../database/theRegister';
import { today } from './today';

/** What every use case works with: the register, the day, the clock, and on whose word it is done. */
export interface Desk {
  readonly db: Register;
  /** Asked anew each time, as a desk may outlive midnight. */
  readonly today: () => IsoDate;
  readonly now: () => Date;
  /** Kept with what is noted, decided, moved and erased. */
  readonly who: string;
}

/** Whoever works at this machine, until somebody signs in. */
const thisDevice = 'this device';

/**
 * A desk at a register.
 * @param day another day than today, for a demonstration or a test
 * @param at another moment than now
 */
export function deskOf(db: Register, day?: IsoDate, at?: Date): Desk {
  return { db, today: () => day ?? today(), now: () => at ?? new Date(), who: thisDevice };
}

/** The desk of this server. */
export async function theDesk(): Promise<Desk> {
  return deskOf(await theRegister());
}

/** Does all of something or nothing; inside another such deed it is part of that. */
export function together<T>(desk: Desk, deed: (desk: Desk) => Promise<T>): Promise<T> {
  return inOne(desk.db, (db) => deed({ ...desk, db }));
}
