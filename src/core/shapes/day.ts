import type { Station } from './protocol';

/** A test as a day sees it. */
export interface DayTest extends Omit<Station, 'spotter' | 'betweenTriesS' | 'againAfterS'> {
  readonly id: string;
}

export interface DayPerson {
  readonly id: string;
  /** What they are to do today, in any order. */
  readonly tests: readonly string[];
  /** Must be watched alone: counts as all lanes of whoever watches. */
  readonly alone: boolean;
  readonly over85: boolean;
}

/** Whoever stands at a station; the stations of a day are people, not places. */
export interface DayStaff {
  readonly id: string;
  readonly may: readonly Station['staff'][];
}

/** Which tests a day has, by the time there is. */
export interface DaySets {
  /** Where all of them end in time. */
  readonly full: readonly string[];
  /** Else these today, and the rest on the next class day. */
  readonly first: readonly string[];
  /** The check, the warm-up and the closing. */
  readonly besidesS: number;
  readonly mostS: number;
  /** Tests that tire the legs, a person a day; fewer for who is ready with care or over 85. */
  readonly mostLegs: number;
  readonly mostLegsWithCare: number;
}
