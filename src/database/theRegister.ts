import { resolve } from 'node:path';
import { openRegister, type Register } from './connection';

const kept = globalThis as typeof globalThis & { readyStoolRegister?: Promise<Register> };

/** The file the register lies in. */
export function registerFile(): string {
  return resolve(/* turbopackIgnore: true */ process.env['READY_STOOL_DB'] ?? 'data/register.sqlite');
}

/** The one connection of this process, opened on first use; bundled chunks share it through `globalThis`. */
export function theRegister(): Promise<Register> {
  kept.readyStoolRegister ??= openRegister(registerFile());
  return kept.readyStoolRegister;
}
