import type { Rung } from '../shapes/ladder';
import type { Level } from './answer';

/** How much of a rung is done at one place of its list; nothing where the rung has no such place. */
export function withinAt(rung: Pick<Rung, 'within'>, step: number): Pick<Level, 'within'> {
  const at = rung.within?.[step];
  return at ? { within: { step, words: at.words } } : {};
}

/** The same rung goes on where it was: a test says nothing of how much of it is done. */
export const carriedWithin = (level: Level, before: Level | undefined): Level =>
  before?.within && before.rung === level.rung && level.within ? { ...level, within: before.within } : level;
