import type { LimiterKind, Pattern, Support } from './facts';
import type { Source } from './norms';

/** A measured fact, by the name the rule table uses for it. */
export type MeasuredFactId = string;
/** A yes-or-no fact that is asked or seen, not measured; the last ones are of the hall. */
export type SeenFactId =
  | 'sitsUnsupported'
  | 'heelDownAtTarget'
  | 'impactCleared'
  | 'floorSlides'
  | 'kit.rail'
  | 'kit.mat'
  | 'kit.raisedSurface'
  | 'kit.chair';

/** What one rung asks for. `person` needs hold for every higher rung too; a `place` need closes only its own rung. */
export type Need = { readonly kind: 'person' | 'place'; readonly why: string; readonly source: Source } & (
  | { readonly fact: MeasuredFactId; readonly atLeast: number }
  /** Of a time, where less is better. */
  | { readonly fact: MeasuredFactId; readonly under: number }
  | { readonly seen: SeenFactId }
  /** Balance lets the hands be at least this free. */
  | { readonly support: Support }
  /** Done cleanly in classes, by the log. */
  | { readonly shown: { readonly pattern: Pattern; readonly rung: number } }
  | { readonly anyOf: readonly Need[] }
);

/** Where the seat or target stands: the seat tested on, or the lowest seat shown, and how much above it to start. */
export interface TargetRule {
  readonly from: 'tested-seat' | 'shown-seat';
  readonly raiseCm: number;
  /** More, while this measured fact is under `under`. */
  readonly more?: { readonly fact: MeasuredFactId; readonly under: number; readonly raiseCm: number };
}

export type Stance = 'seated' | 'lying' | BalanceStance;
/** How the feet stand where balance decides about the hands; a foot that slides counts as split. */
export type BalanceStance = 'two-foot' | 'split' | 'one-leg';

export interface Rung {
  readonly rung: number;
  readonly name: string;
  readonly does: string;
  readonly stance: Stance;
  readonly floor: boolean;
  /** One foot slides over the floor. */
  readonly slides?: true;
  readonly needs: readonly Need[];
  /** Support that the movement fixes; absent where balance decides. */
  readonly support?: { readonly is: Support; readonly words: string };
  /** The movement is done with no freer hands than these, however good the balance. */
  readonly freest?: Support;
  readonly target?: TargetRule;
  readonly dose: 'reps' | 'holds';
  /** Left and right apart. */
  readonly aSide?: true;
  readonly load: boolean;
}

export interface Ladder {
  readonly pattern: Pattern;
  readonly title: string;
  /** Facts that tell how many were counted, free and with hands, and how long was held; half of it is the first dose. */
  readonly doseFrom?: {
    readonly free: MeasuredFactId;
    readonly withHands: MeasuredFactId;
    readonly held: MeasuredFactId;
  };
  /** Easiest first. */
  readonly rungs: readonly Rung[];
}

/** First and last rung that a limiter closes on a ladder. */
export type Span = readonly [from: number, to: number];

/** One row of the limiter table. Rows of one kind add up: 5/10 meets the row from 3 and the row from 5. */
export interface LimiterRow {
  readonly kind: LimiterKind;
  readonly title: string;
  /** For pains: from this answer on. */
  readonly painAtLeast?: number;
  /** The row does not hold once limits are lifted, or the activity released, in writing. */
  readonly untilLifted?: boolean;
  readonly closesTests: readonly string[];
  readonly closes: Partial<Record<Pattern, readonly Span[]>>;
  readonly changes: readonly LimiterChange[];
  /** What it closes and changes, in one line for the instructor. */
  readonly says: string;
}

export type LimiterChange =
  /** Target never under the tested seat plus `cm`, on these rungs. */
  | { readonly change: 'seat-up'; readonly pattern: Pattern; readonly rungs: Span; readonly cm: number }
  | { readonly change: 'support-back' }
  /** No freer than this in that stance. */
  | { readonly change: 'support-most'; readonly stance: BalanceStance; readonly support: Support }
  | { readonly change: 'hold-cap'; readonly seconds: number }
  | { readonly change: 'ask-first' };

/** How a measured value is read on a bad day: one margin, once. */
export type Margin =
  | { readonly kind: 'as-seen' }
  | { readonly kind: 'less'; readonly by: number; readonly from: number }
  /** Of a time: longer by the larger of the two. */
  | { readonly kind: 'longer'; readonly by: number; readonly share: number }
  | { readonly kind: 'share'; readonly of: number }
  | { readonly kind: 'second-best'; readonly singleShare: number };

/** A fact read from a test; more of it is better, but for a time to be under. */
export interface MeasuredFact {
  readonly id: MeasuredFactId;
  readonly test: string;
  /**
   * Which part of the result: the value, the clean stands before hands, all stands with hands or without, a time, or
   * 1 where it was managed without a person’s help and 0 where not.
   */
  readonly reads: 'value' | 'clean' | 'all' | 'time' | 'managed';
  readonly title: string;
  /** For the narrow tag on a bar. */
  readonly short: string;
  readonly unit: string;
  readonly bothSides: boolean;
  /** Smallest difference the test can show, for rounding a wanted result up. */
  readonly step: number;
  readonly margin: Margin;
}

/** A row of the table from balance to support, a column a stance. Rows run from least to most shown. */
export type BalanceRow = { readonly fourStage: number; readonly oneLegS: number } & Readonly<
  Record<BalanceStance, Support | 'closed'>
>;

/** Everything the engine needs besides the facts; all of it data from the catalogue. */
export interface LevelRules {
  readonly version: string;
  readonly ladders: readonly Ladder[];
  readonly measured: readonly MeasuredFact[];
  readonly limiters: readonly LimiterRow[];
  readonly balance: readonly BalanceRow[];
  readonly house: HouseRules;
}

/** Numbers of common practice, no published source. */
export interface HouseRules {
  readonly oldAfterDays: number;
  readonly untestedAfterDays: number;
  /** Seat taken where none was written down. */
  readonly usualSeatCm: number;
  readonly firstClasses: number;
  /** Highest rung in the first classes. */
  readonly firstClassesTop: Partial<Record<Pattern, number>>;
  readonly askFirstTop: Partial<Record<Pattern, number>>;
  readonly askFirstHoldS: number;
  readonly oldRaiseCm: number;
  readonly loadShareOfMass: number;
  readonly fallsForCare: number;
  readonly reps: {
    readonly least: number;
    readonly most: number;
    readonly share: number;
    readonly uncounted: number;
    readonly uncountedASide: number;
  };
  readonly holds: { readonly leastS: number; readonly mostS: number; readonly share: number; readonly times: number };
  readonly source: Source;
}
