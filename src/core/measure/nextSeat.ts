/** A seat that was tried. */
export interface SeatTried {
  readonly held?: boolean;
  readonly seatCm?: number;
}

/** Where it begins, and how far it goes down at most from one stand to the next. */
const firstCm = 53;
const mostDownCm = 5;
const lowestCm = 38;

/**
 * The seat for the next stand: from 53 cm down to 38 by what the hall can build, at most 5 cm a step; a height that was
 * not risen from is tried once more. Common practice, no published source.
 * @param seatsCm what the chairs and pads make; where they make nothing between, every whole centimetre is thought of
 */
export function nextSeatCm(tried: readonly SeatTried[], seatsCm: readonly number[]): number {
  const last = tried.at(-1);
  const there = [...seatsCm].filter((cm) => cm >= lowestCm).sort((a, b) => b - a);
  if (last?.seatCm === undefined) return there.findLast((cm) => cm >= firstCm) ?? there[0] ?? firstCm;
  if (last.held === false) return last.seatCm;
  const from = last.seatCm;
  const reach = there.filter((cm) => cm < from && cm >= from - mostDownCm);
  return reach.at(-1) ?? Math.max(lowestCm, from - mostDownCm);
}
