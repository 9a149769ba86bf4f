import type { Pattern, Side } from './facts';
import type { LoadedJoint } from './ladder';
import type { FormCheckCode } from './move';
import type { PersonId } from './person';
import type { SwapGrade } from './swap';

export const stopWhys = ['form', 'body', 'wish'] as const;
export type StopWhy = (typeof stopWhys)[number];
export const notDoneWhys = ['time', 'late', 'wish', 'other'] as const;
export type NotDoneWhy = (typeof notDoneWhys)[number];

/** So many whole rounds, or so many repetitions (of a hold seconds) in each. */
export interface DoneOf {
  readonly of: 'rounds' | 'each';
  readonly n: number;
}

/** What was different with somebody, or seen of them; everything else is taken to have been done clean. */
export type ClassLogContent =
  | { readonly kind: 'present' }
  | { readonly kind: 'absent' }
  /** Two clean repetitions were looked at. */
  | { readonly kind: 'seen'; readonly pattern: Pattern }
  /** A question was put to the whole room: whoever is not tapped answered no. */
  | { readonly kind: 'asked'; readonly what: 'pain' | 'effort' | 'next-day' }
  | {
      readonly kind: 'fewer';
      readonly pattern: Pattern;
      readonly half: 'more' | 'less';
      /** How many, where somebody counted. */
      readonly done?: DoneOf;
    }
  | {
      readonly kind: 'form';
      readonly pattern: Pattern;
      readonly check: FormCheckCode;
      readonly putRight: boolean;
    }
  | {
      readonly kind: 'pain';
      /** `null` where nobody said in which movement. */
      readonly pattern: Pattern | null;
      readonly joint: LoadedJoint;
      readonly side: Side | null;
      readonly level: number;
      readonly sharp: boolean;
    }
  | { readonly kind: 'effort'; readonly pattern: Pattern | null; readonly value: number }
  | { readonly kind: 'support'; readonly pattern: Pattern; readonly change: 'more' | 'less' }
  | { readonly kind: 'seat'; readonly pattern: Pattern; readonly change: 'higher' | 'lower' }
  | {
      readonly kind: 'swap';
      readonly pattern: Pattern;
      /** Of what was done instead; empty where it is not known or nothing was. */
      readonly code: string;
      readonly forPain: boolean;
      /** Where it hurt and how much; left out where it was not tapped. */
      readonly hurt?: { readonly joint: LoadedJoint; readonly side: Side | null; readonly grade: SwapGrade };
      /** What was changed with it, in words. */
      readonly changes?: readonly string[];
    }
  | {
      readonly kind: 'stop';
      readonly pattern: Pattern;
      readonly why: StopWhy;
      /** In the first set, or in a later one. */
      readonly set: 'first' | 'later';
    }
  | { readonly kind: 'not-done'; readonly pattern: Pattern; readonly why: NotDoneWhy }
  /** Told at the start of the next class, of this person's last one. */
  | {
      readonly kind: 'next-day';
      readonly worse: boolean;
      readonly joint: LoadedJoint | null;
      readonly side: Side | null;
    }
  /** Given to one who helps, by their id in the list of helpers, to look at and to log; `null` is back with who leads. */
  | { readonly kind: 'given'; readonly to: string | null }
  /** Two tablets said something else of somebody, and both are right. */
  | {
      readonly kind: 'both';
      readonly writer: string;
      readonly ofSeq: number;
      readonly other: string;
      readonly otherSeq: number;
    }
  /** Takes a line of one tablet back; it stays readable. */
  | { readonly kind: 'strike'; readonly writer: string; readonly ofSeq: number; readonly reason: string }
  /** Moves the clock. */
  | { readonly kind: 'start' | 'hold' | 'go' }
  | { readonly kind: 'jump'; readonly toS: number }
  /** The class is over; `late` where nobody ended it and its last event did. */
  | { readonly kind: 'close'; readonly late: boolean };

export type ClassLogKind = ClassLogContent['kind'];

/** One line of the log of one tablet; added, never changed. */
export interface ClassLine {
  readonly seq: number;
  readonly wallMs: number;
  /** `null` where it is of the room. */
  readonly personId: PersonId | null;
  readonly content: ClassLogContent;
}

/** The same with who wrote it. */
export interface WrittenLine extends ClassLine {
  readonly writer: string;
}
