/** Half up, to a multiple of `step`; the tiny push undoes the binary error of values like 1.005. */
export function roundTo(value: number, step: number): number {
  const decimals = Math.max(0, Math.ceil(-Math.log10(step)));
  return Number((Math.floor(value / step + 0.5 + 1e-9) * step).toFixed(decimals));
}

/** Up to a multiple of `step`; a value that is already one, but for binary error, stays. */
export function roundUpTo(value: number, step: number): number {
  const decimals = Math.max(0, Math.ceil(-Math.log10(step)));
  return Number((Math.ceil(value / step - 1e-9) * step).toFixed(decimals));
}
