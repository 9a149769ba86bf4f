/** Facts of a session, a person and a pattern, each from best to worst. */
export const sessionFacts = {
  /** 0-2 · 3-4 · 5 and over, sharp, or rising. */
  pain: ['none', 'some', 'much'],
  /** In the band · over it, up to 7 · 8 and over. */
  effort: ['in-band', 'over', 'far-over'],
  /** Of form or of the body: none · in a later set · in the first set. */
  stopSign: ['none', 'later', 'first'],
  /** None · put right by a cue · one that ends a set, not put right. */
  form: ['none', 'put-right', 'not-put-right'],
  /** Done · half or more of it · under half, and not for lack of time. */
  dose: ['met', 'short', 'under-half'],
  /** As the level says · more hands or a higher seat. */
  support: ['as-level', 'more'],
  nextDay: ['no-worse', 'worse'],
  /** Two clean repetitions were looked at, and pain and effort asked · not. */
  looked: ['seen', 'not-seen'],
} as const;
export type SessionFactName = keyof typeof sessionFacts;
export type SessionFacts = { readonly [K in SessionFactName]: (typeof sessionFacts)[K][number] };

/** Down-sign, heavy, short, clean and seen, clean as far as known. */
export const grades = ['D', 'H', 'S', 'U', 'C'] as const;
export type Grade = (typeof grades)[number];

/** What stands before the next dial of somebody. */
export const dialStates = ['open', 'limiter', 'none', 'place', 'need', 'test'] as const;
export type DialState = (typeof dialStates)[number];

export const outcomeKinds = ['back', 'less', 'dose-set', 'stay', 'dose-up', 'test', 'queued', 'up'] as const;
export type OutcomeKind = (typeof outcomeKinds)[number];
/** `G4`: after weeks away. */
export type OutcomeRow = 'G4' | `P${1 | 2 | 3 | 4 | 5 | 6 | 7 | 8 | 9 | 10 | 11 | 12 | 13 | 14 | 15 | 16 | 17}`;

/** What follows for a person on a level, and by which row of the table. */
export interface Outcome {
  readonly row: OutcomeRow;
  readonly kind: OutcomeKind;
  /** Sessions of half dose after it. */
  readonly halfDoseFor: 0 | 1 | 2;
}

/** What decides beside the grades. */
export interface OutcomeCase {
  readonly today: Grade;
  /** Of the session before on this level, within 28 days. */
  readonly before: Grade | null;
  readonly firstTwoClasses: boolean;
  /** The dose is at its top; it was at its top in the session before as well. */
  readonly topDose: boolean;
  readonly topBefore: boolean;
  readonly dial: DialState;
  readonly riskDial: boolean;
  /** A dial of this person went up in this class already. */
  readonly wentUp: boolean;
}
