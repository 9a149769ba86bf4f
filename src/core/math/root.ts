/** What a search for a root found: where it is, or the value nearest to zero that was seen. */
export type Root = { readonly at: number } | { readonly near: number };

const steps = 20;
const narrow = 1e-13;
const most = 200;

/**
 * The first root of a function upward from one end: looked for in twenty equal steps, then halved. @param f continuous
 * between the two ends
 */
export function root(f: (x: number) => number, from: number, to: number): Root {
  let [low, atLow] = [from, f(from)];
  let near = atLow;
  for (let step = 1; step <= steps; step++) {
    const high = from + ((to - from) * step) / steps;
    const atHigh = f(high);
    if (atLow * atHigh <= 0) return { at: halved(f, low, high, atLow) };
    if (Math.abs(atHigh) < Math.abs(near)) near = atHigh;
    [low, atLow] = [high, atHigh];
  }
  return { near };
}

function halved(f: (x: number) => number, from: number, to: number, atFrom: number): number {
  let [low, high, atLow] = [from, to, atFrom];
  for (let n = 0; n < most && high - low > narrow; n++) {
    const middle = (low + high) / 2;
    const value = f(middle);
    if (atLow * value <= 0) high = middle;
    else [low, atLow] = [middle, value];
  }
  return (low + high) / 2;
}

/**
 * The end of a stretch on which something holds, by halving. @param holds true at `from`, and from there on up to one
 * point @returns the last place that was seen to hold
 */
export function lastHolding(holds: (x: number) => boolean, from: number, to: number, halvings: number): number {
  if (holds(to)) return to;
  let [good, bad] = [from, to];
  for (let n = 0; n < halvings; n++) {
    const middle = (good + bad) / 2;
    if (holds(middle)) good = middle;
    else bad = middle;
  }
  return good;
}
