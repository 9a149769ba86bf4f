import type { PersonId } from '../../shapes/person';
import { wallForChairM } from './holds';

/** Where somebody stands: at the rail, at a chair along the wall, or on the free floor. */
export type PlaceKind = 'rail' | 'wall' | 'floor';

/** Somebody who gets a place. */
export interface ToPlace {
  readonly personId: PersonId;
  readonly needs: PlaceKind;
  /** The seat they share; of one seat the second stands behind it and counts. */
  readonly seat: string | null;
}

/** One place, in metres from the left end of the wall; y grows away from the wall. */
export interface FloorPlace {
  /** Counted from 1, along the wall, then row by row. */
  readonly n: number;
  readonly kind: PlaceKind;
  readonly xM: number;
  readonly yM: number;
  /** In the order of the waves. */
  readonly people: readonly PersonId[];
  readonly seat: string | null;
}

export interface FloorPlan {
  /** As much of the wall as is used, and six metres at least. */
  readonly widthM: number;
  readonly depthM: number;
  /** From the left end; tables and straps come after it. */
  readonly railM: number;
  readonly places: readonly FloorPlace[];
}

const atLeastM = 6;
/** From the wall to the first row, and from row to row and place to place on the free floor. House rules, no source. */
const rowM = { wall: 0.7, first: 2.6, next: 1.9, apart: 1.6, front: 2.2 } as const;

/**
 * Everybody's place: at the rail from the left, then chairs along the wall, then rows on the floor, the fullest first, all
 * facing whoever leads. Who shares a seat shares the place.
 * @param stock places at rails, and all that are fixed, with tables and straps: whoever finds none of them stands at the wall
 * @param wallPlaces chairs that fit along it; whoever finds none stands on the floor, and holds on in turns
 */
export function layFloor(
  people: readonly ToPlace[],
  stock: { readonly rail: number; readonly fixed: number },
  wallPlaces: number,
): FloorPlan {
  const spots: { kind: PlaceKind; seat: string | null; people: PersonId[] }[] = [];
  for (const { personId, needs, seat } of people) {
    const shared = seat === null ? undefined : spots.find((s) => s.seat === seat);
    if (shared) {
      shared.people.push(personId);
      if (order[needs] < order[shared.kind]) shared.kind = needs;
    } else spots.push({ kind: needs, seat, people: [personId] });
  }
  const rail = spots.filter((s) => s.kind === 'rail').slice(0, stock.fixed);
  const wall = spots.filter((s) => s.kind !== 'floor' && !rail.includes(s)).slice(0, wallPlaces);
  const floor = spots
    .filter((s) => !rail.includes(s) && !wall.includes(s))
    .map((s) => ({ ...s, kind: 'floor' as const }));
  const railM = stock.rail * wallForChairM;
  const wallFromM = Math.max(railM, rail.length * wallForChairM);
  const widthM = Math.max(atLeastM, wallFromM + wall.length * wallForChairM);
  const along = (i: number) => (i + 0.5) * wallForChairM;
  const perRow = Math.max(1, Math.floor((widthM - 0.8) / rowM.apart));
  const rows = Math.ceil(floor.length / perRow);
  const inRow = Math.ceil(floor.length / Math.max(1, rows));
  const placed = [
    ...rail.map((s, i) => ({ ...s, kind: 'rail' as const, xM: along(i), yM: rowM.wall })),
    ...wall.map((s, i) => ({ ...s, kind: 'wall' as const, xM: wallFromM + along(i), yM: rowM.wall })),
    ...floor.map((s, i) => {
      const row = Math.floor(i / inRow);
      const here = Math.min(inRow, floor.length - row * inRow);
      const left = (widthM - (here - 1) * rowM.apart) / 2;
      return { ...s, xM: left + (i % inRow) * rowM.apart, yM: rowM.first + row * rowM.next };
    }),
  ];
  return {
    ...{ widthM, railM },
    depthM: (rows > 0 ? rowM.first + (rows - 1) * rowM.next : rowM.wall) + rowM.front,
    places: placed.map((p, i) => ({ n: i + 1, ...p })),
  };
}

const order: Readonly<Record<PlaceKind, number>> = { rail: 0, wall: 1, floor: 2 };
