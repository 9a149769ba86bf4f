import SQLite from 'better-sqlite3';

/** The register cannot be opened; the message is one line for the person who started the program. */
export class RegisterUnusable extends Error {
  override readonly name = 'RegisterUnusable';
}

export const storageFaults = ['busy', 'full', 'unwritable', 'damaged'] as const;
/**
 * What is wrong with the file when something could not be kept: another program holds it, the disk is full, it may not
 * be written, or it can no longer be read.
 */
export type StorageFault = (typeof storageFaults)[number];

const codes: Readonly<Record<StorageFault, RegExp>> = {
  busy: /^SQLITE_(BUSY|LOCKED)/,
  full: /^SQLITE_FULL/,
  unwritable: /^SQLITE_(READONLY|IOERR|CANTOPEN|PERM|AUTH)/,
  damaged: /^SQLITE_(CORRUPT|NOTADB)/,
};

/** Whether an error is the file’s and not the program’s. @see https://sqlite.org/rescode.html */
export function storageFault(error: unknown): StorageFault | null {
  if (!(error instanceof SQLite.SqliteError)) return null;
  return storageFaults.find((fault) => codes[fault].test(error.code)) ?? null;
}
