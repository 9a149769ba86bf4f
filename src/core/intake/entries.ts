import type { IsoDate } from '../shapes/facts';
import type { Entry, EntryKind, EntryOf } from '../shapes/intake';

/** The entries known at the end of a day, oldest first, without those taken back by then. */
export function entriesUntil(entries: readonly Entry[], day: IsoDate): Entry[] {
  const known = entries.filter((e) => e.on <= day).sort(inOrder);
  const withdrawn = new Set(known.flatMap(({ content }) => (content.kind === 'withdrawn' ? [content.entryId] : [])));
  return known.filter((e) => e.content.kind !== 'withdrawn' && !withdrawn.has(e.id));
}

/** Below 0 when `a` was noted before `b`. */
export function inOrder(a: Entry, b: Entry): number {
  const [x, y] = [momentOf(a), momentOf(b)];
  return x < y ? -1 : x > y ? 1 : 0;
}

/** The day and the moment of it, to be compared as text; a bare day comes before every moment of it. */
export function momentOf({ on, savedAt }: Pick<Entry, 'on' | 'savedAt'>): string {
  return `${on} ${savedAt}`;
}

/** Those of one or more kinds, still in order. */
export function ofKind<K extends EntryKind>(entries: readonly Entry[], ...kinds: readonly K[]): EntryOf<K>[] {
  return entries.filter((e): e is EntryOf<K> => (kinds as readonly EntryKind[]).includes(e.content.kind));
}
