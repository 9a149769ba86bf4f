// The register on a new day, with people who were tested: tsx bench/newDay.ts FILE. Without a server, on the use cases.
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { sql } from 'kysely';
import { addDays } from '../src/core/math/days';
import { deskOf, type Desk } from '../src/use-cases/desk';
import { allLines, askRegister, wholeRegister } from '../src/use-cases/everybody';
import { erasePerson } from '../src/use-cases/groups';
import { keepPrinted, pagesMoved, readReport } from '../src/use-cases/printedPages';
import { readPerson } from '../src/use-cases/readPeople';
import { openRegister } from '../src/use-cases/openRegister';
import { changePlace, usualPlace } from '../src/use-cases/places';
import { noteToday } from '../src/use-cases/saveEntry';
import { addWalkIn } from '../src/use-cases/savePerson';
import { listStation } from '../src/use-cases/station';
import { median } from './median';

const day = '2026-03-02';
const db = await openRegister(process.argv[2] ?? '');
const on = (days: number): Desk => deskOf(db, addDays(day, days));
const ask = (desk: Desk) => askRegister(desk, wholeRegister);
const pause = () => new Promise((later) => setTimeout(later, 5));

async function timed(deed: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await deed();
  return performance.now() - start;
}
async function often(deed: () => Promise<unknown>, times = 15): Promise<number> {
  const all: number[] = [];
  for (let n = 0; n < times; n++) all.push(await timed(deed));
  return median(all);
}
/** Until everybody’s line is of the day; how long it took, and the longest time nobody else was answered. */
async function readAll(desk: Desk): Promise<{ readonly tookMs: number; readonly stallMs: number }> {
  const loop = monitorEventLoopDelay({ resolution: 1 });
  loop.enable();
  const tookMs = await timed(async () => {
    while ((await allLines(desk)).behind > 0) await pause();
  });
  loop.disable();
  return { tookMs, stallMs: loop.max / 1e6 };
}
const says = (what: string, over: number, under: number) =>
  console.log(`${what}: ${(over / under).toFixed(2)} (${over.toFixed(1)} and ${under.toFixed(1)} ms)`);

const started = await timed(() => ask(on(0)));
const filled = await readAll(on(0));
const people = (await ask(on(0))).everybody;
const later = await often(() => ask(on(0)));
says(`${people} tested people: first question after a start over a later one`, started, later);
console.log(
  `all lines read ${(filled.tookMs / 1000).toFixed(1)} s after it; longest stall ${filled.stallMs.toFixed(0)} ms`,
);

const firsts: number[] = [];
const mornings: { tookMs: number; stallMs: number }[] = [];
const behind: number[] = [];
for (let n = 1; n <= 7; n++) {
  firsts.push(await timed(() => ask(on(n))));
  behind.push((await allLines(on(n))).behind);
  mornings.push(await readAll(on(n)));
}
says('first question of a new day over a later one', median(firsts), later);
console.log(
  `lines that turned in a night: ${behind.join(', ')}; worked out within ${Math.max(...mornings.map((m) => m.tookMs)).toFixed(0)} ms, longest stall ${Math.max(...mornings.map((m) => m.stallMs)).toFixed(0)} ms`,
);

const well = { symptoms: false, disease: false, active: true, operation: false, falls: 'none' as const, pains: [] };
let walked = 0;
const walkIn = () => addWalkIn(on(7), { name: `Walker Number${walked++}`, ageYears: 77, normTable: 'female', ...well });
const listAfter = async (write: () => Promise<unknown>) => {
  await write();
  return timed(() => ask(on(7)));
};
const plain = median([await timed(walkIn), await timed(walkIn), await timed(walkIn)]);
await changePlace(on(7), { ...usualPlace, emergencyNumber: '112', name: 'Another cupboard' });
void ask(on(7));
says('a walk-in right after a change of the cupboard over one without', await timed(walkIn), plain);
const changed = await readAll(on(7));
console.log(
  `everybody judged anew in ${(changed.tookMs / 1000).toFixed(1)} s, longest stall ${changed.stallMs.toFixed(0)} ms`,
);

const ids = (await allLines(on(7))).lines.map((l) => l.id);
const check = { kind: 'day-check', signs: [], pulse: null, pressures: [], skippedBecause: null };
let noted = 0;
const writes: number[] = [];
for (let n = 0; n < 9; n++)
  writes.push(await listAfter(() => noteToday(on(7), ids[n] ?? '', check, `bench-note-${noted++}`)));
says('the list right after a write over one without', median(writes), later);
says('a station of 60 over the list', await often(() => listStation(on(7), []), 7), later);
const { lines } = await ask(on(7));
const erased: number[] = [];
for (const { id, name } of lines.slice(0, 5)) erased.push(await timed(() => erasePerson(on(7), id, name)));
says('erasing somebody over the list', median(erased), later);

// The norm page with five thousand pages that were handed out by other figures, over one with as few as are looked through.
const reader = await readPerson(on(7), lines[9]?.id ?? '');
if (!reader) throw new Error('nobody to print for');
const asked = { reader: 'person', percent: false } as const;
const { fingerprint } = await readReport(on(7), reader, asked);
await keepPrinted(on(7), reader.person.id, { ...asked, fingerprint });
const copyPages = (pages: number) =>
  sql`INSERT INTO printed_page (id, person_id, printed_at, norms_version, rules_version, fingerprint, content_json)
    WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${pages})
    SELECT hex(randomblob(16)), person_id, printed_at, 'of before', rules_version, hex(randomblob(16)), content_json
    FROM n JOIN (SELECT * FROM printed_page LIMIT 1)`.execute(db);
await copyPages(100);
const normPage = () => often(() => pagesMoved(on(7), 'chair-stand-30s'), 7);
const hundred = await normPage();
await copyPages(4900);
says('the norm page with 5,000 pages handed out over one with 100', await normPage(), hundred);
await db.destroy();
