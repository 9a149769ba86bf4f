import type { Conditions, StopReason } from './attempt';
import type { IsoDate } from './facts';
import type { PersonId } from './person';
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
  /** What they did today, or are at, and when each ended or ends, in seconds from now. */
  readonly before?: readonly { readonly test: string; readonly endS: number }[];
  /** So many others are called first: they were called and it was not the moment. */
  readonly behind?: number;
  /** Came without being planned: called when nobody else is left. */
  readonly atTheEnd?: boolean;
  /** Those who like to be called one after the other with them. */
  readonly friends?: readonly string[];
}

/** Whoever stands at a station; the stations of a day are people, not places. */
export interface DayStaff {
  readonly id: string;
  readonly may: readonly Station['staff'][];
  /** Busy so many seconds from now. */
  readonly busyS?: number;
}

/** Something that is left out when time runs out; what stands first goes first. */
export interface DayDrop {
  readonly id: string;
  readonly words: string;
  /** What only the next decision of nobody asks for, a test for everybody, or a try of it, which takes that share less. */
  readonly does:
    | { readonly kind: 'further' }
    | { readonly kind: 'test'; readonly test: string }
    | { readonly kind: 'try'; readonly test: string; readonly share: number; readonly say: string };
}

/** Which tests a day has, by the time there is. */
export interface DaySets {
  /** Where all of them end in time. */
  readonly full: readonly string[];
  /** Else these today, and the rest on the next class day. */
  readonly first: readonly string[];
  /** Of who walks in. */
  readonly walkIn: readonly string[];
  /** So many walk in within an hour besides those planned. */
  readonly mostWalkIns: number;
  /** Three parts of one battery, in its own order; what it shares with the others is taken once. */
  readonly battery: readonly string[];
  /** The check, the warm-up and the closing. */
  readonly besidesS: number;
  readonly closingS: number;
  readonly mostS: number;
  /** Tests that tire the legs, a person a day; fewer for who is ready with care or over 85. */
  readonly mostLegs: number;
  readonly mostLegsWithCare: number;
  /** Seated so long without being called: then there is something to do. */
  readonly seatedTooLongS: number;
  readonly meanwhile: readonly string[];
  readonly drops: readonly DayDrop[];
}

/** Who leads; the others are helpers by their id. */
export const instructor = 'instructor';

/** How everybody is tested today, or one person where it differs. */
export interface DayConditions extends Pick<Conditions, 'shoes' | 'warmUp' | 'floor' | 'assessor'> {
  readonly seatCm?: number;
  /** So many pads lie on the chair; the height is with them. */
  readonly pads?: number;
}

/** What happens on a testing day, besides the tests themselves: noted once, in the order it came, never changed. */
export type DayEvent =
  | {
      readonly kind: 'plan';
      readonly tests: readonly string[];
      readonly staff: readonly string[];
      readonly minutes: number;
    }
  | { readonly kind: 'conditions'; readonly personId?: PersonId; readonly put: DayConditions }
  | {
      readonly kind: 'call';
      readonly staff: string;
      readonly people: readonly PersonId[];
      readonly tests: readonly string[];
    }
  /** Called, and it is not the moment: two places back, at the third time to the end. */
  | { readonly kind: 'not-now'; readonly personId: PersonId }
  /** Done, and its result stands on paper. */
  | { readonly kind: 'paper'; readonly personId: PersonId; readonly tests: readonly string[] }
  | { readonly kind: 'left'; readonly personId: PersonId; readonly why: string }
  | { readonly kind: 'back'; readonly personId: PersonId }
  | { readonly kind: 'walk-in'; readonly personId: PersonId }
  /** Beyond what is planned for everybody: it would decide something. */
  | { readonly kind: 'also'; readonly personId: PersonId; readonly tests: readonly string[] }
  /** For the next class day. */
  | { readonly kind: 'later'; readonly personId: PersonId; readonly tests: readonly string[] }
  | { readonly kind: 'together' | 'apart'; readonly people: readonly PersonId[] }
  | { readonly kind: 'close' | 'open'; readonly staff: string }
  | { readonly kind: 'drop' | 'keep'; readonly drop: string }
  /** Somebody needs help: nothing but what is seated until the instructor lets go. */
  | { readonly kind: 'hold' }
  | { readonly kind: 'let-go' };

export type DayEventKind = DayEvent['kind'];

export interface DayNote {
  readonly key: string;
  readonly day: IsoDate;
  /** Wall clock of whoever noted it, ms since 1970. */
  readonly wallMs: number;
  readonly event: DayEvent;
}

/** What came of a test of somebody on the day. */
export interface DayResult {
  readonly personId: PersonId;
  readonly test: string;
  readonly state: 'done' | 'stopped' | 'declined';
  /** As it was seen, of both sides left first; empty where there is none. */
  readonly values: readonly number[];
  /** Why there is none; empty where nothing was said. */
  readonly why: string;
  readonly stopReason: StopReason | null;
  readonly endedWallMs: number;
}
