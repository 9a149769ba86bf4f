import MiniSearch from 'minisearch';
import { foldName } from '../core/math/names';

/** Finds people by name, a slip of the finger allowed. */
export function nameIndex<P extends { readonly id: string; readonly name: string }>(): MiniSearch<P> {
  return new MiniSearch<P>({
    fields: ['name'],
    storeFields: [],
    processTerm: (term) => foldName(term),
    searchOptions: {
      prefix: true,
      combineWith: 'AND',
      // One slip in a name of five letters, two in one of ten.
      fuzzy: (term) => (term.length >= 4 ? 0.25 : false),
      weights: { fuzzy: 0.3, prefix: 0.8 },
    },
  });
}

/** The same words in any order, without accents. */
export const sameName = (a: string, b: string): boolean => wordsOf(a) === wordsOf(b);
const wordsOf = (name: string): string =>
  foldName(name)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w !== '')
    .sort()
    .join(' ');
