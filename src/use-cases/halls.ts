import type { PersonView } from '../core/personView';
import type { RegisterLine } from '../core/registerLine';
import type { IsoDate } from '../core/shapes/facts';
import type { Register } from '../database/connection';
import { listPeople } from '../database/people';
import { allLines } from './everybody';
import { viewsOf } from './readPeople';

const perPage = 48;

const byName = (a: RegisterLine, b: RegisterLine): number => a.name.localeCompare(b.name);

/** Which lines a page of the whole hall lists, and in which order. */
const lists = {
  levels: {
    of: (l: RegisterLine) => l.waitingCodes.length > 0 || l.codes.length > 0,
    order: (a: RegisterLine, b: RegisterLine) =>
      Number(b.waitingCodes.length > 0) - Number(a.waitingCodes.length > 0) || byName(a, b),
  },
  retests: {
    of: (l: RegisterLine) => l.dueOn !== null,
    order: (a: RegisterLine, b: RegisterLine) => (a.dueOn ?? '').localeCompare(b.dueOn ?? '') || byName(a, b),
  },
} as const;

export interface HallAnswer {
  readonly people: readonly PersonView[];
  readonly page: number;
  readonly of: number;
  /** Every due day of the list, also of the pages not shown. */
  readonly dueOn: readonly IsoDate[];
}

/** One page of a list over the whole hall; only its people are read in full. */
export async function readHall(
  db: Register,
  list: keyof typeof lists,
  page: number,
  today: IsoDate,
): Promise<HallAnswer> {
  const lines = (await allLines(db, today)).filter(lists[list].of).sort(lists[list].order);
  return pageOf(db, lines, page, today);
}

export interface ScoresOrder {
  /** `name`, `past` for those past the most lines, or the id of a test: lowest first, those without it last. */
  readonly sort: string;
  readonly pastOnly: boolean;
}

/** One page of everybody with a result. */
export async function readHallScores(
  db: Register,
  { sort, pastOnly }: ScoresOrder,
  page: number,
  today: IsoDate,
): Promise<HallAnswer> {
  const of = (l: RegisterLine) => l.standing[sort] ?? Infinity;
  const order =
    sort === 'name'
      ? byName
      : sort === 'past'
        ? (a: RegisterLine, b: RegisterLine) => b.toWatch - a.toWatch || byName(a, b)
        : (a: RegisterLine, b: RegisterLine) => (of(a) === of(b) ? byName(a, b) : of(a) - of(b));
  const lines = (await allLines(db, today)).filter((l) => l.lastTestedOn !== null && (!pastOnly || l.toWatch > 0));
  return pageOf(db, lines.sort(order), page, today);
}

async function pageOf(db: Register, lines: readonly RegisterLine[], page: number, today: IsoDate): Promise<HallAnswer> {
  const of = Math.max(1, Math.ceil(lines.length / perPage));
  const shown = Math.min(Math.max(1, page), of);
  const ids = lines.slice((shown - 1) * perPage, shown * perPage).map((l) => l.id);
  const people = new Map((await listPeople(db)).map((p) => [p.id, p]));
  const views = await viewsOf(
    db,
    ids.flatMap((id) => people.get(id) ?? []),
    today,
  );
  return { people: views, page: shown, of, dueOn: lines.flatMap((l) => l.dueOn ?? []) };
}
