import type { IsoDate } from './facts';

/** That somebody may do something: since which day, and on whose word. */
export interface MayDo {
  readonly day: IsoDate;
  readonly by: string;
}

/** What a helper may be ticked for: counting once they were shown how, spotting once they can hold somebody. */
export const helperTasks = ['count', 'spot'] as const;
export type HelperTask = (typeof helperTasks)[number];

/** Somebody who helps in the hall; no participant, and no record beyond this. */
export interface Helper {
  readonly id: string;
  readonly name: string;
  /** `null` where nobody has said so. */
  readonly may: Readonly<Record<HelperTask, MayDo | null>>;
}
