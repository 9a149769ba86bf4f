import type { DeviceKind } from './device';
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
  /** `reps`: the clock stops at the last of so many. `unhurried`: started when they move, not by 3, 2, 1, go. */
  | { readonly kind: 'timed'; readonly capS: number; readonly reps?: number; readonly unhurried?: true }
  /** `fromStart`: read before and after; the difference is the reading. */
  | { readonly kind: 'distance'; readonly fromStart?: true }
  /** `first-not`: how many were held before the first that was not. `all`: each is asked. `lowest`: the lowest seat. */
  | { readonly kind: 'staged'; readonly stages: readonly Stage[]; readonly ends: 'first-not' | 'all' | 'lowest' };

export type CaptureKind = Capture['kind'];

/** What may be marked on the way, with the word of this test for it. */
export interface Offered {
  readonly mark: 'hands' | 'not-full' | 'touch' | 'rest' | 'caught';
  readonly word: string;
}

/** Where a test stands on the testing day, and who may run it: seconds unless said otherwise. */
export interface Station {
  /** The order of the day: 0 seated first, 8 the floor last. */
  readonly group: 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8;
  /** `counts` somebody shown how to count; `spots` somebody who may spot; `instructor` nobody else. */
  readonly staff: 'counts' | 'spots' | 'instructor';
  /** How many people one of them watches at once. */
  readonly lanes: 1 | 2;
  /** Where whoever watches stands. */
  readonly spotter: string;
  /** Rest before it, after another leg test. */
  readonly restBeforeS: number;
  /** Rest between two tries of a side. */
  readonly betweenTriesS: number;
  /** Rest before it is done again because a try did not count; `null` where it is not done again that day. */
  readonly againAfterS: number | null;
  /** What one person takes, all told. */
  readonly takesS: number;
  /** Tires the legs: so many of them a person a day, with a rest between. */
  readonly legs?: true;
  /** Its rest comes after anything, not only after a leg test. */
  readonly restAlways?: true;
  /** Rest after it: before what is done seated, what is timed, and balance. */
  readonly restAfterS?: { readonly seated: number; readonly timed: number; readonly balance: number };
  /** Where both are done on one day, after these. */
  readonly after?: readonly string[];
}

/** What decides how the events of a test are read; older ones stay beside the newest. */
export interface EarlierRules {
  readonly version: number;
  readonly capture?: Capture;
  readonly tries?: Protocol['tries'];
  readonly range?: Protocol['range'];
  readonly sides?: Sides;
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

/** The station seen from above, to be drawn: what stands where, and where whoever watches stands. */
export interface Plan {
  /** What they are on at the start. */
  readonly on: 'chair' | 'armchair' | 'feet' | 'mat';
  /** A wall behind them, in front of them, or along their side. */
  readonly wall?: 'behind' | 'ahead' | 'side';
  /** Something fixed to hold, within a hand. */
  readonly rail?: 'side' | 'ahead';
  /** A way ahead of them, from where to where, m. */
  readonly way?: { readonly metres: number; readonly end: 'line' | 'cone' };
  readonly spotter: 'ahead' | 'beside' | 'behind' | 'half-way';
}

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
  readonly station: Station;
  readonly plan: Plan;
  /** A mark on the wall at a height of this person’s own. */
  readonly heightMark?: 'half-thigh';
  /** What the lane’s own key is pressed for, after “Tap when”: to start the clock, and to end it. */
  readonly taps?: { readonly start?: string; readonly end?: string };
  /** Marks in reach while it runs. */
  readonly offers: readonly Offered[];
  /** What makes a try not count, for whoever watches. */
  readonly notCountedIf: readonly string[];
  /** What ends it at once. */
  readonly stopAt: readonly string[];
  /** How hard it felt is asked afterwards. */
  readonly asksEffort?: true;
  /** Seconds after go at which a tone and a word say how much is left. */
  readonly calls?: readonly { readonly atS: number; readonly words: string }[];
  /** A tone each so many seconds, to move by. */
  readonly beatS?: number;
  /** From a first reading of two figures: a fall of so much of either, in its unit, ends the day of testing. */
  readonly dropLimits?: { readonly upper: number; readonly lower: number; readonly source: string };
  /** What may count beside the hand. */
  readonly device?: DeviceKind;
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
  /**
   * How a change is judged where its error alone does not do: a time moves by at least a share of the older one; tries are
   * held against tries, with a second best so many times as long and, where there are fewer than three, a step crossed.
   */
  readonly changeBy?:
    | { readonly kind: 'time'; readonly share: number }
    | { readonly kind: 'tries'; readonly times: number; readonly steps: readonly number[] };
  /** Metres walked: norms, cut-offs and changes are then read as speed, m/s, higher better. */
  readonly speedOverM?: number;
  /** Result out of several tries; one try where left out. A side is done once a try reached `enoughAt`. */
  readonly tries?: { readonly count: number; readonly by: 'best' | 'mean'; readonly enoughAt?: number };
  /** A time or a length is read and kept to this, in the unit of the test; half of it goes up. */
  readonly readTo?: number;
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
