import { fallDays } from '../intake/readiness';
import { lastDayOf } from '../intake/inForce';
import { dayNumber, dayOfNumber } from '../math/days';
import { lapseSoonDays, type RegisterLine } from './registerLine';
import type { StandRecords } from './personView';
import type { IsoDate } from '../shapes/facts';
import type { Entry, EntryContent, EntryKind, PersonRecord } from '../shapes/intake';
import type { RuleBook } from '../shapes/rules';

/** Days on which what is noted may begin to say something else, as numbers of days. */
type Turns = readonly number[];

/**
 * The first day after today on which a line of the register may say something else although nothing was written: a
 * birthday, a result that grows old, a pain to be asked about again, a due day, answers and surgery that lapse. It may
 * come too early, as then the line is only worked out once more; never too late.
 * @param record all that was noted, also of days still to come
 * @returns the day from which the line no longer holds
 */
export function holdsUntil(
  line: RegisterLine,
  { attempts, lastClassOn }: Pick<StandRecords, 'attempts' | 'lastClassOn'>,
  record: PersonRecord,
  rules: RuleBook,
  today: IsoDate,
): IsoDate {
  const now = dayNumber(today);
  let first = nextBirthday(line.birthDate, today);
  const turn = (days: Turns): void => {
    for (const day of days) if (day > now && day < first) first = day;
  };
  const limiterSpans = limiterDays(rules);
  const anchors = new Set(record.intakes.map((i) => dayNumber(i.notedOn)));
  for (const intake of record.intakes)
    for (const { since } of intake.limiters) if (since) anchors.add(dayNumber(lastDayOf(since)));
  for (const anchor of anchors) turn([anchor, ...after(anchor, limiterSpans)]);
  for (const entry of record.entries) {
    const on = dayNumber(entry.on);
    turn([on, ...turnsOf(entry, on, rules, limiterSpans)]);
  }
  const { oldAfterDays, halfYearAfterDays, untestedAfterDays } = rules.levels.house;
  const testSpans = [oldAfterDays, halfYearAfterDays, untestedAfterDays];
  for (const day of new Set(attempts.map((a) => dayNumber(a.sittingDate)))) turn([day, ...after(day, testSpans)]);
  if (line.dueOn !== null) turn([dayNumber(line.dueOn)]);
  if (lastClassOn !== null) turn([dayNumber(lastClassOn) + 7 * rules.levels.house.missedWeeks]);
  return dayOfNumber(first);
}

/** The day after each of some spans: what holds for 14 days says something else on the fifteenth. */
const after = (anchor: number, spans: Turns): Turns => spans.map((days) => anchor + days + 1);

/** How long limiters count, by every rule that asks it. */
function limiterDays({ readiness, levels }: RuleBook): Turns {
  const { surgeryDays, eyeSurgeryDays, newJointDays, oldJointDays, newBackPain } = readiness;
  const rows = levels.limiters.flatMap((row) => row.forDays ?? []);
  return [...new Set([surgeryDays, eyeSurgeryDays, newJointDays, oldJointDays, newBackPain.days, ...rows])];
}

function turnsOf(entry: Entry, on: number, rules: RuleBook, limiterSpans: Turns): Turns {
  const { lapsesAfterDays, painAgainAfterDays } = rules.readiness;
  /** The last day of something of which it is told beforehand that it ends. */
  const lapses = (until: number): Turns => [until - lapseSoonDays, until, until + 1];
  const { content } = entry;
  const ofKind: { readonly [K in EntryKind]: (content: Extract<EntryContent, { kind: K }>) => Turns } = {
    pain: ({ since }) => [
      ...after(on, [painAgainAfterDays, ...limiterSpans]),
      ...(since ? after(dayNumber(lastDayOf(since)), limiterSpans) : []),
    ],
    fall: ({ fellOn }) => after(dayNumber(fellOn), [fallDays]),
    // Six questions, and those in earlier words, hold for their day.
    screening: () => [on + 1, ...lapses(on + lapsesAfterDays)],
    'carried-over': () => lapses(on + lapsesAfterDays),
    clearance: ({ until }) => lapses(until === null ? on + lapsesAfterDays : dayNumber(until)),
    consent: () => [],
    'day-check': () => [on + 1],
    incident: () => after(on, [0, fallDays]),
    shown: () => after(on, [rules.levels.house.oldAfterDays]),
    noticed: () => [],
    swap: () => [],
    coaching: () => [],
    withdrawn: () => [],
  };
  return (ofKind[content.kind] as (content: EntryContent) => Turns)(content);
}

function nextBirthday(birthDate: IsoDate, today: IsoDate): number {
  // Whoever was born on 29 February turns a year older on 1 March in other years.
  const inYear = (year: number) => `${year}-${birthDate.slice(5)}`;
  const year = Number(today.slice(0, 4));
  const next = birthDate.slice(5) > today.slice(5) ? inYear(year) : inYear(year + 1);
  return next.endsWith('02-29') ? dayNumber(next.replace('02-29', '02-28')) + 1 : dayNumber(next);
}
