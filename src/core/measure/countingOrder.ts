import type { Trial } from './trial';

/** What decides which of a day's results of one test stands for the day. */
export interface Countable {
  readonly trial: Pick<Trial, 'counts' | 'fromPaper'>;
  readonly startedWallMs: number;
  readonly receivedAt: string;
}

/**
 * Below 0 when `a` comes before `b` as the result of one day: what somebody said counts (the newest such word first),
 * then what was timed here by its start, then what was written on paper as it arrived.
 */
export function inCountingOrder(a: Countable, b: Countable): number {
  if (a.trial.counts !== b.trial.counts) return a.trial.counts ? -1 : 1;
  if (a.trial.counts) return textOrder(b.receivedAt, a.receivedAt);
  if (a.trial.fromPaper !== b.trial.fromPaper) return a.trial.fromPaper ? 1 : -1;
  return (a.trial.fromPaper ? 0 : a.startedWallMs - b.startedWallMs) || textOrder(a.receivedAt, b.receivedAt);
}

const textOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
