import type { Support } from './facts';

/** How the hands help, as it stands on a card: the first row that fits. */
export interface HandsRow {
  readonly support: readonly Support[];
  /** Ladders or rungs: `S`, `S4`, `L6-8`; left out it fits all. */
  readonly on?: readonly string[];
  /** Only with a chair that has arms; with a walker in front. */
  readonly with?: 'arms' | 'walker';
  /** `null`: the movement says it. */
  readonly words: string | null;
}

/** What a card says that hangs on nobody. */
export interface CardWords {
  readonly hands: readonly HandsRow[];
  readonly warmUp: string;
  readonly effort: string;
  readonly stop: readonly string[];
  readonly then: readonly string[];
  readonly notToday: string;
  readonly aches: string;
  readonly home: {
    readonly title: string;
    readonly daysCount: string;
    readonly rules: readonly string[];
    readonly hold: string;
    readonly seat: string;
    readonly how: readonly string[];
    readonly weeks: number;
    readonly days: number;
    readonly most: number;
  };
  readonly spotter: readonly string[];
}

export const cardKinds = ['my', 'home'] as const;
export type CardKind = (typeof cardKinds)[number];
