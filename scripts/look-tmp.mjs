import { withDemo } from './session.mjs';
import { writeFileSync } from 'node:fs';
await withDemo(async ({ url, browser, idOf }) => {
  const page = await browser.newPage();
  const shot = async (name) => writeFileSync(`/tmp/${name}.png`, await page.screenshot());
  const full = async (name) => writeFileSync(`/tmp/${name}.png`, await page.screenshot({fullPage:true}));
  const wait = (ms) => new Promise(r=>setTimeout(r,ms));
  const go = async (p) => { await page.goto(url + p, { waitUntil: 'load' }); await wait(900); };
  const ruben = await idOf('Ruben Sastry'), odile = await idOf('Odile Brandvoll'), ines = await idOf('Ines Albarrosa');
  await go(`/people/${ruben}/note`); await full('asks');
  await go(`/people/${ines}/note/tells`); await full('tells');
  await go(`/people/${ines}/readiness`); await shot('ines');
  await page.click('summary'); await wait(300); await full('ines2');
  await go(`/test?person=${odile}`); 
  await page.evaluate(()=>{for (const w of ['a fall since','hot or swollen']) [...document.querySelectorAll('button')].find(l=>l.textContent.includes(w))?.click()});
  await wait(300); await shot('daycheck2');
  await go(`/test?person=${ines}`); await page.keyboard.press('w'); await wait(1200); await shot('setup-ines');
  await go(`/test?person=${odile}`); await page.keyboard.press('s'); await page.keyboard.press('w'); await wait(1200); await shot('setup-odile');
});
