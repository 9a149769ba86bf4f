#!/usr/bin/env node
// Installs and builds if needed, then serves the register on this machine only.
import { pathToFileURL } from 'node:url';
import { build, fail, install, portFree, registerFile } from './prepare.mjs';
import { serve } from './serve.mjs';

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  const file = registerFile('data/register.sqlite');
  const port = Number(process.env.PORT ?? 3000);
  if (!(await portFree(port, '127.0.0.1')))
    fail(`Port ${port} is taken. Choose another with PORT, such as PORT=${port + 1} npm start.`);
  install();
  build();
  serve({ file, port, label: 'Ready Stool' });
}
