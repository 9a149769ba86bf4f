import { addDays } from '../math/days';
import type { Upset } from '../level/cautious';
import type { IsoDate, Readiness } from '../shapes/facts';

/** Weeks to the next test; common practice, no published source. */
export const retestWeeks = { usual: 12, watch: 8, clearance: 4 } as const;

export interface RetestDue {
  readonly on: IsoDate;
  readonly weeks: number;
  readonly why: string;
}

/** What sets the date of the next test. */
export interface DueFacts {
  readonly pastCutoff: boolean;
  readonly readiness: Readiness;
  /** A level was taken back since. */
  readonly steppedBack: boolean;
  /** Something happened that makes the tests no longer true; `null` where nothing did. */
  readonly upset: Upset | null;
  /** They came back after weeks without a class, and were not tested since. */
  readonly cameBack: { readonly weeks: number; readonly testBy: IsoDate } | null;
}

export const upsetWords: Readonly<Record<Upset['by'], string>> = {
  fall: 'a fall since the last test',
  surgery: 'surgery since the last test',
  pain: 'strong new pain since the last test',
};

/** When to test again, counted from the last test: sooner where something is to be watched, before the next class after an upset. */
export function retestDue(lastTestedOn: IsoDate, facts: DueFacts): RetestDue {
  if (facts.upset) return { on: facts.upset.on, weeks: 0, why: `${upsetWords[facts.upset.by]}: before the next class` };
  const [weeks, why] =
    facts.readiness === 'ask-first' || facts.readiness === 'not-today'
      ? [
          retestWeeks.clearance,
          facts.readiness === 'not-today'
            ? 'not well at the moment'
            : 'a question is open with a licensed professional',
        ]
      : facts.pastCutoff
        ? [retestWeeks.watch, 'a result is past a watch line']
        : facts.readiness === 'ready-with-care'
          ? [retestWeeks.watch, 'ready with care']
          : facts.steppedBack
            ? [retestWeeks.watch, 'a level was taken back']
            : [retestWeeks.usual, 'the usual interval'];
  const on = addDays(lastTestedOn, weeks * 7);
  const { cameBack } = facts;
  if (cameBack && cameBack.testBy < on)
    return { on: cameBack.testBy, weeks: 0, why: `back after ${cameBack.weeks} weeks without a class` };
  return { on, weeks, why };
}
