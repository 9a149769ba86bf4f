/** The things in the order given, by a key of each. Node 20 has no `Map.groupBy` yet. */
export function groupBy<T>(all: readonly T[], key: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const known = groups.get(key(one));
    if (known) known.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}
