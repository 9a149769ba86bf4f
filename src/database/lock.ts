import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { RegisterUnusable } from './faults';

/** Who serves a register: one process, at one port of this machine. */
interface Holder {
  readonly pid: number;
  readonly port: number | null;
  /** When the process began, as the machine counts it: a number that is given again is another process. */
  readonly began: string | null;
}

const lockOf = (file: string): string => `${file}.lock`;

/**
 * Takes a register for this process, so that no two servers work out of one file. A lock of a process that is gone counts
 * for nothing.
 * @throws RegisterUnusable which names who has it
 */
export function takeLock(file: string, port: number | null): void {
  const own: Holder = { pid: process.pid, port, began: beganOf(process.pid) };
  for (;;) {
    try {
      writeFileSync(lockOf(file), JSON.stringify(own), { flag: 'wx', mode: 0o600 });
      return;
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const holder = holderOf(file);
    if (holder?.pid === process.pid) return;
    if (holder)
      throw new RegisterUnusable(
        `The register ${file} is being served already${holder.port === null ? '' : ` at http://127.0.0.1:${holder.port}`} (process ${holder.pid}). Use that one, or stop it first; or name another file with READY_STOOL_DB.`,
      );
    rmSync(lockOf(file), { force: true });
  }
}

/** Gives it back; one that somebody else took since is left alone. */
export function giveBack(file: string): void {
  if (holderOf(file)?.pid === process.pid) rmSync(lockOf(file), { force: true });
}

/** The living process that serves a register; `null` where none does. */
export function holderOf(file: string): Holder | null {
  if (!existsSync(lockOf(file))) return null;
  const holder = readHolder(file);
  if (!holder || !isAlive(holder.pid)) return null;
  const began = beganOf(holder.pid);
  return began !== null && holder.began !== null && began !== holder.began ? null : holder;
}

function readHolder(file: string): Holder | null {
  try {
    const { pid, port, began } = JSON.parse(readFileSync(lockOf(file), 'utf8')) as Partial<Holder>;
    return typeof pid === 'number' ? { pid, port: port ?? null, began: began ?? null } : null;
  } catch (error) {
    // Cut off while it was written, or gone meanwhile: nobody’s.
    if (error instanceof SyntaxError || (error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // There, and of somebody else.
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** From the process table where the machine shows one: the 22nd field, behind the name in brackets. */
function beganOf(pid: number): string | null {
  const table = `/proc/${pid}/stat`;
  if (!existsSync(table)) return null;
  return readFileSync(table, 'utf8').split(') ').at(-1)?.split(' ')[19] ?? null;
}
