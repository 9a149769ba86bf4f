import type { Conditions } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { PersonRecord } from '../../core/shapes/intake';
import type { NormRow } from '../../core/shapes/norms';

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
