/** What a search for a root found: where it is, or the value nearest to zero that was seen. */
export type Root = { readonly at: number } | { readonly near: number };

const steps = 20;
const narrow = 1e-13;
const most = 200;

/**
 * The first root of a function upward from one end: looked for in twenty equal steps, then closed in on. @param f continuous
 * between the two ends
 */
export function root(f: (x: number) => number, from: number, to: number): Root {
  let [low, atLow] = [from, f(from)];
  let near = atLow;
  for (let step = 1; step <= steps; step++) {
    const high = from + ((to - from) * step) / steps;
    const atHigh = f(high);
    if (atLow * atHigh <= 0) return { at: between(f, low, high, atLow, atHigh) };
    if (Math.abs(atHigh) < Math.abs(near)) near = atHigh;
    [low, atLow] = [high, atHigh];
  }
  return { near };
}

/**
 * Regula falsi with the Illinois step: the end that stays weighs half of it, so that both ends move. Where that does not
 * halve the stretch in three steps, it is halved.
 */
function between(f: (x: number) => number, from: number, to: number, atFrom: number, atTo: number): number {
  let [a, b, fa, fb] = [from, to, atFrom, atTo];
  let kept: 'a' | 'b' | null = null;
  let wide = b - a;
  for (let n = 0; n < most && b - a > narrow; n++) {
    if (fa === 0) return a;
    if (fb === 0) return b;
    const slow = n % 3 === 2 && b - a > wide / 2;
    if (n % 3 === 2) wide = b - a;
    const x = slow ? (a + b) / 2 : inside((a * fb - b * fa) / (fb - fa), a, b);
    const fx = f(x);
    if (fa * fx <= 0) {
      [b, fb] = [x, fx];
      if (kept === 'a') fa /= 2;
      kept = 'a';
    } else {
      [a, fa] = [x, fx];
      if (kept === 'b') fb /= 2;
      kept = 'b';
    }
  }
  return (a + b) / 2;
}

/** Never on an end, where rounding would have the stretch stand still. */
const inside = (x: number, a: number, b: number): number => Math.min(b - narrow / 3, Math.max(a + narrow / 3, x));

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
