import { placeKinds, type KeptPlace, type PlaceId, type PlaceKind } from '../../shapes/hallPlace';
import type { PersonId } from '../../shapes/person';
import { wallForChairM, type Holding } from './holds';

/** What somebody holds in some block of the class: only something fixed will do; a chair along the wall does too; nothing. */
export type Need = 'fixed' | 'either' | 'none';

/** Somebody who gets a place. */
export interface ToPlace {
  readonly personId: PersonId;
  readonly needs: Need;
  /** The seat they share; of one seat the second stands behind it and counts. */
  readonly seat: string | null;
  /** They are placed with those who need so much: their own need, or that of somebody they stand beside. */
  readonly rank: Need;
}

/** One who may spot stands by all of these in the same movement, by turns. */
export interface Spotted {
  readonly spotter: string;
  readonly people: readonly PersonId[];
}

/** People as they are placed: whoever holds most closely first, and behind each at once whom the same spotter stands by. */
export function sideBySide(people: readonly Omit<ToPlace, 'rank'>[], spotted: readonly Spotted[]): ToPlace[] {
  const left = new Map(sortedBy(people, (p) => p.needs).map((p) => [p.personId, p]));
  const out: ToPlace[] = [];
  const take = (id: PersonId, rank: Need): void => {
    const one = left.get(id);
    if (!one) return;
    left.delete(id);
    out.push({ ...one, rank });
    for (const s of spotted) if (s.people.includes(id)) for (const mate of s.people) take(mate, rank);
  };
  for (const { personId, needs } of [...left.values()]) take(personId, needs);
  return out;
}

const sortedBy = <T>(all: readonly T[], need: (one: T) => Need): T[] =>
  [...all].sort((a, b) => strict[need(a)] - strict[need(b)]);

/** What a hall has along its walls. */
export interface FloorStock {
  readonly rail: number;
  readonly tables: number;
  readonly straps: number;
  /** Chairs that fit along the free wall; `Infinity` where nobody wrote how long it is. */
  readonly wall: number;
  /** Firm chairs that nobody sits on: whoever has no seat along the wall holds one of them; who has one holds their own, turned. */
  readonly spare: number;
}

/** One place, in metres from the left end of the wall; y grows away from the wall. */
export interface FloorSlot {
  readonly id: PlaceId;
  readonly kind: PlaceKind;
  readonly xM: number;
  readonly yM: number;
}

/** One place that is taken. */
export interface FloorPlace extends FloorSlot {
  /** Counted from 1, along the wall, then row by row. */
  readonly n: number;
  /** In the order of the waves. */
  readonly people: readonly PersonId[];
  readonly seat: string | null;
  /** An instructor put them there. */
  readonly kept: boolean;
  /** There is a chair at it, to sit on or to hold. */
  readonly hasChair: boolean;
}

export interface FloorPlan {
  /** As much of the wall as is used, and six metres at least. */
  readonly widthM: number;
  readonly depthM: number;
  /** From the left end; tables and straps come after it. */
  readonly railM: number;
  readonly places: readonly FloorPlace[];
  /** Where somebody else could stand. */
  readonly free: readonly FloorSlot[];
  /** Whose place is not there any more. */
  readonly lost: readonly PersonId[];
}

const atLeastM = 6;
/** From the wall to the first row, and from row to row and place to place on the free floor. House rules, no source. */
const rowM = { wall: 0.7, first: 2.7, next: 2, apart: 1.6, front: 1.3 } as const;
/** Whoever stands by two reaches both. House rule, common practice, no published source. */
const besideM = 2;

const fixedKinds: readonly PlaceKind[] = ['rail', 'table', 'strap'];
export const isFixed = (kind: PlaceKind): boolean => fixedKinds.includes(kind);

export const kindOf = (id: PlaceId): PlaceKind => placeKinds.find((k) => id.startsWith(`${k}-`)) ?? 'floor';
/** More than people ever come, and as far as a place is counted. */
const mostOfAKind = 99;
const indexOf = (id: PlaceId): number => Number(id.slice(id.indexOf('-') + 1)) - 1;
const idOf = (kind: PlaceKind, i: number): PlaceId => `${kind}-${i + 1}`;

interface Spot {
  readonly seat: string | null;
  readonly people: PersonId[];
  needs: Need;
  rank: Need;
  at: PlaceId | null;
  kept: boolean;
}

const strict: Readonly<Record<Need, number>> = { fixed: 0, either: 1, none: 2 };

/**
 * Everybody's place: whoever needs something fixed, from the left; then chairs along the wall; then rows on the floor, all facing
 * whoever leads. Who shares a seat shares the place. Who was put somewhere by
 * hand stands there as long as the place is there; of the others only those move whose place was taken, or who find a better one in
 * what became free.
 */
export function layFloor(people: readonly ToPlace[], stock: FloorStock, kept: readonly KeptPlace[] = []): FloorPlan {
  const spots = spotsOf(people);
  placeAll(spots, stock, new Map());
  if (kept.length === 0) return drawn(spots, stock, []);
  const byRule = new Map(spots.map((s) => [s, s.at]));
  for (const spot of spots) spot.at = null;
  const lost: PersonId[] = [];
  for (const { personId, at } of kept) {
    const spot = spots.find((s) => s.people.includes(personId));
    if (!spot || spot.kept) continue;
    if (indexOf(at) >= countOf(kindOf(at), stock) || spots.some((s) => s.at === at)) lost.push(personId);
    else Object.assign(spot, { at, kept: true });
  }
  placeAll(spots, stock, byRule);
  return drawn(spots, stock, lost);
}

/** Whoever has no place yet gets one, those who hold most closely first; on their place of before if it is free and does. */
function placeAll(spots: readonly Spot[], stock: FloorStock, before: ReadonlyMap<Spot, PlaceId | null>): void {
  const taken = new Set(spots.flatMap((s) => s.at ?? []));
  const put = (spot: Spot, at: PlaceId): void => {
    spot.at = at;
    taken.add(at);
  };
  /** Along the wall there is a chair to hold: their own, turned, or one that nobody sits on. */
  const hasChairAt = (spot: Spot, kind: PlaceKind): boolean =>
    kind !== 'wall' || spot.seat !== null || spots.filter(holdsSpare).length < stock.spare;
  for (const rank of needsInOrder) {
    const these = spots.filter((s) => s.rank === rank && s.at === null);
    for (const spot of these) {
      const at = before.get(spot) ?? null;
      if (at !== null && !taken.has(at) && serves(kindOf(at), rank) && hasChairAt(spot, kindOf(at))) put(spot, at);
    }
    for (const spot of these) {
      if (spot.at !== null) continue;
      // Rather where nobody stood than on the place of somebody who holds less.
      const others = new Set(spots.flatMap((s) => (s.at === null && s !== spot ? (before.get(s) ?? []) : [])));
      const at = wishes[rank].reduce<PlaceId | null>((found, wished) => {
        const kinds = wished.filter((kind) => hasChairAt(spot, kind));
        const free = (may: (id: PlaceId) => boolean) => firstFree(kinds, stock, taken, may);
        return found ?? free((id) => !others.has(id)) ?? free(() => true);
      }, null);
      if (at !== null) put(spot, at);
    }
  }
}

/** Takes a chair that nobody sits on. */
const holdsSpare = ({ at, seat, needs }: Spot): boolean =>
  at !== null && kindOf(at) === 'wall' && seat === null && needs !== 'none';

const needsInOrder: readonly Need[] = ['fixed', 'either', 'none'];
const wishes: Readonly<Record<Need, readonly (readonly PlaceKind[])[]>> = {
  fixed: [fixedKinds, ['wall'], ['floor']],
  either: [[...fixedKinds, 'wall'], ['floor']],
  none: [['floor']],
};

const countOf = (kind: PlaceKind, { rail, tables, straps, wall }: FloorStock): number =>
  ({ rail, table: tables, strap: straps, wall, floor: Infinity })[kind];

function firstFree(
  kinds: readonly PlaceKind[],
  stock: FloorStock,
  taken: ReadonlySet<PlaceId>,
  may: (id: PlaceId) => boolean,
): PlaceId | null {
  for (const kind of kinds)
    for (let i = 0; i < Math.min(countOf(kind, stock), mostOfAKind); i += 1) {
      const id = idOf(kind, i);
      if (!taken.has(id) && may(id)) return id;
    }
  return null;
}

/** Whether somebody finds there what they hold on to. */
const serves = (kind: PlaceKind, need: Need): boolean =>
  need === 'none' || isFixed(kind) || (need === 'either' && kind === 'wall');

function spotsOf(people: readonly ToPlace[]): Spot[] {
  const spots: Spot[] = [];
  const closer = (a: Need, b: Need): Need => (strict[a] < strict[b] ? a : b);
  for (const { personId, needs, rank, seat } of people) {
    const shared = seat === null ? undefined : spots.find((s) => s.seat === seat);
    if (shared) {
      shared.people.push(personId);
      Object.assign(shared, { needs: closer(needs, shared.needs), rank: closer(rank, shared.rank) });
    } else spots.push({ needs, rank, seat, people: [personId], at: null, kept: false });
  }
  return sortedBy(spots, (s) => s.rank);
}

function drawn(spots: readonly Spot[], stock: FloorStock, lost: readonly PersonId[]): FloorPlan {
  const used = (kind: PlaceKind): number =>
    Math.max(0, ...spots.flatMap((s) => (s.at !== null && kindOf(s.at) === kind ? indexOf(s.at) + 1 : [])));
  const fixed = stock.rail + stock.tables + stock.straps;
  const wall = Math.min(stock.wall, used('wall') + 1);
  const widthM = Math.max(atLeastM, (fixed + wall) * wallForChairM);
  const perRow = Math.max(1, Math.floor((widthM - 0.8) / rowM.apart));
  const onFloor = used('floor') + 1;
  const rows = Math.ceil(onFloor / perRow);
  const inRow = Math.ceil(onFloor / rows);
  const before: Readonly<Record<PlaceKind, number>> = {
    ...{ rail: 0, table: stock.rail, strap: stock.rail + stock.tables, wall: fixed, floor: 0 },
  };
  const slot = (kind: PlaceKind, i: number): FloorSlot => {
    const id = idOf(kind, i);
    if (kind !== 'floor') return { id, kind, xM: (before[kind] + i + 0.5) * wallForChairM, yM: rowM.wall };
    const left = (widthM - (inRow - 1) * rowM.apart) / 2;
    return { id, kind, xM: left + (i % inRow) * rowM.apart, yM: rowM.first + Math.floor(i / inRow) * rowM.next };
  };
  const shown: Readonly<Record<PlaceKind, number>> = {
    ...{ rail: stock.rail, table: stock.tables, strap: stock.straps, wall, floor: rows * inRow },
  };
  const slots = placeKinds.flatMap((kind) => Array.from({ length: shown[kind] }, (_, i) => slot(kind, i)));
  const at = new Map(spots.map((s) => [s.at, s]));
  let spare = stock.spare;
  const places = slots
    .flatMap((s) => {
      const spot = at.get(s.id);
      if (!spot) return [];
      if (holdsSpare(spot)) spare -= 1;
      const hasChair = spot.seat !== null || (holdsSpare(spot) && spare >= 0);
      return [{ ...s, people: spot.people, seat: spot.seat, kept: spot.kept, hasChair }];
    })
    .map((p, i) => ({ n: i + 1, ...p }));
  return {
    ...{ widthM, railM: stock.rail * wallForChairM, places, lost },
    depthM: rowM.first + (rows - 1) * rowM.next + rowM.front,
    free: slots.filter((s) => !at.has(s.id)),
  };
}

/** What somebody put somewhere by hand breaks. */
export type PlaceFault =
  /** They hold on in some block, and there is nothing to hold; or only a chair where that will not do. */
  | { readonly kind: 'nothing-to-hold' | 'only-a-chair'; readonly n: number; readonly personId: PersonId }
  /** They hold on, and somebody who needs it less has the last place for it: put there, or beside whom their spotter stands by. */
  | { readonly kind: 'taken'; readonly n: number; readonly personId: PersonId; readonly by: PersonId }
  /** Nobody can stand by both. */
  | {
      readonly kind: 'apart';
      readonly n: number;
      readonly spotter: string;
      readonly people: readonly PersonId[];
      readonly metres: number;
    }
  /** Their place is not there any more: they stand elsewhere. */
  | { readonly kind: 'gone'; readonly personId: PersonId };

/**
 * What places kept by hand break, and what could not be had at once: a spotter who cannot reach all of theirs, a place for holding on that
 * somebody has who needs it less. A hall that is merely short of places breaks nothing: in how many turns they hold on is told elsewhere.
 */
export function placeFaults(
  { places, lost }: FloorPlan,
  people: readonly ToPlace[],
  spotted: readonly Spotted[],
): PlaceFault[] {
  const needsOf = new Map(people.map((p) => [p.personId, p.needs]));
  const needs = (id: PersonId): Need => needsOf.get(id) ?? 'none';
  const faults: PlaceFault[] = lost.map((personId) => ({ kind: 'gone', personId }));
  /** One place is wanted by one: the rest are short of it whoever stands there. */
  const wanted = new Set<PlaceId>();
  for (const place of places)
    for (const personId of place.people) {
      const { n, kind, kept, hasChair } = place;
      const need = needs(personId);
      if (does(place, need)) continue;
      if (kept) {
        faults.push({ kind: kind === 'wall' && hasChair ? 'only-a-chair' : 'nothing-to-hold', n, personId });
        continue;
      }
      const better = places.find(
        (p) => !wanted.has(p.id) && does(p, need) && p.people.every((id) => strict[needs(id)] > strict[need]),
      );
      const by = better?.people[0];
      if (!better || by === undefined) continue;
      wanted.add(better.id);
      faults.push({ kind: 'taken', n, personId, by });
    }
  return [...faults, ...spotted.flatMap((s) => apart(places, s) ?? [])];
}

/**
 * Who of a block holds on first, whoever stands where they can before others, and who after them in the same places; a turn an entry.
 * Whoever can never hold on here is in none.
 */
export function turnsOn({ places }: Pick<FloorPlan, 'places'>, holding: readonly Holding[]): PersonId[][] {
  const needOf = new Map(holding.map((h) => [h.personId, h.fixed ? ('fixed' as const) : ('either' as const)]));
  const holdsAt = (place: FloorPlace, id: PersonId): boolean => does(place, needOf.get(id) ?? 'none') && needOf.has(id);
  // Of those who share a place one holds at a time.
  const inPlace = places.flatMap((place) => place.people.filter((id) => holdsAt(place, id)).slice(0, 1));
  const fixed = places.filter((p) => does(p, 'fixed')).length;
  const all = places.filter((p) => does(p, 'either')).length;
  const able = holding.filter((h) => (h.fixed ? fixed : all) > 0);
  const turns: PersonId[][] = [];
  let waiting = [
    ...able.filter((h) => inPlace.includes(h.personId)),
    ...able.filter((h) => !inPlace.includes(h.personId)),
  ];
  while (waiting.length > 0) {
    const closest = waiting.filter((h) => h.fixed).slice(0, fixed);
    const rest = waiting.filter((h) => !h.fixed).slice(0, all - closest.length);
    turns.push([...closest, ...rest].map((h) => h.personId));
    waiting = waiting.filter((h) => !closest.includes(h) && !rest.includes(h));
  }
  return turns;
}

/** Whether a place holds whoever needs so much: along the wall it takes a chair. */
const does = ({ kind, hasChair }: Pick<FloorPlace, 'kind' | 'hasChair'>, need: Need): boolean =>
  serves(kind, need) && (need === 'none' || kind !== 'wall' || hasChair);

/** The two of a spotter who are farthest from each other, where that is too far. */
function apart(places: readonly FloorPlace[], { spotter, people }: Spotted): PlaceFault | null {
  const at = places.filter((p) => p.people.some((id) => people.includes(id)));
  const far = at
    .flatMap((a, i) => at.slice(i + 1).map((b) => ({ a, b, metres: Math.hypot(a.xM - b.xM, a.yM - b.yM) })))
    .filter(({ metres }) => metres > besideM)
    .sort((x, y) => y.metres - x.metres)[0];
  if (!far) return null;
  const two = [far.a, far.b].flatMap((p) => p.people.filter((id) => people.includes(id)));
  return { kind: 'apart', n: far.b.n, spotter, people: two, metres: Math.round(far.metres * 10) / 10 };
}

/**
 * The kept places after somebody is put somewhere. Whoever was put there by hand changes places with them; whoever stood there by the rules
 * finds another place by them.
 */
export function movedTo(floor: FloorPlan, kept: readonly KeptPlace[], personId: PersonId, to: PlaceId): KeptPlace[] {
  const from = floor.places.find((p) => p.people.includes(personId));
  if (!from || from.id === to) return [...kept];
  const there = floor.places.find((p) => p.id === to);
  const moved: KeptPlace[] = [
    ...from.people.map((id) => ({ personId: id, at: to })),
    ...(there?.kept ? there.people : []).map((id) => ({ personId: id, at: from.id })),
  ];
  return [...kept.filter((k) => !moved.some((m) => m.personId === k.personId)), ...moved];
}
