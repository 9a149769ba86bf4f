/**
 * Says when a register has rested long enough for its log to go into the file: so long after the last write, and again
 * each time until it could be done.
 * @param quietMs time without a write
 * @returns called with what changes at every write, and the time in ms; true when the log is to be emptied now
 */
export function restAfter(quietMs: number): {
  readonly isDue: (state: string, nowMs: number) => boolean;
  readonly done: () => void;
} {
  let seen: string | null = null;
  let since = 0;
  let rested = false;
  return {
    isDue(state, nowMs) {
      if (state !== seen) [seen, since, rested] = [state, nowMs, false];
      return !rested && nowMs - since >= quietMs;
    },
    done() {
      rested = true;
    },
  };
}
