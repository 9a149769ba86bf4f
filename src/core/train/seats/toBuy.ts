import type { Cupboard } from '../../shapes/person';
import { heldIn, holdStock, wallForChairM, type HeldAnswer, type HeldBlock } from './holds';
import { byGain, byKind, gainOf, helps, thingsFor, withThing, type Gain, type SeatThing } from './oneMore';
import { seatsAndOver, type SeatsAndOver, type Solve } from './programme';
import type { Sitter } from './problem';

/** What a group asks of the hall, from the levels of everybody in it. */
export interface GroupAsks {
  readonly name: string;
  readonly sitters: readonly Sitter[];
  readonly blocks: readonly HeldBlock[];
}

/** How a group stands with what there is. */
export interface GroupNow extends SeatsAndOver {
  readonly name: string;
  /** Who have a seat of some height in their levels. */
  readonly sitting: number;
  readonly held: readonly HeldAnswer[];
}

/** Rail is had by two metres: so many places. */
export const railCm = 200;
export const railPlacesBought = Math.floor(railCm / 100 / wallForChairM);

/** A thing that may be bought. */
export type Thing = SeatThing | { readonly what: 'rail'; readonly cm: number };

/** A thing in the address of a page: `chair-46`. */
export const tokenOf = ({ what, cm }: Thing): string => `${what}-${cm}`;

/** The thing of such a word; `null` of any other, and of a chair or pad that nobody sells. */
export function thingOf(token: string): Thing | null {
  const [, kind, digits] = /^(chair|pad|rail)-(\d{1,3})$/.exec(token) ?? [];
  const cm = Number(digits);
  if (kind === 'rail') return cm === railCm ? { what: 'rail', cm } : null;
  if (kind === 'chair') return cm >= 25 && cm <= 80 ? { what: 'chair', cm } : null;
  return kind === 'pad' && cm >= 1 && cm <= 20 ? { what: 'pad', cm } : null;
}

/** What one thing does over all groups. */
export type Buy = Thing &
  Gain & {
    /** How many more hold on at once, in the movement in which it does most. */
    readonly holds: number;
    /** In which groups it does anything. */
    readonly groups: readonly string[];
  };

export interface ToBuy {
  readonly now: readonly GroupNow[];
  /** First what seats most at their height, then what lets most hold on; only what does anything. */
  readonly things: readonly Buy[];
}

/** What there is, with one of a thing more. */
export function bought(cupboard: Cupboard, thing: Thing): Cupboard {
  return thing.what === 'rail'
    ? { ...cupboard, railPlaces: cupboard.railPlaces + railPlacesBought }
    : withThing(cupboard, { what: thing.what, cm: thing.cm });
}

/**
 * What the hall should buy: of every chair that is somebody's height, every pad that makes one, and two metres of rail, what each does
 * for all groups together. The seats of each group are solved exactly, one programme after the other, so that a class that is set up
 * meanwhile does not wait for all of them.
 */
export async function toBuy(groups: readonly GroupAsks[], cupboard: Cupboard, solve: Solve): Promise<ToBuy> {
  const now: GroupNow[] = [];
  for (const { name, sitters, blocks } of groups) {
    const seats = await seatsAndOver(sitters, cupboard, solve);
    now.push({ name, sitting: sitters.length, held: heldOf(blocks, cupboard), ...seats });
  }
  const all = groups.map((group, i) => ({ ...group, now: now[i] ?? { seated: 0, overCm: 0 } }));
  const short = all.filter((g) => g.now.seated < g.sitters.length || g.now.overCm > 0);
  const seatThings = unlike(short.flatMap((g) => thingsFor(g.sitters, cupboard)));
  const things: Buy[] = [];
  for (const thing of [...seatThings, { what: 'rail', cm: railCm } as const]) {
    let [seats, fewerCm, holds] = [0, 0, 0];
    const where = new Set<string>();
    for (const group of all) {
      const gain =
        thing.what !== 'rail' && short.includes(group)
          ? await gainOf(thing, group.sitters, cupboard, group.now, solve)
          : { seats: 0, fewerCm: 0 };
      const more = holdsMore(group.blocks, cupboard, bought(cupboard, thing));
      seats += gain.seats;
      fewerCm += gain.fewerCm;
      holds += more;
      if (helps(gain) || more > 0) where.add(group.name);
    }
    things.push({ ...thing, seats, fewerCm, holds, groups: [...where] });
  }
  return {
    now,
    things: things
      .filter((t) => helps(t) || t.holds > 0)
      .sort((a, b) => byGain(a, b) || b.holds - a.holds || byKind(a, b)),
  };
}

const heldOf = (blocks: readonly HeldBlock[], cupboard: Cupboard): HeldAnswer[] =>
  blocks.filter((b) => b.holding.length > 0).map((b) => heldIn(b, holdStock(cupboard)));

const holdsMore = (blocks: readonly HeldBlock[], before: Cupboard, after: Cupboard): number =>
  Math.max(0, ...blocks.map((b) => heldIn(b, holdStock(after)).atOnce - heldIn(b, holdStock(before)).atOnce));

const unlike = (things: readonly SeatThing[]): SeatThing[] => [
  ...new Map(things.map((t) => [`${t.what} ${t.cm}`, t])).values(),
];
