import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { AttemptEvent, Conditions } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { EntryContent } from '../../core/shapes/intake';

/** An attempt as this browser keeps it until the server has all of it. */
export interface KeptAttempt {
  readonly clientKey: string;
  /** The tab that runs it; another one leaves it alone while its heart beats. */
  readonly tab: string;
  readonly personId: string;
  readonly personName: string;
  readonly test: string;
  readonly protocolVersion: number;
  readonly sittingDate: IsoDate;
  readonly side: null;
  readonly conditions: Conditions;
  /** Planned go moment on the wall clock; `null` before the countdown. */
  readonly goWallMs: number | null;
  /** Wall clock of the last heartbeat, to know how long the page was away. */
  readonly beatWallMs: number;
  /** No more events will come, but for corrections. */
  readonly closed: boolean;
  /** How many events the server has said it holds. */
  readonly acknowledged: number;
  /** Why the server would not take it, in its words. */
  readonly refused: string | null;
}

/** Something noted of a person, as this browser keeps it until the server has it. */
export interface KeptEntry {
  readonly key: string;
  readonly personId: string;
  readonly personName: string;
  readonly on: IsoDate;
  readonly content: EntryContent;
  /** Still being written, so not sent. */
  readonly open: boolean;
  readonly refused: string | null;
}

interface Store extends DBSchema {
  entries: { key: string; value: KeptEntry };
  attempts: { key: string; value: KeptAttempt };
  events: { key: [string, number]; value: AttemptEvent & { readonly clientKey: string } };
}

let opened: Promise<IDBPDatabase<Store>> | undefined;

function store(): Promise<IDBPDatabase<Store>> {
  opened ??= openDB<Store>('ready-stool', 2, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('attempts', { keyPath: 'clientKey' });
        db.createObjectStore('events', { keyPath: ['clientKey', 'seq'] });
      }
      db.createObjectStore('entries', { keyPath: 'key' });
    },
    // A tab of the version before would hold the store up; it has sent what it had.
    blocking(_from, _to, event) {
      (event.target as IDBDatabase).close();
      opened = undefined;
    },
  });
  return opened;
}

/** A key nobody else makes; a hall network is no secure context, so it is made of plain random values. */
export function newClientKey(): string {
  return [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

export async function keepAttempt(attempt: KeptAttempt): Promise<void> {
  await (await store()).put('attempts', attempt);
}

export async function keptAttempts(): Promise<KeptAttempt[]> {
  return (await store()).getAll('attempts');
}

/** Changes what is kept of an attempt in one transaction, so that a heartbeat and an answer cannot undo each other. */
export async function changeKept(clientKey: string, change: Partial<KeptAttempt>): Promise<void> {
  const tx = (await store()).transaction('attempts', 'readwrite');
  const known = await tx.store.get(clientKey);
  if (known) await tx.store.put({ ...known, ...change });
  await tx.done;
}

/**
 * Keeps an event; resolves when the browser says it has it, and only then may the screen show it as counted.
 * @param safely waits for the disk too: for start, stop and answers, of which there are few
 */
export async function keepEvent(clientKey: string, event: AttemptEvent, safely: boolean): Promise<void> {
  const tx = (await store()).transaction('events', 'readwrite', { durability: safely ? 'strict' : 'relaxed' });
  await tx.store.put({ ...event, clientKey });
  await tx.done;
}

/** The events of an attempt, in order. */
export async function keptEvents(clientKey: string): Promise<AttemptEvent[]> {
  const range = IDBKeyRange.bound([clientKey, 0], [clientKey, Infinity]);
  return (await (await store()).getAll('events', range)).map(({ clientKey: ownKey, ...event }) => event);
}

/** Forgets an attempt that the server has, or that never began. */
export async function forgetAttempt(clientKey: string): Promise<void> {
  const tx = (await store()).transaction(['attempts', 'events'], 'readwrite');
  await tx.objectStore('attempts').delete(clientKey);
  await tx.objectStore('events').delete(IDBKeyRange.bound([clientKey, 0], [clientKey, Infinity]));
  await tx.done;
}

export async function keepEntry(entry: KeptEntry): Promise<void> {
  await (await store()).put('entries', entry);
}

export async function keptEntries(): Promise<KeptEntry[]> {
  return (await store()).getAll('entries');
}

export async function forgetEntry(key: string): Promise<void> {
  await (await store()).delete('entries', key);
}
