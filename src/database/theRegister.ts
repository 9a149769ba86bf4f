import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { giveBack, takeLock } from './lock';
import { changeCount, closeNow, emptyLog, openRegister, type Register } from './connection';
import { finishErasing } from './erase';
import { restAfter } from './quiet';

const kept = globalThis as typeof globalThis & { readyStoolRegister?: Promise<Register> };

/** The file the register lies in. */
export function registerFile(): string {
  return resolve(/* turbopackIgnore: true */ process.env['READY_STOOL_DB'] ?? 'data/register.sqlite');
}

/** The one connection of this process, opened on first use; bundled chunks share it through `globalThis`. */
export function theRegister(): Promise<Register> {
  // A build looks at every page and handler; it must neither make a register nor touch one.
  if (process.env['NEXT_PHASE'] === 'phase-production-build')
    throw new Error('theRegister: a build reads no register; the page must wait for a request');
  kept.readyStoolRegister ??= serve(registerFile());
  return kept.readyStoolRegister;
}

async function serve(file: string): Promise<Register> {
  // Whatever is made from here on, such as a copy, is for the owner of the process only.
  process.umask(0o077);
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const port = Number(process.env['PORT'] ?? NaN);
  takeLock(file, Number.isInteger(port) ? port : null);
  try {
    const db = lookAfter(await openRegister(file));
    // After the file was closed.
    process.once('exit', () => giveBack(file));
    return db;
  } catch (error) {
    giveBack(file);
    throw error;
  }
}

const lookEveryMs = 5000;
/** So long without a write, and the log goes into the file, so that a copy made of the file alone is whole. */
const quietMs = 60_000;

/** Sees to it that the file is whole when the process ends, and while nobody writes. */
function lookAfter(db: Register): Register {
  process.once('exit', () => closeNow(db));
  // A closed terminal is an ordinary end too.
  process.once('SIGHUP', () => process.kill(process.pid, 'SIGTERM'));
  const rest = restAfter(quietMs);
  const look = async (): Promise<void> => {
    await finishErasing(db);
    if (rest.isDue(await changeCount(db), Date.now()) && emptyLog(db) === 'emptied') rest.done();
  };
  const timer = setInterval(() => {
    look().catch((error: unknown) => console.error('The register could not be looked after; tried again:', error));
  }, lookEveryMs);
  timer.unref();
  return db;
}
