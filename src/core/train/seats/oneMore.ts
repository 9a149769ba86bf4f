import { groupsOf, stockOf, type SeatStock, type Sitter } from './problem';
import { seatsAndOver, type SeatPlan, type SeatsAndOver, type Solve } from './programme';

/** A thing that may be had as well: a firm chair of a height, or a pad of a thickness. */
export interface SeatThing {
  readonly what: 'chair' | 'pad';
  readonly cm: number;
}

/** How many more one thing seats, and how many centimetres fewer all sit too high. */
export interface Gain {
  readonly seats: number;
  readonly fewerCm: number;
}

/** The one thing that would seat more people at their height. */
export type OneMore = SeatThing & Gain;

/** A thicker pad gives way under whoever sits: a chair is had instead. House rule: common practice, no published source. */
const thickestPadCm = 5;

/** Every chair that is somebody's height, and every pad that makes one of a chair that is there. */
export function thingsFor(sitters: readonly Sitter[], stock: SeatStock): SeatThing[] {
  const heights = [...new Set(groupsOf(sitters).map((g) => g.targetCm))];
  const chairs = stockOf(stock).chairs.map((c) => c.chairCm);
  const pads = [...new Set(heights.flatMap((h) => chairs.map((c) => h - c)))].filter(
    (cm) => cm > 0 && cm <= thickestPadCm,
  );
  return [
    ...pads.map((cm) => ({ what: 'pad' as const, cm })),
    ...heights.map((cm) => ({ what: 'chair' as const, cm })),
  ];
}

/** What there is, with one of a thing more; a chair that is had stands firm and has no arms. */
export const withThing = <T extends SeatStock>(stock: T, { what, cm }: SeatThing): T =>
  what === 'chair'
    ? { ...stock, chairs: [...stock.chairs, { heightCm: cm, arms: false, stable: true, count: 1 }] }
    : { ...stock, pads: [...stock.pads, { thickCm: cm, count: 1 }] };

/** What one thing more does for some who sit at once. */
export async function gainOf(
  thing: SeatThing,
  sitters: readonly Sitter[],
  stock: SeatStock,
  now: SeatsAndOver,
  solve: Solve,
): Promise<Gain> {
  const then = await seatsAndOver(sitters, withThing(stock, thing), solve);
  return { seats: then.seated - now.seated, fewerCm: now.overCm - then.overCm };
}

export const helps = ({ seats, fewerCm }: Gain): boolean => seats > 0 || (seats === 0 && fewerCm > 0);

const kinds = ['pad', 'chair', 'rail'] as const;
/** Of what does the same: a pad before a chair before a rail, then the lowest. */
export const byKind = (a: { what: (typeof kinds)[number]; cm: number }, b: typeof a): number =>
  kinds.indexOf(a.what) - kinds.indexOf(b.what) || a.cm - b.cm;

/** First what seats most, then what leaves the fewest centimetres over. */
export const byGain = (a: Gain, b: Gain): number => b.seats - a.seats || b.fewerCm - a.fewerCm;

/** Of all such things the one that does most; `null` where nothing helps. */
export async function oneMore(
  sitters: readonly Sitter[],
  stock: SeatStock,
  now: SeatPlan,
  solve: Solve,
): Promise<OneMore | null> {
  const before = { seated: sitters.length - now.unseated.length, overCm: now.overCm };
  const tried = await Promise.all(
    thingsFor(sitters, stock).map(async (thing) => ({
      ...thing,
      ...(await gainOf(thing, sitters, stock, before, solve)),
    })),
  );
  return tried.filter(helps).sort((a, b) => byGain(a, b) || byKind(a, b))[0] ?? null;
}
