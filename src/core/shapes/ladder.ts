import type { AskFirstKind, LimiterKind, Pattern, Support, Wish } from './facts';
import type { Cutoff, Source } from './norms';

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
  | 'kit.chair'
  | 'kit.box';

/** What one rung asks for. `person` needs hold for every higher rung too; a `place` need closes only its own rung. */
export type Need = { readonly kind: 'person' | 'place'; readonly why: string; readonly source: Source } & (
  | { readonly fact: MeasuredFactId; readonly atLeast: number }
  /** Of a time, where less is better. */
  | { readonly fact: MeasuredFactId; readonly under: number }
  | { readonly seen: SeenFactId }
  /** Balance lets the hands be at least this free. */
  | { readonly support: Support }
  /** Not so, or opened by its not being so. */
  | { readonly absent: 'aidIndoors' | 'injuredInFall' }
  /** Fewer falls than so many in 12 months. */
  | { readonly fallsUnder: number }
  /** Of a time: not past it where it was taken; not taken is no reason. */
  | { readonly fact: MeasuredFactId; readonly notPast: number }
  /** Another need for whoever walks with a walker indoors. */
  | { readonly walkerIndoors: Need; readonly otherwise: Need }
  /** Done cleanly in classes, by the log. */
  | { readonly shown: { readonly pattern: Pattern; readonly rung: number } }
  /** Held so long in classes, by the log. */
  | { readonly held: { readonly pattern: Pattern; readonly rung: number; readonly seconds: number } }
  /** A firm step to stand on, over the one height and up to the other, cm. */
  | { readonly step: { readonly overCm: number; readonly toCm: number } }
  | { readonly anyOf: readonly Need[] }
);

/**
 * Where the seat or target stands: the seat tested on, or the lowest seat shown, and how much above it to start; the lowest
 * that the body can hover over; or how high what is lifted stands, highest first.
 */
export type TargetRule = SeatRule | HoverRule | LiftRule;

/** How the arms are over a seat: stretched forward, or with a weight held to the chest. */
export type HoverArms = 'forward' | 'chest';

/** The lowest seat with a posture for this body and ankle, by the load model. */
export interface HoverRule {
  readonly hovers: HoverArms;
  /** Degrees that the shins may swing. */
  readonly roomLeastDeg: number;
  /** Goes only so far over the seat tested on. */
  readonly nearTested?: true;
}

/** Heights that what is lifted stands at, highest first; 0 is the floor. */
export interface LiftRule {
  readonly lifts: readonly number[];
}

export interface SeatRule {
  readonly from: 'tested-seat' | 'shown-seat';
  readonly raiseCm: number;
  /** More, while this measured fact is under `under`. */
  readonly more?: { readonly fact: MeasuredFactId; readonly under: number; readonly raiseCm: number };
}

/** What is made more of on one rung, hands and height as they are. */
export const withinDials = ['range', 'length', 'depth', 'lift', 'pause', 'heel', 'lowering', 'step'] as const;
export type WithinDial = (typeof withinDials)[number];

/** One way to do a rung, and the dial that leads to it; the first is where everybody begins. */
export interface WithinStep {
  readonly dial: WithinDial;
  readonly words: string;
  /** Only on a firm step that is so high, cm. */
  readonly onStep?: { readonly overCm: number; readonly toCm: number };
}

export type Stance = 'seated' | 'lying' | BalanceStance;
/** How the feet stand where balance decides about the hands; a foot that slides counts as split. */
export type BalanceStance = 'two-foot' | 'split' | 'one-leg';

/** Joints that can hurt, as pains are named. */
export const loadedJoints = ['knee', 'hip', 'back', 'ankle', 'shoulder'] as const;
export type LoadedJoint = (typeof loadedJoints)[number];
/** How much a movement asks of a joint; nothing where left out. */
export type Loads = Partial<Record<LoadedJoint, 'some' | 'much'>>;

/** What a movement has in it that a limiter may forbid, besides its stance, its floor, its slide and its weight. */
export const rungFlags = ['deep-hold', 'impact', 'pad-under-knee', 'head-low'] as const;
export type RungFlag = (typeof rungFlags)[number];
export type RungWord = RungFlag | 'weight' | 'one-leg' | 'floor';

/** How a weight is carried where it is not held close. */
export type CarriedHow = 'each-hand' | 'in-box';

export interface Rung {
  readonly rung: number;
  readonly name: string;
  readonly does: string;
  readonly stance: Stance;
  readonly floor: boolean;
  readonly loads: Loads;
  readonly flags?: readonly RungFlag[];
  /** One foot slides over the floor; where it may not, it steps back to a mark and returns. */
  readonly slides?: { readonly mark: { readonly name: string; readonly does: string } };
  /** Of a hall’s own movement: what closes it beside what closes the rung it stands beside. */
  readonly own?: { readonly id: string; readonly closedBy: readonly LimiterKind[]; readonly slides: boolean };
  readonly needs: readonly Need[];
  /** Support that the movement fixes; absent where balance decides. */
  readonly support?: {
    readonly is: Support;
    readonly words: string;
    /** Less free, on a fixed rail, for whoever held fewer positions. */
    readonly unsteady?: {
      readonly fact: MeasuredFactId;
      readonly under: number;
      readonly is: Support;
      readonly words: string;
    };
  };
  /** Done sitting, where one of these does not hold, or while somebody is asked first. */
  readonly seatedUnless?: {
    readonly needs: readonly Need[];
    readonly name: string;
    readonly does: string;
    readonly words: string;
  };
  /** Only a rail holds whoever held fewer positions than this. */
  readonly railUnder?: { readonly fact: MeasuredFactId; readonly under: number };
  /** For whoever walks with a walker indoors: on a chair with arms, where one makes that height, and done so. */
  readonly withWalker?: string;
  /** Where the leg with the sore knee goes. */
  readonly soreLeg?: 'front' | 'back';
  /** The movement is done with no freer hands than these, however good the balance. */
  readonly freest?: Support;
  readonly target?: TargetRule;
  /** Its seat stands behind: after a long time without a test it is put higher. */
  readonly chairBehind?: true;
  /** How little, and how much of it, least first; turned one by one in classes, before the hands unless it says so. */
  readonly within?: readonly WithinStep[];
  readonly withinAfterHands?: true;
  readonly dose: 'reps' | 'holds';
  /** Starts with so many, however new; in one round only where it says so. */
  readonly startsWith?: { readonly reps: number; readonly rounds?: 1 };
  /** Rises that are dosed in three short rounds, by what was counted on that way of rising. */
  readonly rising?: 'with-hands' | 'free';
  /** The test of this very movement: the dose is never more than half of it. */
  readonly ownTest?: MeasuredFactId;
  /** Carries a weight for who is strong, where nothing closes this rung of the ladder. */
  readonly loadsFrom?: number;
  /** May carry a weight that classes bring, the lightest first, where nothing closes the rung that is named and no pain is over it. */
  readonly carries?: {
    readonly how: CarriedHow;
    /** All of it together; else as the house has it. */
    readonly mostKg?: number;
    readonly unlessCloses: { readonly pattern: Pattern; readonly rung: number };
    readonly painMost?: { readonly kind: LimiterKind; readonly pain: number };
  };
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
  /** Its height comes down last, once the rung above is not open. */
  readonly heightLast?: true;
  /** Easiest first. */
  readonly rungs: readonly Rung[];
}

/** Something known of a person that an accessory answers. */
export type OfferReason =
  | { readonly limiter: LimiterKind; readonly painAtLeast?: number }
  | { readonly fallsAtLeast: number }
  /** Tested within the year, and past one of its lines. */
  | { readonly test: string; readonly past: readonly Cutoff[] }
  | { readonly fact: MeasuredFactId; readonly under: number }
  | { readonly fact: MeasuredFactId; readonly atLeast: number }
  /** Not managed, or not tried. */
  | { readonly notManaged: MeasuredFactId }
  /** The level given on a ladder, in a class after the first ones where it says so. */
  | { readonly given: Pattern; readonly rungs: Span; readonly afterFirstClasses?: true }
  | { readonly wish: Wish }
  | { readonly seen: 'heelUpTwice' | 'backThighTight' };

/** One line of the table of what is offered beside the four ladders; the first that hold are. */
export interface Offer {
  readonly pattern: Pattern;
  /** Of a set: the item. */
  readonly rung?: number;
  /** All of these, of each any. */
  readonly when: readonly (readonly (OfferReason & { readonly because: string })[])[];
}

/** First and last rung that a limiter closes on a ladder. */
export type Span = readonly [from: number, to: number];

/** One row of the limiter table. Rows of one kind add up: 5/10 meets the row from 3 and the row from 5. */
export interface LimiterRow {
  readonly kind: LimiterKind;
  readonly title: string;
  /** For pains: from this answer on. */
  readonly painAtLeast?: number;
  /** Holds for so many days from `since`; without a day it holds on. */
  readonly forDays?: number;
  /** Of surgery: the row of an eye, or of everything else. */
  readonly eye?: boolean;
  /** A rung that the release names is not closed by it. */
  readonly unlessNamed?: true;
  /** Closes the ladders that were ticked with it. */
  readonly asTicked?: true;
  /** What its sentence forbids; a rung that has it in its own words is closed. */
  readonly forbids?: readonly RungWord[];
  /** Closes what loads a joint as much as that. */
  readonly closesLoads?: { readonly joint: LoadedJoint; readonly least: 'some' | 'much' };
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
  /** Target so much higher than it would be, on these rungs. */
  | { readonly change: 'seat-add'; readonly pattern: Pattern; readonly rungs: Span; readonly cm: number }
  /** One step more support, where a stance is named only there. */
  | { readonly change: 'support-back'; readonly stances?: readonly BalanceStance[] }
  /** No freer than this in that stance, or on those rungs. */
  | { readonly change: 'support-most'; readonly stance: BalanceStance; readonly support: Support }
  | {
      readonly change: 'support-most';
      readonly pattern: Pattern;
      readonly rungs: Span;
      readonly support: Support;
    }
  /** A foot steps to a mark and does not slide. */
  | { readonly change: 'no-slide' }
  /** What is lifted never stands lower. */
  | { readonly change: 'lift-least'; readonly cm: number }
  | { readonly change: 'hold-cap'; readonly seconds: number }
  | { readonly change: 'reps-cap'; readonly pattern: Pattern; readonly reps: number }
  /** How these rungs are done, in words. */
  | { readonly change: 'done-so'; readonly pattern: Pattern; readonly rungs: Span; readonly words: string }
  | { readonly change: 'ask-first'; readonly as: AskFirstKind };

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
  /** Nobody’s word stands in for it. */
  readonly notByHand?: true;
  /** Smallest difference the test can show, for rounding a wanted result up. */
  readonly step: number;
  readonly margin: Margin;
}

/** A row of the table from balance to support, a column a stance. Rows run from least to most shown. */
export type BalanceRow = { readonly fourStage: number; readonly oneLegS: number } & Readonly<
  Record<BalanceStance, Support | 'closed'>
>;

/** What a hall’s own movement asks for by its stance and flags. */
export type OwnFlagNeeds = Readonly<Record<BalanceStance | 'floor' | 'slides' | 'weight' | 'impact', readonly Need[]>>;

/** Everything the engine needs besides the facts; all of it data from the catalogue. */
export interface LevelRules {
  readonly version: string;
  readonly ladders: readonly Ladder[];
  /** Ladders beside the four, and the set. */
  readonly accessories: readonly Ladder[];
  /** The first that hold are offered. */
  readonly offers: readonly Offer[];
  readonly ownFlagNeeds: OwnFlagNeeds;
  readonly measured: readonly MeasuredFact[];
  readonly limiters: readonly LimiterRow[];
  readonly balance: readonly BalanceRow[];
  readonly house: HouseRules;
}

/** Numbers of common practice, no published source. */
export interface HouseRules {
  readonly oldAfterDays: number;
  /** From here on a result opens nothing and carries only what lies under the confirmed level. */
  readonly halfYearAfterDays: number;
  readonly untestedAfterDays: number;
  /** Seat taken where none was written down. */
  readonly usualSeatCm: number;
  readonly firstClasses: number;
  /** Highest rung in the first classes. */
  readonly firstClassesTop: Partial<Record<Pattern, number>>;
  /** And never under these, where they are open. */
  readonly firstClassesLeast: Partial<Record<Pattern, number>>;
  /** What may go on while somebody is asked, by why. */
  readonly askFirstTop: Readonly<Record<AskFirstKind, Partial<Record<Pattern, number>>>>;
  /** And by the line of the first classes, where the hall lets light work go on while a known disease is asked about. */
  readonly lightTop: Partial<Record<Pattern, number>>;
  /** Whether the hall does. */
  readonly lightWhileAsking: boolean;
  readonly askFirstHoldS: number;
  /** From so many weeks without a class on, one dial back and half the dose. */
  readonly missedWeeks: number;
  readonly oldRaiseCm: number;
  readonly fallsForCare: number;
  readonly reps: {
    readonly least: number;
    readonly most: number;
    readonly share: number;
    readonly uncounted: number;
    readonly uncountedASide: number;
    /** Standing up from a seat: so many in each round of the first classes, and so many rounds. */
    readonly rising: { readonly first: number; readonly rounds: number };
  };
  /** Rounds by the classes behind them, fewest first. */
  readonly rounds: readonly { readonly fromClasses: number; readonly rounds: number }[];
  readonly load: {
    readonly shareOfMass: number;
    readonly mostKg: number;
    /** Beside the weighted squat: the seat tap from so many stands and classes, for who is strong and unsteady. */
    readonly tap: { readonly stands: number; readonly fromClasses: number; readonly kneePainMost: number };
  };
  /** Of a seat to hover over. */
  readonly hover: {
    /** At most so far under the seat shown. */
    readonly underShownCm: number;
    /** Effort over that on the seat shown that is about the same. */
    readonly mostEffortPct: number;
    /** Assumed of an ankle that nobody tested, and of a body that nobody measured. */
    readonly untestedAnkleDeg: number;
    readonly untoldHeightCm: number;
    /** The firm wedge under both heels, and how hard hands pull on a fixed rail, percent of body weight. */
    readonly wedgeCm: number;
    readonly railPullPct: number;
    /** How far over the seat tested on, and where a limiter raises it. */
    readonly overTestedCm: number;
    readonly raisedOverTestedCm: number;
  };
  /** Of the height of the kneecap; over it the wish for a seat is capped. */
  readonly seatCap: { readonly share: number; readonly kneeShareOfHeight: number };
  /** How many accessories are offered at most. */
  readonly offersMost: number;
  readonly holds: { readonly leastS: number; readonly mostS: number; readonly share: number; readonly times: number };
  readonly source: Source;
}
