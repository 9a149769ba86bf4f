import type { LevelRules } from './ladder';
import type { CompositeRules } from './norms';
import type { ReadinessRules } from './readiness';

/** Every rule that judges somebody, as one book: shipped, or as a hall has it. */
/** What decides whether somebody may begin today: all that a browser needs of the rules beside an intake. */
export interface DayRules {
  readonly levels: Pick<LevelRules, 'limiters'>;
  readonly readiness: ReadinessRules;
}

export interface RuleBook {
  readonly levels: LevelRules;
  readonly readiness: ReadinessRules;
  readonly composites: CompositeRules;
  /** Tests that make somebody tested, the one that speaks for them first. */
  readonly coreTests: readonly string[];
  /** Those that are taken again at once, in three minutes, when something happened that makes the others no longer true. */
  readonly atOnceAgain: readonly string[];
  /** Those whose changes are taken together. */
  readonly takenTogether: readonly string[];
}
