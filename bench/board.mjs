// The board of a testing day with all people of the hall: how soon it stands, and what a press on it costs, over an empty page.
import { median } from './server.mjs';

const rounds = 7;
const day = '2026-03-02';

export async function boardBench({ browser, url }) {
  const put = (event) =>
    fetch(`${url}/api/v1/days/${day}/notes/${crypto.randomUUID()}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ wallMs: Date.now(), event }),
    });
  await put({ kind: 'plan', tests: ['four-stage', 'one-leg', 'chair-stand-30s'], staff: ['instructor'], minutes: 120 });
  const stands = { board: [], empty: [] };
  const presses = { board: [], empty: [] };
  let people = 0;
  for (let round = 0; round <= rounds; round++)
    for (const [name, path, shown] of [
      ['empty', '/face', '[data-testid=face]'],
      ['board', '/test', '[data-testid=day-board]'],
    ]) {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await (await page.createCDPSession()).send('Emulation.setCPUThrottlingRate', { rate: 4 });
      await page.goto(url + path, { waitUntil: 'load' });
      await page.waitForSelector(shown);
      const stood = await page.evaluate(() => performance.now());
      if (name === 'board') people = (await page.$$('[data-listed-person]')).length;
      await new Promise((later) => setTimeout(later, 900));
      // From the press to the second frame after it: the first shows the press, the second what it changed.
      const pressed = await page.evaluate(
        (selector) =>
          new Promise((told) => {
            const target = document.querySelector(selector) ?? document.body;
            const start = performance.now();
            target.click();
            requestAnimationFrame(() => requestAnimationFrame(() => told(performance.now() - start)));
          }),
        name === 'board' ? '[data-listed-person]' : 'body',
      );
      if (round > 0) {
        stands[name].push(stood);
        presses[name].push(pressed);
      }
      await context.close();
    }
  const over = (of) => (median(of.board) / median(of.empty)).toFixed(2);
  console.log(
    `board of ${people} people over an empty page, 4x slow-down: stands ${over(stands)} (${median(stands.board).toFixed(0)} ms), a press to its second frame ${over(presses)} (${median(presses.board).toFixed(0)} ms)`,
  );
}
