import { describe, expect, test } from 'vitest';
import type { Buy, GroupNow, ToBuy } from '../../core/train/seats/toBuy';
import { answerWords, countsOf, groupWords, nearerWords, withLess, withMore } from './toBuyWords';

const who = Array.from({ length: 6 }, (_, i) => ({ personId: `p${i}`, fixed: true }));
const held = (more = {}) => ({ title: 'Squat', who, atOnce: 4, turns: 2, short: [], ...more });
const group = (more: Partial<GroupNow> = {}): GroupNow => ({
  ...{ name: 'Mon', sitting: 6, seated: 6, overCm: 0, held: [] },
  ...more,
});
const chair = { what: 'chair', cm: 46 } as const;
const rail = { what: 'rail', cm: 200 } as const;
const buy = (thing: typeof chair | typeof rail, more: Partial<Buy> = {}): Buy => ({
  ...{ ...thing, seats: 0, fewerCm: 0, holds: 0, groups: ['Mon', 'Tue'] },
  ...more,
});
const told = (now: readonly GroupNow[], ...things: readonly Buy[]) =>
  answerWords({ now, things } satisfies ToBuy, 'metric');

describe('what to buy, in words', () => {
  test('what seats most, and for whom; what lets most hold on', () => {
    expect(
      told(
        [group({ seated: 4, held: [held()] })],
        buy(chair, { seats: 2, holds: 1 }),
        buy(rail, { holds: 2, groups: ['Mon'] }),
      ),
    ).toEqual([
      'One firm chair of 46 cm more seats 2 more at their height, in Mon and Tue.',
      '2.0 m of rail more (2 places) lets 2 more hold on at once, in Mon.',
    ]);
  });
  test('whom it brings nearer besides is said in the same breath', () => {
    expect(told([group({ seated: 4 })], buy(chair, { seats: 1, fewerCm: 3 }))[0]).toBe(
      'One firm chair of 46 cm more seats one more at their height and brings others 3 cm nearer to it, in Mon and Tue.',
    );
  });
  test('with everybody seated, what brings them nearer to their own height', () => {
    expect(told([group({ overCm: 5 })], buy(chair, { fewerCm: 3 }))).toEqual([
      'Everybody has a seat. One firm chair of 46 cm more brings people 3 cm nearer to their own height, in Mon and Tue.',
      'All hold on at once.',
    ]);
  });
  test('where one thing does nothing it is said why, and where nothing is short that all is well', () => {
    expect(told([group()])).toEqual(['Everybody sits at their own height.', 'All hold on at once.']);
    expect(told([group({ overCm: 2, held: [held()] })])).toEqual([
      'Everybody has a seat; no one thing brings anybody nearer to their own height.',
      'Not all hold on at once, and no one thing here changes it: it is free wall that is short, or several chairs.',
    ]);
    expect(told([group({ seated: 5 })])[0]).toMatch(/^No one thing seats more/);
  });
  test('in a hall in inches nothing is told in centimetres or metres', () => {
    const now = [group({ seated: 4, overCm: 2, held: [held()] })];
    const all = [buy(chair, { seats: 1 }), buy(rail, { holds: 2 })];
    const words = [
      ...answerWords({ now, things: all }, 'us'),
      ...groupWords(now[0] ?? group(), 'us'),
      nearerWords({ fewerCm: 2 }, 'us'),
    ];
    expect(words.join(' ')).not.toMatch(/\d (cm|m)\b/);
  });
  test('a group: who sits, how much higher, and only what does not do', () => {
    expect(
      groupWords(group({ seated: 5, overCm: 4, held: [held(), held({ title: 'Lunge', turns: 1 })] }), 'metric'),
    ).toEqual(['5 of 6 sit at once', '4 cm higher than theirs, all together', 'squat: 4 of 6 hold on at once']);
    expect(groupWords(group({ sitting: 0, seated: 0 }), 'metric')).toEqual(['nobody has a seat in their levels']);
  });
  test('centimetres go one way or the other; nothing of no change', () => {
    expect([2, -3, 0].map((fewerCm) => nearerWords({ fewerCm }, 'metric'))).toEqual(['2 cm nearer', '3 cm higher', '']);
  });
});

describe('counted as bought, in the address', () => {
  test('added by so many, one taken off, each thing told once with how many', () => {
    const counted = [chair, rail, chair];
    expect(withMore([], chair, 2)).toBe('/library/buy?with=chair-46&with=chair-46');
    expect(withLess(counted, chair)).toBe('/library/buy?with=rail-200&with=chair-46');
    expect(withLess([chair], chair)).toBe('/library/buy');
    expect(countsOf(counted).map(({ thing, n }) => [thing.what, n])).toEqual([
      ['chair', 2],
      ['rail', 1],
    ]);
  });
});
