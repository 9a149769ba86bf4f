// A running class with some thirty people: what a second of it costs the page, over a blank page with a clock; and how soon a
// tap on a name shows, over the same. Processor slowed four times.
import { createServer } from 'node:http';
import { median } from './server.mjs';

const rounds = 5;
const watchedMs = 6000;
const day = '2026-03-02';

const clockPage = `<!doctype html><meta name="viewport" content="width=device-width"><title>clock</title>
<body style="font:200px monospace"><button style="font:40px monospace">press</button><output>0:00</output>
<script>setInterval(() => { const s = Math.floor(performance.now() / 1000);
document.querySelector('output').textContent = Math.floor(s / 60) + ':' + String(s % 60).padStart(2, '0'); }, 250);
document.querySelector('button').onclick = () => { document.title = String(performance.now()); };</script>`;

export async function classBench({ browser, url }) {
  const put = async (path, body) => {
    const headers = { 'content-type': 'application/json' };
    const answer = await fetch(url + path, { method: 'PUT', headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(await answer.text());
  };
  const shown = await browser.newPage();
  await shown.goto(`${url}/people`, { waitUntil: 'networkidle0' });
  const people = await shown.$$eval('tbody a[href^="/people/"]', (all) =>
    [...new Set(all.map((a) => a.getAttribute('href').split('/')[2]))].slice(0, 30),
  );
  await shown.close();
  const blocks = ['check', 'warm-up', 's', 'h', 'log'].map((id) => ({ id, of: `intervals/${id}`, more: 0 }));
  const key = 'bench-class-0001';
  await put(`/api/v1/classes/${key}`, {
    ...{ day, groupId: null, template: 'intervals', minutes: 40, leader: '', helpers: [], people, blocks },
  });
  const bare = createServer((_request, answer) => answer.setHeader('content-type', 'text/html').end(clockPage));
  await new Promise((listening) => bare.listen(0, '127.0.0.1', listening));
  const pages = {
    clock: [`http://127.0.0.1:${bare.address().port}/`, 'button'],
    class: [`${url}/class/${key}`, 'section[aria-label="Who does what"] button'],
  };
  // In the middle of the squat from now on.
  const lines = [
    { seq: 0, content: { kind: 'start' } },
    { seq: 1, content: { kind: 'jump', toS: 9.5 * 60 } },
  ].map((line) => ({ ...line, wallMs: Date.now(), personId: null }));
  await put(`/api/v1/classes/${key}/logs/bench`, { lines });
  const busy = { clock: [], class: [] };
  const taps = { clock: [], class: [] };
  for (let round = 0; round < rounds; round++)
    for (const [name, [address, target]] of Object.entries(pages)) {
      const page = await browser.newPage();
      const session = await page.createCDPSession();
      await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
      await page.goto(address, { waitUntil: 'load' });
      await page.waitForSelector(target);
      await new Promise((later) => setTimeout(later, 2000));
      const before = await page.metrics();
      await new Promise((later) => setTimeout(later, watchedMs));
      const after = await page.metrics();
      busy[name].push((after.TaskDuration - before.TaskDuration) / (after.Timestamp - before.Timestamp));
      taps[name].push(
        await page.evaluate(
          (selector) =>
            new Promise((told) => {
              const start = performance.now();
              document.querySelector(selector).click();
              requestAnimationFrame(() => requestAnimationFrame(() => told(performance.now() - start)));
            }),
          target,
        ),
      );
      await page.close();
    }
  bare.close();
  const over = (of) => (median(of.class) / median(of.clock)).toFixed(2);
  console.log(
    `a class of ${people.length} people over a blank page with a clock, 4x slow-down: busy ${over(busy)} (${(100 * median(busy.class)).toFixed(1)} % of the time), a tap to its second frame ${over(taps)} (${median(taps.class).toFixed(0)} ms)`,
  );
}
