import { withDemo } from './session.mjs';
await withDemo(async ({ url, browser, idOf }) => {
  const page = await browser.newPage();
  const id = await idOf(process.argv[2] ?? 'Marta Lindqvist');
  await page.goto(`${url}/people/${id}/levels`, { waitUntil: 'networkidle0' });
  await page.screenshot({ path: '/tmp/l1.png' });
  const tabs = await page.$$('[role=tab]');
  console.log(tabs.length, await page.$$eval('[role=tab]', (t) => t.map((x) => x.textContent)));
  await tabs[4].click();
  await page.screenshot({ path: '/tmp/l2.png', fullPage: true });
  await tabs.at(-1).click();
  await page.screenshot({ path: '/tmp/l3.png', fullPage: true });
});
