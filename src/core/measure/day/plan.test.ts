import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../../catalogue/protocols';
import type { DayPerson, DayStaff, DayTest } from '../../shapes/day';
import { leastOf, readyFor, visitsOf } from './day';
import { planDay } from './plan';
import { restS } from './rests';

const dayTests: readonly DayTest[] = protocols.map(({ id, station }) => ({ ...station, id }));
const named = (id: string): DayTest => {
  const found = dayTests.find((t) => t.id === id);
  if (!found) throw new Error(id);
  return found;
};
const coreThree = ['four-stage', 'one-leg', 'chair-stand-30s'];
const coreFive = [...coreThree, 'up-and-go-8ft', 'step-2min'];
const person = (id: string, tests: readonly string[], more: Partial<DayPerson> = {}): DayPerson => ({
  ...{ id, tests, alone: false, over85: false },
  ...more,
});
const people = (n: number, tests: readonly string[]) => Array.from({ length: n }, (_, i) => person(`p${i}`, tests));
const both: DayStaff = { id: 'instructor', may: ['instructor', 'spots', 'counts'] };
const spotter: DayStaff = { id: 'second', may: ['spots', 'counts'] };
const counter: DayStaff = { id: 'third', may: ['counts'] };
const minutes = (n: number, tests: readonly string[], second = spotter) =>
  planDay(people(n, tests), dayTests, [both, second]).endS / 60;

describe('what fits (staff minutes of two, without the twelve of check, warm-up and closing; common practice, no published source)', () => {
  test.each([
    [6, 25],
    [9, 38],
    [12, 50],
    [20, 84],
  ])('core five of %i people take about %i minutes', (n, wanted) => {
    expect(Math.abs(minutes(n, coreFive) / wanted - 1)).toBeLessThan(0.1);
  });
  test.each([
    [6, 12],
    [9, 18],
    [12, 24],
    [20, 40],
  ])('core three of %i people take about %i minutes, the second try on one leg told by the first', (n, wanted) => {
    // Four minutes a person, as that table reckons: a first try of 34 s a side says enough.
    const quick = dayTests.map((t) => (t.id === 'one-leg' ? { ...t, takesS: 85 } : t));
    const { endS } = planDay(people(n, coreThree), quick, [both, spotter]);
    expect(Math.abs(endS / 60 / wanted - 1)).toBeLessThan(0.1);
  });
  test('with a helper who may only count the balances are the instructor’s own line', () => {
    expect(minutes(20, coreThree, counter)).toBeGreaterThan(58);
    expect(minutes(20, coreThree, counter)).toBeLessThan(72);
  });
});

test('balances are one visit, in order; range, strength, speed and the floor come after; the battery walks before it stands', () => {
  const order = (tests: readonly string[]) =>
    visitsOf(person('a', tests), dayTests).map((v) => v.tests.map((t) => t.id).join('+'));
  expect(order(['step-2min', 'one-leg', 'chair-stand-30s', 'four-stage', 'up-and-go-8ft'])).toEqual([
    'four-stage+one-leg',
    'chair-stand-30s',
    'up-and-go-8ft',
    'step-2min',
  ]);
  expect(order(['five-stands', 'gait-4m', 'four-stage'])).toEqual(['four-stage', 'gait-4m', 'five-stands']);
  expect(order(['chair-stand-30s', 'arm-curl'])).toEqual(['arm-curl', 'chair-stand-30s']);
});

test('rests: two minutes between leg tests, three over 85, none after balance, five and ten minutes after the step test', () => {
  const young = { over85: false };
  const rest = (a: string, b: string, who = young) => restS(named(a), named(b), who);
  expect(rest('one-leg', 'chair-stand-30s')).toBe(0);
  expect([
    rest('chair-stand-30s', 'up-and-go-8ft'),
    rest('chair-stand-30s', 'up-and-go-8ft', { over85: true }),
  ]).toEqual([120, 180]);
  expect(rest('arm-curl', 'step-2min')).toBe(120);
  expect(rest('chair-stand-30s', 'thigh-hold')).toBe(300);
  expect([rest('step-2min', 'heel-rise'), rest('step-2min', 'one-leg')]).toEqual([300, 600]);
});

test('what nobody here may run is said, and the rest is planned', () => {
  const plan = planDay(people(3, coreThree), dayTests, [counter]);
  expect(plan.unstaffed).toContain('four-stage');
  expect(plan.calls.map((c) => c.tests.join())).toEqual(['chair-stand-30s', 'chair-stand-30s']);
  expect(planDay([], dayTests, [both])).toMatchObject({ calls: [], endS: 0 });
});

const anyDay = fc.record({
  people: fc.array(
    fc.record({ tests: fc.subarray(coreFive, { minLength: 1 }), alone: fc.boolean(), over85: fc.boolean() }),
    { minLength: 1, maxLength: 9 },
  ),
  staff: fc.constantFrom([both], [both, spotter], [both, counter], [both, spotter, counter]),
});
const asPeople = (all: readonly Omit<DayPerson, 'id'>[]) => all.map((p, i): DayPerson => ({ ...p, id: `p${i}` }));

test('everybody does each of theirs once, in order, rested, in one place at a time, beside nobody when alone; no one of the staff is in two', () => {
  fc.assert(
    fc.property(anyDay, ({ people: drawn, staff }) => {
      const all = asPeople(drawn);
      const plan = planDay(all, dayTests, staff);
      for (const one of all) {
        const visits = visitsOf(one, dayTests);
        const calls = plan.calls.filter((c) => c.people.includes(one.id));
        expect(calls.map((c) => c.tests)).toEqual(visits.map((v) => v.tests.map((t) => t.id)));
        for (const [i, call] of calls.entries()) {
          const visit = visits[i];
          if (!visit) throw new Error('a call too many');
          expect(call.startS).toBeGreaterThanOrEqual(readyFor(one, visits[i - 1], calls[i - 1]?.endS ?? 0, visit));
          if (one.alone) expect(call.people).toEqual([one.id]);
        }
      }
      for (const { id, may } of staff) {
        const own = plan.calls.filter((c) => c.staff === id);
        for (const [i, call] of own.entries()) {
          expect(call.startS).toBeGreaterThanOrEqual(own[i - 1]?.endS ?? 0);
          for (const test of call.tests) expect(may).toContain(named(test).staff);
        }
      }
      expect(plan.endS).toBeGreaterThanOrEqual(plan.leastS - 1e-9);
    }),
    { numRuns: 30 },
  );
});

test('the same question has the same plan', () => {
  const ask = () => JSON.stringify(planDay(people(11, coreFive), dayTests, [both, spotter]));
  expect(ask()).toBe(ask());
});

describe('held against all there are', () => {
  /** The soonest end by trying every order of calls, with every way to fill the lanes. */
  function bruteEnd(all: readonly DayPerson[], staff: readonly DayStaff[]): number {
    const going = all.map((one) => ({ one, visits: visitsOf(one, dayTests) }));
    let best = planDay(all, dayTests, staff).endS;
    const least = leastOf(all, dayTests, staff);
    const left = (nths: readonly number[], ends: readonly number[], free: readonly number[]): void => {
      if (best <= least + 1e-9) return;
      const open = going.flatMap(({ visits }, i) => (visits[nths[i] ?? 0] ? [i] : []));
      if (open.length === 0) {
        best = Math.min(best, Math.max(...free));
        return;
      }
      // Whoever is left needs at least this.
      for (const i of open) {
        const { one, visits } = going[i] ?? { one: null, visits: [] };
        if (!one) continue;
        let endS = ends[i] ?? 0;
        for (let n = nths[i] ?? 0; n < visits.length; n++) {
          const v = visits[n];
          if (v) endS = readyFor(one, visits[n - 1], endS, v) + v.takesS;
        }
        if (endS >= best) return;
      }
      const tried = new Set<string>();
      for (const i of open) {
        const own = going[i];
        const visit = own?.visits[nths[i] ?? 0];
        if (!own || !visit) continue;
        const alike = open.filter((j) => {
          const next = going[j]?.visits[nths[j] ?? 0];
          return j > i && visit.lanes > 1 && next?.lanes === visit.lanes && next.tests[0] === visit.tests[0];
        });
        for (const beside of [null, ...alike])
          for (const [s, { may }] of staff.entries()) {
            if (!may.includes(visit.staff)) continue;
            const called = beside === null ? [i] : [i, beside];
            const startS = Math.max(
              free[s] ?? 0,
              ...called.map((j) => {
                const { one, visits } = going[j] ?? own;
                const next = visits[nths[j] ?? 0] ?? visit;
                return readyFor(one, visits[(nths[j] ?? 0) - 1], ends[j] ?? 0, next);
              }),
            );
            const endS = startS + visit.takesS;
            if (endS >= best) continue;
            const swap = <T>(list: readonly T[], at: readonly number[], to: (old: T) => T) =>
              list.map((x, k) => (at.includes(k) ? to(x) : x));
            const [n2, e2, f2] = [
              swap(nths, called, (n) => n + 1),
              swap(ends, called, () => endS),
              swap(free, [s], () => endS),
            ];
            const key = `${n2.join()} ${e2.join()} ${f2.join()}`;
            if (tried.has(key)) continue;
            tried.add(key);
            left(n2, e2, f2);
          }
      }
    };
    left(
      all.map(() => 0),
      all.map(() => 0),
      staff.map(() => 0),
    );
    return best;
  }
  test.each([
    ['three with three tests, two who may spot', people(3, coreThree), [both, spotter]],
    ['four with two tests, one who may only count', people(4, ['four-stage', 'chair-stand-30s']), [both, counter]],
    [
      'five, some alone',
      people(5, ['chair-stand-30s', 'up-and-go-8ft']).map((p, i) => ({ ...p, alone: i % 2 === 0 })),
      [both, spotter],
    ],
    [
      'three of different tests',
      [
        person('a', ['chair-stand-30s', 'up-and-go-8ft', 'step-2min']),
        person('b', coreThree),
        person('c', ['one-leg', 'up-and-go-8ft']),
      ],
      [both, spotter],
    ],
  ] as const)('%s: no plan is a tenth shorter', (_what, all, staff) => {
    const { endS } = planDay(all, dayTests, staff);
    expect(endS).toBeLessThanOrEqual(1.1 * bruteEnd(all, staff));
  });
});
