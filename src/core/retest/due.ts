import { addDays } from '../math/days';
import type { IsoDate, Readiness } from '../shapes/facts';

/** Weeks to the next test; common practice, no published source. */
export const retestWeeks = { usual: 12, watch: 8, clearance: 4 } as const;

export interface RetestDue {
  readonly on: IsoDate;
  readonly weeks: number;
  readonly why: string;
}

/** When to test again, counted from the last test: sooner where something is to be watched. */
export function retestDue(lastTestedOn: IsoDate, facts: { pastCutoff: boolean; readiness: Readiness }): RetestDue {
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
          : [retestWeeks.usual, 'the usual interval'];
  return { on: addDays(lastTestedOn, weeks * 7), weeks, why };
}
