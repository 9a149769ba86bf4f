import type { Helper, HelperTask } from '../shapes/helper';
import type { Station } from '../shapes/protocol';

/** As many as are ever tested at once. */
export const mostLanes = 4;

type Staff = Pick<Station, 'staff' | 'lanes'>;

const taskOf: Readonly<Record<Station['staff'], HelperTask | null>> = {
  counts: 'count',
  spots: 'spot',
  instructor: null,
};

/** Who of the helpers may watch beside the instructor. */
export function mayWatch({ staff }: Staff, helpers: readonly Helper[]): Helper[] {
  const task = taskOf[staff];
  return task === null ? [] : helpers.filter((h) => h.may[task] !== null);
}

/**
 * How many may be tested at once: each pair of eyes watches so many. Counting is shown in a minute, so that somebody can
 * be asked to without being on the list, or a device counts; spotting is not.
 */
export function lanesAtOnce(station: Staff, helpers: readonly Helper[]): number {
  if (station.staff === 'counts' && station.lanes > 1) return mostLanes;
  return Math.min(mostLanes, station.lanes * (1 + mayWatch(station, helpers).length));
}

/** Lanes by whoever watches them, the instructor first; places from 0. */
export function watchedTogether({ lanes }: Staff, people: number): number[][] {
  const places = Array.from({ length: people }, (_, place) => place);
  return Array.from({ length: Math.ceil(people / lanes) }, (_, k) => places.slice(k * lanes, (k + 1) * lanes));
}
