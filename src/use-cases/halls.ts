import { compareNames } from '../core/math/names';
import type { PersonScores, PersonView } from '../core/view/personView';
import type { RegisterLine } from '../core/view/registerLine';
import type { IsoDate } from '../core/shapes/facts';
import { peopleOf, type KeptPerson } from '../database/people';
import { allLines, type HallLines } from './everybody';
import { scoresOfPeople, viewsOf } from './readPeople';
import { type Desk } from './desk';

const perPage = 48;

const byName = (a: RegisterLine, b: RegisterLine): number => compareNames(a.name, b.name);

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

export interface HallAnswer<V> {
  readonly people: readonly V[];
  readonly page: number;
  readonly of: number;
  /** Whose line is still to be worked out: the order may change once it is. */
  readonly behind: number;
  /** Every due day of the list, also of the pages not shown. */
  readonly dueOn: readonly IsoDate[];
}

/** One page of a list over the whole hall; only its people are read in full. */
export async function readHall(
  desk: Desk,
  list: keyof typeof lists,
  page: number,
  groupId: string | null = null,
): Promise<HallAnswer<PersonView>> {
  const all = await allLines(desk);
  const lines = all.lines.filter((l) => lists[list].of(l) && (groupId === null || l.groupIds.includes(groupId)));
  return pageOf(desk, all, lines.sort(lists[list].order), page, viewsOf);
}

export interface ScoresOrder {
  /** `name`, `past` for those past the most lines, or the id of a test: lowest first, those without it last. */
  readonly sort: string;
  readonly pastOnly: boolean;
}

/** One page of everybody with a result. */
export async function readHallScores(
  desk: Desk,
  { sort, pastOnly }: ScoresOrder,
  page: number,
): Promise<HallAnswer<PersonScores>> {
  const of = (l: RegisterLine) => l.standing[sort] ?? Infinity;
  const order =
    sort === 'name'
      ? byName
      : sort === 'past'
        ? (a: RegisterLine, b: RegisterLine) => b.toWatch - a.toWatch || byName(a, b)
        : (a: RegisterLine, b: RegisterLine) => (of(a) === of(b) ? byName(a, b) : of(a) - of(b));
  const all = await allLines(desk);
  const lines = all.lines.filter((l) => l.lastTestedOn !== null && (!pastOnly || l.toWatch > 0));
  return pageOf(desk, all, lines.sort(order), page, scoresOfPeople);
}

async function pageOf<V>(
  desk: Desk,
  { behind }: HallLines,
  lines: readonly RegisterLine[],
  page: number,
  read: (desk: Desk, people: readonly KeptPerson[]) => Promise<V[]>,
): Promise<HallAnswer<V>> {
  const of = Math.max(1, Math.ceil(lines.length / perPage));
  const shown = Math.min(Math.max(1, page), of);
  const ids = lines.slice((shown - 1) * perPage, shown * perPage).map((l) => l.id);
  const people = new Map((await peopleOf(desk.db, ids)).map((p) => [p.id, p]));
  const views = await read(
    desk,
    ids.flatMap((id) => people.get(id) ?? []),
  );
  return { people: views, page: shown, of, behind, dueOn: lines.flatMap((l) => l.dueOn ?? []) };
}
