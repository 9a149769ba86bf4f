import { knownOn, type Known } from '../../core/intake/known';
import type { Conditions } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { Entry, PersonRecord } from '../../core/shapes/intake';
import type { NormRow } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { heldByLimiters, heldByReadiness } from '../../core/intake/testsOpen';
import { limiterRows } from '../../catalogue/limiters/limiters';
import { readinessRules } from '../../catalogue/readiness/readiness';

/** What the station page needs of a person, once, when it opens. */
export interface StationPerson {
  readonly id: string;
  readonly name: string;
  readonly ageYears: number;
  /** All that was noted, so that readiness is worked out here as the check of the day is made. */
  readonly record: PersonRecord;
  readonly cautions: readonly string[];
  /** The row gone by, for the pace of its median; `null` where no row covers the age. */
  readonly row: NormRow | null;
  readonly lastTestedOn: IsoDate | null;
  readonly due: boolean;
}

/** A test that is set up and not yet begun. */
export interface SetUp {
  readonly person: StationPerson;
  readonly conditions: Conditions;
}

/** What is known of somebody at this station now, with what was noted here since the page opened. */
export function knownHere(person: StationPerson, noted: readonly Entry[], today: IsoDate): Known {
  // What was noted here and has arrived is in the record by now.
  const arrived = new Set(person.record.entries.map((e) => e.id));
  const entries = [...person.record.entries, ...noted.filter((e) => e.personId === person.id && !arrived.has(e.id))];
  const known = knownOn({ ...person.record, entries }, today, readinessRules);
  if (!known) throw new RangeError(`knownHere: nothing is noted of ${person.id}`);
  return known;
}

/**
 * Why nobody may start this test of this person now, and what to do; or `null`. Something the hall lacks is no reason
 * here: whoever stands at the chair sees better what there is than the list of the cupboard.
 */
export function heldBecause(
  known: Known,
  protocol: Protocol,
): { readonly what: string; readonly nextStep: string } | null {
  const { outcome, asked, reasons } = known.readiness;
  if (heldByReadiness(outcome, protocol).length > 0) {
    const first = reasons[0];
    const toAsk = outcome === 'ask-first' && asked !== 'current';
    const word = outcome === 'not-today' ? 'Not today' : toAsk ? 'Questions to put' : 'Ask first';
    return { what: first ? `${word}: ${first.text}` : word, nextStep: first?.nextStep ?? '' };
  }
  const limiters = heldByLimiters(known, protocol, limiterRows);
  if (limiters.length === 0) return null;
  return {
    what: `Not this test: ${limiters.join(', ')}`,
    nextStep: 'Take another test, or put the intake right if this is no longer so.',
  };
}
