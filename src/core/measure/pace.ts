/**
 * How far somebody at an even pace would be, for the ghost mark on the instructor's face.
 * @param count the whole count at the end, such as the median of that age and sex
 * @returns 0 before the start, `count` from the end on
 */
export function evenPace(count: number, durationS: number, elapsedMs: number): number {
  const share = elapsedMs / (durationS * 1000);
  return count * Math.min(1, Math.max(0, share));
}

/** How a count was spread over its time, for whoever looks at it afterwards. */
export interface Pace {
  readonly firstFiveS: number | null;
  /** Repetitions in each ten seconds. */
  readonly perTenS: readonly number[];
  /** Mean time of a repetition in the last third over the first third; `null` under six. */
  readonly slowing: number | null;
}

/** @param atMs when each repetition was finished, ms since go */
export function paceOf(atMs: readonly number[], durationS: number): Pace {
  const fifth = atMs[4];
  return {
    firstFiveS: fifth === undefined ? null : Math.round(fifth / 100) / 10,
    perTenS: perTen(atMs, durationS),
    slowing: slowing(atMs),
  };
}

function perTen(atMs: readonly number[], durationS: number): number[] {
  const tens = Array.from({ length: Math.ceil(durationS / 10) }, () => 0);
  for (const ms of atMs) {
    const ten = Math.max(0, Math.ceil(ms / 10_000) - 1);
    tens[ten] = (tens[ten] ?? 0) + 1;
  }
  return tens;
}

/** Under six the thirds are too short to mean anything. */
function slowing(atMs: readonly number[]): number | null {
  if (atMs.length < 6) return null;
  const third = Math.floor(atMs.length / 3);
  const first = (atMs[third - 1] ?? NaN) / third;
  const last = ((atMs.at(-1) ?? NaN) - (atMs.at(-1 - third) ?? NaN)) / third;
  return Number((last / first).toFixed(3));
}
