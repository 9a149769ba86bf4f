import { dayState } from '../../../core/measure/day/dayState';
import type { IsoDate } from '../../../core/shapes/facts';
import { thisPage } from '../bench/pages';
import { askDay } from '../bench/sending';
import { noteDay } from './noteDay';

/** A hold called away from the station page, such as on somebody’s intake: where a testing day goes on, it stands too. */
export async function holdTheDay(day: IsoDate): Promise<void> {
  const said = await askDay(day, thisPage);
  if (said && dayState(said.notes).plan) await noteDay(day, { kind: 'hold' }).sent;
}
