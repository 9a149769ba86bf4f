import type { Conditions } from '../../core/shapes/attempt';
import type { IsoDate, Readiness } from '../../core/shapes/facts';
import type { NormRow } from '../../core/shapes/norms';

/** What the station page needs of a person, once, when it opens. */
export interface StationPerson {
  readonly id: string;
  readonly name: string;
  readonly ageYears: number;
  readonly readiness: Readiness;
  readonly readinessWhy: string;
  readonly seatHeightCm: number | null;
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

/** Why nobody may start this person's test now, or `null`. */
export function heldBecause({ readiness, readinessWhy }: StationPerson): string | null {
  const why = readinessWhy === '' ? '' : ` ${readinessWhy}.`;
  if (readiness === 'not-today') return `Not today.${why} No test is started until it was looked at.`;
  if (readiness === 'ask-first') return `Ask first.${why} A licensed professional answers before this test.`;
  return null;
}
