#!/usr/bin/env node
// Takes a copy back as the register: npm run restore -- /path/to/copy.sqlite [--yes]. Shows first what it holds and what
// would be lost; the register that was there is put aside, never thrown away.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { fail, install, registerFile } from './prepare.mjs';

install();
const { tsImport } = await import('tsx/esm/api');
const { holdsOfFile, onlyIn, takeBack } = await tsImport('../src/database/copy.ts', import.meta.url);
const { holderOf } = await tsImport('../src/database/lock.ts', import.meta.url);
const file = registerFile('data/register.sqlite');
const [copy, yes] = [process.argv.slice(2).find((a) => !a.startsWith('--')), process.argv.includes('--yes')];
if (!copy)
  fail(
    'Name the copy to take back: npm run restore -- FILE. Those made each day lie in the folder copies beside the register.',
  );
const from = resolve(copy);
if (from === file) fail('That is the register itself. Name a copy.');
const holder = existsSync(file) ? holderOf(file) : null;
if (holder)
  fail(`The register ${file} is being served (process ${holder.pid}). Stop Ready Stool first; nothing was changed.`);

const some = (n, one, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;
const counted = ({ people, results, notes }) =>
  `${some(people, 'person', 'people')}, ${some(results, 'result')} and ${some(notes, 'note')}`;
const told = (holds) => `${counted(holds)}, the newest of ${holds.newestOn ?? 'no day'}`;
process.umask(0o077);
try {
  console.log(`${from} holds ${told(holdsOfFile(from))}.`);
  if (existsSync(file)) console.log(lossOf());
  if (!yes) await agreed();
  const stamp = new Date().toISOString().slice(0, 19).replace(/:/g, '-');
  const aside = file.replace(/\.sqlite$/, '') + `-before-${stamp}.sqlite`;
  const was = existsSync(file);
  await takeBack(from, file, aside);
  console.log(`${from} is the register at ${file} now.${was ? ` The one before lies at ${aside}.` : ''}`);
} catch (error) {
  fail(error.message);
}

/** A register that cannot be read has nothing that could be counted; it is put aside all the same. */
function lossOf() {
  try {
    const held = told(holdsOfFile(file));
    return `${file} holds ${held}; of these not in the copy: ${counted(onlyIn(file, from))}.`;
  } catch (error) {
    return `What ${file} holds cannot be told: ${error.message}`;
  }
}

async function agreed() {
  if (!process.stdin.isTTY) fail('Nothing was changed. Say --yes to take it.');
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asking.question('Take it? The register that is there is put aside. [y/N] ');
  asking.close();
  if (!/^y(es)?$/i.test(answer.trim())) fail('Nothing was changed.');
}
