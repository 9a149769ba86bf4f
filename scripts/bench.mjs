#!/usr/bin/env node
// Side-by-side measurements; each prints a ratio of two things measured in the same run.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { boardBench } from '../bench/board.mjs';
import { classBench } from '../bench/class.mjs';
import { paintBench } from '../bench/paint.mjs';
import { registerBench } from '../bench/register.mjs';
import { scoresBench } from '../bench/scores.mjs';
import { deviceBench, readyPeople, tapBench } from '../bench/tap.mjs';
import { install, node } from './prepare.mjs';
import { withDemo } from './session.mjs';

install();
// Without a server beside it, so that neither side is slowed by what the other needs not.
node('--import', 'tsx', 'bench/score.ts');
node('--import', 'tsx', 'bench/load.ts');
node('--import', 'tsx', 'bench/day.ts');
node('--import', 'tsx', 'bench/cards.ts');
node('--import', 'tsx', 'bench/seats.ts');
const folder = mkdtempSync(join(tmpdir(), 'ready-stool-bench-'));
const tested = join(folder, 'tested.sqlite');
node('--import', 'tsx', 'bench/tested.ts', tested, '5000', '50');
node('--import', 'tsx', 'bench/newDay.ts', tested);
rmSync(folder, { recursive: true });
await withDemo(async ({ browser, url }) => {
  const personIds = await readyPeople(url, 4, '2026-03-02');
  await tapBench({ browser, url, personIds });
  await deviceBench({ browser, url, personIds });
  await paintBench({ browser, url });
  // With those of the demo hall some forty.
  await readyPeople(url, 16, '2026-03-02');
  await boardBench({ browser, url });
  await classBench({ browser, url });
  await scoresBench({ url });
  await registerBench({ browser, url });
});
