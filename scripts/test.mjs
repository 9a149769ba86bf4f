#!/usr/bin/env node
// Everything that is checked, in the order in which it fails fastest.
import { chromiumPath } from './chromium.mjs';
import { build, childEnv, install, node } from './prepare.mjs';

install();
childEnv.CHROMIUM_PATH = chromiumPath();
node('node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.');
node('node_modules/next/dist/bin/next', 'typegen');
node('node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0');
node('node_modules/typescript/bin/tsc', '--noEmit');
node('node_modules/vitest/vitest.mjs', 'run', '--project', 'unit');
build();
node('node_modules/vitest/vitest.mjs', 'run', '--project', 'e2e');
