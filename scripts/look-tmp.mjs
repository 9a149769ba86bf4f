import { withDemo } from './session.mjs';
await withDemo(async ({ url, browser, idOf }) => {
  const page = await browser.newPage();
  const id = await idOf('Renske Poldervaart');
  await page.goto(`${url}/people/${id}/intake`, { waitUntil: 'networkidle0' });
  await page.evaluate(() => [...document.querySelectorAll('button,a,summary')].find((b) => /Pain|hurts/i.test(b.textContent))?.click());
  await new Promise((r) => setTimeout(r, 500));
  await page.screenshot({ path: '/tmp/a.png', fullPage: true });
  await page.goto(`${url}/library/seat?height=184&shown=43&wall=1`, { waitUntil: 'networkidle0' });
  await page.screenshot({ path: '/tmp/c.png' });
});
