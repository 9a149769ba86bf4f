import { openDB, type DBSchema, type IDBPDatabase, type IDBPObjectStore, type StoreNames } from 'idb';
import type { Unplaced } from '../../../core/measure/bench/bench';
import { inNewWords } from '../../../core/shapes/oldWords';
import type { DayEvent } from '../../../core/shapes/day';
import type { AttemptEvent, Conditions } from '../../../core/shapes/attempt';
import type { IsoDate, Side } from '../../../core/shapes/facts';
import type { EntryContent } from '../../../core/shapes/intake';

/** An attempt as this browser keeps it until the server has all of it. */
export interface KeptAttempt {
  readonly clientKey: string;
  /** The page that runs it, or ran it last; see `pages.ts`. */
  readonly page: string;
  /** The register it is kept for; `null` for one kept before registers had names, until the first answer. */
  readonly register: string | null;
  readonly personId: string;
  readonly personName: string;
  /** Its place among those tested at once, from 0. */
  readonly lane: number;
  readonly test: string;
  readonly protocolVersion: number;
  readonly sittingDate: IsoDate;
  readonly side: Side | null;
  readonly conditions: Conditions;
  /** Why they are better watched alone, where they were tested beside others all the same. */
  readonly although: string | null;
  /** Who watches them, where that is not the instructor. */
  readonly watchedBy: string | null;
  /** The device that counts beside the hand. */
  readonly device: string | null;
  /** Planned go moment on the wall clock; `null` before the countdown. */
  readonly goWallMs: number | null;
  /** Wall clock of the last heartbeat, to know how long the page was away. */
  readonly beatWallMs: number;
  /** When stop was pressed and nobody had said why yet, on the wall clock. */
  readonly stopAskedWallMs: number | null;
  /** Nothing more will be marked on it here; its own events may say so too, see `isDone`. */
  readonly closed: boolean;
  /** How many events the server has said it holds. */
  readonly acknowledged: number;
  /** Why the server would not take it, in its words. */
  readonly refused: string | null;
}

/** An attempt with all its events. */
export interface KeptWhole {
  readonly kept: KeptAttempt;
  readonly events: readonly AttemptEvent[];
}

/** Something noted of a person, as this browser keeps it until the server has it. */
export interface KeptEntry {
  readonly key: string;
  /** Empty while nobody has said whom it is about. */
  readonly personId: string;
  readonly personName: string;
  readonly on: IsoDate;
  readonly content: EntryContent;
  readonly register: string | null;
  /** Still being written, so not sent. */
  readonly open: boolean;
  readonly refused: string | null;
}

/** Something noted of a testing day, as this browser keeps it until the server has it. */
export interface KeptDayNote {
  readonly key: string;
  readonly day: IsoDate;
  readonly wallMs: number;
  readonly event: DayEvent;
  readonly register: string | null;
  readonly refused: string | null;
}

/** Old rows have none of these: kept before registers had names, under the name of a tab, one at a time. */
type Stored<T> = Omit<T, 'page' | 'register' | 'lane' | 'although' | 'watchedBy' | 'device' | 'stopAskedWallMs'> & {
  readonly page?: string;
  readonly register?: string | null;
  readonly lane?: number;
  readonly although?: string | null;
  readonly watchedBy?: string | null;
  readonly device?: string | null;
  readonly stopAskedWallMs?: number | null;
};
const asKept = (row: Stored<KeptAttempt>): KeptAttempt => ({
  page: '',
  register: null,
  lane: 0,
  although: null,
  watchedBy: null,
  device: null,
  stopAskedWallMs: null,
  ...row,
});
const asKeptEntry = (row: Stored<KeptEntry>): KeptEntry => ({ register: null, ...row });

interface Store extends DBSchema {
  entries: { key: string; value: Stored<KeptEntry> };
  dayNotes: { key: string; value: KeptDayNote };
  attempts: { key: string; value: Stored<KeptAttempt> };
  events: { key: [string, number]; value: AttemptEvent & { readonly clientKey: string } };
}

/** What waits since an earlier version says its words as they are now. */
async function putNewWords(events: IDBPObjectStore<Store, ArrayLike<StoreNames<Store>>, 'events', 'versionchange'>) {
  for (let at = await events.openCursor(); at; at = await at.continue())
    await at.update(inNewWords(at.value) as Store['events']['value']);
}

let opened: Promise<IDBPDatabase<Store>> | undefined;
const forgetOpened = () => {
  opened = undefined;
};

function store(): Promise<IDBPDatabase<Store>> {
  opened ??= openDB<Store>('ready-stool', 4, {
    upgrade(db, before, _now, changing) {
      if (before < 1) {
        db.createObjectStore('attempts', { keyPath: 'clientKey' });
        db.createObjectStore('events', { keyPath: ['clientKey', 'seq'] });
      }
      if (before < 2) db.createObjectStore('entries', { keyPath: 'key' });
      if (before < 4) db.createObjectStore('dayNotes', { keyPath: 'key' });
      if (before === 1 || before === 2) void putNewWords(changing.objectStore('events'));
    },
    // A tab of the version before would hold the store up; it has sent what it had.
    blocking(_from, _to, event) {
      (event.target as IDBDatabase).close();
      forgetOpened();
    },
    // The browser may close it by itself, such as when its data is cleared: the next deed opens it anew.
    terminated: forgetOpened,
  });
  opened.catch(forgetOpened);
  return opened;
}

/** Does something with the store; one that was closed under our hands is opened once more. */
async function withStore<T>(deed: (db: IDBPDatabase<Store>) => Promise<T>): Promise<T> {
  try {
    return await deed(await store());
  } catch (error) {
    if (!(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error;
    forgetOpened();
    return deed(await store());
  }
}

/** A UUID out of plain random values, as a hall network is no secure context. */
export function newClientKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  // Version 4 and its variant, as RFC 9562 wants them marked.
  bytes.set([((bytes[6] ?? 0) & 0x0f) | 0x40], 6);
  bytes.set([((bytes[8] ?? 0) & 0x3f) | 0x80], 8);
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

export async function keepAttempt(attempt: KeptAttempt): Promise<void> {
  await withStore((db) => db.put('attempts', attempt));
}

/**
 * Keeps the head of an attempt that this page runs.
 * @returns false where another page has taken it over: nothing is changed
 */
export async function keepMine(attempt: KeptAttempt): Promise<boolean> {
  return withStore(async (db) => {
    const tx = db.transaction('attempts', 'readwrite');
    const mine = isOf(await tx.store.get(attempt.clientKey), attempt.page);
    if (mine) await tx.store.put(attempt);
    await tx.done;
    return mine;
  });
}

/** Nobody else's: of this page, or forgotten here. */
const isOf = (head: Stored<KeptAttempt> | undefined, page: string): boolean =>
  head === undefined || asKept(head).page === page;

export async function keptAttempts(): Promise<KeptAttempt[]> {
  return (await withStore((db) => db.getAll('attempts'))).map(asKept);
}

/** Changes what is kept of an attempt in one transaction, so that a heartbeat and an answer cannot undo each other. */
export async function changeKept(clientKey: string, change: Partial<KeptAttempt>): Promise<void> {
  await withStore(async (db) => {
    const tx = db.transaction('attempts', 'readwrite');
    const known = await tx.store.get(clientKey);
    if (known) await tx.store.put({ ...known, ...change });
    await tx.done;
  });
}

/**
 * A heartbeat of the page that runs an attempt.
 * @param safely waits for the disk, and with it everything kept before: a dead battery loses no more than since the last
 * @returns false where another page has taken the attempt over, or it is gone
 */
export async function beat(clientKey: string, page: string, beatWallMs: number, safely: boolean): Promise<boolean> {
  return withStore(async (db) => {
    const tx = db.transaction('attempts', 'readwrite', { durability: safely ? 'strict' : 'relaxed' });
    const known = await tx.store.get(clientKey);
    const mine = known?.page === page;
    if (mine) await tx.store.put({ ...known, beatWallMs });
    await tx.done;
    return mine;
  });
}

/**
 * Takes over an attempt that no page runs any more; of two pages that try at once one is answered.
 * @param seen the attempt as it was when nobody was found to run it
 */
export async function claim(seen: KeptAttempt, page: string): Promise<boolean> {
  return withStore(async (db) => {
    const tx = db.transaction('attempts', 'readwrite', { durability: 'strict' });
    const known = await tx.store.get(seen.clientKey);
    const free = known !== undefined && asKept(known).page === seen.page && known.beatWallMs === seen.beatWallMs;
    if (free) await tx.store.put({ ...known, page });
    await tx.done;
    return free;
  });
}

/**
 * Keeps an event at the end of its list; resolves when the browser says it has it, and only then may the screen show it
 * as counted. Its place is given here, in the transaction that adds it, so that no two ever take the same.
 * @param safely waits for the disk too: for start, stop and answers, of which there are few
 */
export async function keepEvent(clientKey: string, event: Unplaced, safely: boolean): Promise<AttemptEvent> {
  return withStore(async (db) => {
    const tx = db.transaction(['events'], 'readwrite', { durability: safely ? 'strict' : 'relaxed' });
    const placed = await addLast(tx.objectStore('events'), clientKey, event);
    await tx.done;
    return placed;
  });
}

type EventStore = IDBPObjectStore<Store, StoreNames<Store>[], 'events', 'readwrite'>;

async function addLast(events: EventStore, clientKey: string, event: Unplaced): Promise<AttemptEvent> {
  const last = await events.openKeyCursor(eventsOf(clientKey), 'prev');
  const placed = { ...event, seq: (last?.key[1] ?? -1) + 1 } as AttemptEvent;
  await events.add({ ...placed, clientKey });
  return placed;
}

/**
 * Keeps an event of an attempt that this page runs behind those it knows of. What was sent may have been forgotten
 * meanwhile; all of it is there again in the same transaction, so that an event never stands alone in a place that the
 * register holds for another.
 * @param whole the attempt and the events this page knows are kept of it
 * @param over by those events: a page may have it forgotten at any moment, and add to it all the same
 * @returns `null` where another page has taken it over, or took it over and is done with it: nothing is changed
 */
export async function keepBehind(
  { kept, events: known }: KeptWhole,
  over: boolean,
  event: Unplaced,
  safely: boolean,
): Promise<AttemptEvent | null> {
  const { clientKey } = kept;
  return withStore(async (db) => {
    const tx = db.transaction(['attempts', 'events'], 'readwrite', { durability: safely ? 'strict' : 'relaxed' });
    const attempts = tx.objectStore('attempts');
    const events = tx.objectStore('events');
    const head = await attempts.get(clientKey);
    const missing = (await events.count(eventsOf(clientKey))) < known.length;
    if (!isOf(head, kept.page) || (missing && !over)) {
      await tx.done;
      return null;
    }
    if (over || head === undefined) await attempts.put({ ...kept, closed: false });
    if (missing) for (const one of known) await events.put({ ...one, clientKey });
    const placed = await addLast(events, clientKey, event);
    await tx.done;
    return placed;
  });
}

const eventsOf = (clientKey: string) => IDBKeyRange.bound([clientKey, 0], [clientKey, Infinity]);

/** The events of an attempt, in order. */
export async function keptEvents(clientKey: string): Promise<AttemptEvent[]> {
  const rows = await withStore((db) => db.getAll('events', eventsOf(clientKey)));
  return rows.map(({ clientKey: ownKey, ...event }) => event);
}

/** Puts a whole list of events back, after it was forgotten here or under another key. */
export async function keepEvents(clientKey: string, events: readonly AttemptEvent[]): Promise<void> {
  await withStore(async (db) => {
    const tx = db.transaction('events', 'readwrite', { durability: 'strict' });
    for (const event of events) await tx.store.put({ ...event, clientKey });
    await tx.done;
  });
}

/**
 * Puts something as long and without meaning where rows of somebody are about to be deleted: what a browser deletes may
 * lie in its files for a while.
 */
async function overwrite<S extends StoreNames<Store>>(
  of: IDBPObjectStore<Store, ArrayLike<StoreNames<Store>>, S, 'readwrite'>,
  which: Store[S]['key'] | IDBKeyRange,
): Promise<void> {
  const keys: readonly string[] = [of.keyPath ?? []].flat();
  for (let at = await of.openCursor(which); at; at = await at.continue()) {
    const row = Object.entries(at.value as object).map(([name, value]): [string, unknown] => [
      name,
      keys.includes(name) ? value : blank(value),
    ]);
    await at.update(Object.fromEntries(row) as Store[S]['value']);
  }
}

const blank = (value: unknown): string => '-'.repeat(JSON.stringify(value ?? null).length);

/**
 * Forgets an attempt that the server has, or that never began.
 * @param ifEvents only while it has so many events: one that came meanwhile keeps the whole of it
 */
export async function forgetAttempt(clientKey: string, ifEvents?: number): Promise<boolean> {
  return withStore(async (db) => {
    const tx = db.transaction(['attempts', 'events'], 'readwrite');
    const events = tx.objectStore('events');
    const same = ifEvents === undefined || (await events.count(eventsOf(clientKey))) === ifEvents;
    if (same) {
      const attempts = tx.objectStore('attempts');
      await overwrite(attempts, clientKey);
      await attempts.delete(clientKey);
      await overwrite(events, eventsOf(clientKey));
      await events.delete(eventsOf(clientKey));
    }
    await tx.done;
    return same;
  });
}

export async function keepEntry(entry: KeptEntry): Promise<void> {
  await withStore((db) => db.put('entries', entry));
}

export async function keptEntries(): Promise<KeptEntry[]> {
  return (await withStore((db) => db.getAll('entries'))).map(asKeptEntry);
}

export async function keepDayNote(note: KeptDayNote): Promise<void> {
  await withStore((db) => db.put('dayNotes', note));
}

/** In the order in which they were noted. */
export async function keptDayNotes(): Promise<KeptDayNote[]> {
  return (await withStore((db) => db.getAll('dayNotes'))).sort((a, b) => a.wallMs - b.wallMs);
}

export async function forgetDayNote(key: string): Promise<void> {
  await withStore(async (db) => {
    const tx = db.transaction('dayNotes', 'readwrite');
    await overwrite(tx.store, key);
    await tx.store.delete(key);
    await tx.done;
  });
}

export async function forgetEntry(key: string): Promise<void> {
  await withStore(async (db) => {
    const tx = db.transaction('entries', 'readwrite');
    await overwrite(tx.store, key);
    await tx.store.delete(key);
    await tx.done;
  });
}
