import type { NormTable } from './norms';

/** Calendar day, `YYYY-MM-DD`, local. */
export type IsoDate = string;

export const readinessOutcomes = ['ready', 'ready-with-care', 'ask-first', 'not-today'] as const;
export type Readiness = (typeof readinessOutcomes)[number];

export const limiterKinds = [
  'knee-pain',
  'hip-pain',
  'back-pain',
  'ankle-pain',
  'shoulder-pain',
  'knee-replaced',
  'hip-replaced',
  'fragile-bone',
  'spine-fracture',
  'dizziness',
  'numb-feet',
  'cannot-lie',
  'cannot-kneel',
  'head-low',
  'neurological',
  'recent-surgery',
  'height-lost',
  'poor-sight',
  'hearing',
  'lungs',
  'lost-limb',
  'blood-thinner',
  'other',
] as const;
export type LimiterKind = (typeof limiterKinds)[number];
export type Side = 'L' | 'R';

/** Why somebody licensed is asked first, the strictest first. */
export const askFirstKinds = ['symptoms', 'operation', 'disease'] as const;
export type AskFirstKind = (typeof askFirstKinds)[number];

export interface Limiter {
  readonly kind: LimiterKind;
  readonly side?: Side | null;
  /** 0-10, for the pains. */
  readonly pain?: number | null;
  readonly since?: IsoDate | null;
  /** Limits lifted, or the activity released, in writing by a licensed professional. */
  readonly limitsLifted?: boolean;
  /** Who released it or set the limits, and the limits in their words. */
  readonly by?: string;
  readonly limits?: string;
  /** The day it was written. */
  readonly writtenOn?: IsoDate | null;
  /** For surgery: of the eye, which heals sooner. */
  readonly ofTheEye?: boolean;
  /** Of a release: the rungs it names, such as `S8`. */
  readonly names?: readonly string[];
  /** Of something else: the ladders it closes, and what it is. */
  readonly closes?: readonly Pattern[];
  readonly text?: string;
  /** Not asked yet, and read as present until it is. */
  readonly unasked?: boolean;
}

export const walkingAids = ['none', 'stick', 'walker'] as const;
export type WalkingAid = (typeof walkingAids)[number];

/** Hands, least to most free. */
export const supports = ['2', '1', 'f', 'h', '0'] as const;
export type Support = (typeof supports)[number];

export const patterns = ['S', 'L', 'H', 'B', 'W', 'A', 'U', 'F', 'Q', 'K', 'M'] as const;
export type Pattern = (typeof patterns)[number];
/** Sets: their items stand side by side, none above another. */
export const setPatterns: ReadonlySet<Pattern> = new Set(['M']);
/** What somebody has one level on at a time: a ladder; of a set the item; a movement of the hall’s own. */
export const ladderKey = ({
  pattern,
  rung,
  own,
}: {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly own?: { readonly id: string } | undefined;
}): string => (own ? `own:${own.id}` : setPatterns.has(pattern) ? `${pattern}${rung}` : pattern);

export const coachingStyles = ['hips-back', 'upright', 'square'] as const;
export type CoachingStyle = (typeof coachingStyles)[number];

export const outcomes = ['done', 'unable', 'stopped', 'not-tried'] as const;
export type Outcome = (typeof outcomes)[number];

export interface FourStageSeconds {
  readonly sideBySide: number;
  readonly semiTandem: number;
  readonly tandem: number;
  readonly oneLeg: number;
}

/** One result as a fact for scoring and levels; values in the unit of the protocol. */
export interface TestResult {
  readonly test: string;
  readonly testedOn: IsoDate;
  readonly outcome: Outcome;
  readonly value: number | null;
  readonly side?: Side | null;
  readonly seatHeightCm?: number | null;
  readonly handsUsed?: boolean;
  readonly cleanBeforeHands?: number | null;
  readonly trials?: readonly number[] | null;
  readonly capS?: number | null;
  readonly seconds?: FourStageSeconds | null;
  readonly help?: 'none' | 'furniture' | 'person' | null;
}

export interface Chair {
  readonly heightCm: number;
  readonly arms: boolean;
}

/** What the hall has. Heights are whole centimetres. */
export interface Kit {
  readonly chairs: readonly Chair[];
  readonly padsCm: readonly number[];
  readonly weightsKg: readonly number[];
  readonly raisedSurface: boolean;
  readonly rail: boolean;
  /** A firm wedge for both heels. */
  readonly wedge: boolean;
  readonly mat: boolean;
  /** Heights of the tops of firm boxes, one each; `null` where it was not measured. */
  readonly boxesCm: readonly (number | null)[];
  /** Heights of firm steps to stand on. */
  readonly stepsCm: readonly number[];
}

export interface Body {
  readonly ageYears: number;
  readonly sex: NormTable;
  readonly heightCm: number | null;
  /** Of the kneecap from the floor; reckoned from the height where nobody measured it. */
  readonly kneeHeightCm?: number | null;
  readonly massKg: number | null;
}

export interface RungShown {
  readonly pattern: Pattern;
  readonly rung: number;
  /** The newer of the two sessions; the day of the answer where left out. */
  readonly on?: IsoDate;
}

/** A hold done in class: how long. */
export interface RungHeld extends RungShown {
  readonly seconds: number;
}

/** What somebody asks for by themselves. */
export const wishes = ['stairs', 'wide-stance'] as const;
export type Wish = (typeof wishes)[number];

/** A harder rung than the results give, by the instructor’s word. */
export interface SetByHand {
  readonly pattern: Pattern;
  readonly rung: number;
  /** The hands no freer than these. */
  readonly support?: Support;
  readonly reason: string;
}

export interface RungConfirmed extends Omit<RungShown, 'on'> {
  readonly support: Support;
  /** How much of the movement: the place in the list of the rung; left out at its first. */
  readonly step?: number;
  /** The weight that was carried; left out where there was none. */
  readonly kg?: number;
}

/** Everything the level engine reads. The same facts and rules give the same answer, byte for byte. */
export interface Facts {
  readonly person: Body;
  /** The day the answer is for; results are as old as this day says. */
  readonly testedOn: IsoDate;
  readonly results: readonly TestResult[];
  readonly readiness: Readiness;
  /** Why it is to ask first; the strictest of several. */
  readonly askFirstKind: AskFirstKind;
  readonly limiters: readonly Limiter[];
  readonly falls12m: number;
  readonly injuredInFall: boolean;
  /** Results of tests before it open nothing. */
  readonly lastFallOn: IsoDate | null;
  readonly walkingAid: WalkingAid;
  readonly aidIndoors: boolean;
  readonly floorSlides: boolean;
  readonly sitsUnsupported: boolean;
  /** Does what is shown; without it the line of the first classes stays. */
  readonly followsTask: boolean;
  /** Both arms are free to hold on; without it the line of the first classes stays. */
  readonly armsFree: boolean;
  /** The hall has light work go on while a known disease is asked about. */
  readonly lightWhileAsking: boolean;
  readonly heelDownAtTarget: boolean;
  /** Classes so far; under 2 are the first two. */
  readonly sessionsLogged: number;
  /** Weeks without a class, up to the day of the answer. */
  readonly missedWeeks: number;
  readonly shown: readonly RungShown[];
  readonly held: readonly RungHeld[];
  readonly wishes: readonly Wish[];
  /** Seen twice in class: a heel left the floor. */
  readonly heelUpTwice: boolean;
  /** Seen: the front of the thigh of the leg behind is tight. */
  readonly backThighTight: boolean;
  /** The lowest seat done cleanly in classes; `null` where none is logged. */
  readonly shownSeatCm: number | null;
  /** What is lifted stood so high in the last class; `null` where none is logged. */
  readonly liftHeightCm: number | null;
  readonly lastConfirmed: readonly RungConfirmed[];
  /** Rungs set by hand, one a ladder. */
  readonly setByHand: readonly SetByHand[];
  readonly kit: Kit;
  readonly style: CoachingStyle;
  readonly impactCleared: boolean;
}

/** Whoever nothing more is told of; what a sender leaves out. */
export const plainFacts = {
  readiness: 'ready',
  askFirstKind: 'symptoms',
  limiters: [],
  falls12m: 0,
  injuredInFall: false,
  lastFallOn: null,
  walkingAid: 'none',
  aidIndoors: false,
  floorSlides: false,
  sitsUnsupported: true,
  followsTask: true,
  armsFree: true,
  lightWhileAsking: false,
  heelDownAtTarget: false,
  sessionsLogged: 0,
  missedWeeks: 0,
  shown: [],
  held: [],
  wishes: [],
  heelUpTwice: false,
  backThighTight: false,
  shownSeatCm: null,
  liftHeightCm: null,
  lastConfirmed: [],
  setByHand: [],
  style: 'hips-back',
  impactCleared: false,
} as const satisfies Partial<Facts>;
