// The page of somebody with 60 results against one with 6, and 10,000 rows of CSV while others go on asking.
import { longestGap, serverTime } from './server.mjs';

const tests = ['chair-stand-30s', 'up-and-go-8ft', 'step-2min', 'arm-curl', 'sit-reach', 'back-scratch'];

async function put(url, method, path, body) {
  const answer = await fetch(url + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return answer.json();
}

/** Somebody made up, with so many results of six tests. */
async function somebody(url, name, results) {
  const who = { name, birthDate: '1949-01-10', normTable: 'female', evenSo: true };
  const { id } = await put(url, 'POST', '/api/v1/people', who);
  for (let n = 0; n < results; n++) {
    const month = 1 + (Math.floor(n / 6) % 12);
    await put(url, 'PUT', `/api/v1/attempts/bench-${id.slice(0, 8)}-${n}`, {
      ...{ personId: id, test: tests[n % 6], protocolVersion: 1, side: null, conditions: { seatHeightCm: 43 } },
      sittingDate: `2025-${String(month).padStart(2, '0')}-10`,
      events: [{ seq: 0, atMs: 0, wallMs: n, by: 'hand', kind: 'entered', value: 8 + (n % 5), handsUsed: false }],
    });
  }
  return id;
}

export async function scoresBench({ url }) {
  const few = await somebody(url, 'Bench Few', 6);
  const many = await somebody(url, 'Bench Many', 60);
  await serverTime(url, `/people/${many}/scores`, 10);
  const [a, b] = [
    await serverTime(url, `/people/${few}/scores`, 25),
    await serverTime(url, `/people/${many}/scores`, 25),
  ];
  console.log(`scores of a person, 60 results over 6: ${(b / a).toFixed(2)} (${b.toFixed(1)} and ${a.toFixed(1)} ms)`);
  const csv = `person,age,sex,test,value\n${Array.from({ length: 10_000 }, (_, n) => `P${n},${60 + (n % 35)},female,${tests[n % 6]},${5 + (n % 9)}`).join('\n')}\n`;
  const [idle] = await longestGap(url, () => new Promise((later) => setTimeout(later, 3000)));
  const start = performance.now();
  const [busy, lines] = await longestGap(url, async () => {
    const answer = await fetch(`${url}/api/v1/score`, {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: csv,
    });
    return (await answer.text()).split('\r\n').length - 2;
  });
  console.log(
    `${lines} rows of CSV scored in ${((performance.now() - start) / 1000).toFixed(1)} s; longest gap of health answers over that when idle: ${(busy / idle).toFixed(1)} (${busy.toFixed(0)} and ${idle.toFixed(0)} ms)`,
  );
}
