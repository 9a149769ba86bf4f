import type { FourStageSeconds, Outcome, TestResult } from './facts';
import type { CaptureKind } from './protocol';

/** One try at a test: what happened and when. The list of events is the record; everything else is derived. */

/** By what it was marked: the page itself, a key (also that of a reader’s click), a touch, a hand on paper, a device. */
export const eventBys = ['page', 'key', 'touch', 'hand', 'device'] as const;
export type EventBy = (typeof eventBys)[number];

interface Stamp {
  /** Place in the attempt's own list, from 0, never reused. */
  readonly seq: number;
  /** Milliseconds since the planned go moment; negative before it. */
  readonly atMs: number;
  /** Wall clock in milliseconds since 1970, to find the place again after a reload. */
  readonly wallMs: number;
  readonly by: EventBy;
  /** Of several tries which one, from 0; the first where left out. */
  readonly try?: number;
  /** Which device marked it, since which time it was switched on, and by which word of it; with `by: 'device'` only. */
  readonly device?: string;
  readonly boot?: string;
  readonly n?: number;
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
    /** Takes back the newest mark of its try that still stands. */
    | { readonly kind: 'undo' }
    | { readonly kind: 'hands' }
    /** A repetition that was counted and was not full. */
    | { readonly kind: 'not-full'; readonly ofSeq: number }
    /** A hold ended: foot down, hold touched, arms uncrossed. */
    | { readonly kind: 'let-go' }
    /** The line was crossed, the last stand was up, or they sit again. */
    | { readonly kind: 'finish' }
    /** A wall or a rail was touched, and the test went on. */
    | { readonly kind: 'touch' }
    | { readonly kind: 'rest' }
    | { readonly kind: 'go-on' }
    /** One of several stages: held or not, what was answered, or the seat it was done from. */
    | {
        readonly kind: 'stage';
        readonly id: string;
        readonly held?: boolean;
        readonly answer?: number;
        /** The lower pressure beside the upper one. */
        readonly second?: number;
        readonly seatCm?: number;
      }
    /** What the tape says. */
    | { readonly kind: 'reading'; readonly value: number; readonly unit?: 'cm' | 'in' }
    /** The answer to "more than half-way up?" for a stand not yet counted. */
    | { readonly kind: 'half-rep'; readonly counts: boolean }
    /** Somebody caught them. */
    | { readonly kind: 'caught' }
    /** Asked on the way, 0 to 10. */
    | { readonly kind: 'pain'; readonly value: number }
    | { readonly kind: 'effort'; readonly value: number }
    /** The page was away: reload, sleep, dead battery. */
    | { readonly kind: 'gap'; readonly lengthMs: number }
    | { readonly kind: 'end' }
    /** Somebody who saw it says yes to what a device counted. */
    | { readonly kind: 'agree' }
    | { readonly kind: 'stop'; readonly reason: StopReason }
    /** Somebody in the hall needs help: the try is kept, without a result, and done again. */
    | { readonly kind: 'halt' }
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
    /** Of two that were taken at once this is the one that is kept for its day. */
    | { readonly kind: 'prefer'; readonly reason: string }
    | { readonly kind: 'move'; readonly toPersonId: string; readonly reason: string }
  );

export type EventKind = AttemptEvent['kind'];

/** What an event says, before it has its place and its stamp. */
export type Fresh = AttemptEvent extends infer E
  ? E extends AttemptEvent
    ? Omit<E, 'seq' | 'atMs' | 'wallMs' | 'by'>
    : never
  : never;

/** Said of any attempt, whatever it measures. */
const anyway = ['practice', 'start', 'false-start', 'undo', 'gap', 'end', 'stop', 'halt', 'note', 'entered'] as const;
const marks = ['caught', 'pain', 'effort'] as const;
/** Said afterwards, at a desk. */
export const corrections = ['condition', 'strike', 'add', 'move', 'prefer'] as const;

/** What may be said of an attempt of a kind; the schema and whoever stores it go by this one list. */
export const eventKindsOf: Readonly<Record<CaptureKind, readonly EventKind[]>> = {
  count: [
    ...anyway,
    ...marks,
    ...corrections,
    'rep',
    'not-full',
    'hands',
    'half-rep',
    'touch',
    'rest',
    'go-on',
    'agree',
  ],
  hold: [...anyway, ...marks, ...corrections, 'let-go', 'hands', 'touch'],
  timed: [...anyway, ...marks, ...corrections, 'rep', 'not-full', 'hands', 'touch', 'rest', 'go-on', 'finish'],
  distance: [...anyway, ...marks, ...corrections, 'reading', 'hands'],
  staged: [...anyway, ...marks, ...corrections, 'stage', 'hands', 'touch'],
};

/** What the result depends on besides the person; compared like for like at the retest. */
export interface Conditions {
  readonly seatHeightCm?: number;
  readonly aid?: 'none' | 'stick' | 'walker';
  readonly shoes?: 'flat' | 'cushioned' | 'barefoot';
  /** Five minutes before it, where that was asked. */
  readonly warmUp?: boolean;
  /** What they stood on, and who took it: the same at the retest, or it is not like for like. */
  readonly floor?: Floor;
  readonly assessor?: string;
  /** What closed the test to them, where it was done all the same. */
  readonly despite?: string;
}

export const floors = ['wood', 'hard', 'carpet'] as const;
export type Floor = (typeof floors)[number];
