import type { PersonId } from '../../shapes/person';
import {
  chairKey,
  groupsOf,
  mostOverCm,
  seatKinds,
  stockOf,
  type SeatKind,
  type SeatStock,
  type Sitter,
} from './problem';

/** What a solver of linear programmes in whole numbers says of one, written in the LP format. */
export interface Solved {
  /** `proven`: nothing is better · `found`: the best within its time · `none`: nothing fits. */
  readonly kind: 'proven' | 'found' | 'none';
  readonly at: Readonly<Record<string, number>>;
}
export type Solve = (lp: string) => Promise<Solved>;

/** A seat that is built, and who sits on it: one of each wave. */
export interface BuiltSeat {
  readonly kind: SeatKind;
  readonly people: readonly PersonId[];
}

export interface SeatPlan {
  /** Lowest first. */
  readonly seats: readonly BuiltSeat[];
  /** Who has none. */
  readonly unseated: readonly PersonId[];
  /** All together. */
  readonly overCm: number;
  /** Chairs and pads that are carried. */
  readonly carried: number;
  readonly waves: 1 | 2;
  readonly proven: boolean;
}

/**
 * Seats for a class, exactly: the most people seated at their height or a little over, then the fewest centimetres over, then
 * the least carried; each is fixed before the next. People whom the same seats suit are counted, not told apart, so that the
 * programme stays small.
 * @param waves with two, half sits behind and counts aloud: a seat serves two
 */
export async function planSeats(
  sitters: readonly Sitter[],
  stock: SeatStock,
  waves: 1 | 2,
  solve: Solve,
): Promise<SeatPlan> {
  const model = modelOf(sitters, stock, waves);
  if (model.pairs.length === 0) return planFrom(sitters, model, {}, waves, true);
  const all = model.pairs.map((p) => p.name);
  const over = model.pairs.filter((p) => p.overCm > 0);
  const seated = await solve(lpOf(model, 'Maximize', all.join(' + '), []));
  const most = sumAt(seated, all);
  const atLeast = `${all.join(' + ')} >= ${most}`;
  const weighed = over.map((p) => `${p.overCm} ${p.name}`).join(' + ');
  const least = weighed === '' ? seated : await solve(lpOf(model, 'Minimize', weighed, [atLeast]));
  const overCm = over.reduce((sum, p) => sum + p.overCm * at(least, p.name), 0);
  const noMore = weighed === '' ? [] : [`${weighed} <= ${overCm}`];
  const carry = model.kinds.map((k) => `${1 + k.kind.padsCm.length} ${k.name}`).join(' + ');
  const light = await solve(lpOf(model, 'Minimize', carry, [atLeast, ...noMore]));
  const each = [seated, least, light];
  // Where time ran out the best of the stage before stands.
  const best = each.findLast((s) => s.kind !== 'none') ?? light;
  return planFrom(
    sitters,
    model,
    best.at,
    waves,
    each.every((s) => s.kind === 'proven'),
  );
}

/** How many of some people are seated at once, and all their centimetres over, where the least of what is carried does not matter. */
export interface SeatsAndOver {
  readonly seated: number;
  readonly overCm: number;
}

/**
 * The first two answers of `planSeats` without the plan, in one programme: one person more outweighs all centimetres that all could sit
 * too high.
 */
export async function seatsAndOver(sitters: readonly Sitter[], stock: SeatStock, solve: Solve): Promise<SeatsAndOver> {
  const model = modelOf(sitters, stock, 1);
  if (model.pairs.length === 0) return { seated: 0, overCm: 0 };
  const most = mostOverCm * sitters.length + 1;
  const goal = model.pairs.map((p) => `${most - p.overCm} ${p.name}`).join(' + ');
  const solved = await solve(lpOf(model, 'Maximize', goal, []));
  return {
    seated: model.pairs.reduce((sum, p) => sum + at(solved, p.name), 0),
    overCm: model.pairs.reduce((sum, p) => sum + p.overCm * at(solved, p.name), 0),
  };
}

const at = ({ at: values }: Solved, name: string): number => Math.round(values[name] ?? 0);
const sumAt = (solved: Solved, names: readonly string[]): number => names.reduce((sum, n) => sum + at(solved, n), 0);

interface Model {
  readonly groups: ReturnType<typeof groupsOf>;
  readonly kinds: readonly { readonly name: string; readonly kind: SeatKind }[];
  /** How many of a group sit on seats of a kind. */
  readonly pairs: readonly {
    readonly name: string;
    readonly group: number;
    readonly kind: number;
    readonly overCm: number;
  }[];
  readonly rows: readonly string[];
}

function modelOf(sitters: readonly Sitter[], stock: SeatStock, waves: number): Model {
  const groups = groupsOf(sitters);
  const fits = (g: (typeof groups)[number], k: SeatKind) => k.heightCm >= g.targetCm && k.heightCm <= g.mostCm;
  const kinds = seatKinds(stock)
    .filter((kind) => groups.some((g) => fits(g, kind)))
    .map((kind, i) => ({ name: `y${i}`, kind }));
  const pairs = groups.flatMap((g, group) =>
    kinds.flatMap(({ kind }, k) =>
      fits(g, kind) ? [{ name: `n${group}_${k}`, group, kind: k, overCm: kind.heightCm - g.targetCm }] : [],
    ),
  );
  const { chairs, pads } = stockOf(stock);
  const sum = (terms: readonly string[]) => terms.join(' + ');
  const rows = [
    ...groups.map(({ people }, g) => {
      const mine = pairs.filter((p) => p.group === g).map((p) => p.name);
      return mine.length > 0 ? `${sum(mine)} <= ${people.length}` : '';
    }),
    ...kinds.map(
      ({ name }, k) => `${sum(pairs.filter((p) => p.kind === k).map((p) => p.name))} - ${waves} ${name} <= 0`,
    ),
    ...chairs.map(({ chairCm, arms, count }) => {
      const mine = kinds.filter((k) => chairKey(k.kind.chairCm, k.kind.arms) === chairKey(chairCm, arms));
      return mine.length > 0 ? `${sum(mine.map((k) => k.name))} <= ${count}` : '';
    }),
    ...pads.map(({ thickCm, count }) => {
      const mine = kinds.flatMap(({ name, kind }) => {
        const used = kind.padsCm.filter((cm) => cm === thickCm).length;
        return used > 0 ? [`${used} ${name}`] : [];
      });
      return mine.length > 0 ? `${sum(mine)} <= ${count}` : '';
    }),
  ].filter((row) => row !== '');
  return { groups, kinds, pairs, rows };
}

/** A programme in the LP format; every variable is a whole number. */
function lpOf(
  { kinds, pairs, rows }: Model,
  way: 'Maximize' | 'Minimize',
  goal: string,
  more: readonly string[],
): string {
  const names = [...pairs.map((p) => p.name), ...kinds.map((k) => k.name)];
  return [
    ...[way, ` goal: ${goal}`, 'Subject To'],
    ...[...rows, ...more].map((row, i) => ` r${i}: ${row}`),
    ...['General', ` ${names.join(' ')}`, 'End'],
  ].join('\n');
}

/** From how many of which to who: in the order they were given, each wave as full as the other. */
function planFrom(
  sitters: readonly Sitter[],
  { groups, kinds, pairs }: Model,
  values: Solved['at'],
  waves: 1 | 2,
  proven: boolean,
): SeatPlan {
  const left = groups.map((g) => [...g.people]);
  const seats = kinds.flatMap(({ kind, name }, k): BuiltSeat[] => {
    const people = pairs
      .filter((p) => p.kind === k)
      .flatMap((p) => left[p.group]?.splice(0, Math.round(values[p.name] ?? 0)) ?? []);
    const built = Math.min(Math.round(values[name] ?? 0), people.length);
    return Array.from({ length: built }, (_, i) => ({
      kind,
      people: people.filter((_p, n) => n % built === i).slice(0, waves),
    }));
  });
  const height = new Map(sitters.map((s) => [s.personId, s.targetCm]));
  const on = seats.flatMap((s) => s.people.map((id) => s.kind.heightCm - (height.get(id) ?? s.kind.heightCm)));
  const seated = new Set(seats.flatMap((s) => s.people));
  return {
    ...{ seats, waves, proven },
    unseated: sitters.flatMap((s) => (seated.has(s.personId) ? [] : s.personId)),
    overCm: on.reduce((sum, cm) => sum + cm, 0),
    carried: seats.reduce((sum, s) => sum + 1 + s.kind.padsCm.length, 0),
  };
}
