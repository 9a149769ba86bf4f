#!/usr/bin/env node
// Side-by-side measurements; each prints a ratio of two things measured in the same run.
import { paintBench } from '../bench/paint.mjs';
import { registerBench } from '../bench/register.mjs';
import { scoresBench } from '../bench/scores.mjs';
import { tapBench } from '../bench/tap.mjs';
import { install, node } from './prepare.mjs';
import { withDemo } from './session.mjs';

install();
// Without a server beside it, so that neither side is slowed by what the other needs not.
node('--import', 'tsx', 'bench/score.ts');
await withDemo(async ({ browser, url, idOf }) => {
  await tapBench({ browser, url, personId: await idOf('Tomasz Rekkedal') });
  await paintBench({ browser, url });
  await scoresBench({ url });
  await registerBench({ browser, url });
});
