import type { Pattern, Side, Support } from './facts';

/**
 * Where variants of one movement are taught from: seated or both hands at the wall or rail; light hands beside it; free in the
 * middle. One voice can teach three.
 */
export const shelves = ['A', 'B', 'C'] as const;
export type Shelf = (typeof shelves)[number];

/** `check` of the room and `log` in the seated minute are work of the instructor; `floor` is the way down and up together. */
export const blockKinds = [
  'check',
  'warm-up',
  'show',
  'work',
  'rest',
  'walk',
  'floor',
  'talk',
  'cool-down',
  'log',
] as const;
export type BlockKind = (typeof blockKinds)[number];

/** One movement of a block, as it is taught to everybody. */
export interface Part {
  readonly pattern: Pattern;
  /** Rungs of each shelf, easiest first, `S1` or `S1-3`. A rung of another ladder may stand in for one. */
  readonly shelves: Readonly<Record<Shelf, readonly string[]>>;
  /** Nobody is freer than this in it. */
  readonly freest?: Support;
  /** As in the level code; a ceiling: everybody does the lower of it and their own dose. */
  readonly scheme: string;
  readonly aSide?: true;
  /** Seconds of a repetition: up, down. Where nothing is counted out it is 4 s. */
  readonly tempo?: readonly [upS: number, downS: number];
  /** Seconds between rounds, where the scheme does not say them. */
  readonly restS?: number;
  /** Of holds: whoever holds longer by their own dose goes on into the rest, up to so many seconds. */
  readonly longestS?: number;
}

export interface ClassBlock {
  readonly id: string;
  readonly kind: BlockKind;
  readonly title: string;
  /** As it is planned; what `compile` makes of its parts fits in it. */
  readonly minutes: number;
  /** Variants are shown first, for so many seconds. */
  readonly showS?: number;
  /** One after the other; of stations beside each other, a third of the group at each. */
  readonly parts?: readonly Part[];
  readonly stations?: { readonly turn: 0 | 1 | 2 };
  /** One a round, in turn; of a block without parts spread over it. */
  readonly cues?: readonly string[];
}

/** A class as it is written down once, for any group. */
export interface ClassTemplate {
  readonly id: string;
  readonly title: string;
  /** In a sentence: for whom and when. */
  readonly says: string;
  /** Its blocks add up to it. */
  readonly minutes: number;
  readonly blocks: readonly ClassBlock[];
}

/** What a moment of a class is. */
export type SpanKind = 'work' | 'rest' | 'change' | 'ease';

/** A stretch of the class, in seconds from its start. */
export interface Span {
  readonly fromS: number;
  readonly toS: number;
  readonly kind: SpanKind;
  /** Which block, and which of its parts; `null` where none is done. */
  readonly block: number;
  readonly part: number | null;
  /** From 1. */
  readonly round: number;
  readonly rounds: number;
  readonly side: Side | null;
  /** Repetitions of `tempo` seconds from its start, where they are counted out. */
  readonly reps: { readonly count: number; readonly upS: number; readonly downS: number } | null;
  /** What is said at its start. */
  readonly cue: string | null;
}

/** Gapless, from 0 to `totalS`. */
export interface Timeline {
  readonly spans: readonly Span[];
  readonly totalS: number;
}

/** What moves the clock of a class; its time is read from these and never counted. */
export type ClockEvent =
  | { readonly kind: 'start' | 'hold' | 'go'; readonly wallMs: number }
  | { readonly kind: 'jump'; readonly wallMs: number; readonly toS: number };
