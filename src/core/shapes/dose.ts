/** How much of a level: repetitions, intervals, holds, or repetitions on the half-minute. */
export type Dose =
  | { readonly kind: 'reps'; readonly reps: number; readonly sets: number }
  | { readonly kind: 'intervals'; readonly workS: number; readonly restS: number; readonly rounds: number }
  | { readonly kind: 'holds'; readonly holdS: number; readonly sets: number }
  | { readonly kind: 'half-minute'; readonly reps: number; readonly everyS: number; readonly rounds: number };

/** What caps a dose besides the rules: a limiter, or a question that is open; what nothing caps is left out. */
export interface DoseCaps {
  readonly holdS?: number;
  readonly reps?: number;
}
