import type { Cupboard, PersonId } from '../../shapes/person';
import { layFloor, type FloorPlan, type PlaceKind } from './floor';
import { heldIn, holdStock, type HeldAnswer, type HeldBlock } from './holds';
import { oneMore, type OneMore } from './oneMore';
import type { Sitter } from './problem';
import { planSeats, type SeatPlan, type Solve } from './programme';

/** A class as the hall has to take it. */
export interface ToSetUp {
  readonly people: readonly PersonId[];
  readonly sitters: readonly Sitter[];
  readonly blocks: readonly HeldBlock[];
}

/** The one set-up of a hall for a class. */
export interface SetUp {
  readonly seats: SeatPlan;
  /** Where not all are seated at once: the same in two waves. */
  readonly inTwo: SeatPlan | null;
  /** Where not all are seated at their height: the one thing that would do most. */
  readonly oneMore: OneMore | null;
  /** Blocks in which people hold on. */
  readonly held: readonly HeldAnswer[];
  /** Nobody wrote how much free wall there is. */
  readonly wallUnknown: boolean;
  readonly floor: FloorPlan;
}

/** Seats first; where not all sit at once, in two waves; then whether all can hold on, and where everybody stands. */
export async function setUpOf({ people, sitters, blocks }: ToSetUp, cupboard: Cupboard, solve: Solve): Promise<SetUp> {
  const seats = await planSeats(sitters, cupboard, 1, solve);
  const short = seats.unseated.length > 0;
  const inTwo = short ? await planSeats(sitters, cupboard, 2, solve) : null;
  const more = short || seats.overCm > 0 ? await oneMore(sitters, cupboard, seats, solve) : null;
  const stock = holdStock(cupboard);
  const holdsOn = new Map<PersonId, PlaceKind>();
  for (const { holding } of blocks)
    for (const { personId, fixed } of holding)
      if (fixed || !holdsOn.has(personId)) holdsOn.set(personId, fixed ? 'rail' : 'wall');
  const used = inTwo && inTwo.unseated.length < seats.unseated.length ? inTwo : seats;
  const seatOf = new Map(used.seats.flatMap((s, i) => s.people.map((id) => [id, `${i} ${s.kind.id}`] as const)));
  const order: readonly (PlaceKind | undefined)[] = ['rail', 'wall', undefined];
  const toPlace = [...people]
    .sort((a, b) => order.indexOf(holdsOn.get(a)) - order.indexOf(holdsOn.get(b)))
    .map((personId) => ({ personId, needs: holdsOn.get(personId) ?? 'floor', seat: seatOf.get(personId) ?? null }));
  return {
    ...{ seats, inTwo, oneMore: more },
    held: blocks.filter((b) => b.holding.length > 0).map((b) => heldIn(b, stock)),
    wallUnknown: cupboard.wallM === null,
    floor: layFloor(toPlace, { rail: cupboard.railPlaces, fixed: stock.fixed }, stock.wall ?? Infinity),
  };
}
