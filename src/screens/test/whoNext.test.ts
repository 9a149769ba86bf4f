import { expect, test } from 'vitest';
import type { StationPerson } from './station';
import { byNeed, nextUp } from './whoNext';

const person = (name: string, due: boolean, lastTestedOn: string | null): StationPerson => ({
  ...{
    id: name,
    name,
    due,
    lastTestedOn,
    normTable: 'female',
    ageYears: 75,
    cautions: [],
    handsLast: false,
    sides: [],
  },
  record: { intakes: [], entries: [] },
});
const people = [
  person('Zita', true, '2025-12-01'),
  person('Bo', false, '2026-02-02'),
  person('Åke', false, null),
  person('Aron', true, null),
];
const names = (of: readonly StationPerson[]) => of.map((p) => p.name);
const isHeld = (p: StationPerson) => p.name === 'Aron';

test('who is due or was never tested comes first, who is held last, each by name', () => {
  expect(names(byNeed(people, isHeld))).toEqual(['Åke', 'Zita', 'Bo', 'Aron']);
});

test('next are as many as sat there, nobody held, nobody twice', () => {
  expect(names(nextUp(people, isHeld, new Set(['Zita']), 2))).toEqual(['Åke', 'Bo']);
  expect(names(nextUp(people, isHeld, new Set(people.map((p) => p.id)), 2))).toEqual([]);
});
