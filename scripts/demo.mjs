#!/usr/bin/env node
// One command: installs and builds if needed, makes the demo hall if it is not there, serves it.
// --fresh makes the demo hall anew; only a register marked as a demo is ever thrown away.
import { existsSync } from 'node:fs';
import { build, fail, install, node, portFree, registerFile } from './prepare.mjs';
import { serve } from './serve.mjs';

const fresh = process.argv.includes('--fresh');
const file = registerFile('data/demo.sqlite');
// A port of its own: what a browser keeps for one register never meets the other.
const port = Number(process.env.PORT ?? 3010);
if (!(await portFree(port, '127.0.0.1')))
  fail(`Port ${port} is taken. Choose another with PORT, such as PORT=${port + 1} npm run demo.`);
install();
build();
if (fresh || !existsSync(file)) node('--import', 'tsx', 'src/demo/load.ts', file, ...(fresh ? ['--fresh'] : []));
serve({ file, port, label: 'The demo hall' });
