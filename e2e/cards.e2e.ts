import type { Page } from 'puppeteer-core';
import { beforeAll, expect, onTestFinished, test } from 'vitest';
import { findings } from './axe';
import { addGroup, addReadyTo, hallFor, noteOf, press, says, send, watchedPage } from './harness';
import { looksWrong, resize, sizes } from './looks';

/** Cards from a level to the printer: pages and paper out of the PDF, type and what is cut out of the page as printed. */
const today = '2026-03-02';
const hall = hallFor(today);
let id = '';
/** A result of today, as it comes from paper. */
async function enter(personId: string, name: string, value: number): Promise<void> {
  const entered = { seq: 0, atMs: 0, wallMs: Date.parse(today), by: 'hand', kind: 'entered', value, handsUsed: false };
  const head = { personId, test: name, protocolVersion: 1, sittingDate: today, side: null };
  const conditions = name === 'chair-stand-30s' ? { seatHeightCm: 43 } : {};
  const said = await send(hall, 'PUT', `/api/v1/attempts/${personId}-${name}`, {
    ...head,
    conditions,
    events: [entered],
  });
  expect([name, said.status]).toEqual([name, 201]);
}
beforeAll(async () => {
  id = await addReadyTo(hall, 'Carla Cardholder', today, { heightCm: 160 });
  await enter(id, 'chair-stand-30s', 13);
  await enter(id, 'four-stage', 3);
});

const visit = async (path: string) => {
  const watched = await watchedPage(hall.browser, hall.server.url, 1);
  onTestFinished(() => watched.page.close());
  await watched.page.goto(hall.server.url + path, { waitUntil: 'networkidle0' });
  return watched;
};

/** Width and height of each page in points, out of the bytes of the PDF. */
async function pagesOf(page: Page): Promise<string[]> {
  const whole = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  return [...whole.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)\s*\]/g)].map(
    (m) => `${Math.round(Number(m[1]))}x${Math.round(Number(m[2]))}`,
  );
}
/** Of each side as it is printed: what is cut below or at its edge, and the smallest type but for the codes, in points. */
async function sidesOf(page: Page) {
  await page.emulateMediaType('print');
  const sides = await page.$$eval('[data-sheet]', (all) =>
    all.map((side) => {
      const sizes: number[] = [];
      const walk = document.createTreeWalker(side, NodeFilter.SHOW_TEXT);
      for (let node = walk.nextNode(); node; node = walk.nextNode()) {
        const parent = node.parentElement;
        if (!parent || (node.textContent ?? '').trim() === '' || parent.closest('[data-small], .sr-only')) continue;
        sizes.push(Number.parseFloat(getComputedStyle(parent).fontSize) * 0.75);
      }
      return {
        cut: Math.max(side.scrollHeight - side.clientHeight, side.scrollWidth - side.clientWidth, 0),
        smallest: Math.round(Math.min(...sizes)),
      };
    }),
  );
  await page.emulateMediaType();
  return sides;
}

test('nothing in force: it is said what is missing, and nothing is printed', async () => {
  const { page, faults } = await visit(`/people/${id}/card`);
  await says(page, '[data-testid=no-card]', 'No level is in force yet: confirm one first, then there is a card.');
  expect(await page.$('[data-sheet]')).toBeNull();
  expect(faults).toEqual([]);
});

test('from the levels to the printer: two of A5 on a sheet of A4, and A4; nothing is cut, 16 pt is the smallest; it is kept as handed out', async () => {
  const { page, faults } = await visit(`/people/${id}/levels`);
  await page.keyboard.press('c');
  await says(page, '[data-testid=confirmed]', 'Confirmed');
  await (await page.waitForSelector('a[href$="/card"]'))?.click();
  await says(page, 'h1', 'Card of Carla Cardholder');
  for (const [width, height] of sizes) {
    await resize(page, width, height);
    expect([width, await looksWrong(page)]).toEqual([width, []]);
  }
  await resize(page, 1280, 800);
  expect((await findings(page)).violations).toEqual([]);
  const sides = await sidesOf(page);
  expect(sides.map((s) => [s.cut, s.smallest])).toEqual([
    [0, 16],
    [0, 16],
    [0, 16],
  ]);
  expect(await pagesOf(page)).toEqual(['842x595', '842x595']);
  await says(page, 'main', 'The page is kept as printed.');
  await page.goto(`${hall.server.url}/people/${id}/card?paper=a4`, { waitUntil: 'networkidle0' });
  expect((await sidesOf(page)).map((s) => [s.cut, s.smallest])).toEqual([
    [0, 16],
    [0, 16],
  ]);
  expect(await pagesOf(page)).toEqual(['595x842', '595x842']);
  await page.waitForSelector('::-p-xpath(//section[@aria-labelledby="before"]//a)');
  const kept = await page.$eval('section[aria-labelledby=before] a', (a) => a.getAttribute('href') ?? '');
  await page.goto(hall.server.url + kept, { waitUntil: 'networkidle0' });
  await says(page, 'h1', 'As handed out on 2 Mar 2026');
  await says(page, 'main', 'It is what is in force now.');
  expect((await findings(page)).violations).toEqual([]);
  expect(faults).toEqual([]);
});

test('home: nothing before it was seen clean; then one side that is not cut', async () => {
  const { page, faults } = await visit(`/people/${id}/card?kind=home`);
  await says(page, '[data-testid=no-card]', 'Nothing goes home yet.');
  for (const [pattern, rung] of [
    ['S', 4],
    ['A', 1],
    ['H', 1],
  ])
    expect((await noteOf(hall, id, today, { kind: 'shown', pattern, rung })).status).toBe(201);
  await page.reload({ waitUntil: 'networkidle0' });
  await says(page, '[data-sheet]', 'At home, on days without class');
  expect((await sidesOf(page)).map((s) => [s.cut, s.smallest])).toEqual([[0, 16]]);
  expect(await pagesOf(page)).toEqual(['842x595']);
  expect((await findings(page)).violations).toEqual([]);
  expect(faults).toEqual([]);
});

test('station card and one SVG a side', async () => {
  const { page, faults } = await visit(`/people/${id}/card?kind=station`);
  await says(page, '[data-sheet]', 'Stay within arm’s reach');
  expect((await findings(page)).violations).toEqual([]);
  for (const [width, height] of sizes) {
    await resize(page, width, height);
    expect([width, await looksWrong(page)]).toEqual([width, []]);
  }
  await resize(page, 1280, 800);
  await page.goto(`${hall.server.url}/people/${id}/card`, { waitUntil: 'networkidle0' });
  await page.evaluate(() => {
    const made: string[] = [];
    Object.assign(window, { made });
    URL.createObjectURL = (blob: Blob) => {
      void blob.text().then((text) => made.push(text));
      return 'blob:none';
    };
    HTMLAnchorElement.prototype.click = () => undefined;
  });
  await press(page, 'Save as SVG');
  await page.waitForFunction(() => (window as unknown as { made: string[] }).made.length === 3);
  const read = await page.evaluate(() =>
    (window as unknown as { made: string[] }).made.map((text) => {
      const doc = new DOMParser().parseFromString(text, 'image/svg+xml');
      return [doc.querySelector('parsererror') === null, doc.documentElement.textContent.includes('Carla C.')];
    }),
  );
  expect(read).toEqual([
    [true, true],
    [true, true],
    [true, true],
  ]);
  expect(faults).toEqual([]);
});

test('the board: filtered to a ladder, one row confirmed, what to carry out said, printed as one sheet', async () => {
  const other = await addReadyTo(hall, 'Bruno Board', today, { heightCm: 172 });
  await enter(other, 'chair-stand-30s', 12);
  const { page, faults } = await visit('/levels');
  await says(page, '[data-testid=hall-needs]', 'To carry out for these 2: seats');
  await page.select('select[aria-label="Which ladder"]', 'S');
  await page.waitForFunction(() => location.search === '?pattern=S');
  await page.waitForFunction(() => !document.querySelector('thead')?.textContent.includes('Lunge'));
  const row = '::-p-xpath(//tr[contains(., "Bruno Board")]//button)';
  await (await page.waitForSelector(row))?.click();
  await page.waitForFunction(
    () =>
      ![...document.querySelectorAll('tbody tr')].some(
        (r) => r.textContent.includes('Bruno') && r.querySelector('button'),
      ),
  );
  for (const [width, height] of sizes) {
    await resize(page, width, height);
    expect([width, await looksWrong(page)]).toEqual([width, []]);
  }
  await resize(page, 1280, 800);
  expect((await findings(page)).violations).toEqual([]);
  expect(faults).toEqual([]);
});

test('of one group; its sheet says who does what without a code, and is one page', async () => {
  addGroup(hall, 'tuesday', 'Tuesday morning', [id]);
  const { page, faults } = await visit('/levels');
  await page.select('select[aria-label="Of whom"]', 'tuesday');
  await page.waitForFunction(() => location.search.startsWith('?group='));
  await says(page, 'h1', 'Levels of Tuesday morning');
  await page.waitForFunction(() => document.querySelectorAll('tbody tr').length === 1);
  await (await page.waitForSelector('a[href^="/levels/sheet"]'))?.click();
  await says(page, 'h1', 'Who does what: Tuesday morning');
  await says(page, '[data-testid=sheet-needs]', 'To carry out: seats');
  expect(await page.$eval('table', (t) => /[SLHB]\d\//.test(t.textContent))).toBe(false);
  for (const [width, height] of sizes) {
    await resize(page, width, height);
    expect([width, await looksWrong(page)]).toEqual([width, []]);
  }
  await resize(page, 1280, 800);
  expect((await findings(page)).violations).toEqual([]);
  expect((await pagesOf(page)).length).toBe(1);
  expect(faults).toEqual([]);
});

test('without a height the card says for which body its figures are; a paper too small is named', async () => {
  const small = await addReadyTo(hall, 'Nora Noheight', today, { heightCm: null });
  await enter(small, 'chair-stand-30s', 12);
  const { page, faults } = await visit(`/people/${small}/levels`);
  await page.keyboard.press('c');
  await says(page, '[data-testid=confirmed]', 'Confirmed');
  await page.goto(`${hall.server.url}/people/${small}/card?paper=a6`, { waitUntil: 'networkidle0' });
  await says(page, 'main', 'No height is noted: the figures are drawn for 165 cm.');
  await says(page, '[data-testid=other-paper]', 'No card on A6: letters of 16 pt need A5');
  expect((await sidesOf(page)).every((s) => s.cut === 0)).toBe(true);
  expect(faults).toEqual([]);
});
