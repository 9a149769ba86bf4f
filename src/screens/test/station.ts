import type { Conditions } from '../../core/shapes/attempt';
import type { IsoDate, Side } from '../../core/shapes/facts';
import type { PersonRecord } from '../../core/shapes/intake';
import type { NormTable } from '../../core/shapes/norms';

/** What the station page needs of a person, once, when it opens. */
export interface StationPerson {
  readonly id: string;
  readonly name: string;
  readonly normTable: NormTable;
  readonly ageYears: number;
  /** All that was noted, so that readiness is worked out here as the check of the day is made. */
  readonly record: PersonRecord;
  readonly cautions: readonly string[];
  /** The newest chair stand took the hands. */
  readonly handsLast: boolean;
  /** Which side is sore or weaker, and where the spotter stands. */
  readonly sides: readonly string[];
  readonly lastTestedOn: IsoDate | null;
  readonly due: boolean;
}

/** What stays at a station from one person to the next; `null` while nobody was tested here. */
export interface AtStation {
  readonly seatCm: number | null;
  readonly shoes: NonNullable<Conditions['shoes']> | null;
  /** Whether the people here have warmed up. */
  readonly warmUp: boolean | null;
}

/** Somebody who is set up and has not yet begun. */
export interface SetUp {
  readonly person: StationPerson;
  readonly conditions: Conditions;
  /** Of a test of one side, which. */
  readonly side: Side | null;
  /** Why they are better watched alone, where the instructor tests them beside others all the same. */
  readonly although: string | null;
  readonly device: string | null;
  /** Who watches them, where that is not the instructor. */
  readonly watchedBy: string | null;
}
