const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** People whose names hold every typed part, in any order and without accents; works without a server. */
export function matching<P extends { readonly name: string }>(people: readonly P[], typed: string): P[] {
  const parts = plain(typed)
    .split(/\s+/)
    .filter((part) => part !== '');
  return people.filter((p) => parts.every((part) => plain(p.name).includes(part)));
}
