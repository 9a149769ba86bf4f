import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import {
  childEnvironment,
  startBrowser,
  startServer,
  temporaryFolder,
  watchedPage,
  settled,
  wellToday,
  type Server,
  type Watched,
} from './harness';

const folder = temporaryFolder();
const file = join(folder.path, 'demo.sqlite');
const today = '2026-03-02';
const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
let browser: Browser;
let server: Server;
let watched: Watched;
let ids: Record<string, string>;
let handedOut: string;

beforeAll(async () => {
  const made = spawnSync(process.execPath, ['--import', 'tsx', 'src/demo/load.ts', file], {
    env: childEnvironment({ READY_STOOL_TODAY: today }),
    encoding: 'utf8',
  });
  if (made.status !== 0) throw new Error(made.stderr);
  server = await startServer({ file, today });
  browser = await startBrowser(join(folder.path, 'profile'));
  // Much is looked at while a lane runs, so its clock runs only a little faster.
  watched = await watchedPage(browser, server.url, 3);
  await watched.page.goto(`${server.url}/people`, { waitUntil: 'networkidle0' });
  ids = Object.fromEntries<string>(
    await watched.page.$$eval('tbody a', (links) =>
      links.map((a): [string, string] => [a.textContent, a.href.split('/').pop() ?? '']),
    ),
  );
  await watched.page.goto(server.url + odile('/report')(), { waitUntil: 'networkidle0' });
  handedOut = await watched.page.$eval('a[href*="/report/"]', (a) => a.pathname);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  folder.remove();
});

interface Finding {
  readonly id: string;
  readonly nodes: { readonly target: unknown; readonly failureSummary?: string }[];
}

/** What axe finds under WCAG 2.2 AA; the script goes in through the debugger, as the page's own policy would refuse it. */
async function findings(page: Page): Promise<{ violations: string[]; incomplete: string[] }> {
  await page.evaluate(axe);
  const found = await page.evaluate(() => {
    const run = (
      window as unknown as {
        axe: { run: (options: object) => Promise<{ violations: Finding[]; incomplete: Finding[] }> };
      }
    ).axe.run;
    return run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] });
  });
  const lines = (list: Finding[]) =>
    list.flatMap((f) => f.nodes.map((n) => `${f.id}: ${JSON.stringify(n.target)} ${n.failureSummary ?? ''}`));
  return { violations: lines(found.violations), incomplete: found.incomplete.map((f) => f.id) };
}

/** What axe leaves open, each with the reason it is all right. */
const mayStayOpen: Readonly<Record<string, string>> = {
  'color-contrast':
    'words inside SVG and over the draining level, which axe cannot judge: tokens.test.ts computes every pair',
};

const odile = (path: string) => () => `/people/${ids['Odile Brandvoll'] ?? ''}${path}`;
const screens: [string, () => string][] = [
  ['today', () => '/'],
  ['people', () => '/people'],
  ['add a person', () => '/people/new'],
  ['a person', odile('')],
  ['walk-in', () => '/people/walk-in'],
  ['groups', () => '/people/groups'],
  ['import', () => '/people/import'],
  ['intake', odile('/intake')],
  ['intake of a walk-in', () => `/people/${ids['Maud Jessop'] ?? ''}/intake`],
  ['questions', odile('/readiness')],
  ['questions, ask first', () => `/people/${ids['Ruben Sastry'] ?? ''}/readiness`],
  ['questions, answered by a professional', () => `/people/${ids['Lise Havgaard'] ?? ''}/readiness`],
  ['note to a professional', () => `/people/${ids['Ruben Sastry'] ?? ''}/note`],
  ['all that is noted', odile('/record')],
  ['put aside or erase', odile('/leave')],
  ['tests open', odile('/tests')],
  ['tests open, ask first', () => `/people/${ids['Ruben Sastry'] ?? ''}/tests`],
  ['scores', odile('/scores')],
  ['score of one test', odile('/scores/chair-stand-30s')],
  ['score by side', odile('/scores/one-leg')],
  ['page for the person', odile('/report')],
  ['page for the clinician', odile('/report?for=clinician')],
  ['page handed out before', () => handedOut],
  ['level', odile('/levels')],
  ['retest', odile('/retest')],
  ['paper', odile('/paper')],
  ['somebody not today', () => `/people/${ids['Adelheid Pomm'] ?? ''}`],
  ['somebody not today, level', () => `/people/${ids['Adelheid Pomm'] ?? ''}/levels`],
  ['hands used, score', () => `/people/${ids['Agnes Tverrå'] ?? ''}/scores/chair-stand-30s`],
  ['norm table open, score', () => `/people/${ids['Yvonne Caddick'] ?? ''}/scores/chair-stand-30s`],
  ['not tested, score', () => `/people/${ids['Maud Jessop'] ?? ''}/scores`],
  ['choose a person', () => '/test'],
  ['check of the day', () => `/test?person=${ids['Odile Brandvoll'] ?? ''}`],
  ['set up held', () => `/test?person=${ids['Ruben Sastry'] ?? ''}`],
  ['scores of all', () => '/scores'],
  ['levels of all', () => '/levels'],
  ['retests of all', () => '/retest'],
  ['library', () => '/library'],
  ['norm table', () => '/library/norms/up-and-go-8ft?age=77&sex=female&value=8'],
  ['no norms', () => '/library/norms/thigh-hold'],
  ['sheet of a group', () => '/people/sheet?test=four-stage'],
  ['cupboard', () => '/library/cupboard'],
  ['what waits', () => '/waiting'],
  ['intake of a record that cannot be shown', odile('/intake?look=again')],
  ['nothing here', () => '/people/nobody'],
];

/** Another size of the same page, drawn anew. */
async function resize(page: Page, width: number): Promise<void> {
  await page.setViewport({ width, height: width === 820 ? 1180 : 800 });
  await resized(page);
}

/** Two frames on, the page is drawn for its new size. */
const resized = (page: Page): Promise<void> =>
  page.evaluate(() => new Promise<void>((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn()))));

/** Targets outside running words that are under 44 px. */
const smallTargets = (page: Page): Promise<string[]> =>
  page.$$eval('button, a, select, input:not([type=checkbox]):not([type=radio]), summary', (all) =>
    all
      .filter(
        (e) =>
          e.getClientRects().length > 0 &&
          !e.closest('p') &&
          e.closest('nextjs-portal') === null &&
          !e.classList.contains('sr-only'),
      )
      .filter((e) => e.getBoundingClientRect().height < 43.5)
      .map((e) => `${e.tagName} ${e.textContent} ${e.getBoundingClientRect().height}`),
  );

describe.each(screens)('%s', (_name, path) => {
  test('axe finds nothing, nothing is asked of another origin, nothing runs past the edge, targets are 44 px', async () => {
    const { page } = watched;
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(server.url + path(), { waitUntil: 'networkidle0' });
    for (const width of [1280, 820, 390]) {
      await resize(page, width);
      if (width > 390) {
        const { violations, incomplete } = await findings(page);
        expect(violations).toEqual([]);
        for (const id of incomplete) expect(Object.keys(mayStayOpen)).toContain(id);
      }
      if (width === 1280) expect(await smallTargets(page)).toEqual([]);
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      ).toBeLessThanOrEqual(0);
    }
    expect(watched.faults.filter((f) => !f.includes('404'))).toEqual([]);
  });
});

test('the lane: axe finds nothing, targets are 96 px and up, and the strip is all tap', async () => {
  const { page } = watched;
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${server.url}/test?person=${ids['Odile Brandvoll'] ?? ''}`, { waitUntil: 'networkidle0' });
  await wellToday(page);
  expect((await findings(page)).violations).toEqual([]);
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=practice]');
  expect((await findings(page)).violations).toEqual([]);
  await settled(page);
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=lane]');
  expect((await findings(page)).violations).toEqual([]);
  const heights = await page.$$eval('[data-testid=lane] button', (buttons) =>
    buttons.map((b) => b.getBoundingClientRect().height),
  );
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(96);
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.activeElement?.closest('header[data-frame]') ?? null)).toBeNull();
  await page.waitForSelector('[aria-label="At the tone"]', { timeout: 60_000 });
  expect((await findings(page)).violations).toEqual([]);
  await page.keyboard.press('Escape');
  await page.waitForSelector('[aria-label="Why is it stopped?"]');
  expect((await findings(page)).violations).toEqual([]);
  await page.keyboard.press('1');
  await page.waitForSelector('[data-testid=outcome]');
  expect((await findings(page)).violations).toEqual([]);
  expect(watched.faults.filter((f) => !f.includes('404'))).toEqual([]);
});

test('at 200 % and on a phone held sideways Start, the count and the answers are on the screen', async () => {
  const { page } = watched;
  /** Those of these that do not lie whole within the screen. */
  const outside = (...selectors: string[]) =>
    page.evaluate((all) => {
      const screen = { width: document.documentElement.clientWidth, height: window.innerHeight };
      return all.filter((selector) =>
        [...document.querySelectorAll(selector)].every((e) => {
          const { left, top, right, bottom } = e.getBoundingClientRect();
          return left < 0 || top < 0 || right > screen.width + 1 || bottom > screen.height + 1;
        }),
      );
    }, selectors);
  const sizes = [
    [640, 400],
    [844, 390],
  ] as const;
  const everywhere = async (...selectors: string[]) => {
    for (const [width, height] of sizes) {
      await page.setViewport({ width, height });
      await resized(page);
      expect(await outside(...selectors)).toEqual([]);
    }
  };
  await page.setViewport({ width: 640, height: 400 });
  await page.goto(`${server.url}/test?person=${ids['Tomasz Rekkedal'] ?? ''}`, { waitUntil: 'networkidle0' });
  await wellToday(page);
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=practice]');
  await everywhere('[data-hotkey=Enter]', '[data-testid=practice] .num');
  await settled(page);
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=lane]');
  await everywhere(
    '[data-testid=count]',
    '[data-testid=time-left]',
    'footer button:first-of-type',
    'footer button:last-of-type',
  );
  await page.waitForSelector('[aria-label="At the tone"]', { timeout: 60_000 });
  await everywhere(
    '[data-testid=count]',
    '[aria-label="At the tone"] button:first-of-type',
    '[aria-label="At the tone"] button:last-of-type',
  );
  await page.keyboard.press('Escape');
  await page.waitForSelector('[aria-label="Why is it stopped?"]');
  await everywhere(
    '[data-testid=count]',
    '[aria-label="Why is it stopped?"] button:first-of-type',
    '[aria-label="Why is it stopped?"] button:last-of-type',
  );
  await page.keyboard.press('1');
  await page.waitForSelector('[data-testid=outcome]');
  await page.setViewport({ width: 1280, height: 800 });
});

test('? shows the keys; single letters can be switched off', async () => {
  const { page } = watched;
  await page.goto(`${server.url}/people`, { waitUntil: 'networkidle0' });
  await page.keyboard.press('?');
  await page.waitForSelector('[role=dialog]');
  expect((await findings(page)).violations).toEqual([]);
  await page.click('[role=dialog] input');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
  await page.keyboard.press('n');
  await page.keyboard.press('?');
  await page.waitForSelector('[role=dialog]');
  expect(new URL(page.url()).pathname).toBe('/people');
  await page.click('[role=dialog] input');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
  await page.keyboard.press('n');
  await page.waitForFunction(() => location.pathname === '/people/new');
});

test('/ finds a person from anywhere', async () => {
  const { page } = watched;
  await page.goto(`${server.url}/library`, { waitUntil: 'networkidle0' });
  await page.keyboard.press('/');
  await page.keyboard.type('tverra');
  await page.waitForSelector('[role=option]');
  await page.keyboard.press('Enter');
  await page.waitForFunction((id) => location.pathname === `/people/${id}`, {}, ids['Agnes Tverrå'] ?? '');
});

test('the cupboard: what is changed is drawn at once and there for the levels; a half centimetre is refused in its place', async () => {
  const { page } = watched;
  await page.goto(`${server.url}/library/cupboard`, { waitUntil: 'networkidle0' });
  const seat = '[aria-label="Seat of chair 1, cm"]';
  const retype = async (text: string) => {
    await page.click(seat, { count: 3 });
    await page.keyboard.type(text);
  };
  await retype('43.5');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.body.textContent.includes('Nothing was saved yet'));
  expect(await page.evaluate(() => document.body.textContent)).toContain('whole number');
  await retype('38');
  expect(await page.$eval('main svg[role=img]', (svg) => svg.getAttribute('aria-label'))).toContain('38');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/library' && document.body.textContent.includes('38 cm, '));
});

test('in feet, inches and pounds: shown so, typed so, kept in SI', async () => {
  const { page } = watched;
  const path = `${server.url}/people/${ids['Kees Oudraad'] ?? ''}`;
  const units = async (value: string) => {
    await page.goto(`${server.url}/library/cupboard`, { waitUntil: 'networkidle0' });
    await page.select('select', value);
    await page.click('button[type=submit]');
    await page.waitForFunction(() => location.pathname === '/library');
  };
  await units('us');
  await page.goto(`${path}/intake`, { waitUntil: 'networkidle0' });
  expect(await page.$eval('#heightCm', (e) => (e as HTMLInputElement).value)).toBe('5 ft 8.5 in');
  await page.click('#heightCm', { count: 3 });
  await page.keyboard.type("5'10");
  await page.click('button[type=submit]');
  await page.waitForFunction((p) => location.href === p, {}, path);
  await page.waitForFunction(() => document.body.textContent.includes('5 ft 10 in'));
  await units('metric');
  const person = (await (await fetch(`${server.url}/api/v1/people/${ids['Kees Oudraad'] ?? ''}`)).json()) as {
    intake: { heightCm: number };
  };
  expect(person.intake.heightCm).toBe(177.8);
});
