import type { PersonId, Cupboard } from '../../shapes/person';

/** What somebody holds in a block; a chair is never pulled on, so squats and wide holds ask for something fixed. */
export interface Holding {
  readonly personId: PersonId;
  /** Only a rail, a heavy table or a strap will do; else a chair with its seat to the wall does too. */
  readonly fixed: boolean;
}

/** A block as the hall has to hold it. */
export interface HeldBlock {
  readonly title: string;
  readonly holding: readonly Holding[];
  /** How many sit on a chair of their own at the same time. */
  readonly sitting: number;
}

/** A class carries its chairs at most so often: out, and once turned to be held. Common practice, no published source. */
export const mostCarries = 2;

/**
 * How often chairs are carried: out once, and again each time a block holds chairs that stand as seats, or sits where they were
 * turned to be held.
 * @param seats chairs that are built as seats
 */
export function carriesOf(blocks: readonly HeldBlock[], seats: number, stock: HoldStock): number {
  const onChairs = ({ holding }: HeldBlock): number =>
    Math.min(Math.max(0, holding.length - stock.fixed), stock.wall ?? Infinity);
  let [carries, turned] = [seats > 0 || blocks.some((b) => onChairs(b) > 0) ? 1 : 0, false];
  for (const block of blocks) {
    const { sitting } = block;
    const asks = onChairs(block) > stock.chairs - seats;
    if (asks === turned || (!asks && sitting === 0)) continue;
    turned = asks;
    carries += 1;
  }
  return carries;
}

/** Wall for each chair that is held, in metres. House rule: common practice, no published source. */
export const wallForChairM = 0.9;

/** Where people can hold on. */
export interface HoldStock {
  /** Places at rails, one at each heavy table and each strap. */
  readonly fixed: number;
  /** Chairs that fit along the free wall; `null` where nobody wrote how long it is. */
  readonly wall: number | null;
  /** Chairs that stand firm. */
  readonly chairs: number;
}

export const holdStock = ({ railPlaces, tables, straps, wallM, chairs }: Cupboard): HoldStock => ({
  fixed: railPlaces + tables + straps,
  // A wall of 2.7 m is three chairs, whatever the machine makes of 2.7 / 0.9.
  wall: wallM === null ? null : Math.floor(wallM / wallForChairM + 1e-9),
  chairs: chairs.reduce((sum, c) => sum + (c.stable ? c.count : 0), 0),
});

export interface HeldAnswer {
  readonly title: string;
  /** Who holds on. */
  readonly who: readonly Holding[];
  /** Most that hold on at once. */
  readonly atOnce: number;
  /** How many turns it takes; `null` where somebody can never hold on here. */
  readonly turns: number | null;
  /** What is short for all at once. */
  readonly short: readonly Short[];
}

/** So many places at a rail or firm chairs, or so many metres of free wall, to a tenth. */
export interface Short {
  readonly what: 'rail' | 'chair' | 'wall';
  readonly by: number;
}

/** Whether so many can hold on at once. */
function fits(fixed: number, either: number, sitting: number, stock: HoldStock): boolean {
  return atOnceOf(fixed, either, sitting, stock) === fixed + either;
}

/** The most who hold on at once: whoever needs something fixed has it first, what is left of it and chairs are for the rest. */
function atOnceOf(fixed: number, either: number, sitting: number, stock: HoldStock): number {
  const chairs = Math.max(0, Math.min(stock.wall ?? stock.chairs, stock.chairs - sitting));
  const held = Math.min(fixed, stock.fixed);
  return held + Math.min(either, stock.fixed - held + chairs);
}

/** Whether everybody of a block can hold on at once, else in how many turns, each at most as many as fit. */
export function heldIn({ title, holding, sitting }: HeldBlock, stock: HoldStock): HeldAnswer {
  const fixed = holding.filter((h) => h.fixed).length;
  const either = holding.length - fixed;
  const each = (n: number, turns: number) => Math.ceil(n / turns);
  const turns = Array.from({ length: Math.max(1, holding.length) }, (_, i) => i + 1).find((t) =>
    fits(each(fixed, t), each(either, t), each(sitting, t), stock),
  );
  // With as much that is fixed as is needed: what else is short.
  const onChairs = Math.max(0, fixed + either - Math.max(stock.fixed, fixed));
  const byChairs = onChairs - Math.max(0, stock.chairs - sitting);
  const byWall = stock.wall === null ? 0 : onChairs - stock.wall;
  const short: Short[] = [
    ...(fixed > stock.fixed ? [{ what: 'rail' as const, by: fixed - stock.fixed }] : []),
    ...(byWall > 0 ? [{ what: 'wall' as const, by: Math.round(byWall * wallForChairM * 10) / 10 }] : []),
    ...(byChairs > 0 ? [{ what: 'chair' as const, by: byChairs }] : []),
  ];
  return {
    title,
    who: holding,
    atOnce: atOnceOf(fixed, either, sitting, stock),
    turns: turns ?? null,
    short,
  };
}
