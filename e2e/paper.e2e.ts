import SQLite from 'better-sqlite3';
import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, test } from 'vitest';
import { addGroup, addReadyTo, hallFor, watchedPage } from './harness';

/** What lies in the bag and on the stations: printed by the browser, pages counted, type measured. */
const today = '2026-03-02';
const hall = hallFor(today);
const group = 'tuesday';
beforeAll(async () => {
  const ids: string[] = [];
  for (let i = 0; i < 20; i++)
    ids.push(
      await addReadyTo(hall, `Person ${String.fromCharCode(65 + i)} Longernamethanusual`, today, {
        bloodThinners: i % 3 === 0,
        contact: { name: 'Daughter Somebody', phone: '0123 456 789' },
        clinician: { name: 'Dr Somebody Else', phone: '0123 456 780' },
      }),
    );
  addGroup(hall, group, 'Tuesday 10:00', ids.slice(0, 12));
  const db = new SQLite(hall.file);
  for (const id of ids) db.prepare('insert into sitting_person (day, person_id) values (?, ?)').run(today, id);
  db.close();
});

/** Pages of the paper, each with its width and height in points, out of the bytes of the PDF. */
async function pagesOf(page: Page): Promise<string[]> {
  const whole = Buffer.from(
    await page.pdf({
      format: 'a4',
      preferCSSPageSize: false,
      margin: { top: '10mm', bottom: '10mm', left: '12mm', right: '12mm' },
    }),
  );
  return [...whole.toString('latin1').matchAll(/\/Type\s*\/Page\b[^s][\s\S]*?\/MediaBox\s*\[([^\]]*)\]/g)].map((m) =>
    (m[1] ?? '').trim(),
  );
}

/** The smallest type of anything written on the paper, in points. */
const smallestPt = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const sizes: number[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const parent = node.parentElement;
      if (!parent || (node.textContent ?? '').trim() === '' || parent.getClientRects().length === 0) continue;
      // What is read out alone is not on the paper.
      if (!parent.closest('article')) continue;
      sizes.push(Number.parseFloat(getComputedStyle(parent).fontSize) * 0.75);
    }
    return Math.min(...sizes);
  });
/** All words that are printed. */
const printed = (page: Page): Promise<string> => page.evaluate(() => document.body.innerText);

async function paper(path: string): Promise<{ page: Page; pages: string[]; pt: number; words: string }> {
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}${path}`, { waitUntil: 'networkidle0' });
  await page.emulateMediaType('print');
  const all = { page, pages: await pagesOf(page), pt: await smallestPt(page), words: await printed(page) };
  expect(faults).toEqual([]);
  await page.close();
  return all;
}

describe('paper for a testing day', () => {
  test('a leaf for the door is one sheet a person, front and back, in 16 pt, the name on it', async () => {
    const { pages, pt, words } = await paper(`/people/leaf?group=${group}`);
    expect(pages).toHaveLength(12 * 2);
    expect(pt).toBeGreaterThanOrEqual(15.99);
    expect(words.match(/Person [A-T] Longernamethanusual/g)).toHaveLength(12);
    expect((await paper('/people/leaf')).pages).toHaveLength(2);
  });
  test('a station sheet is one page a test: names down, tries across, seat and aid, two spare lines, nothing of the screen', async () => {
    const { pages, pt, words } = await paper(
      `/people/sheet/blank?group=${group}&test=four-stage&test=one-leg&test=chair-stand-30s`,
    );
    expect(pages).toHaveLength(3);
    expect(pt).toBeGreaterThanOrEqual(12);
    for (const part of ['side by side, s', 'left: try 1, s', 'right: try 3, s', 'seat', 'aid'])
      expect(words).toContain(part);
    for (const part of ['Ready Stool', 'Print', 'Station sheets', 'For\n']) expect(words).not.toContain(part);
  });
  test('the emergency sheet of a group is one page, of twelve people and of twenty', async () => {
    const { pages, words } = await paper(`/people/emergency?group=${group}`);
    expect(pages).toHaveLength(1);
    expect(words).toContain('In an emergency: 112');
    expect(words.match(/YES/g)).toHaveLength(4);
    const twenty = await paper('/people/emergency');
    expect(twenty.pages).toHaveLength(1);
    expect(twenty.pt).toBeGreaterThanOrEqual(9);
  });
});
