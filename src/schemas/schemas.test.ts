import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../catalogue/protocols';
import { limiterKinds } from '../core/shapes/facts';
import { attemptBody } from './attempt';
import { emptyPersonForm } from '../use-cases/savePerson';
import { parse, toPointer } from './parse';
import { personForm } from './person';
import { levelsRequest, scoreRequest } from './requests';

const score = scoreRequest(protocols);
const levels = levelsRequest(protocols);
const person = { age: 77, sex: 'female' };
const pathsOf = (schema: Parameters<typeof parse>[0], input: unknown): string[] => {
  const parsed = parse(schema, input);
  return parsed.kind === 'bad' ? parsed.errors.map((e) => e.path) : [];
};
const results = (...list: object[]) => ({ person, results: list });

describe('a request is taken whole or refused by name', () => {
  test('an unknown field is refused under its own name, wherever it stands', () => {
    const places: [string, object][] = [
      ['', { person, results: [], typo: 1 }],
      ['/person', { person: { ...person, typo: 1 }, results: [] }],
      ['/results/1', results({ test: 'four-stage', value: 2 }, { test: 'four-stage', value: 2, typo: 1 })],
      [
        '/results/0/seconds',
        results({
          test: 'four-stage',
          value: 2,
          seconds: { sideBySide: 10, semiTandem: 10, tandem: 1, oneLeg: 0, typo: 1 },
        }),
      ],
    ];
    for (const [place, input] of places) expect(pathsOf(score, input)).toEqual([`${place}/typo`]);
    expect(
      pathsOf(levels, {
        person,
        kit: { chairs: [{ heightCm: 43 }], padsCm: [3], typo: 1 },
        limiters: [{ kind: 'knee-pain', typo: 1 }],
      }).sort(),
    ).toEqual(['/kit/typo', '/limiters/0/typo']);
  });
  test('a field with a slash or tilde in its name is pointed at by RFC 6901', () => {
    expect(pathsOf(score, { person, results: [], 'a/b~c': 1 })).toEqual(['/a~1b~0c']);
    expect(toPointer('results[0].seconds.tandem')).toBe('/results/0/seconds/tandem');
  });
  test('whatever is sent, the answer is a verdict and never a crash', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (anything) => {
        for (const schema of [score, levels, attemptBody])
          expect(['ok', 'bad']).toContain(parse(schema, anything).kind);
      }),
    );
  });
  test('the input is never changed', () => {
    const input = results({ test: 'chair-stand-30s', value: 9 });
    const before = structuredClone(input);
    parse(score, input);
    expect(input).toEqual(before);
  });
  test('every limiter kind is taken, another is not', () => {
    expect(pathsOf(levels, { person, limiters: limiterKinds.map((kind) => ({ kind })) })).toEqual([]);
    expect(pathsOf(levels, { person, limiters: [{ kind: 'bad-mood' }] })).toEqual(['/limiters/0/kind']);
  });
});

describe.each(protocols)('$id', ({ id, range, sides, capture }) => {
  const side = sides === 'both' ? { side: 'L' } : {};
  const one = (more: object) => pathsOf(score, results({ test: id, ...side, ...more }));
  test('its least and greatest value are taken, beyond them not', () => {
    for (const value of [range.min, range.max]) expect(one({ value })).toEqual([]);
    for (const value of [range.min - 1, range.max + 1]) expect(one({ value })).toEqual(['/results/0/value']);
    expect(one({ value: range.min + 0.5 })).toEqual(range.whole ? ['/results/0/value'] : []);
  });
  test('a side is taken only where the test has sides, and needed where it is done on each', () => {
    expect(one({ value: range.max, side: 'L' })).toEqual(sides === 'none' ? ['/results/0/side'] : []);
    expect(one({ value: range.max, side: null })).toEqual(sides === 'both' ? ['/results/0/side'] : []);
  });
  test('unable, stopped and not tried go without a value', () => {
    for (const outcome of ['unable', 'stopped', 'not-tried']) {
      expect(one({ outcome })).toEqual([]);
      expect(one({ outcome, value: range.max })).toEqual(['/results/0/value']);
    }
  });
  test('a cap belongs to holds and is not more than that of the protocol', () => {
    const cap = capture.kind === 'hold' ? capture.capS : null;
    expect(one({ value: range.min, capS: cap ?? 30 })).toEqual(cap === null ? ['/results/0/capS'] : []);
    if (cap !== null) expect(one({ value: range.min, capS: cap + 1 })).toEqual(['/results/0/capS']);
  });
});

test('a hip bone under the kneecap is a slip of the tape, at the hip bone', () => {
  const of = (kneecapCm: number | null, hipBoneCm: number | null) => {
    const form = { ...emptyPersonForm, name: 'Ada A', birthDate: '1950-01-01', kneecapCm, hipBoneCm };
    const parsed = parse(personForm('2026-03-02'), form);
    return parsed.kind === 'bad' ? parsed.errors.map((e) => e.path) : [];
  };
  expect([of(48, 90), of(62, 61), of(62, 62), of(null, 61)]).toEqual([[], ['/hipBoneCm'], ['/hipBoneCm'], []]);
});

describe('days and ages', () => {
  test('17 and 111 are refused, 18 and 110 taken; age and birth date exclude each other', () => {
    const age = (n: number) => pathsOf(score, { person: { age: n }, results: [] });
    expect([17, 18, 110, 111].map((n) => age(n).length)).toEqual([1, 0, 0, 1]);
    expect(
      pathsOf(score, { person: { age: 70, birthDate: '1950-01-01' }, testedOn: '2026-03-02', results: [] }),
    ).toEqual(['/person/age']);
    expect(pathsOf(score, { person: { birthDate: '1950-01-01' }, results: [] })).toEqual(['/testedOn']);
  });
  test('a result younger than the day asked about is refused; no 30 February', () => {
    const later = {
      person,
      testedOn: '2026-03-02',
      results: [{ test: 'four-stage', value: 3, testedOn: '2026-03-03' }],
    };
    expect(pathsOf(score, later)).toEqual(['/results/0/testedOn']);
    expect(pathsOf(score, { person, testedOn: '2026-02-30', results: [] })).toEqual(['/testedOn']);
    expect(pathsOf(score, { person, testedOn: '', results: [] })).toEqual(['/testedOn']);
  });
});

describe('events of an attempt', () => {
  const body = (...events: object[]) => ({
    personId: 'p',
    test: 'chair-stand-30s',
    protocolVersion: 1,
    sittingDate: '2026-03-02',
    conditions: {},
    events,
  });
  const stamp = { seq: 0, atMs: 0, wallMs: 1, by: 'key' };
  test('each kind carries its own fields: a stop its reason, an answer its yes or no, a repetition nothing', () => {
    expect(pathsOf(attemptBody, body({ ...stamp, kind: 'stop', reason: 'pain' }))).toEqual([]);
    expect(pathsOf(attemptBody, body({ ...stamp, kind: 'stop' }))).toEqual(['/events/0/reason']);
    expect(pathsOf(attemptBody, body({ ...stamp, kind: 'half-rep', counts: 'yes' }))).toEqual(['/events/0/counts']);
    expect(pathsOf(attemptBody, body({ ...stamp, kind: 'rep', reason: 'pain' }))).toEqual(['/events/0/reason']);
    expect(pathsOf(attemptBody, body({ kind: 'rep' })).sort()).toEqual([
      '/events/0/atMs',
      '/events/0/by',
      '/events/0/seq',
      '/events/0/wallMs',
    ]);
  });
  test('a list without an event is no attempt', () => {
    expect(pathsOf(attemptBody, body())).toEqual(['/events']);
  });
});

describe('spaces around words', () => {
  test('are taken off and never refused, as a tablet adds them by itself', () => {
    const form = { ...emptyPersonForm, name: ' Odile Brandvoll ', birthDate: '1948-11-02', normTable: 'female' };
    expect(parse(personForm('2026-03-02'), form)).toMatchObject({ kind: 'ok', value: { name: 'Odile Brandvoll' } });
    expect(parse(personForm('2026-03-02'), { ...form, name: '   ' })).toEqual({
      kind: 'bad',
      errors: [{ path: '/name', message: 'Write a name of at least two letters.' }],
    });
  });
  test('where there are none, the very same is handed on', () => {
    const sent = results({ test: 'chair-stand-30s', value: 9 });
    const parsed = parse(score, sent);
    expect(parsed.kind === 'ok' && parsed.value).toBe(sent);
  });
});

test('limits in writing need who wrote them and when, each told at its own field; without any nothing is asked', () => {
  const paths = (more: object) => {
    const limiter = { kind: 'hip-replaced', side: 'R', since: null, limitsLifted: false, by: '', limits: '', ...more };
    const form = { ...emptyPersonForm, name: 'Wilma Writ', birthDate: '1948-05-06', limiters: [limiter] };
    const parsed = parse(personForm('2026-03-02'), form);
    return parsed.kind === 'bad' ? parsed.errors.map((e) => e.path) : [];
  };
  expect(paths({})).toEqual([]);
  expect(paths({ limitsLifted: true })).toEqual(['/limiters/0/by', '/limiters/0/writtenOn']);
  expect(paths({ limits: 'not under 90 degrees', by: 'Dr Imre Sollund' })).toEqual(['/limiters/0/writtenOn']);
  expect(paths({ limitsLifted: true, by: 'Dr Imre Sollund', writtenOn: '2026-03-03' })).toEqual([
    '/limiters/0/writtenOn',
  ]);
  expect(paths({ limitsLifted: true, by: 'Dr Imre Sollund', writtenOn: '2026-02-20' })).toEqual([]);
});
