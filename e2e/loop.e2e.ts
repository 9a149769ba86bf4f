import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { questionIds } from '../src/core/shapes/intake';
import {
  laneAt,
  says,
  settled,
  startBrowser,
  startServer,
  temporaryFolder,
  textOf,
  watchedPage,
  wellToday,
  type Server,
} from './harness';

const folder = temporaryFolder();
const file = join(folder.path, 'register.sqlite');
let browser: Browser;
let server: Server;

beforeAll(async () => {
  browser = await startBrowser(join(folder.path, 'profile'));
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  folder.remove();
});

/** Presses Tab until the element with this text, label or name has the focus. */
async function tabTo(page: Page, name: string): Promise<void> {
  for (let presses = 0; presses < 90; presses++) {
    await page.keyboard.press('Tab');
    const here = await page.evaluate(() => {
      const element = document.activeElement;
      const label =
        element instanceof HTMLInputElement || element instanceof HTMLSelectElement
          ? element.labels?.[0]?.textContent
          : '';
      return `${element?.getAttribute('aria-label') ?? ''}|${label ?? ''}|${element?.textContent ?? ''}`;
    });
    if (here.includes(name)) return;
  }
  throw new Error(`no Tab leads to ${name}`);
}

/** Somebody listens to the tones: this one is done as it is done in a hall. */
const atRealSpeed = 1;

async function countStands(
  page: Page,
  stands: number,
  press: () => Promise<unknown>,
  start: () => Promise<unknown>,
): Promise<void> {
  await page.waitForSelector('[data-testid=practice]');
  await settled(page);
  await start();
  await page.waitForSelector('[data-testid=lane]');
  for (let n = 1; n <= stands; n++) {
    await laneAt(page, n);
    await press();
    await says(page, '[data-testid=count]', String(n));
  }
  await says(page, '[data-testid=lane-words]', 'Time.');
  await settled(page);
}

test('by keyboard alone: add a person, test, score, level, and twelve weeks later a second test and its change', async () => {
  server = await startServer({ file, today: '2026-03-02' });
  let watched = await watchedPage(browser, server.url, atRealSpeed);
  let { page } = watched;
  await page.evaluateOnNewDocument(() => {
    const heard: number[] = [];
    Object.assign(window, { heard });
    const start =
      Object.getOwnPropertyDescriptor(OscillatorNode.prototype, 'start') ??
      Object.getOwnPropertyDescriptor(AudioScheduledSourceNode.prototype, 'start');
    OscillatorNode.prototype.start = function (when?: number) {
      heard.push(this.frequency.value);
      (start?.value as (this: OscillatorNode, when?: number) => void).call(this, when);
    };
  });
  await page.goto(server.url, { waitUntil: 'networkidle0' });
  // A hall of which nobody has told is asked for three things, and assumes none of them.
  await page.waitForFunction(() => document.activeElement?.id === 'name');
  await page.keyboard.type('Old school gym');
  await page.keyboard.press('Enter');
  await says(page, '#emergencyNumber-fault', '');
  await says(page, 'main', 'Write the seat height of at least one chair that stands firm.');
  await tabTo(page, 'Number to call');
  await page.keyboard.type('112');
  await tabTo(page, 'Seat of chair 1, cm');
  await page.keyboard.type('43');
  await tabTo(page, 'How many of chair 1');
  await page.keyboard.type('6');
  await page.keyboard.press('Enter');
  await says(page, 'main', 'A first day in this hall');
  expect(await textOf(page, 'main')).toContain('Old school gym');
  await page.keyboard.press('n');
  await page.waitForSelector('#birthDate');
  await tabTo(page, 'Name');
  await page.keyboard.type('Wilma Testerin');
  await page.keyboard.press('Tab');
  await page.keyboard.type('05061948');
  await tabTo(page, 'left open');
  await page.keyboard.press('ArrowDown');
  await tabTo(page, 'Height');
  await page.keyboard.type('1700');
  await tabTo(page, 'Mass');
  await page.keyboard.type('64');
  await page.keyboard.press('Enter');
  await says(page, '#heightCm-fault', '120 to 220 cm');
  await page.focus('#heightCm');
  await page.keyboard.press('End');
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Enter');
  // Active, and all else no: the focus goes on by itself and ends on the button.
  await page.waitForFunction(() => document.activeElement?.id === 'q-active');
  for (const id of questionIds) await page.keyboard.press(id === 'active' ? 'y' : 'n');
  await page.waitForFunction(() => document.activeElement?.id === 'save-answers');
  await says(page, '[data-testid=outcome-words]', 'ready');
  await page.keyboard.press('Enter');
  await says(page, '[data-testid=next]', 'Run the four standing positions');
  const personUrl = page.url();

  await page.goto(`${server.url}/test?person=${personUrl.split('/').at(-1) ?? ''}`, { waitUntil: 'load' });
  await wellToday(page);
  await page.keyboard.press('Space');
  await countStands(
    page,
    9,
    () => page.keyboard.press('Space'),
    () => page.keyboard.press('Enter'),
  );
  // 3, 2, 1, go, and the long one at the end.
  expect(await page.evaluate(() => (window as unknown as { heard: number[] }).heard)).toEqual([
    440, 440, 440, 880, 660,
  ]);
  // Without single letters too: the lane's undo key says no, its count key yes.
  await page.keyboard.press('Backspace');
  await says(page, '[data-testid=result]', '9');
  await settled(page);
  await page.keyboard.press('s');
  await says(page, '[data-testid=percentile]', 'about 17 in 100');
  await says(page, '[data-testid=change]', 'Nothing to compare with yet');
  await page.keyboard.press('l');
  // Balance not tested and no rail in this hall: standing without hands waits for the four positions.
  await says(page, '[data-testid=level-code]', 'S2/');
  await says(page, '[data-testid=opens-next]', 'after the first two classes');
  await page.keyboard.press('c');
  await says(page, '[data-testid=confirmed]', '2 Mar 2026');
  await page.keyboard.press('r');
  await says(page, '[data-testid=due-on]', 'Monday, 25 May');
  expect(watched.faults).toEqual([]);
  await page.close();
  await server.stop();

  server = await startServer({ file, today: '2026-05-25' });
  watched = await watchedPage(browser, server.url);
  ({ page } = watched);
  await page.goto(personUrl.replace(/^http:\/\/[^/]+/, server.url), { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=next]', 'the retest is due');
  await page.keyboard.press('n');
  await wellToday(page);
  await page.keyboard.press('Space');
  await countStands(
    page,
    12,
    () => page.keyboard.press('Space'),
    () => page.keyboard.press('Enter'),
  );
  await page.keyboard.press('Space');
  await says(page, '[data-testid=result]', '13');
  await settled(page);
  await page.keyboard.press('s');
  await says(page, '[data-testid=score-value]', '13');
  await says(page, '[data-testid=change]', '+4 · smallest real change 3.4');
  expect(await page.evaluate(() => document.body.textContent)).toContain('clearly better');
  expect(watched.faults).toEqual([]);
  await page.close();
  await server.stop();
});

test('by touch alone, on an upright tablet: the same loop, with hands used and an undo, and 60 days later without hands', async () => {
  server = await startServer({ file, today: '2026-03-02' });
  const first = await watchedPage(browser, server.url);
  const { faults } = first;
  let { page } = first;
  await page.setViewport({ width: 820, height: 1180, hasTouch: true });
  const tap = async (words: string) => {
    const target = `::-p-xpath(//*[self::a or self::button or self::label][starts-with(normalize-space(.), ${JSON.stringify(words)})])`;
    await page.waitForSelector(target);
    if (page.url().includes('/test')) await settled(page);
    await (await page.waitForSelector(target))?.tap();
  };
  await page.goto(`${server.url}/people/new`, { waitUntil: 'networkidle0' });
  await page.tap('#name');
  await page.keyboard.type('Bruno Tipper');
  const date = await (await page.waitForSelector('#birthDate'))?.boundingBox();
  await page.touchscreen.tap((date?.x ?? 0) + 24, (date?.y ?? 0) + 24);
  await page.keyboard.type('05061954');
  await tap('men');
  await tap('numb feet');
  await tap('Save, then the questions');
  await page.waitForSelector('#q-active');
  for (const no of await page.$$('[aria-label^="No: "]')) await no.tap();
  await tap('Save the answers');
  await says(page, '[data-testid=next]', 'Run the four standing positions');
  await page.goto(`${server.url}/test?person=${page.url().split('/').at(-1) ?? ''}`, { waitUntil: 'load' });
  await tap('Nothing of it: all well');
  await tap('To the practice');
  const tapLane = () => page.touchscreen.tap(410, 500);
  await page.waitForSelector('[data-testid=practice]');
  await tap('Start: 3, 2, 1, go');
  await page.waitForSelector('[data-testid=lane]');
  for (let n = 1; n <= 3; n++) {
    await laneAt(page, n * 2);
    await tapLane();
    await says(page, '[data-testid=count]', String(n));
  }
  await tap('Undo');
  await says(page, '[data-testid=count]', '2');
  await tap('Hands');
  await says(page, '[data-testid=lane-words]', 'with hands · 2 clean before');
  await tapLane();
  await says(page, '[data-testid=count]', '3');
  await says(page, '[data-testid=lane-words]', 'Time.');
  await settled(page);
  await tap('Yes, one more');
  await says(page, '[data-testid=outcome]', 'stands, with hands');
  await tap('See the score');
  await says(page, '[data-testid=score-value]', '4 with hands');
  expect(await textOf(page, 'main')).not.toMatch(/about \d+ in 100/);
  await tap('See the levels');
  await says(page, '[data-testid=level-code]', 'S2/');
  await tap('Confirm 3 levels');
  await says(page, '[data-testid=confirmed]', 'Confirmed');
  const personUrl = page.url().replace(/\/levels$/, '');
  expect(faults).toEqual([]);
  await page.close();
  await server.stop();

  server = await startServer({ file, today: '2026-05-01' });
  const later = await watchedPage(browser, server.url);
  ({ page } = later);
  await page.setViewport({ width: 820, height: 1180, hasTouch: true });
  await page.goto(personUrl.replace(/^http:\/\/[^/]+/, server.url), { waitUntil: 'networkidle0' });
  await tap('Set up the test');
  await tap('Nothing of it: all well');
  await tap('To the practice');
  await page.waitForSelector('[data-testid=practice]');
  await tap('Start: 3, 2, 1, go');
  await page.waitForSelector('[data-testid=lane]');
  for (let n = 1; n <= 5; n++) {
    await laneAt(page, n * 3);
    await page.touchscreen.tap(410, 500);
    await says(page, '[data-testid=count]', String(n));
  }
  await says(page, '[data-testid=lane-words]', 'Time.');
  await settled(page);
  await tap('No');
  await tap('See the score');
  await says(page, '[data-testid=score-value]', '5');
  expect(await textOf(page, 'main')).toContain('now without hands');
  expect(later.faults).toEqual([]);
  await page.close();
  await server.stop();
});

test('a paper result of an earlier day stands at that day, and faults are said in their place', async () => {
  server = await startServer({ file, today: '2026-05-20' });
  const { page, faults } = await watchedPage(browser, server.url);
  await page.goto(`${server.url}/people`, { waitUntil: 'networkidle0' });
  // The two taps on Save, a tenth of a second apart, added one person.
  const hrefs = await page.$$eval('tbody a', (links) =>
    links.filter((a) => a.textContent === 'Bruno Tipper').map((a) => a.href),
  );
  expect(hrefs).toHaveLength(1);
  await page.goto(`${hrefs[0] ?? ''}/paper`, { waitUntil: 'networkidle0' });
  const stands = 'input[aria-label="Chair stands: stands"]';
  const save = async () => {
    await page.focus('button[type=submit]');
    await page.keyboard.press('Enter');
  };
  await page.type(stands, '99');
  await save();
  await says(page, 'tbody', '99: a whole number from 0 to 60 stands.');
  await page.click(stands, { count: 3 });
  await page.keyboard.type('11');
  // Enter goes down the sheet: the next line is the left leg.
  await page.keyboard.press('Enter');
  await page.keyboard.type('6.5');
  await says(page, 'tbody', '6.5 s');
  await page.click('input[type=date]', { offset: { x: 24, y: 24 } });
  await page.keyboard.type('05102026');
  await save();
  await says(page, '[data-testid=summary]', 'Next to work on');
  expect(await textOf(page, 'tbody')).toMatch(/Chair stands 11 stands.*One leg L 6.5 s/);
  await page.click('a[href$="/scores/chair-stand-30s"]');
  await says(page, '[data-testid=score-value]', '11');
  expect(await textOf(page, 'main')).toContain('10 May 2026');
  expect(await textOf(page, 'main')).toContain('clearly better');
  expect(faults).toEqual([]);
  await page.close();
});
