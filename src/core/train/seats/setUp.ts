import type { Cupboard, PersonId } from '../../shapes/person';
import { sideBySide, type FloorStock, type Need, type Spotted, type ToPlace } from './floor';
import { carriesOf, heldIn, holdStock, type HeldAnswer, type HeldBlock } from './holds';
import { oneMore, type OneMore } from './oneMore';
import type { Sitter } from './problem';
import { planSeats, type SeatPlan, type Solve } from './programme';

/** A class as the hall has to take it. */
export interface ToSetUp {
  /** Who does what with the most support first: they stand nearest to what is held. */
  readonly people: readonly PersonId[];
  readonly sitters: readonly Sitter[];
  /** In their order. */
  readonly blocks: readonly HeldBlock[];
  /** Whom the same spotter stands by in the same movement. */
  readonly spotted: readonly Spotted[];
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
  /** How often chairs are carried, with each time they are turned. */
  readonly carries: number;
  /** Nobody wrote how much free wall there is. */
  readonly wallUnknown: boolean;
  /** What the floor is laid from; who was put somewhere by hand changes nothing of it. */
  readonly toPlace: readonly ToPlace[];
  readonly spotted: readonly Spotted[];
  readonly floorStock: FloorStock;
}

/** In one wave where all sit so, else in two where more do. */
export const usedOf = ({ seats, inTwo }: Pick<SetUp, 'seats' | 'inTwo'>): SeatPlan =>
  inTwo && inTwo.unseated.length < seats.unseated.length ? inTwo : seats;

/** Seats first; where not all sit at once, in two waves; then whether all can hold on, and what everybody's place asks for. */
export async function setUpOf(
  { people, sitters, blocks, spotted }: ToSetUp,
  cupboard: Cupboard,
  solve: Solve,
): Promise<SetUp> {
  const seats = await planSeats(sitters, cupboard, 1, solve);
  const short = seats.unseated.length > 0;
  const inTwo = short ? await planSeats(sitters, cupboard, 2, solve) : null;
  const more = short || seats.overCm > 0 ? await oneMore(sitters, cupboard, seats, solve) : null;
  const stock = holdStock(cupboard);
  const needs = new Map<PersonId, Need>();
  for (const { holding } of blocks)
    for (const { personId, fixed } of holding)
      if (fixed || !needs.has(personId)) needs.set(personId, fixed ? 'fixed' : 'either');
  const used = usedOf({ seats, inTwo });
  const seatOf = new Map(used.seats.flatMap((s, i) => s.people.map((id) => [id, `${i} ${s.kind.id}`] as const)));
  return {
    ...{ seats, inTwo, oneMore: more },
    held: blocks.filter((b) => b.holding.length > 0).map((b) => heldIn(b, stock)),
    carries: carriesOf(blocks, used.seats.length, stock),
    wallUnknown: cupboard.wallM === null,
    toPlace: sideBySide(
      people.map((personId) => ({
        ...{ personId, needs: needs.get(personId) ?? 'none', seat: seatOf.get(personId) ?? null },
      })),
      spotted,
    ),
    spotted,
    floorStock: {
      ...{ rail: cupboard.railPlaces, tables: cupboard.tables, straps: cupboard.straps },
      // What crosses to the browser as JSON has no infinity; more chairs than people never stand along a wall.
      wall: stock.wall ?? people.length + 1,
      spare: Math.max(0, stock.chairs - used.seats.length),
    },
  };
}
