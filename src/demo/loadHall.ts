import { questionIds } from '../core/shapes/intake';
import { saveGroup, withPeople } from '../use-cases/groups';
import type { Register } from '../use-cases/openRegister';
import { beDemo, changePlace } from '../use-cases/places';
import { keepPrinted, readReport } from '../use-cases/printedPages';
import { codesWaiting, confirmLevels } from '../use-cases/confirmLevels';
import { readPerson } from '../use-cases/readPeople';
import { enterSheet } from '../use-cases/enterSheet';
import { saveAttempt } from '../use-cases/saveAttempt';
import { noteToday } from '../use-cases/saveEntry';
import { addPerson, addWalkIn, changePerson, emptyPersonForm } from '../use-cases/savePerson';
import { seeded, trialEvents } from './events';
import { asSheetLine, coreTests, furtherTests } from './others';
import { groups, hall, people, type DemoPerson, type DemoTestDay } from './hall';
import { deskOf } from '../use-cases/desk';

const dayMs = 86_400_000;
export const daysBefore = (day: string, days: number): string =>
  new Date(Date.parse(day) - Math.round(days) * dayMs).toISOString().slice(0, 10);

/** Puts the made-up hall into an empty register, through the same doors as real data. */
export async function loadDemo(db: Register, today: string): Promise<void> {
  await beDemo(deskOf(db));
  must(await changePlace(deskOf(db), hall), 'the hall');
  const chance = seeded(20_260_302);
  const keyOf = () => Array.from({ length: 16 }, () => Math.floor(chance() * 16).toString(16)).join('');
  const groupIds: string[] = [];
  for (const group of groups) groupIds.push(await loadGroup(db, keyOf(), group, today));
  for (const person of people) {
    const id = await loadPerson(db, person, today, chance, keyOf);
    const groupId = person.group === undefined ? undefined : groupIds[person.group];
    if (groupId !== undefined) await withPeople(deskOf(db, today), [id], { kind: 'join', groupId });
  }
}

/** A group that comes so many days after the start day of the week. */
export async function loadGroup(
  db: Register,
  id: string,
  { time, daysOn }: { readonly time: string; readonly daysOn: number },
  today: string,
): Promise<string> {
  const day = (new Date(`${today}T12:00:00Z`).getUTCDay() + daysOn) % 7;
  must(
    await saveGroup(deskOf(db), id, { name: `${weekdays[day] ?? ''} ${time}`, weekday: day || 7, time }),
    `the group at ${time}`,
  );
  return id;
}

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

export async function loadPerson(
  db: Register,
  person: DemoPerson,
  today: string,
  chance: () => number,
  keyOf: () => string,
): Promise<string> {
  const { name, normTable, heightCm, massKg, more = {}, testDays } = person;
  if (person.walkIn) return loadWalkIn(db, person, today);
  const birthday = daysBefore(today, person.birthdayDaysAgo);
  const leapSafe = birthday.slice(5) === '02-29' ? '02-28' : birthday.slice(5);
  const birthDate = `${Number(birthday.slice(0, 4)) - person.age}-${leapSafe}`;
  const firstDay = daysBefore(today, 7 * (testDays[0]?.weeksAgo ?? 0));
  const who = { name, birthDate, normTable, heightCm, massKg };
  const atFirst = { ...emptyPersonForm, ...who, ...more, limiters: [], pains: painsOf(person), falls: [] };
  const saved = await addPerson(deskOf(db, today), atFirst, { notedOn: firstDay });
  if (saved.kind !== 'saved') throw new Error(`${name} was not taken: ${JSON.stringify(saved)}`);
  const { id } = saved;
  const note = async (content: object, day: string, what: string) => {
    must(await noteToday(deskOf(db, day), id, content, keyOf()), `${what} of ${name}`);
  };
  const usual = (yes: readonly string[]) => ({
    kind: 'screening',
    answers: Object.fromEntries(questionIds.map((q) => [q, yes.includes(q)])),
  });
  // Everything in the order of the days, so that each level was confirmed on what was known by then.
  const story: { day: string; happens: () => Promise<unknown> }[] = [];
  const at = (day: string, happens: () => Promise<unknown>) => story.push({ day, happens });
  const ask = (day: string, yes: readonly string[]) => at(day, () => note(usual(yes), day, 'the questions'));
  const daysAgo = 7 * (testDays[0]?.weeksAgo ?? 0);
  const { clearance, yes = ['active'] } = person;
  // What a professional answered once is said again each time.
  const usualYes = clearance ? yes : ['active'];
  ask(firstDay, usualYes);
  const renewed = person.askedAgainWeeksAgo !== null;
  if (renewed) for (let ago = daysAgo - 280; ago > 21; ago -= 280) ask(daysBefore(today, ago), usualYes);
  for (const fall of person.falls ?? []) {
    const fellOn = daysBefore(today, 7 * fall.weeksAgo);
    const told = { kind: 'fall', fellOn, hurt: fall.hurt, lookedAt: true, headStruck: false, unexplained: false };
    at(fellOn, () => note(told, fellOn, 'a fall'));
    ask(daysBefore(fellOn, -7), ['active']);
  }
  for (const testDay of testDays)
    at(daysBefore(today, 7 * testDay.weeksAgo), () => loadTestDay(db, id, testDay, today, chance));
  if (person.handedOutWeeksAgo !== undefined) {
    const day = daysBefore(today, 7 * person.handedOutWeeksAgo);
    at(day, () => handOut(db, id, day));
  }
  if (clearance) {
    const day = daysBefore(today, 7 * clearance.weeksAgo);
    const { by, answer, limits, untilInDays } = clearance;
    const until = untilInDays === null ? null : daysBefore(today, -untilInDays);
    ask(day, yes);
    at(day, () => note({ kind: 'clearance', by, answer, limits, until }, day, 'the answer'));
  }
  if (renewed && testDays.length > 0) {
    const asked = daysBefore(today, person.pains?.[0]?.[3] ?? 21);
    const form = { ...atFirst, limiters: limitersOf(more['limiters'], today) };
    at(asked, async () => must(await changePerson(deskOf(db, asked), id, form), `the intake of ${name}`));
    ask(daysBefore(today, 21), yes);
  }
  story.sort((a, b) => a.day.localeCompare(b.day));
  for (const { happens } of story) await happens();
  if (person.signsToday)
    await note(
      { kind: 'day-check', signs: person.signsToday, pulse: null, pressures: [], skippedBecause: null },
      today,
      'the check',
    );
  return id;
}

async function loadWalkIn(db: Register, { name, age, normTable }: DemoPerson, today: string): Promise<string> {
  const six = { symptoms: false, disease: false, active: true, operation: false, falls: 'none', pains: [] };
  const saved = await addWalkIn(deskOf(db, today), { name, ageYears: age, normTable, ...six });
  if (saved.kind !== 'saved') throw new Error(`${name} was not taken: ${JSON.stringify(saved)}`);
  return saved.id;
}

/** Both pages, as they were printed on the day. */
async function handOut(db: Register, id: string, day: string): Promise<void> {
  const view = await readPerson(deskOf(db, day), id);
  if (!view) throw new Error(`Nobody to hand a page to: ${id}`);
  for (const reader of ['person', 'clinician'] as const) {
    const { fingerprint } = await readReport(deskOf(db, day), view, { reader, percent: false });
    must(
      await keepPrinted(deskOf(db, day, new Date(`${day}T11:00:00Z`)), id, { reader, percent: false, fingerprint }),
      'a page',
    );
  }
}

const painsOf = ({ pains = [] }: DemoPerson) =>
  pains.map(([joint, side, level]) => ({ joint, side, level, since: null, asked: true }));

function limitersOf(limiters: unknown, today: string): object[] {
  return (Array.isArray(limiters) ? (limiters as { sinceWeeksAgo?: number }[]) : []).map(
    ({ sinceWeeksAgo, ...limiter }) =>
      sinceWeeksAgo === undefined ? limiter : { ...limiter, since: daysBefore(today, 7 * sinceWeeksAgo) },
  );
}

async function loadTestDay(
  db: Register,
  personId: string,
  testDay: DemoTestDay,
  today: string,
  chance: () => number,
): Promise<void> {
  const day = daysBefore(today, 7 * testDay.weeksAgo);
  const key = Array.from({ length: 16 }, () => Math.floor(chance() * 16).toString(16)).join('');
  const seatHeightCm = testDay.seatHeightCm ?? 43;
  if (testDay.fromPaper) {
    const stands = { test: 'chair-stand-30s', tries: [testDay.stands] };
    must(
      await enterSheet(deskOf(db, today), sheet(day, seatHeightCm, [asSheetLine(stands, personId, key)])),
      `paper of ${day}`,
    );
  } else {
    const startWallMs = Date.parse(`${day}T09:40:00Z`) + Math.floor(chance() * 3_600_000);
    const body = {
      personId,
      test: 'chair-stand-30s',
      protocolVersion: 1,
      sittingDate: day,
      side: null,
      conditions: { seatHeightCm, aid: 'none', shoes: 'flat' },
      events: trialEvents(testDay, startWallMs, chance),
    };
    must(await saveAttempt(deskOf(db, today), key, body), `a testDay of ${day}`);
  }
  if (testDay.ends === undefined) {
    const others = [
      ...coreTests(testDay.stands, chance),
      ...(Math.round(testDay.weeksAgo) % 3 === 0
        ? furtherTests(testDay.stands, chance, Math.floor(chance() * 15))
        : []),
    ].filter((line) => !testDay.without?.includes(line.test));
    const lines = others.map((line, i) => asSheetLine(line, personId, `${key}-${i}`));
    must(await enterSheet(deskOf(db, today), sheet(day, seatHeightCm, lines)), `the other tests of ${day}`);
  }
  if (!testDay.confirmed) return;
  const seen = await codesWaiting(deskOf(db, day), personId);
  if (seen.length > 0) must(await confirmLevels(deskOf(db, day), personId, seen), `the levels of ${day}`);
}

const sheet = (testedOn: string, seatHeightCm: number, lines: readonly object[]) => ({
  testedOn,
  who: 'Bo, assistant',
  seatHeightCm,
  shoes: 'flat',
  lines,
});

export function must(answer: { kind: string }, what: string): void {
  if (['rejected', 'conflict', 'other-attempt', 'changed', 'double'].includes(answer.kind))
    throw new Error(`The demo hall could not be loaded, ${what}: ${JSON.stringify(answer)}`);
}
