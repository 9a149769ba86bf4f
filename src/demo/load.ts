import { existsSync, rmSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { addPerson, changePerson, emptyPersonForm } from '../use-cases/addPerson';
import { isDemo, openRegister, type Register } from '../use-cases/openRegister';
import { beDemo, changePlace } from '../use-cases/places';
import { confirmLevel } from '../use-cases/readPeople';
import { enterPaperResult, saveAttempt } from '../use-cases/saveAttempt';
import { today } from '../use-cases/today';
import { seeded, trialEvents } from './events';
import { hall, people, type DemoPerson, type DemoSitting } from './hall';

const dayMs = 86_400_000;
const daysBefore = (day: string, days: number): string =>
  new Date(Date.parse(day) - Math.round(days) * dayMs).toISOString().slice(0, 10);

/** Puts the made-up hall into an empty register, through the same doors as real data. */
export async function loadDemo(db: Register, today: string): Promise<void> {
  await beDemo(db);
  must(await changePlace(db, hall), 'the hall');
  const chance = seeded(20_260_302);
  for (const person of people) await loadPerson(db, person, today, chance);
}

async function loadPerson(db: Register, person: DemoPerson, today: string, chance: () => number): Promise<void> {
  const { name, normTable, heightCm, massKg, more, sittings } = person;
  const birthday = daysBefore(today, person.birthdayDaysAgo);
  const leapSafe = birthday.slice(5) === '02-29' ? '02-28' : birthday.slice(5);
  const birthDate = `${Number(birthday.slice(0, 4)) - person.age}-${leapSafe}`;
  const firstDay = daysBefore(today, 7 * (sittings[0]?.weeksAgo ?? 0));
  const form = { ...emptyPersonForm, name, birthDate, normTable, heightCm, massKg, ...more };
  // What holds somebody back today was not known at the first sitting.
  const atFirst = { ...form, readiness: 'ready', readinessWhy: '' };
  const saved = await addPerson(db, atFirst, today, { notedOn: firstDay });
  if (saved.kind !== 'saved') throw new Error(`${name} was not taken: ${JSON.stringify(saved)}`);
  for (const sitting of sittings) await loadSitting(db, saved.id, sitting, today, chance);
  if (form.readiness !== 'ready') must(await changePerson(db, saved.id, form, today), `what is known of ${name} today`);
}

async function loadSitting(
  db: Register,
  personId: string,
  sitting: DemoSitting,
  today: string,
  chance: () => number,
): Promise<void> {
  const day = daysBefore(today, 7 * sitting.weeksAgo);
  const key = Array.from({ length: 16 }, () => Math.floor(chance() * 16).toString(16)).join('');
  const seatHeightCm = sitting.seatHeightCm ?? 43;
  if (sitting.fromPaper) {
    const paper = { testedOn: day, stands: sitting.stands, handsUsed: false, cleanBeforeHands: null, seatHeightCm };
    must(await enterPaperResult(db, personId, paper, today, key), `a paper result of ${day}`);
  } else {
    const startWallMs = Date.parse(`${day}T09:40:00Z`) + Math.floor(chance() * 3_600_000);
    const body = {
      personId,
      test: 'chair-stand-30s',
      protocolVersion: 1,
      sittingDate: day,
      side: null,
      conditions: { seatHeightCm, aid: 'none', shoes: 'flat' },
      events: trialEvents(sitting, startWallMs, chance),
    };
    must(await saveAttempt(db, key, body, today), `a sitting of ${day}`);
  }
  if (sitting.confirmed) await confirmLevel(db, personId, day);
}

function must(answer: { kind: string }, what: string): void {
  if (answer.kind === 'rejected')
    throw new Error(`The demo hall could not be loaded, ${what}: ${JSON.stringify(answer)}`);
}

async function main(file: string, fresh: boolean): Promise<void> {
  if (existsSync(file)) {
    if (!fresh) throw new Error(`${file} is there already.`);
    const old = await openRegister(file);
    const demo = await isDemo(old);
    await old.destroy();
    if (!demo)
      throw new Error(
        `${file} is not a demo register, so it is not thrown away. Name another file with READY_STOOL_DB.`,
      );
    for (const part of ['', '-wal', '-shm']) rmSync(`${file}${part}`, { force: true });
  }
  const db = await openRegister(file);
  await loadDemo(db, today());
  await db.destroy();
}

const [, script, file, flag] = process.argv;
if (script !== undefined && file !== undefined && import.meta.url === pathToFileURL(script).href)
  main(file, flag === '--fresh').catch((error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  });
