// How soon a page shows and how much script it loads first, over Today in the same run; and what moves after it shows.
import { median } from './server.mjs';

const rounds = 16;
const pages = { today: '/', test: '/test', 'scores of the hall': '/scores' };

export async function paintBench({ browser, url }) {
  const measured = {};
  for (const name of Object.keys(pages)) measured[name] = { paints: [], script: 0, shift: 0 };
  for (let round = 0; round < rounds; round++)
    for (const [name, path] of Object.entries(pages)) {
      // Each time in a browser that has nothing kept.
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await (await page.createCDPSession()).send('Emulation.setCPUThrottlingRate', { rate: 4 });
      await page.goto(url + path, { waitUntil: 'networkidle0' });
      const seen = await page.evaluate(async () => {
        const [paint] = performance.getEntriesByName('first-contentful-paint');
        const loaded = performance.getEntriesByType('navigation')[0].loadEventEnd;
        // What the page itself asks for; what is fetched ahead for other pages comes after it has loaded.
        const scripts = performance
          .getEntriesByType('resource')
          .filter((r) => r.name.endsWith('.js') && r.startTime <= loaded)
          .reduce((sum, r) => sum + r.decodedBodySize, 0);
        const shift = await new Promise((told) => {
          let sum = 0;
          const watch = new PerformanceObserver((list) => {
            for (const entry of list.getEntries()) sum += entry.value;
          });
          watch.observe({ type: 'layout-shift', buffered: true });
          setTimeout(() => told(sum), 300);
        });
        return { paint: paint.startTime, scripts, shift };
      });
      // The first round runs on a server not yet warm.
      if (round > 0) measured[name].paints.push(seen.paint);
      measured[name].script = seen.scripts;
      measured[name].shift = Math.max(measured[name].shift, seen.shift);
      await context.close();
    }
  const { paints: todays, script: todayScript } = measured.today;
  for (const [name, { paints, script, shift }] of Object.entries(measured)) {
    // Each over Today of its own round: what slows the machine down for a while slows both.
    const over = median(paints.map((paint, round) => paint / todays[round]));
    console.log(
      `${name}: first paint over Today ${over.toFixed(2)} (${median(paints).toFixed(0)} ms, 4x slow-down), first-load script over Today ${(script / todayScript).toFixed(2)} (${(script / 1000).toFixed(0)} kB), layout shift ${shift.toFixed(3)}`,
    );
  }
}
