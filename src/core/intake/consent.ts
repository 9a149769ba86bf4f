import { consents, type ConsentTo, type Entry, type EntryOf } from '../shapes/intake';
import { ofKind } from './entries';

/** What somebody said last of each thing they may agree to; `null` where it was not asked. */
export function consentsIn(
  entries: readonly Entry[],
): { readonly to: ConsentTo; readonly said: EntryOf<'consent'> | null }[] {
  const all = ofKind(entries, 'consent');
  return consents.map((to) => ({ to, said: all.findLast((e) => e.content.to === to) ?? null }));
}

/** The day since which somebody agrees to it; `null` where they do not. */
export function agreedOn(entries: readonly Entry[], to: ConsentTo): string | null {
  const said = consentsIn(entries).find((c) => c.to === to)?.said;
  return said?.content.given ? said.on : null;
}
