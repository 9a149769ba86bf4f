/**
 * One text for one content: members in order at every depth, so that two writings of the same thing compare equal.
 * Members without a value are left out, as JSON leaves them out.
 */
export function canonicalJson(value: unknown): string {
  return JSON.stringify(ordered(value));
}

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  const members = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(members.map(([name, member]) => [name, ordered(member)]));
}
