import { addDays, daysBetween } from '../math/days';
import type { IsoDate, Limiter } from '../shapes/facts';
import type { Entry, EntryOf, Intake, NotedIntake, PersonRecord } from '../shapes/intake';
import type { ReadinessAnswer, ReadinessRules } from '../shapes/readiness';
import { entriesUntil, momentOf, ofKind } from './entries';
import { painLimiters, painsOn, type PainNow } from './pains';
import { fallsIn12Months, readinessOn } from './readiness';

/** What was known of somebody at the end of a day, and what follows from it for that day. */
export interface Known {
  readonly intake: Intake;
  readonly pains: readonly PainNow[];
  /** In force on the day, pains and what was not asked yet included. */
  readonly limiters: readonly Limiter[];
  /** Surgery that lapsed by the calendar: it closes nothing more, and tests from before it stay void. */
  readonly healed: readonly Limiter[];
  /** Of the last twelve months, oldest first. */
  readonly falls: readonly EntryOf<'fall'>[];
  readonly readiness: ReadinessAnswer;
  /** The check of this day; `null` while it was not made. */
  readonly dayCheck: EntryOf<'day-check'> | null;
  /** Known on the day and not taken back, oldest first. */
  readonly entries: readonly Entry[];
}

/**
 * Reads the record as it stood at the end of a day.
 * @returns undefined before the first intake
 */
export function knownOn(record: PersonRecord, day: IsoDate, rules: ReadinessRules): Known | undefined {
  const newest = record.intakes.findLast((i) => i.notedOn <= day);
  if (!newest) return undefined;
  const { savedAt, ...intake } = newest;
  const since = notedSince(record.intakes, day);
  const entries = entriesUntil(record.entries, day);
  const pains = painsOn(entries, day, rules);
  // Without a day it is taken to be of the day it was first noted, and heals from there.
  const dated = intake.limiters.map((l) =>
    l.kind === 'recent-surgery' ? { ...l, since: l.since ?? since(l).slice(0, 10) } : l,
  );
  const healed = dated.filter((l) => l.kind === 'recent-surgery' && !surgeryCounts(l, day, rules));
  const limiters = [
    ...painLimiters(pains),
    ...dated.filter((l) => !healed.includes(l)),
    ...(intake.bloodThinners ? [{ kind: 'blood-thinner' } as const] : []),
    ...unasked(intake, rules),
  ];
  return {
    intake,
    pains,
    limiters,
    healed,
    falls: fallsIn12Months(entries, day),
    readiness: readinessOn(intake, entries, limiters, since, day, rules),
    dayCheck: ofKind(entries, 'day-check').findLast((c) => c.on === day) ?? null,
    entries,
  };
}

/** The moment a limiter was first noted, in the unbroken run of intakes up to this day: later answers speak of it. */
function notedSince(intakes: readonly NotedIntake[], day: IsoDate): (limiter: Limiter) => string {
  const known = intakes.filter((i) => i.notedOn <= day);
  return (limiter) => {
    const without = known.findLastIndex(
      (i) => !i.limiters.some((l) => l.kind === limiter.kind && (l.side ?? null) === (limiter.side ?? null)),
    );
    const first = known[without + 1];
    return first ? momentOf({ on: first.notedOn, savedAt: first.savedAt }) : day;
  };
}

/** Surgery heals by the calendar. */
function surgeryCounts({ since, ofTheEye }: Limiter, day: IsoDate, rules: ReadinessRules): boolean {
  return daysBetween(since ?? day, day) <= (ofTheEye ? rules.eyeSurgeryDays : rules.surgeryDays);
}

/** What was not asked is read as present, until it is. */
function unasked(intake: Intake, rules: ReadinessRules): Limiter[] {
  const noted = new Set(intake.limiters.map((l) => l.kind));
  return intake.toComplete
    .flatMap((section) => rules.told[section] ?? [])
    .filter((kind) => !noted.has(kind))
    .map((kind) => ({ kind, unasked: true }));
}

/** Pains to ask about again, longest ago first. */
export function painsToAsk({ pains }: Known): PainNow[] {
  return pains.filter((p) => p.stale).sort((a, b) => a.askedOn.localeCompare(b.askedOn));
}

/** Days until the questions lapse; `null` where they do not hold. */
export function daysLeft({ readiness }: Known, day: IsoDate): number | null {
  return readiness.asked === 'current' && readiness.until !== null
    ? daysBetween(day, addDays(readiness.until, 1))
    : null;
}
