import { holdStock } from '../core/train/seats/holds';
import { oneMore, type OneMore } from '../core/train/seats/oneMore';
import type { SeatKind } from '../core/train/seats/problem';
import { planSeats } from '../core/train/seats/programme';
import { chairsAsked } from '../schemas/dayChairs';
import { parse } from '../schemas/parse';
import type { Desk } from './desk';
import { readPlace } from './places';
import { solve } from './solve';

/** Which chair stands at which lane of a testing day. */
export interface ChairsOut {
  /** A seat a lane, in the order they were asked for; `null` where the cupboard has none left. */
  readonly stations: readonly { readonly staff: string; readonly seats: readonly (SeatKind | null)[] }[];
  /** Where a lane has none: the one thing that would give most of them one. */
  readonly more: OneMore | null;
  /** So many chairs stand with their backs to the free wall; `null` where nobody wrote how long it is. */
  readonly atWall: number | null;
}

/**
 * Chairs for every lane at exactly the height that was asked for, by the same programme as the seats of a class: a test is compared with
 * others on one seat, so that a little over will not do. Where chairs are short every station has its first lane before any has a second.
 * `null` where what was asked is no question.
 */
export async function chairsOut(desk: Desk, sent: unknown): Promise<ChairsOut | null> {
  const parsed = parse(chairsAsked, sent);
  if (parsed.kind === 'bad') return null;
  const { cupboard } = await readPlace(desk);
  const lanes = parsed.value.stations.flatMap(({ seatsCm }, station) =>
    seatsCm.map((cm, lane) => ({ lane, personId: `${station} ${lane}`, targetCm: cm, mostCm: cm })),
  );
  const sitters = [...lanes].sort((a, b) => a.lane - b.lane);
  const plan = await planSeats(sitters, cupboard, 1, solve);
  const kindAt = new Map(plan.seats.flatMap(({ kind, people }) => people.map((id) => [id, kind] as const)));
  return {
    stations: parsed.value.stations.map(({ staff, seatsCm }, station) => ({
      staff,
      seats: seatsCm.map((_cm, lane) => kindAt.get(`${station} ${lane}`) ?? null),
    })),
    more: plan.unseated.length > 0 ? await oneMore(sitters, cupboard, plan, solve) : null,
    atWall: holdStock(cupboard).wall,
  };
}
