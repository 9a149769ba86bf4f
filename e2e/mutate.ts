/** What nobody means to send: put in place of some part of a request that was right. */
const nasty: readonly unknown[] = [
  ...[null, true, -0, 1e308, -1, 0.1, '', ' ', 'constructor', '__proto__', 'toString', '=1+1', '9'.repeat(400)],
  ...['\u0000', 'a\ud800', '\u202eabc', '2026-02-30', '28.13.1949', [], {}, [[]], [null], { toString: 1 }],
  { constructor: 1, prototype: 2 },
  JSON.parse('{"__proto__": {"kind": "fall"}}'),
  Array.from({ length: 2000 }, () => ({})),
  Object.fromEntries(Array.from({ length: 300 }, (_, i) => [`f${i}`, i])),
  JSON.parse(`${'['.repeat(200)}${']'.repeat(200)}`),
  'x'.repeat(20_000),
];

/** One part of it taken out, doubled, renamed, or something nasty put in its place; deeper down as often as not. */
export function mutate(value: unknown, chance: () => number): unknown {
  const any = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)] as T;
  if (Array.isArray(value) && value.length > 0 && chance() < 0.8) {
    const at = Math.floor(chance() * value.length);
    const list = value as readonly unknown[];
    return chance() < 0.2 ? [...list, list[at]] : list.map((item, i) => (i === at ? mutate(item, chance) : item));
  }
  if (typeof value === 'object' && value !== null && !Array.isArray(value) && chance() < 0.85) {
    const members = Object.entries(value);
    if (members.length === 0) return any(nasty);
    const [name] = any(members);
    const how = chance();
    const changed = members.flatMap(([n, inside]) =>
      n !== name
        ? [[n, inside]]
        : how < 0.15
          ? []
          : how < 0.25
            ? [[any(['constructor', '__proto__x', 'Kind', `${n} `]), inside]]
            : [[n, mutate(inside, chance)]],
    );
    return Object.fromEntries(changed as [string, unknown][]);
  }
  return any(nasty);
}
