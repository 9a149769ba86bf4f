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

/** A line before it has its number. */
export type NewLine = Omit<ClassLine, 'seq'>;

/** A log with one line more; its number is the next one, and none under `least`, which the register has already. */
export function withLine(
  known: KeptLog | undefined,
  key: string,
  writer: string,
  line: NewLine,
  least: number,
): KeptLog {
  const last = known?.lines.at(-1)?.seq ?? -1;
  return {
    ...{ id: idOf(key, writer), key, writer, register: known?.register ?? thisRegister() },
    ...{ lines: [...(known?.lines ?? []), { seq: Math.max(last + 1, least), ...line }], sent: known?.sent ?? 0 },
  };
}

/**
 * Keeps a line before anything shows it: nothing that was seen on the screen is lost with the page. Numbers are given here,
 * in one transaction: a tab that was doubled writes on in the same log.
 */
export async function keepLine(key: string, writer: string, line: NewLine, least = 0): Promise<KeptLog> {
  const tx = (await logs()).transaction('logs', 'readwrite', { durability: 'relaxed' });
  const log = withLine(await tx.store.get(idOf(key, writer)), key, writer, line, least);
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
