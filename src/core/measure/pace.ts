/**
 * How far somebody at an even pace would be, for the ghost mark on the instructor's face.
 * @param count the whole count at the end, such as the median of that age and sex
 * @returns 0 before the start, `count` from the end on
 */
export function evenPace(count: number, durationS: number, elapsedMs: number): number {
  const share = elapsedMs / (durationS * 1000);
  return count * Math.min(1, Math.max(0, share));
}
