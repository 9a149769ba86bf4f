import type { Dose, DoseCaps } from '../shapes/dose';
import type { Pattern, Support } from '../shapes/facts';
import type { CarriedHow } from '../shapes/ladder';

/** A fact that opened the rung, or changed how it is done, in words. */
export interface Reason {
  readonly fact: string;
  readonly text: string;
  readonly source: string;
  /** It fell short, and stands by somebody’s word. */
  readonly byHand?: true;
}

/** One thing that keeps a rung closed, what is there, and the smallest change that would lift it. */
export interface Blocker {
  readonly rung: number;
  readonly fact: string;
  readonly have: number | string | boolean | null;
  readonly measured: number | string | boolean | null;
  readonly need: number | string | boolean;
  readonly measuredNeeded: number | string | boolean;
  readonly text: string;
  /** The same in a few words, for the tag on a bar. */
  readonly tag: string;
  /** Other ways to lift the same need. */
  readonly or?: readonly Omit<Blocker, 'rung' | 'or'>[];
}

/** The first of these that there is: a higher seat, more support, a rung under it on the floor, half the dose. */
export const dials = ['seat', 'support', 'rung', 'dose', 'half-year'] as const;
export type Dial = (typeof dials)[number];

/**
 * What somebody said of a level instead of yes: one that asks less, the one before, none at all, or one that asks more.
 * What was kept stays until the next test; the others over it.
 */
export const handWords = ['lower', 'kept', 'not-this', 'higher'] as const;
export type HandWord = (typeof handWords)[number];

export interface ByHand {
  readonly word: HandWord;
  /** Why; always there for more than the rules give. */
  readonly why: string;
  /** The code of what the rules gave then. */
  readonly from: string;
}

export interface Level {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly name: string;
  readonly support: Support;
  readonly supportWords: string;
  readonly targetCm: number | null;
  readonly targetFrom: readonly string[] | null;
  /** The height asked for before the kit answered. */
  readonly wishCm?: number | null;
  /** Under both feet, where the kit only makes a higher seat than the legs are long for. */
  readonly firmStepCm?: number;
  /** How a foot goes back where it may slide or not; whether what is done sitting or standing is done sitting. */
  readonly form?: 'slide' | 'mark' | 'seated' | 'standing' | null;
  /** How a limiter has it done, in words. */
  readonly doneSo?: readonly string[];
  /** Which side is sore, where that leg goes, where the spotter stands; of what is done a side at a time. */
  readonly sides?: readonly string[];
  /** What an old result moved. */
  readonly dial?: Dial | null;
  /** How much of the movement is done: the place in the list of the rung, from 0, and its words then. */
  readonly within?: { readonly step: number; readonly words: string };
  readonly loadKg: number | null;
  /** How the weight is carried where it is not held close. */
  readonly carried?: CarriedHow;
  readonly dose: Dose;
  /** What caps the dose today, however long somebody trained; left out where nothing does. */
  readonly doseCaps?: DoseCaps;
  readonly code: string;
  readonly missing: string | null;
  /** A movement of the hall’s own, as it was then. */
  readonly own?: { readonly id: string; readonly version: number };
  /** Not as the rules gave it. */
  readonly byHand?: ByHand;
  readonly reasons: readonly Reason[];
  readonly blockers: readonly Blocker[];
}

/** A ladder on which no rung is open, and what keeps each. */
export interface ClosedLadder {
  readonly pattern: Pattern;
  readonly blockers: readonly Blocker[];
}

export interface Caution {
  readonly id: string;
  readonly text: string;
}

export interface LevelsAnswer {
  readonly rulesVersion: string;
  readonly levels: readonly Level[];
  readonly closed: readonly ClosedLadder[];
  readonly cautions: readonly Caution[];
  readonly refused: { readonly because: 'not-today'; readonly text: string } | null;
}
