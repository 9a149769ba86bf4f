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

/**
 * Names as they are read across a hall: first name and the first letter of the last; where two would be equal, as many
 * letters as tell them apart, and where nothing does, a number.
 * @returns one a name, in their order
 */
export function shortNames(names: readonly string[]): string[] {
  const parts = names.map((name) => {
    const [first = '', ...rest] = name.trim().split(/\s+/);
    return { first, last: rest.at(-1) ?? '' };
  });
  const short = ({ first, last }: (typeof parts)[number], letters: number) =>
    last === '' ? first : `${first} ${last.slice(0, letters)}${letters < last.length ? '.' : ''}`;
  const bare = (name: string) => name.replace('.', '');
  return parts.map((own, i) => {
    const others = parts.filter((_, j) => j !== i);
    const longest = Math.max(1, ...parts.map((p) => p.last.length));
    for (let letters = 1; letters <= longest; letters++)
      // A full stop alone tells nobody apart.
      if (others.every((o) => bare(short(o, letters)) !== bare(short(own, letters)))) return short(own, letters);
    return `${short(own, 1)} ${parts.slice(0, i + 1).filter((p) => p.first === own.first && p.last === own.last).length}`;
  });
}
