import type { Pattern } from './facts';
import type { FormCheckCode } from './move';

export const styleQuestionIds = ['squat', 'lunge', 'toes', 'knee-track', 'depth'] as const;
export type StyleQuestionId = (typeof styleQuestionIds)[number];

/** The set-up the load model starts from; common practice, no published source. */
export type StyleSetUp =
  /** A squat with the shins held at so many degrees. */
  | { readonly of: 'squat'; readonly shankDeg: number; readonly arms: 'forward' | 'crossed' }
  /** A squat with the trunk leaning so many times as far as the shins. */
  | { readonly of: 'squat'; readonly trunkPerShank: number; readonly arms: 'forward' | 'crossed' }
  /** A lunge with the trunk leaning so many degrees. */
  | { readonly of: 'lunge'; readonly trunkDeg: number };

export interface StyleOption {
  readonly id: string;
  readonly name: string;
  /** Who says so and why, in a sentence. */
  readonly says: string;
  /** What is said to the person. */
  readonly cue: string;
  /** Looked at before the others. */
  readonly first: readonly FormCheckCode[];
  readonly setUp?: StyleSetUp;
}

/** Something good instructors do differently; it changes words and what is looked at first, never a rung or a limiter. */
export interface StyleQuestion {
  readonly id: StyleQuestionId;
  readonly title: string;
  /** Rungs it is a question of. */
  readonly on: readonly { readonly pattern: Pattern; readonly from: number; readonly to: number }[];
  readonly options: readonly StyleOption[];
  readonly shipped: string;
  readonly whyShipped: string;
  /** For a knee that hurts or is replaced. */
  readonly forSoreKnee?: string;
}

/** What was chosen, by question. */
export type Coaching = Readonly<Partial<Record<StyleQuestionId, string>>>;
