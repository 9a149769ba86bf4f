import type { Query } from 'minisearch';
import {
  compareLines,
  passesFilter,
  type RegisterAnswer,
  type RegisterLine,
  type RegisterQuestion,
} from '../core/view/registerLine';
import type { PersonId } from '../core/shapes/person';
import { type Desk } from './desk';
import { bringForward, linesNow, type Lines } from './lines';

/**
 * The lines that answer a question, sorted and cut to what is shown. A level code finds who trains on it. Where many are
 * behind, those who are shown are worked out first, and the rest is told as it was before.
 */
export async function askRegister(desk: Desk, question: RegisterQuestion): Promise<RegisterAnswer> {
  const lines = await linesNow(desk);
  const first = answerFrom(lines, question, desk.today());
  const late = first.lines.filter((l) => lines.behind.has(l.id)).map((l) => l.id);
  if (late.length === 0) return first;
  await bringForward(desk, late);
  return answerFrom(lines, question, desk.today());
}

function answerFrom(kept: Lines, question: RegisterQuestion, today: string): RegisterAnswer {
  const all = everyLine(kept);
  const { search, filter, groupId, sort, down, offset, limit } = question;
  const found = search.trim() === '' ? all : searched(kept, search);
  const lines = found.filter(
    (l) => passesFilter(l, filter, today) && (groupId === null || l.groupIds.includes(groupId)),
  );
  // What was searched for comes in the order of likeness, unless another order was asked for.
  if (search.trim() === '' || sort !== 'name' || down) lines.sort(compareLines(sort, down));
  const everybody = all.reduce((n, l) => n + (l.archived ? 0 : 1), 0);
  const shown = lines.slice(offset, offset + limit).map((l) => (kept.behind.has(l.id) ? { ...l, behind: true } : l));
  return { total: lines.length, everybody, behind: kept.behind.size, lines: shown };
}

const everyLine = ({ all }: Lines): RegisterLine[] => [...all.values()].map((k) => k.line);

const codeLike = /^[slhbwaufqkm][1-9](\/\S*)?$/i;

function searched(kept: Lines, search: string): RegisterLine[] {
  // The work of a fuzzy search grows with every letter; nobody’s name is longer.
  const typed = search.trim().slice(0, 30);
  if (codeLike.test(typed)) {
    const code = `${typed.charAt(0).toUpperCase()}${typed.slice(1).toLowerCase()}`;
    return everyLine(kept).filter((l) => [...l.codes, ...l.waitingCodes].some((c) => startsCode(c, code)));
  }
  return kept.index.search(withSwaps(typed)).flatMap((hit) => kept.all.get(hit.id as PersonId)?.line ?? []);
}

/** Two letters the wrong way round are one slip of the finger, though two changes to a word. */
function withSwaps(typed: string): Query {
  return {
    combineWith: 'AND',
    queries: typed.split(/\s+/).map((term) => ({
      combineWith: 'OR',
      queries: [term, ...(term.length >= 4 ? [{ queries: swapsOf(term), fuzzy: false }] : [])],
    })),
  };
}

const swapsOf = (term: string): string[] =>
  Array.from(term.slice(1), (_, i) => `${term.slice(0, i)}${term[i + 1]}${term[i]}${term.slice(i + 2)}`);

/** `S4/46` finds `S4/46/h@8x1`, and `S1` does not find `S10`. */
const startsCode = (code: string, typed: string): boolean =>
  code.startsWith(typed) && (typed.includes('/') || code[typed.length] === '/');

/** The first page of everybody, by name. */
export const wholeRegister: RegisterQuestion = {
  search: '',
  filter: 'all',
  groupId: null,
  sort: 'name',
  down: false,
  offset: 0,
  limit: 50,
};

/** Lines of a whole hall, some of them from before where many are behind. */
export interface HallLines {
  readonly lines: readonly RegisterLine[];
  /** Whose line is still to be worked out. */
  readonly behind: number;
}

/** Every line of those not put aside, in no order; for pages which sort their own lists. */
export async function allLines(desk: Desk): Promise<HallLines> {
  const kept = await linesNow(desk);
  return { lines: everyLine(kept).filter((l) => !l.archived), behind: kept.behind.size };
}

/** The lines of some people as they are now, by id. */
export async function linesOf(desk: Desk, ids: readonly PersonId[]): Promise<ReadonlyMap<PersonId, RegisterLine>> {
  const kept = await linesNow(desk);
  await bringForward(desk, ids);
  return new Map(
    ids.flatMap((id) => {
      const line = kept.all.get(id)?.line;
      return line ? [[id, line] as const] : [];
    }),
  );
}
