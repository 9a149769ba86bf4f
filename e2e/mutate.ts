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

const woman = { age: 77, sex: 'female', heightCm: 160, massKg: 64 };
const fall = { kind: 'fall', fellOn: '2026-03-01', hurt: true, lookedAt: true, headStruck: false, unexplained: false };
const rail = { fxPct: 3, xFromToeM: 0.25, handHeightM: 0.9, hands: 1 };
const stands = { test: 'chair-stand-30s', value: 9, seatHeightCm: 43 };

/** Requests that are right, one of each kind that the open interface takes. */
const right: readonly (readonly [method: string, path: (n: string) => string, body: object])[] = [
  ['POST', () => '/api/v1/score', { person: woman, testedOn: '2026-03-02', results: [stands] }],
  ['POST', () => '/api/v1/levels', { person: woman, results: [stands], limiters: [{ kind: 'knee-pain', pain: 4 }] }],
  ['POST', () => '/api/v1/load', { task: 'window', heightM: 1.68, massKg: 70, seatHeightM: 0.45, support: rail }],
  ['POST', () => '/api/v1/people', { name: 'Mutt Ante', birthDate: '1950-05-06', normTable: 'female', evenSo: true }],
  ['PUT', (n) => `/api/v1/entries/mutated-${n}`, { personId: 'ada', on: '2026-03-02', content: fall }],
  [
    'PUT',
    (n) => `/api/v1/attempts/mutated-${n}`,
    {
      ...{ personId: 'ada', test: 'chair-stand-30s', protocolVersion: 1, sittingDate: '2026-03-02', side: null },
      conditions: { seatHeightCm: 43 },
      events: [{ seq: 0, kind: 'start', atMs: 0, wallMs: 1, by: 'key' }],
    },
  ],
  ['POST', () => '/api/v1/devices/seat-1/events', { boot: 'b', sentMs: 5, events: [{ n: 0, ms: 5, kind: 'up' }] }],
];

/** The n-th request of a row with something wrong in it. */
export function mutated(
  n: number,
  seed: number,
  chance: () => number,
): { readonly method: string; readonly path: string; readonly sent: string } {
  const [method, path, body] = right[n % right.length] ?? ['POST', () => '/', {}];
  return { method, path: path(`${seed}-${n}`), sent: JSON.stringify(mutate(body, chance)) };
}

/** One part of it taken out, doubled, renamed, or something nasty put in its place; deeper down as often as not. */
function mutate(value: unknown, chance: () => number): unknown {
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
