import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shelves, type Shelf } from '../shapes/class';
import { doneAtOnce, spottedIn } from './plan';
import type { Doing, Variant } from './variant';

const variant = (personId: string, shelf: Shelf, more: Partial<Variant> = {}): Variant => ({
  ...{ personId, shelf, pattern: 'L', rung: 4, name: 'Split squat', support: '1', targetCm: null, loadKg: null },
  ...{ dose: { kind: 'reps', sets: 2, reps: 12 }, code: 'L4', folded: null, why: null, spotter: null },
  ...more,
});
const names = (doing: readonly Doing[]) => doing.map((d) => d.personId);

describe('what is done at once', () => {
  const parts = [
    [variant('a', 'A'), variant('b', 'C')],
    [variant('a', 'B'), variant('b', 'C')],
  ];
  test('parts come one after the other, all people in each; a block that is not there has none', () => {
    const plan = { people: ['a', 'b'], doing: [{ block: 'lunge', parts }] };
    expect(doneAtOnce(plan, { id: 'lunge' })).toEqual(parts);
    expect(doneAtOnce(plan, { id: 'hinge' })).toEqual([]);
  });

  /** A group at three stations; everybody on a shelf of their own at the first, freest at the others. */
  const halls = fc.array(fc.constantFrom(...shelves), { minLength: 1, maxLength: 40 }).map((of) => {
    const people = of.map((_s, i) => `p${i}`);
    const at = (station: number): Doing[] => of.map((s, i) => variant(`p${i}`, station === 0 ? s : 'C'));
    const doing = [0, 1, 2].map((turn) => ({ block: `turn-${turn}`, parts: [at(0), at(1), at(2)] }));
    return { people, doing, closest: new Set(of.flatMap((s, i) => (s === 'A' ? [`p${i}`] : []))) };
  });
  type Hall = Parameters<typeof doneAtOnce>[0];
  const atTurn = (hall: Hall, turn: 0 | 1 | 2) => doneAtOnce(hall, { id: `turn-${turn}`, stations: { turn } });
  test('at stations everybody is at one of them at a time, and at each of them once in three turns', () => {
    fc.assert(
      fc.property(halls, (hall) => {
        const visited = new Map<string, number[]>();
        for (const turn of [0, 1, 2] as const) {
          const [at = []] = atTurn(hall, turn);
          expect(names(at).sort()).toEqual([...hall.people].sort());
          const block = hall.doing[turn]?.parts ?? [];
          for (const one of at) {
            const station = block.findIndex((part) => part.includes(one));
            visited.set(one.personId, [...(visited.get(one.personId) ?? []), station]);
          }
        }
        for (const stations of visited.values()) expect([...stations].sort()).toEqual([0, 1, 2]);
      }),
    );
  });
  test('whoever is held closest is spread over the thirds, however the list is written: none holds two more than another', () => {
    fc.assert(
      fc.property(halls, (hall) => {
        const held = ([0, 1, 2] as const).map((turn) => {
          const first = hall.doing[turn]?.parts[0] ?? [];
          const [at = []] = atTurn(hall, turn);
          return at.filter((d) => first.includes(d) && hall.closest.has(d.personId)).length;
        });
        expect(Math.max(...held) - Math.min(...held)).toBeLessThanOrEqual(1);
        expect(held.reduce((a, b) => a + b, 0)).toBe(hall.closest.size);
      }),
    );
  });
});

test('whom one spotter stands by in the same movement, once each; who stands by one alone, and who sits out, is left out', () => {
  const part: Doing[] = [
    variant('a', 'A', { spotter: 'Hugo', turn: 1 }),
    variant('b', 'A', { spotter: 'Ida' }),
    { personId: 'c', why: 'not today' },
    variant('d', 'A', { spotter: 'Hugo', turn: 2 }),
    variant('e', 'C'),
  ];
  expect(spottedIn(part)).toEqual([{ spotter: 'Hugo', people: ['a', 'd'] }]);
});
