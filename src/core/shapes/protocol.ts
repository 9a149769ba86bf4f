import type { Thing } from './person';
import type { Cutoff, NormSet, PublishedError, Reliability, Standard } from './norms';

/** One part of a staged test: held so many seconds, answered, done from a seat, or taken so long after the start. */
export interface Stage {
  readonly id: string;
  readonly holdS?: number;
  readonly afterS?: number;
}

/** How a test is taken down: there is one screen a kind of capture, not a screen a test. */
export type Capture =
  | {
      readonly kind: 'count';
      /** After so many seconds, at so many, or at the first sign that it is enough. */
      readonly ends: { readonly time: number } | { readonly count: number } | 'stop-sign';
      readonly capS: number;
      /** The tone asks whether a repetition was more than half done. */
      readonly halfAtTone: boolean;
    }
  /** `foot-off`: the clock starts with the foot, after the way into the position. */
  | { readonly kind: 'hold'; readonly capS: number; readonly starts: 'foot-off' | 'in-place' }
  /** `reps`: the clock stops at the last of so many. */
  | { readonly kind: 'timed'; readonly capS: number; readonly reps?: number }
  | { readonly kind: 'distance' }
  /** `first-not`: how many were held before the first that was not. `all`: each is asked. `lowest`: the lowest seat. */
  | { readonly kind: 'staged'; readonly stages: readonly Stage[]; readonly ends: 'first-not' | 'all' | 'lowest' };

export type CaptureKind = Capture['kind'];

/** What decides how the events of a test are read; older ones stay beside the newest. */
export interface EarlierRules {
  readonly version: number;
  readonly capture?: Capture;
  readonly tries?: Protocol['tries'];
  readonly handsMakeZero?: boolean;
}

/** `none` the body as a whole; `both` left and right apart; `chosen` one side, the instructor notes which. */
export type Sides = 'none' | 'both' | 'chosen';

/** Something the hall must have for a test. */
export type PlaceNeed =
  | { readonly what: 'chair'; readonly fromCm: number; readonly toCm: number }
  | { readonly what: 'walkway'; readonly metres: number }
  | { readonly what: 'weight'; readonly kg: number }
  | { readonly what: 'mat' | 'pads' | 'fixed-hold' }
  | { readonly what: 'thing'; readonly thing: Thing };

/** What can go wrong by where the work is done; each has its one line in the catalogue’s cautions. */
export const hazards = ['floor', 'one-leg', 'slide'] as const;
export type Hazard = (typeof hazards)[number];

/** A test as the instructor picks it: plain data, one folder in the catalogue. */
export interface Protocol {
  readonly id: string;
  /** Rises when results stop being comparable with earlier ones. */
  readonly version: number;
  /** How results of older versions are read, newest first. */
  readonly earlier?: readonly EarlierRules[];
  readonly title: string;
  /** The name inside a sentence or a narrow column. */
  readonly short: string;
  readonly capture: Capture;
  readonly unit: string;
  readonly better: 'higher' | 'lower';
  readonly sides: Sides;
  /** Which values can be true at all; a value outside is a slip of the pen. */
  readonly range: { readonly min: number; readonly max: number; readonly whole: boolean };
  readonly setUp: readonly string[];
  readonly say: string;
  /** One line each, shown before the start. */
  readonly cautions: readonly string[];
  readonly hazards?: readonly Hazard[];
  readonly practice: string;
  /** What it takes besides a floor and a stopwatch. */
  readonly place?: readonly PlaceNeed[];
  /** Seated arm work, which may go on while a professional is asked. */
  readonly seatedArms?: true;
  readonly source: string;
  /** Seat the norms were taken from, where the test starts on a seat. */
  readonly seatCm?: number;
  readonly norms?: NormSet;
  readonly cutoffs?: readonly Cutoff[];
  readonly standard?: Standard;
  readonly reliability?: Reliability;
  readonly publishedErrors?: readonly PublishedError[];
  /** Metres walked: norms, cut-offs and changes are then read as speed, m/s, higher better. */
  readonly speedOverM?: number;
  /** Result out of several tries; one try where left out. */
  readonly tries?: { readonly count: number; readonly by: 'best' | 'mean' };
  /** Seconds of each position are kept beside the number of positions held. */
  readonly asksSeconds?: true;
  /** True where a count made with the hands is 0 by rule and kept apart as "with hands". */
  readonly handsMakeZero?: boolean;
  /** True where a result may be that it was done and with which help, with or without seconds. */
  readonly asksHelp?: boolean;
  /** How many rises a result of this test tells about, for the power of rising. */
  readonly rises?:
    { readonly kind: 'rises-in'; readonly seconds: number } | { readonly kind: 'seconds-for'; readonly rises: number };
}
