#!/usr/bin/env node
// Side-by-side measurements; each prints a ratio of two things measured in the same run.
import { registerBench } from '../bench/register.mjs';
import { tapBench } from '../bench/tap.mjs';
import { withDemo } from './session.mjs';

await withDemo(async ({ browser, url, idOf }) => {
  await tapBench({ browser, url, personId: await idOf('Tomasz Rekkedal') });
  await registerBench({ browser, url });
});
