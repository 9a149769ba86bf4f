import { foldName } from '../../core/math/names';

/** People whose names hold every typed part, in any order and without accents; works without a server. */
export function matching<P extends { readonly name: string }>(people: readonly P[], typed: string): P[] {
  const parts = foldName(typed)
    .split(/\s+/)
    .filter((part) => part !== '');
  return people.filter((p) => parts.every((part) => foldName(p.name).includes(part)));
}
