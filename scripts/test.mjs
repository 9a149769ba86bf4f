#!/usr/bin/env node
// Everything that is checked, in the order in which it fails fastest; what needs nothing of another runs beside it.
import { spawn } from 'node:child_process';
import { chromiumPath } from './chromium.mjs';
import { build, childEnv, install, node, root } from './prepare.mjs';

const vitest = ['node_modules/vitest/vitest.mjs', 'run', '--project'];

/** One program; what it has to say is told when it has ended. A fault ends everything. */
const told = (args) =>
  new Promise((done) => {
    const child = spawn(process.execPath, args, { cwd: root, env: childEnv, stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text));
    child.on('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      if (code !== 0) process.exit(code ?? 1);
      done();
    });
  });

/** Several rows of programs beside each other, those of a row one after the other. */
const beside = (...rows) =>
  Promise.all(
    rows.map(async (row) => {
      for (const args of row) await told(args);
    }),
  );

install();
childEnv.CHROMIUM_PATH = chromiumPath();
node('node_modules/next/dist/bin/next', 'typegen');
await beside(
  [['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']],
  [['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0']],
  [['node_modules/typescript/bin/tsc', '--noEmit']],
);
build();
// What drives no browser waits for programs most of the time; the browser has the machine for its own.
const e2e = [...vitest, 'e2e'];
await beside([[...vitest, 'unit']], [[...e2e, 'e2e/scripts.e2e.ts', 'e2e/interface.e2e.ts']]);
node(...e2e, '--exclude', 'e2e/scripts.e2e.ts', '--exclude', 'e2e/interface.e2e.ts');
