import { addDays, daysBetween } from '../math/days';
import type { IsoDate, Limiter } from '../shapes/facts';
import type { Entry, EntryOf, Intake, PersonRecord } from '../shapes/intake';
import type { ReadinessAnswer, ReadinessRules } from '../shapes/readiness';
import { entriesUntil, ofKind } from './entries';
import { painLimiters, painsOn, type PainNow } from './pains';
import { fallsIn12Months, readinessOn } from './readiness';

/** What was known of somebody at the end of a day, and what follows from it for that day. */
export interface Known {
  readonly intake: Intake;
  readonly pains: readonly PainNow[];
  /** In force on the day, pains and what was not asked yet included. */
  readonly limiters: readonly Limiter[];
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
  const intake = record.intakes.findLast((i) => i.notedOn <= day);
  if (!intake) return undefined;
  const entries = entriesUntil(record.entries, day);
  const pains = painsOn(entries, day, rules);
  const limiters = [
    ...painLimiters(pains),
    ...intake.limiters.filter((l) => l.kind !== 'recent-surgery' || surgeryCounts(l, intake, day, rules)),
    ...unasked(intake, rules),
  ];
  return {
    intake,
    pains,
    limiters,
    falls: fallsIn12Months(entries, day),
    readiness: readinessOn(intake, entries, limiters, notedSince(record.intakes, day), day, rules),
    dayCheck: ofKind(entries, 'day-check').findLast((c) => c.on === day) ?? null,
    entries,
  };
}

/** The day a limiter was first noted, in the unbroken run of intakes up to this day: later answers speak of it. */
function notedSince(intakes: readonly Intake[], day: IsoDate): (limiter: Limiter) => IsoDate {
  const known = intakes.filter((i) => i.notedOn <= day);
  return (limiter) => {
    const without = known.findLastIndex(
      (i) => !i.limiters.some((l) => l.kind === limiter.kind && (l.side ?? null) === (limiter.side ?? null)),
    );
    return known[without + 1]?.notedOn ?? day;
  };
}

/** Surgery heals by the calendar; without a date it is taken to be of the day it was noted. */
function surgeryCounts(limiter: Limiter, intake: Intake, day: IsoDate, rules: ReadinessRules): boolean {
  const days = limiter.ofTheEye ? rules.eyeSurgeryDays : rules.surgeryDays;
  return daysBetween(limiter.since ?? intake.notedOn, day) <= days;
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
