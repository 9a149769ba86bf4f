/** z of the quartiles: half of the standard normal lies between -this and this. */
export const quartileZ = 0.6744897501960817;

/**
 * Share of a standard normal population below `z`.
 *
 * Series of G. Marsaglia, "Evaluating the normal distribution", J Stat Softw 11(4), 2004 (from memory):
 * Phi(z) = 1/2 + phi(z) (z + z^3/3 + z^5/(3 5) + ...). Full double precision inside |z| < 7, 0 or 1 outside.
 * @returns 0 to 1
 * @throws RangeError if `z` is not a number
 */
export function normalCdf(z: number): number {
  if (Number.isNaN(z)) throw new RangeError('normalCdf: z must be a number, got NaN');
  if (z <= -7) return 0;
  if (z >= 7) return 1;
  let term = z;
  let sum = z;
  for (let k = 3; Math.abs(term) > 1e-17 * Math.abs(sum); k += 2) {
    term *= (z * z) / k;
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
}
