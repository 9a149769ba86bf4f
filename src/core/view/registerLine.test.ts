import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compareLines, passesFilter, registerStates, type RegisterLine } from './registerLine';
import { registerFilters, registerSorts } from '../shapes/register';

const today = '2026-03-02';
const line: RegisterLine = {
  id: 'a',
  name: 'Alda Averly',
  birthDate: '1949-01-01',
  ageYears: 77,
  normTable: 'female',
  archived: false,
  state: 'ready',
  why: '',
  newest: { test: 'chair-stand-30s', value: 9, handsUsed: false },
  lastTestedOn: '2026-01-05',
  dueOn: '2026-03-30',
  toWatch: 0,
  standing: {},
  codes: ['S5/46/h@4x1'],
  waitingCodes: [],
  levelName: null,
  toRepeat: false,
  toComplete: 0,
  lapsesOn: null,
  groupIds: [],
};

describe('filters', () => {
  test.each([
    ['due', { dueOn: '2026-03-02' }, true],
    ['due', { dueOn: '2026-03-03' }, false],
    ['due', { dueOn: null }, false],
    ['held', { state: 'to-ask' }, true],
    ['held', { state: 'with-care' }, false],
    ['not-tested', { lastTestedOn: null }, true],
    ['not-tested', {}, false],
    ['to-complete', { toComplete: 1 }, true],
    ['all', {}, true],
  ] as const)('%s with %o: %s', (filter, more, wanted) => {
    expect(passesFilter({ ...line, ...more }, filter, today)).toBe(wanted);
  });
  test('who is put aside shows under the archive only, whatever else is so', () => {
    const aside = { ...line, archived: true, dueOn: '2026-01-01', state: 'not-today', lastTestedOn: null } as const;
    expect(registerFilters.filter((f) => passesFilter(aside, f, today))).toEqual(['archived']);
    expect(passesFilter(line, 'archived', today)).toBe(false);
  });
});

const days = fc.constantFrom('2025-11-02', '2026-01-05', '2026-03-30', null);
const lines = fc.array(
  fc.record({
    name: fc.constantFrom('Alda Averly', 'alda averly', 'Bero Brodd', 'Cilia Calder'),
    ageYears: fc.integer({ min: 60, max: 95 }),
    lastTestedOn: days,
    dueOn: days,
    codes: fc.constantFrom(['S4/46/h@4x1'], ['S5/46/h@4x1'], []),
    state: fc.constantFrom(...registerStates),
  }),
  { maxLength: 12 },
);

describe('order', () => {
  test('is the same however the lines lay before, and those without a value come last either way', () => {
    fc.assert(
      fc.property(lines, fc.constantFrom(...registerSorts), fc.boolean(), (some, sort, down) => {
        const order = compareLines(sort, down);
        const sorted = some.map((more, i) => ({ ...line, ...more, id: String(i) })).sort(order);
        for (const [i, one] of sorted.entries())
          for (const later of sorted.slice(i + 1)) expect(order(one, later)).toBeLessThanOrEqual(0);
        const without = sorted.findIndex((l) => l.dueOn === null);
        if (sort === 'due' && without >= 0) expect(sorted.slice(without).every((l) => l.dueOn === null)).toBe(true);
        const names = (list: readonly RegisterLine[]) => list.map((l) => l.name);
        expect(names([...sorted].reverse().sort(order))).toEqual(names(sorted));
      }),
    );
  });
  test('by state, what weighs most stands first', () => {
    const all = (['ready', 'due', 'not-today', 'to-ask'] as const).map((state) => ({ ...line, state }));
    expect(all.sort(compareLines('state', false)).map((l) => l.state)).toEqual(['not-today', 'to-ask', 'due', 'ready']);
  });
});
