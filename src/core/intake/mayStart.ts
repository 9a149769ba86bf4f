import type { IsoDate, Readiness } from '../shapes/facts';
import type { Entry, PersonRecord } from '../shapes/intake';
import type { LimiterRow } from '../shapes/ladder';
import type { Cupboard } from '../shapes/person';
import type { Protocol } from '../shapes/protocol';
import { missingFor } from './cupboard';
import { limitersInForce } from './inForce';
import type { DayRules } from '../shapes/rules';
import { knownOn, type Known } from './known';

/** Why somebody may not start, and what to do. */
export interface Held {
  readonly what: string;
  readonly nextStep: string;
}

export interface MayStart {
  /** `false` while something holds them back, or nobody checked them today. */
  readonly may: boolean;
  readonly held: Held | null;
  /** The limiters that hold them, and nothing else: an instructor may have it done all the same, and says so. */
  readonly closedBy: readonly string[];
  /** What is known of them by then. */
  readonly known: Known;
}

/**
 * Whether a test of somebody may begin: the one answer for tiles, station, room check and the turn of the day. What the
 * hall lacks is no reason here: whoever stands at the chair sees better what there is than the list of the cupboard.
 * @param noted what was noted here and may not be in the record yet
 * @param onHold somebody in the hall needs help
 * @returns undefined where nothing was ever noted of them
 */
export function mayStart(
  person: { readonly id: string; readonly record: PersonRecord },
  protocol: Protocol,
  day: IsoDate,
  noted: readonly Entry[],
  rules: DayRules,
  onHold = false,
): MayStart | undefined {
  const known = knownWith(person, day, noted, rules);
  if (!known) return undefined;
  const held = heldFor(known, protocol, rules, day, onHold);
  const byReadiness = heldByReadiness(known.readiness.outcome, protocol).length > 0;
  const waits = byReadiness || (onHold && !isSeated(protocol));
  const closedBy = waits ? [] : closedToThem(known, protocol, rules.levels.limiters, day);
  return { may: held === null && known.dayCheck !== null, held, closedBy, known };
}

/**
 * What is known of somebody on a day, with what was noted here and may not be in the record yet.
 * @returns undefined where nothing was ever noted of them
 */
export function knownWith(
  person: { readonly id: string; readonly record: PersonRecord },
  day: IsoDate,
  noted: readonly Entry[],
  rules: DayRules,
): Known | undefined {
  const arrived = new Set(person.record.entries.map((e) => e.id));
  const fresh = noted.filter((e) => e.personId === person.id && !arrived.has(e.id));
  return knownOn({ ...person.record, entries: [...person.record.entries, ...fresh] }, day, rules.readiness);
}

/** What holds somebody back from a test, of whom it is known what is known; `null` where nothing does. */
export function heldFor(known: Known, protocol: Protocol, rules: DayRules, day: IsoDate, onHold: boolean): Held | null {
  if (heldByReadiness(known.readiness.outcome, protocol).length > 0) return askedHeld(known);
  if (onHold && !isSeated(protocol)) return holdHeld;
  return closedHeld(heldByLimiters(known, protocol, rules.levels.limiters, day));
}

/** Done in a chair from its first moment to its last. */
export const isSeated = ({ seatedArms, station }: Pick<Protocol, 'seatedArms' | 'station'>): boolean =>
  seatedArms === true || station.group === 0;

const holdHeld: Held = {
  what: 'Hold: somebody in the hall needs help',
  nextStep: 'Only what is seated until the instructor lets go, on the board of the day.',
};

function askedHeld({ readiness: { outcome, asked, reasons } }: Known): Held {
  const [first] = reasons;
  const toAsk = outcome === 'ask-first' && asked !== 'current';
  const word = outcome === 'not-today' ? 'Not today' : toAsk ? 'Not asked yet' : 'Ask first';
  return { what: first ? `${word}: ${first.text}` : word, nextStep: first?.nextStep ?? '' };
}

const closedHeld = (closedBy: readonly string[]): Held | null =>
  closedBy.length === 0
    ? null
    : {
        what: `Not this test: ${closedBy.join(', ')}`,
        nextStep: 'Take another test, or put the intake right if this is no longer so.',
      };

export interface TestOpen {
  readonly protocol: Protocol;
  /** Why it is not for this person today, or not in this hall; empty where it may start. */
  readonly closedBy: readonly string[];
}

/** Every test with what closes it today: readiness, a limiter, or what the hall lacks. */
export function testsOpen(
  protocols: readonly Protocol[],
  known: Known,
  rows: readonly LimiterRow[],
  cupboard: Cupboard,
  day: IsoDate,
): TestOpen[] {
  return protocols.map((protocol) => {
    const held = heldByReadiness(known.readiness.outcome, protocol);
    const notHere = missingFor(protocol, cupboard).map((thing) => `not in this hall: ${thing}`);
    return { protocol, closedBy: [...held, ...heldByLimiters(known, protocol, rows, day), ...notHere] };
  });
}

/** The limiters that close a test to this person, each once; one not asked about yet counts as there. */
export function heldByLimiters(
  known: Pick<Known, 'limiters'>,
  protocol: Protocol,
  rows: readonly LimiterRow[],
  day: IsoDate,
): string[] {
  const closing = limitersInForce(rows, known.limiters, day)
    .filter(({ row }) => row.closesTests.includes(protocol.id))
    .map(({ row, limiter }) => (limiter.unasked ? `${row.title}: not asked yet` : row.title));
  return [...new Set(closing)];
}

/** The limiters that are known to close a test to this person; none while one of them was not asked about yet. */
export function closedToThem(
  known: Pick<Known, 'limiters'>,
  protocol: Protocol,
  rows: readonly LimiterRow[],
  day: IsoDate,
): string[] {
  const asked = heldByLimiters({ limiters: known.limiters.filter((l) => !l.unasked) }, protocol, rows, day);
  return asked.length === heldByLimiters(known, protocol, rows, day).length ? asked : [];
}

/** *Not today* closes every test; *ask first* leaves seated arm work. */
export function heldByReadiness(outcome: Readiness, protocol: Protocol): string[] {
  if (outcome === 'not-today') return ['not today'];
  return outcome === 'ask-first' && !protocol.seatedArms ? ['a question is open: ask first'] : [];
}
