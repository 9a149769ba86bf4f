#!/usr/bin/env node
// Copies a register while it is in use: npm run backup -- /path/to/copy.sqlite
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { fail, install, registerFile, root } from './prepare.mjs';

install();
const { default: SQLite } = await import('better-sqlite3');
const file = registerFile('data/register.sqlite');
const day = new Date().toISOString().slice(0, 19).replace(/:/g, '-');
const target = resolve(process.argv[2] ?? `${root}/data/backup-${day}.sqlite`);
if (!existsSync(file)) fail(`There is no register at ${file}. Name it with READY_STOOL_DB.`);
if (existsSync(target)) fail(`${target} is there already; nothing was overwritten. Name another file.`);
await new SQLite(file, { readonly: true }).backup(target);
console.log(`Copied ${file} to ${target}.`);
