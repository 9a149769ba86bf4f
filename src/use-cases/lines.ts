import type MiniSearch from 'minisearch';
import { addDays } from '../core/math/days';
import type { Hall } from '../core/view/personView';
import { brokenLine, unreadLine, type RegisterLine } from '../core/view/registerLine';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { changeCount, type Register } from '../database/connection';
import { groupsOfPeople } from '../database/groups';
import { listRevisions, peopleOf } from '../database/people';
import type { Desk } from './desk';
import { nameIndex } from './names';
import { judgedBy, linesRead } from './readPeople';

/** A line with all that it was worked out by. */
interface KeptLine {
  readonly revision: number;
  readonly judge: string;
  /** It says the same from this day on, up to the day before `until`. */
  readonly from: IsoDate;
  readonly until: IsoDate;
  readonly line: RegisterLine;
}

/** The lines of a register, kept until something is written of the person, their day comes or the hall changes. */
export interface Lines {
  readonly all: ReadonlyMap<PersonId, { readonly line: RegisterLine }>;
  readonly index: MiniSearch<RegisterLine>;
  /** Whose line is from before, or not worked out yet. */
  readonly behind: ReadonlySet<PersonId>;
}

interface Kept extends Lines {
  readonly all: Map<PersonId, KeptLine>;
  /** In the order in which they are worked out: those of whom something was written first. */
  behind: Set<PersonId>;
  /** State of the database when it was last looked at. */
  seen: string;
  day: IsoDate;
  hall: Hall | null;
  judge: string;
  /** One reading at a time. */
  turn: Promise<unknown>;
  working: boolean;
}

/** The server is put together out of several bundles, each with this file in it: they share the lines. */
const shared = globalThis as typeof globalThis & { readyStoolLines?: WeakMap<Register, Kept> };
const keptBy = (shared.readyStoolLines ??= new WeakMap<Register, Kept>());

/** People read in one go: with fifty results each some forty thousandths of a second, and between two goes others are answered. */
const slice = 5;
/** So many are waited for; where more are behind, the answer comes from the lines before, and says so. */
const waitedFor = 60;

/**
 * The lines as they are known now: of those whose line no longer holds the ones before, where they are many. These are
 * worked out from here on, whoever asks.
 */
export async function linesNow(desk: Desk): Promise<Lines> {
  const kept = keptFor(desk.db);
  await inTurn(kept, () => look(desk, kept));
  workOff(desk, kept);
  return kept;
}

/** Works out some people’s lines before all others; the first of them, where they are many. */
export async function bringForward(desk: Desk, ids: Iterable<PersonId>): Promise<void> {
  const kept = keptFor(desk.db);
  const late = [...ids].filter((id) => kept.behind.has(id)).slice(0, waitedFor);
  if (late.length > 0) await inTurn(kept, () => workOut(desk, kept, late));
}

function keptFor(db: Register): Kept {
  const known = keptBy.get(db);
  if (known) return known;
  const kept: Kept = {
    ...{ all: new Map(), behind: new Set(), index: nameIndex<RegisterLine>() },
    ...{ seen: '', day: '', hall: null, judge: '', turn: Promise.resolve(), working: false },
  };
  keptBy.set(db, kept);
  return kept;
}

/** Who comes next tries anew, whatever became of the reading before. */
function inTurn<T>(kept: Kept, deed: () => Promise<T>): Promise<T> {
  const mine = kept.turn.then(deed);
  kept.turn = mine.catch(() => undefined);
  return mine;
}

/** Finds out whose line no longer holds, and works out those who can be waited for. */
async function look(desk: Desk, kept: Kept): Promise<void> {
  const day = desk.today();
  const seen = await changeCount(desk.db);
  if (kept.seen === seen && kept.day === day) return;
  const hall = await judgedBy(desk);
  const { rules, book } = hall;
  const judge = JSON.stringify([
    hall.place,
    book.version,
    rules.levels.version,
    rules.levels.house,
    rules.readiness.fallsForCare,
  ]);
  const revisions = await listRevisions(desk.db);
  const written: PersonId[] = [];
  const lapsed: PersonId[] = [];
  for (const [id, revision] of revisions) {
    const known = kept.all.get(id);
    if (known?.revision !== revision) written.push(id);
    else if (known.judge !== judge || day < known.from || day >= known.until) lapsed.push(id);
  }
  for (const id of kept.all.keys()) if (!revisions.has(id)) forget(kept, id);
  Object.assign(kept, { day, hall, judge, behind: new Set([...written, ...lapsed]) });
  // Whoever is new is found by name at once.
  await nameNew(
    desk,
    kept,
    written.filter((id) => !kept.all.has(id)),
  );
  if (kept.behind.size <= waitedFor) await workOut(desk, kept, [...kept.behind]);
  else if (written.length <= waitedFor) await workOut(desk, kept, written);
  // Only now: a look that failed is taken again.
  kept.seen = seen;
}

async function nameNew(desk: Desk, kept: Kept, ids: readonly PersonId[]): Promise<void> {
  for (let i = 0; i < ids.length; i += 500)
    for (const person of await peopleOf(desk.db, ids.slice(i, i + 500)))
      keep(kept, { revision: -1, judge: '', from: kept.day, until: kept.day, line: unreadLine(person) });
}

/** In slices, so that the server answers others in between. */
async function workOut(desk: Desk, kept: Kept, ids: readonly PersonId[]): Promise<void> {
  for (let i = 0; i < ids.length; i += slice) {
    if (i > 0) await new Promise((others) => setImmediate(others));
    await readSlice(desk, kept, ids.slice(i, i + slice));
  }
}

async function readSlice(desk: Desk, kept: Kept, ids: readonly PersonId[]): Promise<void> {
  const { hall, judge, day } = kept;
  if (!hall) throw new Error('readSlice: nobody looked at the register yet');
  // The people first: what is written of them while the rest is read has a revision of its own.
  const people = await peopleOf(desk.db, ids);
  const groups = await groupsOfPeople(desk.db, ids);
  for (const read of await linesRead(desk, people, hall, groups, day)) {
    const { id, revision } = read.person;
    const broken = { line: brokenLine(read.person, groups.get(id) ?? []), until: addDays(day, 1) };
    keep(kept, { ...(read.kind === 'read' ? read.view : broken), revision, judge, from: day });
  }
  for (const id of ids) kept.behind.delete(id);
}

function keep(kept: Kept, one: KeptLine): void {
  const { id, name } = one.line;
  const before = kept.all.get(id);
  kept.all.set(id, one);
  if (!before) kept.index.add(one.line);
  else if (before.line.name !== name) kept.index.replace(one.line);
}

function forget(kept: Kept, id: PersonId): void {
  kept.all.delete(id);
  kept.index.discard(id);
}

/** One after another, whoever asks meanwhile; ahead of the next question. */
function workOff(desk: Desk, kept: Kept): void {
  if (kept.working || kept.behind.size === 0) return;
  kept.working = true;
  const work = async (): Promise<void> => {
    while (kept.behind.size > 0) {
      await inTurn(kept, () => readSlice(desk, kept, [...kept.behind].slice(0, slice)));
      await new Promise((others) => setImmediate(others));
    }
  };
  work()
    .catch((error: unknown) => {
      // The next question takes it up again and says what is wrong to whoever asked it.
      console.error('The lines of the register could not be worked out ahead:', error);
    })
    .finally(() => {
      kept.working = false;
    });
}
