#!/usr/bin/env node
// Retakes docs/screenshots from the demo hall on a fixed day. npm run shots [-- name ...] takes only the named ones.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';
import { withDemo } from './session.mjs';

const target = process.env.SHOTS_DIR ?? join(root, 'docs/screenshots');
const only = process.argv.slice(2);
mkdirSync(target, { recursive: true });

await withDemo(async ({ browser, url, idOf }) => {
  const page = await browser.newPage();
  const visit = async (path) => page.goto(url + path, { waitUntil: 'networkidle0' });
  const odile = await idOf('Odile Brandvoll');
  const bertil = await idOf('Bertil Kvarnholm');
  const adelheid = await idOf('Adelheid Pomm');
  const shots = {
    today: () => visit('/'),
    people: () => visit('/people'),
    'add-person': () => visit('/people/new'),
    person: () => visit(`/people/${odile}`),
    'not-today': () => visit(`/people/${adelheid}`),
    scores: () => visit(`/people/${odile}/scores`),
    levels: () => visit(`/people/${bertil}/levels`),
    retest: () => visit(`/people/${odile}/retest`),
    'hall-scores': () => visit('/scores'),
    'hall-levels': () => visit('/levels'),
    'hall-retests': () => visit('/retest'),
    library: () => visit('/library'),
    cupboard: () => visit('/library/cupboard'),
    paper: () => visit(`/people/${odile}/paper`),
    'choose-person': () => visit('/test'),
    'set-up': () => visit(`/test?person=${odile}`),
    lane: async () => {
      await visit(`/test?person=${odile}`);
      await page.keyboard.press('Space');
      await page.waitForSelector('[data-testid=practice]');
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-testid=lane]');
      await page.waitForFunction(() => /^\d/.test(document.querySelector('[data-testid=time-left]').textContent));
      for (let n = 0; n < 5; n++) {
        await new Promise((later) => setTimeout(later, 2100 + 90 * n));
        await page.keyboard.press('Space');
      }
      await page.waitForFunction(() => document.querySelector('[data-testid=count]').textContent === '5');
      await new Promise((later) => setTimeout(later, 400));
    },
  };
  for (const [name, go] of Object.entries(shots)) {
    if (only.length > 0 && !only.includes(name)) continue;
    await go();
    await page.screenshot({ path: join(target, `${name}.png`) });
  }
});
