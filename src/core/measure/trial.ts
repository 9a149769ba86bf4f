import type { StopReason } from '../shapes/attempt';
import type { FourStageSeconds, Outcome, TestResult } from '../shapes/facts';
import type { CaptureKind } from '../shapes/protocol';
import type { Phase } from './phase';

/** One of the tries of an attempt. */
export interface Try {
  /** `not-counted`: something made it invalid, such as a step while reaching. */
  readonly state: 'done' | 'running' | 'not-counted';
  /** As it was seen, in the unit of the test: repetitions with or without hands, seconds, cm; `null` while there is none. */
  readonly value: number | null;
  /** When each repetition that counted was finished, ms since go; a half-way one at the tone has no time. */
  readonly atMs: readonly number[];
}

/** What a list of events says of an attempt at any test, at any moment of it and for ever after. */
export interface Trial {
  readonly kind: CaptureKind;
  readonly state: Phase;
  readonly outcome: Outcome;
  /** The result under the rule of the protocol, in its unit; `null` while there is none. */
  readonly value: number | null;
  readonly tries: readonly Try[];
  readonly handsUsed: boolean;
  /** Repetitions before the first use of hands, all of them where hands were not used; `null` where nobody counted. */
  readonly cleanBeforeHands: number | null;
  readonly seconds: FourStageSeconds | null;
  readonly help: NonNullable<TestResult['help']> | null;
  readonly halfRepCounted: boolean;
  readonly stopReason: StopReason | null;
  readonly falseStarts: number;
  /** The page was away for a moment and the trial went on. */
  readonly gapMs: number;
  readonly marks: {
    readonly caught: number;
    readonly touches: number;
    readonly rests: number;
    readonly pain: number | null;
    readonly effort: number | null;
  };
  readonly fromPaper: boolean;
  /** Said to be the result of its day, whatever else was had that day. */
  readonly counts: boolean;
  /** Who took it down, where it was written on paper. */
  readonly who: string | null;
  readonly movedTo: string | null;
}

/** What was seen in the first try, hands or no hands; 0 before anything was. */
export const countedIn = ({ tries }: Pick<Trial, 'tries'>): number => tries[0]?.value ?? 0;

/** As it was seen: what was counted, of anything else the result; `null` while there is none. */
export const seenIn = (trial: Pick<Trial, 'kind' | 'value' | 'tries'>): number | null =>
  trial.kind === 'count' ? countedIn(trial) : trial.value;

/** When each counted repetition of the first try was finished. */
export const repsIn = ({ tries }: Pick<Trial, 'tries'>): readonly number[] => tries[0]?.atMs ?? [];
