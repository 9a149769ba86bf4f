import type { Conditions } from '../shapes/attempt';
import type { IsoDate, Side, TestResult } from '../shapes/facts';
import type { PersonId } from '../shapes/person';
import { seenIn, type Trial } from './trial';

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

/** A finished attempt as a result for scoring and levels; a count as it was seen, hands or no hands. `null` while it has none. */
export function toResult(
  attempt: Pick<AttemptView, 'trial' | 'test' | 'sittingDate' | 'side' | 'conditions'>,
): TestResult | null {
  const { trial } = attempt;
  if (trial.state !== 'finished') return null;
  const values = trial.tries.flatMap((t) => t.value ?? []);
  return {
    test: attempt.test,
    testedOn: attempt.sittingDate,
    side: attempt.side,
    seatHeightCm: attempt.conditions.seatHeightCm ?? null,
    handsUsed: trial.handsUsed,
    cleanBeforeHands: trial.handsUsed ? trial.cleanBeforeHands : null,
    outcome: trial.outcome,
    value: trial.outcome === 'done' ? seenIn(trial) : trial.value,
    trials: values.length > 1 ? values : null,
    seconds: trial.seconds,
    help: trial.help,
  };
}

/** Attempts of the newest day that broke off, where nothing came of that test and side on that day after all. */
export function toRepeatOf(attempts: readonly AttemptView[]): AttemptView[] {
  const newestDay = attempts.at(-1)?.sittingDate;
  const ofDay = attempts.filter((a) => a.sittingDate === newestDay);
  const done = (of: AttemptView) =>
    ofDay.some((a) => a.test === of.test && a.side === of.side && a.trial.state === 'finished');
  return ofDay.filter((a) => a.trial.state === 'to-repeat' && !done(a));
}
