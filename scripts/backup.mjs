#!/usr/bin/env node
// Copies a register while it is in use: npm run backup -- /path/to/copy.sqlite
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fail, install, registerFile, root } from './prepare.mjs';

install();
const { tsImport } = await import('tsx/esm/api');
const { copyRegister } = await tsImport('../src/database/copy.ts', import.meta.url);
const file = registerFile('data/register.sqlite');
const day = new Date().toISOString().slice(0, 19).replace(/:/g, '-');
const target = resolve(process.argv[2] ?? `${root}/data/backup-${day}.sqlite`);
if (!existsSync(file)) fail(`There is no register at ${file}. Name it with READY_STOOL_DB.`);
if (existsSync(target)) fail(`${target} is there already; nothing was overwritten. Name another file.`);
process.umask(0o077);
try {
  mkdirSync(dirname(target), { recursive: true });
  const { people, results, newestOn } = await copyRegister(file, target);
  console.log(
    `Copied ${file} to ${target}: ${people} people, ${results} results, the newest of ${newestOn ?? 'no day'}.`,
  );
} catch (error) {
  fail(error.message);
}
