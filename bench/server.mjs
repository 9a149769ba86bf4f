// Small measures shared by the benches that ask a running server.
export const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** Longest gap between two health answers while something runs, and what that something answered. */
export async function longestGap(url, during) {
  let longest = 0;
  let last = performance.now();
  let over = false;
  const watch = (async () => {
    while (!over) {
      await (await fetch(`${url}/api/health`)).text();
      longest = Math.max(longest, performance.now() - last);
      last = performance.now();
    }
  })();
  const answer = await during();
  over = true;
  await watch;
  return [longest, answer];
}

/** Median time of an answer in ms, the first two left out. */
export async function serverTime(url, path, times) {
  const all = [];
  for (let n = 0; n < times + 2; n++) {
    const start = performance.now();
    await (await fetch(url + path)).text();
    if (n >= 2) all.push(performance.now() - start);
  }
  return median(all);
}
