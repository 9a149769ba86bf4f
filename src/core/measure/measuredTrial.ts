import { roundTo } from '../math/round';
import type { AttemptEvent } from '../shapes/attempt';
import type { FourStageSeconds, Outcome, TestResult } from '../shapes/facts';
import type { Protocol } from '../shapes/protocol';
import type { CountTrial } from './countTrial';
import { liveEvents, movedTo } from './live';

/** What a list of events says of a test whose result was measured and written down, not counted tap by tap. */
export interface MeasuredTrial {
  readonly kind: 'measured';
  readonly state: 'finished' | 'waiting' | 'to-repeat';
  readonly outcome: Outcome;
  /** The result under the rule of the protocol, in its unit; `null` while there is none. */
  readonly value: number | null;
  /** Every try, as it was written down. */
  readonly trials: readonly number[];
  readonly handsUsed: boolean;
  readonly cleanBeforeHands: number | null;
  readonly seconds: FourStageSeconds | null;
  readonly help: TestResult['help'];
  readonly fromPaper: boolean;
  /** Said by hand to be the result of its day, whatever else was had that day. */
  readonly counts: boolean;
  /** Who took it down. */
  readonly who: string | null;
  readonly movedTo: string | null;
}

/** Any attempt: counted tap by tap, or measured and written down. */
export type Trial = CountTrial | MeasuredTrial;

/**
 * Reads a written result out of its events. Of several tries the best, or the mean, counts by the rule of the protocol;
 * positions are counted out of their seconds. A struck event is left out; an `add` correction sets the value.
 * @param events in any order; `seq` decides
 */
export function readMeasuredTrial(protocol: Protocol, events: readonly AttemptEvent[]): MeasuredTrial {
  const live = liveEvents(events);
  const entered = live.findLast((e) => e.kind === 'entered');
  const corrected = live.findLast((e) => e.kind === 'add');
  const held = live.some((e) => e.kind === 'hold');
  const outcome = entered?.outcome ?? 'done';
  const seconds = entered?.seconds ?? null;
  const trials = entered?.trials ?? [];
  const value =
    corrected?.value ?? (seconds ? positionsHeld(seconds) : (resultOf(protocol, trials) ?? entered?.value ?? null));
  return {
    kind: 'measured',
    state: held ? 'to-repeat' : entered ? 'finished' : 'waiting',
    outcome,
    value: entered && outcome === 'done' ? value : null,
    trials,
    handsUsed: entered?.handsUsed ?? false,
    cleanBeforeHands: entered?.cleanBeforeHands ?? null,
    seconds,
    help: entered?.help ?? null,
    fromPaper: entered !== undefined,
    counts: entered?.counts === true,
    who: entered?.who ?? null,
    movedTo: movedTo(live),
  };
}

/** How many positions were held their ten seconds, one after the other; the first that was not ends the test. */
export function positionsHeld({ sideBySide, semiTandem, tandem, oneLeg }: FourStageSeconds): number {
  const short = [sideBySide, semiTandem, tandem, oneLeg].findIndex((s) => s < 10);
  return short < 0 ? 4 : short;
}

/** The result of several tries; `null` without any. A mean is rounded to a tenth, as the tape is read no finer. */
export function resultOf({ tries, better }: Protocol, trials: readonly number[]): number | null {
  if (trials.length === 0) return null;
  if (tries?.by === 'mean') return roundTo(trials.reduce((sum, t) => sum + t, 0) / trials.length, 0.1);
  return better === 'higher' ? Math.max(...trials) : Math.min(...trials);
}
