import { describe, expect, test } from 'vitest';
import type { SeatKind } from '../../core/train/seats/problem';
import type { SeatPlan } from '../../core/train/seats/programme';
import { namesWords, seatWords, wallWords } from '../seatWords';
import { carryWords, faultWords, toldOf, turnWords } from './setUpWords';

const kind = (chairCm: number, padsCm: readonly number[] = [], arms = false): SeatKind => ({
  ...{ id: '', chairCm, padsCm, arms },
  heightCm: chairCm + padsCm.reduce((sum, cm) => sum + cm, 0),
});
const seats = (more: Partial<SeatPlan> = {}): SeatPlan => ({
  ...{ seats: [{ kind: kind(43), people: ['Ada'] }], unseated: [], overCm: 0, carried: 1, waves: 1, proven: true },
  ...more,
});
type Told = Parameters<typeof toldOf>[0];
const setUp = (more: Partial<Told> = {}): Told => ({
  ...{ seats: seats(), inTwo: null, oneMore: null, held: [], carries: 1, wallUnknown: false },
  ...more,
});
const told = (
  more: Partial<Told>,
  targets: Record<string, number> = { Ada: 43, Bo: 46 },
  units: 'metric' | 'us' = 'metric',
) =>
  toldOf(
    setUp(more),
    (id) => targets[id],
    (id) => id,
    units,
  );
const holding = (n: number) => Array.from({ length: n }, (_, i) => ({ personId: `p${i}`, fixed: false }));
const lunge = (more: object) => ({ title: 'Lunge', who: holding(9), atOnce: 8, turns: 2, short: [], ...more });

describe('what is said of a set-up', () => {
  test('nothing, where everybody sits at their height and all can hold on', () => {
    expect(told({ held: [lunge({ who: holding(4), turns: 1 })] })).toEqual([]);
  });
  test('in two waves how many sit at once; who has no seat is named with their height, and nobody sits lower', () => {
    const inTwo = seats({ waves: 2, seats: [{ kind: kind(43), people: ['Ada', 'Cleo'] }], unseated: ['Bo'] });
    expect(told({ seats: seats({ unseated: ['Bo', 'Cleo'] }), inTwo })).toEqual([
      '1 of 3 sit at once. In two waves: one half sits behind and counts aloud, then they change.',
      'No seat here for Bo (46 cm): nobody sits lower than their level. What is done seated goes on any firm chair.',
    ]);
  });
  test('two waves that seat nobody more are not proposed', () => {
    const inTwo = seats({ waves: 2, unseated: ['Bo'] });
    expect(told({ seats: seats({ unseated: ['Bo'] }), inTwo }).join()).not.toContain('waves');
  });
  test('who sits higher, by how much, in the units of the hall; and the one thing that would do most', () => {
    const high = seats({ seats: [{ kind: kind(43, [5]), people: ['Bo'] }], overCm: 2 });
    const oneMore = { what: 'pad', cm: 3, seats: 0, fewerCm: 2 } as const;
    expect(told({ seats: high, oneMore })).toEqual([
      'Higher than their level, as their height is not free: Bo 2 cm.',
      'One pad of 3 cm more would bring somebody to their own height.',
    ]);
    expect(told({ seats: high, oneMore }, undefined, 'us').join(' ')).not.toContain('cm');
    const chair = { what: 'chair', cm: 46, seats: 2, fewerCm: 0 } as const;
    expect(told({ oneMore: chair })).toEqual(['One firm chair of 46 cm more would seat 2 more at once.']);
  });
  test('holding on in turns, or with what is short; where it can never be held it says so', () => {
    const short = [
      { what: 'wall', by: 0.9 },
      { what: 'chair', by: 1 },
    ] as const;
    expect(told({ held: [lunge({ short })] })).toEqual([
      'Lunge: 9 people hold on, 8 at once. In 2 turns, or with 0.9 m more of free wall and one more firm chair.',
    ]);
    expect(told({ held: [lunge({ turns: null, short: [{ what: 'rail', by: 2 }] })] })).toEqual([
      'Lunge: somebody holds on to something fixed, and there is nothing. It needs 2 more places at a rail; till then it is left out or done seated.',
    ]);
  });
  test('a wall that nobody measured, and a time that ran out', () => {
    expect(told({ wallUnknown: true, seats: seats({ proven: false }) })).toEqual([
      'Nobody wrote how much free wall there is, so chairs to hold were not checked against it: Library, the cupboard.',
      'This is the best that was found in the time; a better one may be there.',
    ]);
  });
});

test('what a place given by hand breaks, in the units of the hall; and chairs carried too often', () => {
  const words = (fault: Parameters<typeof faultWords>[0], units: 'metric' | 'us' = 'metric') =>
    faultWords(fault, (id) => id, units);
  expect(words({ kind: 'nothing-to-hold', n: 6, personId: 'Ada' })).toBe(
    'Ada holds on in this class, and at place 6 there is nothing to hold.',
  );
  expect(words({ kind: 'only-a-chair', n: 6, personId: 'Ada' })).toContain('a chair is never pulled');
  expect(words({ kind: 'taken', n: 6, personId: 'Ada', by: 'Bo' })).toContain('Bo has the last place for it');
  expect(words({ kind: 'gone', personId: 'Ada' })).toContain('not there any more');
  const far = { kind: 'apart', n: 2, spotter: 'Hugo', people: ['Ada', 'Bo'], metres: 3.6 } as const;
  expect(words(far)).toBe('Hugo stands by Ada and Bo, who are 3.6 m apart: nobody reaches both.');
  expect(words(far, 'us')).toContain('12 ft apart');
  expect(told({ carries: 3 }).join()).toContain('Chairs are carried 3 times');
  expect(told({ carries: 2 })).toEqual([]);
});

test('a seat, what is carried, names and walls in words', () => {
  expect([kind(43), kind(46, [3], true), kind(43, [5, 3])].map((k) => seatWords(k, 'metric'))).toEqual([
    'chair of 43 cm',
    'chair of 46 cm with arms, pad of 3 cm: 49 cm',
    'chair of 43 cm, pads of 5 cm and 3 cm: 51 cm',
  ]);
  const two = seats({
    seats: [
      { kind: kind(43, [5, 3]), people: ['Ada'] },
      { kind: kind(43), people: ['Bo'] },
    ],
  });
  expect(carryWords(two, 'metric')).toEqual(['2 chairs of 43 cm', '1 pad of 5 cm', '1 pad of 3 cm']);
  expect([[], ['Ada'], ['Ada', 'Bo'], ['Ada', 'Bo', 'Cleo']].map(namesWords)).toEqual([
    ...['', 'Ada', 'Ada and Bo', 'Ada, Bo and Cleo'],
  ]);
  // Rounded up: it is what is needed.
  expect([wallWords(0.9, 'metric'), wallWords(0.9, 'us')]).toEqual(['0.9 m', '3 ft']);
});

test('turns in words; where all hold on at once there is nothing to say', () => {
  const said = (...turns: readonly (readonly string[])[]) => turnWords(turns, (id) => id);
  expect(said(['Ada', 'Bo'], ['Cleo'])).toBe('First Ada and Bo; then, in the places of these, Cleo.');
  expect(said(['Ada'], ['Bo'], ['Cleo'])).toBe('First Ada; then, in the places of these, Bo; then Cleo.');
  expect(said(['Ada C.'], ['Bo D.'])).toBe('First Ada C.; then, in the places of these, Bo D.');
  expect([said(), said(['Ada'])]).toEqual([null, null]);
});
