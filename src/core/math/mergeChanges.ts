import { canonicalJson } from './canonical';

/** Something that two changed in different ways since the form was opened. `undefined` is taken out. */
export interface Clash {
  /** Names of members from the outside in; an item of a list goes by what identifies it. */
  readonly path: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Merged<T> {
  /** What one side changed is taken from that side; where both did, it is as mine. */
  readonly merged: T;
  readonly clashes: readonly Clash[];
}

type Members = Readonly<Record<string, unknown>>;
/** What tells the items of a list apart, such as kind and side; a list without it is one value. */
export type IdentityOf = (item: Members) => string | null;

/**
 * Brings together what a form changed and what was changed elsewhere since it was opened.
 *
 * Changed in the form only: taken. Changed in the store only: kept. Changed in both and not alike: a clash. Objects are
 * looked at member by member, lists item by item where their items can be told apart (each item a whole: an answer to
 * "how much" is not taken apart), and plain words as a set.
 * @param opened what the form showed when it was opened
 */
export function mergeChanges<T extends object>(opened: T, mine: T, theirs: T, identityOf: IdentityOf): Merged<T> {
  const clashes: Clash[] = [];
  const merged = mergeValue([], opened, mine, theirs, identityOf, clashes) as T;
  return { merged, clashes };
}

const isMembers = (v: unknown): v is Members => typeof v === 'object' && v !== null && !Array.isArray(v);
const same = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && canonicalJson(a) === canonicalJson(b));

function mergeValue(
  path: readonly string[],
  opened: unknown,
  mine: unknown,
  theirs: unknown,
  identityOf: IdentityOf,
  clashes: Clash[],
): unknown {
  const settled = oneSided(opened, mine, theirs);
  if (settled) return settled.value;
  const parts = [opened, mine, theirs];
  if (parts.every(isMembers)) {
    const [o, m, t] = parts as [Members, Members, Members];
    return mergeMembers(m, t, (name) => mergeValue([...path, name], o[name], m[name], t[name], identityOf, clashes));
  }
  const clash = (at: readonly string[], m: unknown, t: unknown): unknown => {
    clashes.push({ path: at, mine: m, theirs: t });
    return m;
  };
  if (!parts.every(Array.isArray)) return clash(path, mine, theirs);
  const [o, m, t] = (parts as readonly (readonly unknown[])[]).map((list) => keyed(list, identityOf));
  if (!o || !m || !t) return clash(path, mine, theirs);
  return Object.values(
    mergeMembers(m, t, (name) => {
      const item = oneSided(o[name], m[name], t[name]);
      return item ? item.value : clash([...path, name], m[name], t[name]);
    }),
  );
}

/** The value where only one side changed it, or both alike; null where both did and not alike. */
function oneSided(opened: unknown, mine: unknown, theirs: unknown): { readonly value: unknown } | null {
  if (same(mine, theirs) || same(opened, theirs)) return { value: mine };
  return same(opened, mine) ? { value: theirs } : null;
}

function mergeMembers(mine: Members, theirs: Members, merge: (name: string) => unknown): Members {
  const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
  return Object.fromEntries(
    names.map((name) => [name, merge(name)]).filter(([, value]) => value !== undefined),
  ) as Members;
}

/** A list by what tells its items apart; null where something does not, or two are told apart by nothing. */
function keyed(list: readonly unknown[], identityOf: IdentityOf): Members | null {
  const keys = list.map((item) =>
    typeof item === 'string' || typeof item === 'number' ? `=${item}` : isMembers(item) ? identityOf(item) : null,
  );
  if (keys.includes(null) || new Set(keys).size < keys.length) return null;
  return Object.fromEntries<unknown>(list.map((item, i) => [keys[i] ?? '', item]));
}

/** The form with one thing put in its place, or taken out where the value is `undefined`. */
export function putAt<T>(form: T, path: readonly string[], value: unknown, identityOf: IdentityOf): T {
  const [name, ...further] = path;
  if (name === undefined) return value as T;
  const list: readonly unknown[] | null = Array.isArray(form) ? form : null;
  const members: Members = list ? (keyed(list, identityOf) ?? {}) : isMembers(form) ? form : {};
  const put = { ...members, [name]: putAt(members[name], further, value, identityOf) };
  const left = Object.fromEntries(Object.entries(put).filter(([, v]) => v !== undefined));
  return (list ? Object.values(left) : left) as T;
}
