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
// Nothing of what follows asks for the linter's word, and it takes as long as all of it together.
const linted = told(['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0']);
await beside(
  [['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']],
  [['node_modules/typescript/bin/tsc', '--noEmit']],
);
build();
await linted;
const e2e = [...vitest, 'e2e'];
const file = (name) => `e2e/${name}.e2e.ts`;
/** What needs no clock of a hall stands beside something else; all the rest, whatever it is, has the machine alone. */
const programs = ['scripts', 'interface'].map(file);
const looks = ['screens', 'cards', 'paper', 'faults'].map(file);
const forms = ['intake', 'readiness', 'scores', 'levels', 'lanes'].map(file);
// Server and browser are killed by chance; the seed is printed, and `npm run soak -- 5 seed` does it again.
await beside(
  [
    [...vitest, 'unit*'],
    ['scripts/soak.mjs', '5'],
  ],
  [[...e2e, ...programs]],
);
await beside([[...e2e, ...looks]], [[...e2e, ...forms]]);
node(...e2e, ...[...programs, ...looks, ...forms].flatMap((name) => ['--exclude', name]));
