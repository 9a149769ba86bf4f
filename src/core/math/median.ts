/**
 * The middle of values, or half-way between the two in the middle.
 * @param sorted ascending
 * @throws RangeError if there is none
 */
export function median(sorted: readonly number[]): number {
  const half = sorted.length / 2;
  const [a, b] = [sorted[Math.ceil(half) - 1], sorted[Math.floor(half)]];
  if (a === undefined || b === undefined) throw new RangeError('median: at least one value is needed');
  return (a + b) / 2;
}
