import type MiniSearch from 'minisearch';
import type { Query } from 'minisearch';
import {
  brokenLine,
  compareLines,
  lineOf,
  passesFilter,
  type RegisterAnswer,
  type RegisterLine,
  type RegisterQuestion,
} from '../core/view/registerLine';
import { protocols } from '../catalogue/protocols';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { changeCount, type Register } from '../database/connection';
import { groupsOfPeople } from '../database/groups';
import { listPeople, type KeptPerson } from '../database/people';
import { nameIndex } from './names';
import { readBook } from './norms';
import { readPlace } from './places';
import { readRules } from './rules';
import { outlinesOf } from './readPeople';
import { type Desk } from './desk';

/** Lines worked out so far, kept until something new is written of the person, the place changes or the day turns. */
interface Kept {
  today: IsoDate;
  place: string;
  /** State of the database when it was last looked at. */
  seen: string;
  readonly lines: Map<PersonId, { readonly revision: number; readonly line: RegisterLine }>;
  readonly index: MiniSearch<RegisterLine>;
  /** One reading at a time; a second question waits for the first. */
  reading: Promise<void>;
}

/** The server is put together out of several bundles, each with this file in it: they share the lines. */
const shared = globalThis as typeof globalThis & { readyStoolLines?: WeakMap<Register, Kept> };
const keptBy = (shared.readyStoolLines ??= new WeakMap<Register, Kept>());
/** People read in one go; between two goes the server answers others. */
const chunk = 50;

/** Works out the lines ahead of the first question, as it takes a while when nothing is kept yet. */
export async function fillLines(desk: Desk): Promise<void> {
  await upToDate(desk);
}

async function upToDate(desk: Desk): Promise<Kept> {
  const today = desk.today();
  let kept = keptBy.get(desk.db);
  if (!kept) {
    kept = {
      today,
      place: '',
      seen: '',
      lines: new Map(),
      index: nameIndex<RegisterLine>(),
      reading: Promise.resolve(),
    };
    keptBy.set(desk.db, kept);
  }
  const mine = kept;
  const mineOnly = mine.reading.then(() => refresh(desk, mine));
  // Who comes next tries anew, whatever became of this reading.
  mine.reading = mineOnly.catch(() => undefined);
  await mineOnly;
  return mine;
}

async function refresh(desk: Desk, kept: Kept): Promise<void> {
  const today = desk.today();
  const seen = await changeCount(desk.db);
  if (kept.seen === seen && kept.today === today) return;
  // A change of the place or of the norms changes everybody.
  const rules = (await readRules(desk)).levels;
  const place = JSON.stringify([await readPlace(desk), (await readBook(desk)).version, rules.version, rules.house]);
  if (kept.place !== place || kept.today !== today) kept.lines.clear();
  const people = await listPeople(desk.db);
  const groups = await groupsOfPeople(desk.db);
  const stale = people.filter((p) => kept.lines.get(p.id)?.revision !== p.revision);
  for (let i = 0; i < stale.length; i += chunk) {
    await readChunk(desk, kept, stale.slice(i, i + chunk), groups);
    await new Promise((others) => setImmediate(others));
  }
  const there = new Set(people.map((p) => p.id));
  for (const id of kept.lines.keys())
    if (!there.has(id)) {
      kept.lines.delete(id);
      if (kept.index.has(id)) kept.index.discard(id);
    }
  Object.assign(kept, { seen, place, today });
}

async function readChunk(
  desk: Desk,
  kept: Kept,
  people: readonly KeptPerson[],
  groups: ReadonlyMap<PersonId, string[]>,
): Promise<void> {
  const today = desk.today();
  const revisions = new Map(people.map((p) => [p.id, p.revision]));
  for (const read of await outlinesOf(desk, people)) {
    const of = (id: PersonId) => groups.get(id) ?? [];
    const line =
      read.kind === 'read'
        ? lineOf(read.view, protocols, of(read.view.person.id), today)
        : brokenLine(read.person, of(read.person.id));
    kept.lines.set(line.id, { revision: revisions.get(line.id) ?? 0, line });
    if (kept.index.has(line.id)) kept.index.replace(line);
    else kept.index.add(line);
  }
}

/** The lines that answer a question, sorted and cut to what is shown. A level code finds who trains on it. */
export async function askRegister(desk: Desk, question: RegisterQuestion): Promise<RegisterAnswer> {
  const today = desk.today();
  const kept = await upToDate(desk);
  const all = [...kept.lines.values()].map((k) => k.line);
  const { search, filter, groupId, sort, down, offset, limit } = question;
  const found = search.trim() === '' ? all : searched(kept, search);
  const lines = found.filter(
    (l) => passesFilter(l, filter, today) && (groupId === null || l.groupIds.includes(groupId)),
  );
  // What was searched for comes in the order of likeness, unless another order was asked for.
  if (search.trim() === '' || sort !== 'name' || down) lines.sort(compareLines(sort, down));
  const everybody = all.reduce((n, l) => n + (l.archived ? 0 : 1), 0);
  return { total: lines.length, everybody, lines: lines.slice(offset, offset + limit) };
}

const codeLike = /^[slhbwaufqkm][1-9](\/\S*)?$/i;

function searched({ lines, index }: Kept, search: string): RegisterLine[] {
  // The work of a fuzzy search grows with every letter; nobody’s name is longer.
  const typed = search.trim().slice(0, 30);
  if (codeLike.test(typed)) {
    const code = `${typed.charAt(0).toUpperCase()}${typed.slice(1).toLowerCase()}`;
    return [...lines.values()]
      .map((k) => k.line)
      .filter((l) => [...l.codes, ...l.waitingCodes].some((c) => startsCode(c, code)));
  }
  return index.search(withSwaps(typed)).flatMap((hit) => lines.get(hit.id as PersonId)?.line ?? []);
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

/** Every line, in no order; for Today, which sorts its own lists. */
export async function allLines(desk: Desk): Promise<RegisterLine[]> {
  return [...(await upToDate(desk)).lines.values()].map((k) => k.line).filter((l) => !l.archived);
}
