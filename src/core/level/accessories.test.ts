import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import { addDays } from '../math/days';
import { askFirstKinds, limiterKinds, wishes, type Facts, type Pattern } from '../shapes/facts';
import { assignAccessories } from './accessories';
import { assignLevels, levelAt, withAccessories } from './assign';
import { done, legs, madeUpDay, madeUpKit, someone, stands } from './madeUp';
import { saidBefore, type Decided } from './standing';

const beside = (more: Partial<Facts>) => {
  const facts = someone(more);
  return assignAccessories(levelRules, facts, assignLevels(levelRules, facts).levels);
};
/** `Q1 a sore knee`, in the order offered. */
const offered = (more: Partial<Facts>): string[] =>
  [...beside(more).open]
    .filter((l) => l.offered !== null)
    .sort((a, b) => (a.offered ?? 0) - (b.offered ?? 0))
    .map((l) => `${l.pattern}${l.rung} ${String(l.offeredFor)}`);
const open = (more: Partial<Facts>): string =>
  beside(more)
    .open.map((l) => l.code)
    .join(' ');
const transfer = done('floor-transfer', 12);
const fit = [
  ...[stands(14), done('four-stage', 4), ...legs(30), done('thigh-hold', 40), done('heel-rise', 20), transfer],
  ...(['L', 'R'] as const).map((side) => done('knee-to-wall', 10, { side })),
];
const seen = (...codes: readonly string[]) =>
  codes.map((code) => ({ pattern: code[0] as Pattern, rung: Number(code[1]) }));

describe('beside the four', () => {
  test('who knows nothing of her is open to what is done sitting, and is offered nothing', () => {
    expect(open({})).toBe('W2/0@h5x3 A1/2@5x2 Q1/0@5x2 M3/1@5x2');
    expect(offered({})).toEqual([]);
  });
  test('who is fit: free wide hold, one leg, the highest step of the hall, the first of what must be shown', () => {
    expect(open({ results: fit })).toBe(
      'W4/48/0@h5x3 A4/f@5x2 U3/h@3x2 F1/2@1x1 Q1/0@5x2 K1/0@h5x3 M1/1@5x2 M2/1@5x2 M3/1@5x2',
    );
  });
  test('a step over 20 cm is none, and with a low one alone it stays the low step', () => {
    const rung = (...stepsCm: number[]) =>
      beside({ results: fit, kit: { ...madeUpKit, stepsCm } }).open.find((l) => l.pattern === 'U')?.rung;
    expect([rung(10, 18), rung(12), rung(13), rung(21), rung()]).toEqual([3, 2, 3, 1, 1]);
  });
  test('a hold opens the next rung at 30 s, the punches at 20 s', () => {
    const rung = (pattern: Pattern, held: Facts['held'], shown: Facts['shown'] = []) =>
      beside({ results: fit, held, shown }).open.find((l) => l.pattern === pattern)?.rung;
    expect(rung('W', [{ pattern: 'W', rung: 4, seconds: 29 }])).toBe(4);
    expect(rung('W', [{ pattern: 'W', rung: 4, seconds: 30 }])).toBe(5);
    const both = [
      { pattern: 'W', rung: 4, seconds: 30 },
      { pattern: 'W', rung: 5, seconds: 20 },
    ] as const;
    expect(rung('W', both)).toBe(6);
    expect(rung('K', [], seen('K1', 'K2'))).toBe(3);
    expect(rung('K', [{ pattern: 'K', rung: 3, seconds: 30 }], seen('K2'))).toBe(4);
    const long = { pattern: 'W', rung: 4, seconds: 30, on: addDays(madeUpDay, -113) } as const;
    expect(rung('W', [long])).toBe(4);
  });
  test('ankles are done sitting until one position is held and there is something fixed, and while somebody is asked', () => {
    const form = (more: Partial<Facts>) => {
      const level = beside(more).open.find((l) => l.pattern === 'A');
      return [level?.rung, level?.form, level?.name, level?.supportWords];
    };
    const seated = [1, 'seated', 'Heels and toes, seated', 'hands rest on the thighs'];
    const standing = [1, 'standing', 'Heels and toes, two hands', 'both hands on the rail'];
    const one = [done('four-stage', 1)];
    expect(form({})).toEqual(seated);
    expect(form({ results: one })).toEqual(standing);
    expect(form({ results: one, kit: { ...madeUpKit, rail: false, chairs: [] } })).toEqual(seated);
    expect(form({ results: one.map((r) => ({ ...r, testedOn: addDays(madeUpDay, -120) })) })).toEqual(seated);
    const asked = { results: fit, readiness: 'ask-first', askFirstKind: 'disease' } as const;
    expect(form(asked)).toEqual(seated);
    expect(form({ ...asked, lightWhileAsking: true })).toEqual(standing);
  });
  test('of the set each item stands alone: pain of one joint closes its own, the first classes hold none back', () => {
    const items = (more: Partial<Facts>) =>
      beside({ results: fit, ...more })
        .open.filter((l) => l.pattern === 'M')
        .map((l) => l.rung);
    expect(items({})).toEqual([1, 2, 3]);
    expect(items({ sessionsLogged: 0 })).toEqual([1, 2, 3]);
    const sore = (kind: (typeof limiterKinds)[number], pain: number) => items({ limiters: [{ kind, pain }] });
    expect([sore('ankle-pain', 3), sore('ankle-pain', 4)]).toEqual([
      [1, 2, 3],
      [2, 3],
    ]);
    expect([sore('knee-pain', 3), sore('knee-pain', 4), sore('hip-pain', 4)]).toEqual([
      [1, 2, 3],
      [1, 3],
      [1, 3],
    ]);
    expect(sore('shoulder-pain', 4)).toEqual([1, 2]);
  });
});

describe('what is offered, at most three, the first that hold (common practice, no published source)', () => {
  const knee = [{ kind: 'knee-pain', pain: 5 }] as const;
  const cannot = done('floor-transfer', 0, { outcome: 'unable', value: null });
  test.each<[string, Partial<Facts>, string[]]>([
    ['a sore knee', { limiters: knee }, ['Q1 a sore knee']],
    ['a knee that hurts little', { limiters: [{ kind: 'knee-pain', pain: 2 }] }, []],
    [
      'a floor that is not managed',
      { results: [...fit.slice(0, -3), cannot], sessionsLogged: 2 },
      ['F1 the floor transfer is not managed yet', 'W4 two classes on S4 to S6'],
    ],
    ['a fall', { falls12m: 1 }, ['A1 a fall in the last 12 months']],
    ['a slow walk', { results: [done('up-and-go-8ft', 8.5)] }, ['A1 up and go past its line']],
    [
      'a walk not managed',
      { results: [done('up-and-go-3m', 0, { outcome: 'unable', value: null })] },
      ['A1 up and go past its line'],
    ],
    [
      'a slow walk over a year ago',
      { results: [done('up-and-go-8ft', 9, { testedOn: addDays(madeUpDay, -365) })] },
      [],
    ],
    ['three positions', { results: [done('four-stage', 3)] }, ['A3 not all four standing positions held']],
    [
      'stairs wished, seven stands',
      { results: [stands(8), done('four-stage', 4)], wishes: ['stairs'] },
      ['W3 two classes on S4 to S6'],
    ],
    [
      'stairs wished, eight with room for a bad day',
      { results: [stands(9), done('four-stage', 4)], wishes: ['stairs'] },
      ['U2 eight stands, and stairs wished for', 'W3 two classes on S4 to S6'],
    ],
    [
      'the wide stance wished in the first class',
      { wishes: ['wide-stance'], sessionsLogged: 0 },
      ['W1 the wide stance wished for'],
    ],
    [
      'hands far apart behind the back',
      { results: [done('back-scratch', -11)] },
      ['M3 hands behind the back past its line'],
    ],
    [
      'a tight thigh and L4',
      { results: fit, backThighTight: true },
      ['K1 B4 or more given', 'M2 L4 or more given, and the front of the back thigh is tight'],
    ],
    [
      'four things',
      { results: fit, limiters: [{ kind: 'knee-replaced', since: '2020' }], falls12m: 1, heelUpTwice: true },
      ['Q1 a knee replaced', 'A4 a fall in the last 12 months', 'M1 a heel that came up in two classes'],
    ],
  ])('%s', (_what, more, wanted) => {
    expect(offered(more)).toEqual(wanted);
  });

  test('nobody is offered what is closed to them, more than three, or the same twice; each says why', () => {
    const anyone = fc.record({
      limiters: fc.array(fc.record({ kind: fc.constantFrom(...limiterKinds), pain: fc.integer({ min: 0, max: 10 }) }), {
        maxLength: 3,
      }),
      results: fc.subarray([...fit, done('back-scratch', -30), done('step-2min', 50), done('up-and-go-8ft', 9)]),
      wishes: fc.subarray([...wishes]),
      falls12m: fc.integer({ min: 0, max: 2 }),
      readiness: fc.constantFrom('ready', 'ready-with-care', 'ask-first', 'not-today'),
      askFirstKind: fc.constantFrom(...askFirstKinds),
      heelUpTwice: fc.boolean(),
      backThighTight: fc.boolean(),
    });
    fc.assert(
      fc.property(anyone, (more) => {
        const { open: levels, closed } = beside(more);
        const at = levels.flatMap((l) => l.offered ?? []).sort((a, b) => a - b);
        expect(at).toEqual([1, 2, 3].slice(0, at.length));
        for (const l of levels) expect((l.offered === null) === (l.offeredFor === null)).toBe(true);
        const shut = closed.filter((c) => c.pattern !== 'M').map((c) => c.pattern);
        for (const l of levels) expect(shut).not.toContain(l.pattern);
        if (more.readiness === 'not-today') expect(levels).toEqual([]);
      }),
    );
  });
});

test('an item of the set is set by hand and kept as its own; another item stays as it was', () => {
  const all = withAccessories(levelRules);
  const facts = someone({ results: [done('four-stage', 1)] });
  expect(levelAt(all, facts, 'M', 3, null)).toMatchObject({ pattern: 'M', rung: 3 });
  expect(levelAt(all, facts, 'M', 2, 'trained elsewhere')).toMatchObject({ blockers: [{ fact: 'floorTransfer' }] });
  const decided = beside({ results: fit })
    .open.filter((l) => l.pattern === 'M')
    .map((level): Decided => ({ decidedOn: madeUpDay, kind: 'hand', by: 'Made Up', level }));
  expect(saidBefore(decided).lastConfirmed.map((c) => `${c.pattern}${c.rung}`)).toEqual(['M1', 'M2', 'M3']);
});
