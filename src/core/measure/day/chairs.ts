import { instructor } from '../../shapes/day';
import type { PersonId } from '../../shapes/person';
import type { Call } from './day';

/** The chairs that a station needs beside each other, one a lane: `null` is the height all are tested on, a figure somebody's own; cm. */
export interface StationChairs {
  readonly staff: string;
  readonly seats: readonly (number | null)[];
}

/**
 * What each station sits people on, the instructor's first: of every height as many chairs as the call that needs most of it, so that none is carried between
 * two calls.
 * @param seated tests that start on a chair
 * @param ownSeat whose seat is noted to be another one; cm
 */
export function stationChairs(
  calls: readonly Call[],
  seated: ReadonlySet<string>,
  ownSeat: (id: PersonId) => number | null,
): StationChairs[] {
  const stations = new Map<string, Map<number | null, number>>();
  for (const { staff, people, tests } of calls) {
    if (!tests.some((t) => seated.has(t))) continue;
    const most = stations.get(staff) ?? new Map<number | null, number>();
    const seats = people.map(ownSeat);
    for (const seat of seats) most.set(seat, Math.max(most.get(seat) ?? 0, seats.filter((s) => s === seat).length));
    stations.set(staff, most);
  }
  return [...stations]
    .sort(([a], [b]) => Number(b === instructor) - Number(a === instructor))
    .map(([staff, most]) => ({
      staff,
      seats: [...most]
        .sort(([a], [b]) => (a ?? 0) - (b ?? 0))
        .flatMap(([seat, n]) => Array.from({ length: n }, () => seat)),
    }));
}
