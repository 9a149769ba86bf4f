import { expect, test } from 'vitest';
import { stationChairs } from './chairs';
import type { Call } from './day';

const call = (staff: string, people: readonly string[], test = 'chair-stand-30s'): Call => ({
  ...{ staff, people, tests: [test], startS: 0, endS: 60 },
});
const seated = new Set(['chair-stand-30s', 'up-and-go-8ft']);
const own = (seats: Readonly<Record<string, number>>) => (id: string) => seats[id] ?? null;

test('a station has as many chairs as its fullest call, whichever test it is; who stands needs none', () => {
  const calls = [
    call('mira', ['d']),
    call('instructor', ['a', 'b']),
    call('instructor', ['c'], 'up-and-go-8ft'),
    call('mira', ['a', 'b', 'c'], 'four-stage'),
    call('jon', ['a'], 'four-stage'),
  ];
  expect(stationChairs(calls, seated, own({}))).toEqual([
    { staff: 'instructor', seats: [null, null] },
    { staff: 'mira', seats: [null] },
  ]);
});

test('whose seat is another one has it beside those of the others, at the station that calls them', () => {
  const calls = [call('instructor', ['a', 'b']), call('instructor', ['c', 'd']), call('mira', ['e'])];
  expect(stationChairs(calls, seated, own({ a: 48, c: 48, d: 46, e: 46 }))).toEqual([
    { staff: 'instructor', seats: [null, 46, 48] },
    { staff: 'mira', seats: [46] },
  ]);
});
