import { withDemo } from './session.mjs';
await withDemo(async ({ url, browser, idOf }) => {
  const page = await browser.newPage();
  const id = await idOf('Odile Brandvoll');
  await page.goto(`${url}/people/${id}/swap?level=S5`, { waitUntil: 'networkidle0' });
  const tap = async (w) => (await page.waitForSelector(`::-p-xpath(//button[starts-with(normalize-space(.), "${w}")])`)).click();
  await tap('hip'); await tap('0 to 2');
  await page.screenshot({ path: '/tmp/s1.png' });
  await tap('5 and over');
  await page.screenshot({ path: '/tmp/s2.png' });
  await page.setViewport({ width: 390, height: 800 });
  await tap('3 to 4');
  await page.screenshot({ path: '/tmp/s3.png', fullPage: true });
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${url}/people/${id}/swap?level=S9`, { waitUntil: 'networkidle0' });
  await page.screenshot({ path: '/tmp/s4.png' });
});
