import type { FourStageSeconds, Outcome, TestResult } from './facts';

/** One try at a test: what happened and when. The list of events is the record; everything else is derived. */

export type EventBy = 'key' | 'touch' | 'device' | 'hand';

interface Stamp {
  /** Place in the attempt's own list, from 0, never reused. */
  readonly seq: number;
  /** Milliseconds since the planned go moment; negative before it. */
  readonly atMs: number;
  /** Wall clock in milliseconds since 1970, to find the place again after a reload. */
  readonly wallMs: number;
  readonly by: EventBy;
}

export const stopReasons = ['asked-to', 'unwell', 'pain', 'unsteady', 'form', 'other'] as const;
export type StopReason = (typeof stopReasons)[number];

export type AttemptEvent = Stamp &
  (
    | { readonly kind: 'practice'; readonly reps: number }
    | { readonly kind: 'start' }
    /** Went off before the tone; the countdown begins again and nothing was counted. */
    | { readonly kind: 'false-start' }
    | { readonly kind: 'rep' }
    | { readonly kind: 'undo' }
    | { readonly kind: 'hands' }
    /** The answer to "more than half-way up?" for a stand not yet counted. */
    | { readonly kind: 'half-rep'; readonly counts: boolean }
    /** The page was away: reload, sleep, dead battery. */
    | { readonly kind: 'gap'; readonly lengthMs: number }
    | { readonly kind: 'end' }
    | { readonly kind: 'stop'; readonly reason: StopReason }
    /** Somebody in the hall needs help: the try is kept, without a result, and done again. */
    | { readonly kind: 'hold' }
    | { readonly kind: 'note'; readonly text: string }
    /** A result written down on paper and typed in later. */
    | {
        readonly kind: 'entered';
        /** `null` where it was tried and there is no number, or where the tries tell it. */
        readonly value: number | null;
        readonly handsUsed: boolean;
        readonly cleanBeforeHands?: number;
        /** Done where left out. */
        readonly outcome?: Outcome;
        readonly trials?: readonly number[];
        readonly seconds?: FourStageSeconds;
        readonly help?: NonNullable<TestResult['help']>;
        /** Who took it down. */
        readonly who?: string;
        /** It stands for its day, also where that day was timed at the station. */
        readonly counts?: true;
      }
    /** What was noted of the conditions was wrong, or left out: this is how it was. */
    | ({ readonly kind: 'condition'; readonly reason: string } & Conditions)
    /** Corrections: the struck event stays in the list, with who and why. */
    | { readonly kind: 'strike'; readonly ofSeq: number; readonly reason: string }
    | { readonly kind: 'add'; readonly value: number; readonly reason: string }
    | { readonly kind: 'move'; readonly toPersonId: string; readonly reason: string }
  );

export type EventKind = AttemptEvent['kind'];

/** What the result depends on besides the person; compared like for like at the retest. */
export interface Conditions {
  readonly seatHeightCm?: number;
  readonly aid?: 'none' | 'stick' | 'walker';
  readonly shoes?: 'flat' | 'cushioned' | 'barefoot';
}
