/** jstat ships no types; only what the checks use. */
declare module 'jstat' {
  export const jStat: { normal: { cdf(x: number, mean: number, sd: number): number } };
}
