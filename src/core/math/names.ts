/** A name without accents and capitals, as it is searched and sorted by. */
export const foldName = (text: string): string =>
  (plain.test(text) ? text : text.normalize('NFD').replace(/\p{M}/gu, '')).toLowerCase();

const plain = /^[ -~]*$/;

/** The one order of names: without accents and capitals first, then as they are written. */
export function compareNames(a: string, b: string, fold: (name: string) => string = foldName): number {
  const [x, y] = [fold(a), fold(b)];
  return x < y ? -1 : x > y ? 1 : a < b ? -1 : a > b ? 1 : 0;
}

/** The same for a long list, where each name is folded once. */
export function nameOrder(): (a: string, b: string) => number {
  const folded = new Map<string, string>();
  const fold = (name: string): string => {
    const known = folded.get(name);
    if (known !== undefined) return known;
    const fresh = foldName(name);
    folded.set(name, fresh);
    return fresh;
  };
  return (a, b) => compareNames(a, b, fold);
}
