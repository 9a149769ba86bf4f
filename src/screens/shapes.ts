import type { CountTrial } from '../core/measure/countTrial';
import type { Path } from '../core/path';
import type { Change } from '../core/retest/change';
import type { RetestDue } from '../core/retest/due';
import type { RisePower } from '../core/score/risePower';
import type { Score } from '../core/score/scoreResult';
import type { Level, LevelsAnswer } from '../core/level/answer';
import type { Conditions } from '../core/shapes/attempt';
import type { Intake, Person } from '../core/shapes/person';

/** A counted result as a mark on a rail. */
export interface StoredTrial {
  readonly on: string;
  readonly counted: number;
  readonly handsUsed: boolean;
}

/** An attempt as the screens see it. */
export interface AttemptView {
  readonly clientKey: string;
  readonly sittingDate: string;
  readonly conditions: Conditions;
  readonly trial: CountTrial;
}

export interface SittingView {
  readonly attempt: AttemptView;
  readonly ageYears: number;
  readonly score: Score;
  readonly power: RisePower | null;
  readonly change: Change;
}

/** What the screens of one person are given. */
export interface PersonView {
  readonly person: Person;
  readonly intake: Intake;
  readonly ageYears: number;
  readonly path: Path;
  readonly sittings: readonly SittingView[];
  readonly otherAttempts: readonly AttemptView[];
  readonly levels: LevelsAnswer;
  readonly confirmed: readonly { readonly confirmedOn: string; readonly level: Level }[];
  readonly levelWaiting: Level | null;
  readonly due: RetestDue | null;
}

export const trialMark = ({ attempt }: SittingView): StoredTrial => ({
  on: attempt.sittingDate,
  counted: attempt.trial.counted,
  handsUsed: attempt.trial.handsUsed,
});
