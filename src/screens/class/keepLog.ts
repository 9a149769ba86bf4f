import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { ClassLine } from '../../core/shapes/classLog';
import { put } from '../test/bench/sending';
import { thisRegister } from '../frame/thisRegister';

/** The log of one class as one page of this browser writes it. */
export interface KeptLog {
  readonly id: string;
  readonly key: string;
  readonly writer: string;
  readonly register: string | null;
  readonly lines: readonly ClassLine[];
  /** How many of them the register has. */
  readonly sent: number;
}

interface Logs extends DBSchema {
  logs: { key: string; value: KeptLog; indexes: { key: string } };
}

let open: Promise<IDBPDatabase<Logs>> | undefined;
const logs = () =>
  (open ??= openDB<Logs>('ready-stool-classes', 1, {
    upgrade: (db) => {
      db.createObjectStore('logs', { keyPath: 'id' }).createIndex('key', 'key');
    },
  }));

const idOf = (key: string, writer: string): string => `${key} ${writer}`;

/** Whatever this browser wrote of a class, by every page it was open in. */
export const keptLogs = async (key: string): Promise<KeptLog[]> => (await logs()).getAllFromIndex('logs', 'key', key);

/** Keeps a line before anything shows it: nothing that was seen on the screen is lost with the page. */
export async function keepLine(key: string, writer: string, line: ClassLine): Promise<KeptLog> {
  const tx = (await logs()).transaction('logs', 'readwrite', { durability: 'relaxed' });
  const known = await tx.store.get(idOf(key, writer));
  const log: KeptLog = {
    ...{ id: idOf(key, writer), key, writer, register: known?.register ?? thisRegister() },
    ...{ lines: [...(known?.lines ?? []), line], sent: known?.sent ?? 0 },
  };
  await tx.store.put(log);
  await tx.done;
  return log;
}

async function markSent(id: string, sent: number, register: string): Promise<void> {
  const tx = (await logs()).transaction('logs', 'readwrite');
  const known = await tx.store.get(id);
  if (known) await tx.store.put({ ...known, sent: Math.max(known.sent, sent), register });
  await tx.done;
}

export type SentLog = 'sent' | 'later' | { readonly refused: string };

/** Sends a log whole. What was sent before changes nothing there. */
export async function sendLog({ id, key, writer, register, lines }: KeptLog): Promise<SentLog> {
  const body = { lines };
  const answer = await put(`/api/v1/classes/${key}/logs/${writer}`, key, body, register, false);
  if (answer.kind === 'taken') {
    await markSent(id, lines.length, answer.register);
    return 'sent';
  }
  return answer.kind === 'refused' ? { refused: answer.words } : 'later';
}
