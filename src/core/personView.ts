import type { IsoDate, Side } from './shapes/facts';
import type { CountTrial } from './measure/countTrial';
import type { Trial } from './measure/measuredTrial';
import type { Path } from './path';
import type { Change } from './retest/change';
import type { RetestDue } from './retest/due';
import type { Score } from './score/scoreResult';
import type { Level, LevelsAnswer } from './level/answer';
import type { Composites } from './score/composites';
import type { TestView } from './testView';
import type { Conditions } from './shapes/attempt';
import type { Known } from './intake/known';
import type { Person, PersonId, UnitSystem } from './shapes/person';

/** An attempt without its events: what was tried, how, when, and what came of it. */
export interface AttemptView {
  readonly clientKey: string;
  readonly personId: PersonId;
  readonly test: string;
  readonly protocolVersion: number;
  readonly sittingDate: IsoDate;
  readonly side: Side | null;
  readonly conditions: Conditions;
  readonly trial: Trial;
  /** Wall clock of its first event, and when the register had it: which of a day's results stands hangs on both. */
  readonly startedWallMs: number;
  readonly receivedAt: string;
}

/** An attempt that lies in another file now. */
export interface MovedAway {
  readonly attempt: AttemptView;
  /** Whose file that is. */
  readonly toName: string;
}

/** An attempt counted tap by tap. */
export type CountedAttempt = AttemptView & { readonly trial: CountTrial };

/** The first valid count of a day, scored at the age of that day. */
export interface SittingView {
  readonly attempt: CountedAttempt;
  readonly ageYears: number;
  readonly score: Score;
  /** Against the sitting before. */
  readonly change: Change;
}

/** All that the lists of the register need of somebody. */
export interface PersonOutline {
  readonly person: Person;
  /** What is known today. */
  readonly known: Known;
  readonly archived: boolean;
  /** Units shown. */
  readonly units: UnitSystem;
  readonly ageYears: number;
  readonly path: Path;
  /** The chair stand, newest first. */
  readonly sittings: readonly SittingView[];
  /** Every test with a result, in the order of the stations. */
  readonly tests: readonly TestView[];
  readonly composites: Composites;
  /** The day that sets the next: of the chair stand, or else of the newest result. */
  readonly lastTestedOn: IsoDate | null;
  /** Watch lines that the newest results are past. */
  readonly toWatch: number;
  /** Of the figures that scored all of this. */
  readonly normsVersion: string;
  /** Tries of the newest day that broke off and were not done again. */
  readonly toRepeat: readonly AttemptView[];
  /** Attempts that once lay in this file and were moved to another. */
  readonly movedAway: readonly MovedAway[];
  /** Trials without a result: stopped, broken off, or a repeat of the same day. */
  readonly otherAttempts: readonly AttemptView[];
  /** Oldest first. */
  readonly confirmed: readonly { readonly confirmedOn: IsoDate; readonly level: Level }[];
  /** Newest of each ladder, in the order of the ladders; one that is closed today is not to be trained on today. */
  readonly levelsNow: readonly {
    readonly confirmedOn: IsoDate;
    readonly level: Level;
    readonly closedToday: boolean;
  }[];
  /** Levels that wait for a yes, in the same order. */
  readonly levelsWaiting: readonly Level[];
  readonly due: RetestDue | null;
}

/** All that the screens of one person show. */
export interface PersonView extends PersonOutline {
  readonly levels: LevelsAnswer;
}
