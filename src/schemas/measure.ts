/** What one request may hold; more takes the server away from everybody else. Common practice, no published source. */
export const mostValues = 60_000;
export const mostDepth = 12;
export const mostKeys = 200;

/**
 * Whether something that came from outside is small enough to be looked at, in one walk that ends at the first excess.
 * @returns what is too much, in a sentence; `null` where nothing is
 */
export function tooMuch(value: unknown): string | null {
  let values = 0;
  const waiting: { readonly part: unknown; readonly depth: number }[] = [{ part: value, depth: 0 }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { part, depth } = next;
    if (++values > mostValues) return `At most ${mostValues.toLocaleString('en')} values in one request.`;
    if (typeof part !== 'object' || part === null) continue;
    if (depth >= mostDepth) return `At most ${mostDepth} levels of lists and objects inside each other.`;
    const inside = Array.isArray(part) ? (part as readonly unknown[]) : Object.values(part);
    if (!Array.isArray(part) && inside.length > mostKeys) return `At most ${mostKeys} fields in one object.`;
    if (values + waiting.length + inside.length > mostValues)
      return `At most ${mostValues.toLocaleString('en')} values in one request.`;
    for (const one of inside) waiting.push({ part: one, depth: depth + 1 });
  }
  return null;
}

/** Signs that are no letters: they steer a terminal or turn the direction of what stands beside them. */
const steering =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]/;

/** What is wrong with a text whatever it is for; `null` where nothing is. */
export function textFault(text: string): string | null {
  if (!text.isWellFormed()) return 'has half a letter in it: write it again';
  return steering.test(text) ? 'has a sign in it that is no letter: write it again without' : null;
}
