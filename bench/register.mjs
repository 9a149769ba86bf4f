// The register of 5,000 people against one of 50, and a roster of 10,000 rows while others go on asking.
import { longestGap, median, serverTime } from './server.mjs';

/** A roster of made-up people, from and to a number, so that no two are the same. */
function roster(from, to) {
  const firsts = ['Alda', 'Bero', 'Cilia', 'Dorn', 'Edda', 'Fenn', 'Gisla', 'Hagen', 'Irma', 'Jorn'];
  const lasts = ['Averly', 'Brodd', 'Calder', 'Dunmore', 'Eskil', 'Farrow', 'Grieve', 'Hollin', 'Ister', 'Jessel'];
  const lines = ['Name,Born,Sex,Height,Weight'];
  for (let n = from; n < to; n++) {
    const name = `${firsts[n % 10]} ${lasts[Math.floor(n / 10) % 10]}${'abcdefghij'[Math.floor(n / 100) % 10]}${n}`;
    const born = `${1930 + (n % 30)}-0${1 + (n % 9)}-1${n % 10}`;
    lines.push(`${name},${born},${n % 2 ? 'f' : 'm'},${150 + (n % 30)},${50 + (n % 40)}`);
  }
  return lines.join('\n');
}

export async function registerBench({ browser, url }) {
  const take = async (csv, id) => {
    const start = performance.now();
    const answer = await fetch(`${url}/api/v1/people/import?id=${id}`, {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: csv,
    });
    if (!answer.ok) throw new Error(await answer.text());
    return performance.now() - start;
  };
  const page = await browser.newPage();
  /** From a letter typed to the lines that answer it on the screen, in ms. */
  const painted = async () => {
    await page.goto(`${url}/people`, { waitUntil: 'networkidle0' });
    await page.focus('main input');
    const all = [];
    for (let n = 0; n < 12; n++) {
      const done = page.evaluate(
        () =>
          new Promise((seen) => {
            const start = performance.now();
            const body = document.querySelector('tbody');
            const watch = new MutationObserver(() => {
              watch.disconnect();
              requestAnimationFrame(() => requestAnimationFrame(() => seen(performance.now() - start)));
            });
            watch.observe(body, { childList: true, subtree: true, characterData: true });
          }),
      );
      if (n % 2 === 0) await page.keyboard.type('ad');
      else {
        await page.keyboard.press('Backspace');
        await page.keyboard.press('Backspace');
      }
      all.push(await done);
      await page.waitForNetworkIdle({ idleTime: 100 });
    }
    return median(all);
  };
  const measure = async () => ({
    search: await serverTime(url, '/api/v1/people?search=brod', 25),
    list: await serverTime(url, '/people', 15),
    today: await serverTime(url, '/', 15),
    painted: await painted(),
  });

  await take(roster(0, 26), 'bench-small');
  // Once for nothing: what comes first runs on code not yet warm.
  await measure();
  const small = await measure();
  await take(roster(26, 4976), 'bench-large');
  const cold = performance.now();
  await (await fetch(`${url}/api/v1/people?search=brod`)).text();
  const fill = performance.now() - cold;
  const large = await measure();
  for (const what of ['search', 'list', 'today', 'painted'])
    console.log(
      `${what}, 5,000 people over 50: ${(large[what] / small[what]).toFixed(2)} (${large[what].toFixed(1)} and ${small[what].toFixed(1)} ms)`,
    );
  console.log(`first search after 4,950 new people: ${(fill / large.search).toFixed(0)} times a later one`);

  const [idle] = await longestGap(url, () => new Promise((later) => setTimeout(later, 3000)));
  const [busy, took] = await longestGap(url, () => take(roster(4976, 14976), 'bench-huge'));
  console.log(
    `10,000 rows taken in ${(took / 1000).toFixed(1)} s; longest gap of health answers over that when idle: ${(busy / idle).toFixed(1)} (${busy.toFixed(0)} and ${idle.toFixed(0)} ms)`,
  );
  await page.close();
}
