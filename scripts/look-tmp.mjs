import { withDemo } from './session.mjs';
import { writeFileSync } from 'node:fs';
await withDemo(async ({ url, browser, idOf }) => {
  const page = await browser.newPage();
  const shot = async (name) => writeFileSync(`/tmp/${name}.png`, await page.screenshot());
  const full = async (name) => writeFileSync(`/tmp/${name}.png`, await page.screenshot({fullPage:true}));
  const wait = (ms) => new Promise(r=>setTimeout(r,ms));
  const go = async (p) => { await page.goto(url + p, { waitUntil: 'load' }); await wait(900); };
  const odile = await idOf('Odile Brandvoll');
  await go(`/people/leaf`); await page.emulateMediaType('print'); const pdf = await page.pdf({format:'A4'}); console.log('pages', /\/Count (\d+)/.exec(Buffer.from(pdf).toString('latin1'))[1]); await page.emulateMediaType('screen'); await full('leaf');
  await go('/test'); await shot('choose');
  const b = await page.$('::-p-xpath(//button[contains(., "to the room")])'); console.log('room', !!b);
  if (b) { await b.click(); await wait(900); await page.evaluate(()=>document.querySelectorAll('[aria-label="Who said something?"] button')[2].click()); await wait(200); await shot('room'); }
  await go(`/people/${odile}/intake`); await page.evaluate(()=>[...document.querySelectorAll('legend')].find(l=>l.textContent.includes('What hurts')).scrollIntoView());
  await page.click('[aria-label^="left hip"]'); await wait(400); await shot('pains');
  await page.setViewport({width:390,height:844}); await go(`/test?person=${odile}`); await shot('day390'); await go(`/people/${odile}/readiness`); await shot('ready390');
});
