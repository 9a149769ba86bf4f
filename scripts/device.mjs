#!/usr/bin/env node
// A stand-in for a seat switch or a step counter: plays a made-up person from a seed against a running server.
// npm run device -- --kind seat --lane 2 --script slow-starter [--seed 7] [--seconds 30] [--in 10] [--port 3010]
import { randomUUID } from 'node:crypto';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { fail, install } from './prepare.mjs';

install();
const { tsImport } = await import('tsx/esm/api');
const { manners, play } = await tsImport('../src/demo/device/person.ts', import.meta.url);
const { deviceKinds, deviceLanes } = await tsImport('../src/core/shapes/device.ts', import.meta.url);

const options = {
  kind: { type: 'string', default: 'seat' },
  lane: { type: 'string', default: '1' },
  script: { type: 'string', default: 'steady' },
  seed: { type: 'string', default: '7' },
  seconds: { type: 'string' },
  in: { type: 'string' },
  port: { type: 'string', default: process.env.PORT ?? '3010' },
};
const asked = () => {
  try {
    return parseArgs({ options }).values;
  } catch (error) {
    return fail(`${error.message} Write such as: npm run device -- --kind seat --lane 2 --script slow-starter`);
  }
};
const { kind, lane, script, seed, seconds, port, ...more } = asked();
const whole = (name, text, most) => {
  const number = Number(text);
  if (!Number.isInteger(number) || number < (name === 'in' ? 0 : 1) || number > most)
    fail(`--${name} ${text}: write a whole number up to ${most}.`);
  return number;
};
if (!deviceKinds.includes(kind)) fail(`--kind ${kind}: there is ${deviceKinds.join(' and ')}.`);
whole('lane', lane, deviceLanes);
if (!manners[script])
  fail(
    `--script ${script}: there is\n${Object.entries(manners)
      .map(([name, m]) => `  ${name}: ${m.what}`)
      .join('\n')}`,
  );
const lastMs = 1000 * whole('seconds', seconds ?? (kind === 'seat' ? '30' : '120'), 600);

const id = `${kind}-${lane}`;
const address = `http://127.0.0.1:${whole('port', port, 65535)}/api/v1/devices/${id}/events`;
const boot = randomUUID().slice(0, 8);
const onMs = performance.now();
const nowMs = () => Math.round(performance.now() - onMs);

// What was said waits until the server has it; sent again it is the same.
const waiting = [];
let n = 0;
let heardBy = null;
const say = (what) => waiting.push({ n: n++, ms: nowMs(), kind: what });

async function send() {
  const events = waiting.slice(0, 100);
  const answer = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ boot, sentMs: nowMs(), events }),
    signal: AbortSignal.timeout(2000),
  }).catch(() => null);
  const said = await answer?.json().catch(() => null);
  if (answer?.status === 422) fail(`${id} was refused: ${JSON.stringify(said?.errors)}`);
  const by = answer?.status === 202 ? said.listening : null;
  if (by !== null) waiting.splice(0, events.length);
  if (by !== heardBy)
    console.log(
      by === null
        ? `Nobody answers at ${address}; what ${id} says waits.`
        : by === 0
          ? `No page listens: open the set-up of a test that takes ${id}.`
          : `${by === 1 ? 'A page listens' : `${by} pages listen`} to ${id}.`,
    );
  heardBy = by;
}

let over = false;
const sending = (async () => {
  while (!over || waiting.length > 0) {
    if (waiting.length > 0) await send();
    await new Promise((later) => setTimeout(later, heardBy === null ? 250 : 10));
  }
})();

let fromMs = Infinity;
const { silent } = manners[script];
const isSilent = () =>
  silent !== null && nowMs() >= fromMs + silent.fromS * 1000 && nowMs() < fromMs + silent.toS * 1000;
const alive = setInterval(() => isSilent() || say('alive'), 500);
if (kind === 'seat') say('down');
console.log(`${id}, switched on as ${boot}: ${script}, ${manners[script].what}.`);
if (more.in === undefined && process.stdin.isTTY) {
  const line = createInterface({ input: process.stdin, output: process.stdout });
  await line.question('They sit. Enter when the test says go. ');
  line.close();
} else await new Promise((later) => setTimeout(later, 1000 * whole('in', more.in ?? '3', 600)));

const { events, repsMs } = play(kind, manners[script], Number(seed), lastMs);
// They sit already.
const deeds = events.filter((e) => e.kind !== 'alive' && e.ms > 80);
fromMs = nowMs();
for (const { ms, kind: what } of deeds) {
  await new Promise((later) => setTimeout(later, fromMs + ms - nowMs()));
  say(what);
}
await new Promise((later) => setTimeout(later, Math.max(0, fromMs + lastMs - nowMs())));
console.log(`${id}: ${repsMs.length} ${kind === 'seat' ? 'stands' : 'steps'} in ${lastMs / 1000} s.`);
await new Promise((later) => setTimeout(later, 3000));
clearInterval(alive);
over = true;
// Switched off it forgets: what nobody took by then is lost, and that is said.
await Promise.race([sending, new Promise((later) => setTimeout(later, 5000))]);
if (waiting.length > 0) fail(`${waiting.length} words of ${id} were taken by nobody.`);
