import { describe, expect, test } from 'vitest';
import { solve } from '../../../use-cases/solve';
import { emptyCupboard } from '../../intake/cupboard';
import type { Cupboard } from '../../shapes/person';
import type { HeldBlock } from './holds';
import { bought, railCm, thingOf, toBuy, tokenOf, type GroupAsks } from './toBuy';

const chair = (heightCm: number, count: number) => ({ heightCm, count, arms: false, stable: true });
const hall = (more: Partial<Cupboard> = {}): Cupboard => ({
  ...emptyCupboard,
  ...{ chairs: [chair(43, 2), chair(46, 2)], railPlaces: 2, wallM: 0 },
  ...more,
});
const holds = (title: string, fixed: number, sitting = 0): HeldBlock => ({
  ...{ title, sitting },
  holding: Array.from({ length: fixed }, (_, i) => ({ personId: `h${i}`, fixed: true })),
});
const group = (name: string, heights: readonly number[], ...blocks: readonly HeldBlock[]): GroupAsks => ({
  ...{ name, blocks },
  sitters: heights.map((targetCm, i) => ({ personId: `${name}${i}`, targetCm, mostCm: Infinity })),
});
const told = async (groups: readonly GroupAsks[], cupboard: Cupboard) =>
  (await toBuy(groups, cupboard, solve)).things.map((t) => [t.what, t.cm, t.seats, t.fewerCm, t.holds, t.groups]);

describe('what to buy', () => {
  test('a chair that two groups are short of comes before one that a third is short of, and says for whom', async () => {
    const groups = [group('Mon', [46, 46, 46]), group('Tue', [46, 46, 46]), group('Wed', [46, 55])];
    const all = await told(groups, hall({ chairs: [chair(46, 2)] }));
    // For 55 cm it is a chair: a pad of 9 cm on one of 46 would give way.
    expect(all[0]).toEqual(['chair', 46, 2, 0, 0, ['Mon', 'Tue']]);
    expect(all.find(([what, cm]) => what === 'chair' && cm === 55)).toEqual(['chair', 55, 1, 0, 0, ['Wed']]);
    expect(all.filter(([what, cm]) => what === 'pad' && Number(cm) > 5)).toEqual([]);
  });
  test('where all are seated, what brings most centimetres to their own height; of equals the pad', async () => {
    const all = await told([group('Mon', [44, 44, 44])], hall({ chairs: [chair(43, 3), chair(46, 3)] }));
    expect(all.slice(0, 2).map((t) => t.slice(0, 4))).toEqual([
      ['pad', 1, 0, 2],
      ['chair', 44, 0, 2],
    ]);
  });
  test('two metres of rail let two more hold on, in the movement in which they do most, but no more than are short', async () => {
    const groups = [group('Mon', [], holds('Squat', 5), holds('Lunge', 3)), group('Tue', [], holds('Squat', 3))];
    expect(await told(groups, hall())).toEqual([['rail', railCm, 0, 0, 3, ['Mon', 'Tue']]]);
  });
  test('counted as bought the question is asked of what is left; with nothing short nothing does anything', async () => {
    const groups = [group('Mon', [46, 46, 46, 46], holds('Squat', 4))];
    // A pad of 3 cm on a chair of 43 that nobody sits on does it as well, and is lighter on the purse.
    expect((await told(groups, hall()))[0]?.slice(0, 3)).toEqual(['pad', 3, 1]);
    const bare = hall({ chairs: [chair(46, 2)] });
    const one = bought(bare, { what: 'chair', cm: 46 });
    const two = bought(bought(one, { what: 'chair', cm: 46 }), { what: 'rail', cm: railCm });
    expect((await told(groups, one))[0]?.slice(0, 3)).toEqual(['chair', 46, 1]);
    expect(await told(groups, two)).toEqual([]);
  });
  test('an empty register, and a hall with nothing in it', async () => {
    expect(await toBuy([], hall(), solve)).toEqual({ now: [], things: [] });
    const none = await toBuy([group('Mon', [45], holds('Squat', 1))], emptyCupboard, solve);
    expect(none.now).toMatchObject([{ name: 'Mon', sitting: 1, seated: 0, held: [{ turns: null }] }]);
    expect(none.things.map((t) => t.what)).toEqual(['chair', 'rail']);
  });
  test('a thing stands in an address and is read back; what is none is none', () => {
    for (const token of ['chair-46', 'pad-3', `rail-${railCm}`]) {
      const thing = thingOf(token);
      expect(thing && tokenOf(thing)).toBe(token);
    }
    expect(
      ['', 'chair', 'chair-900', 'chair-20', 'pad-0', 'pad-21', 'rail-3', 'table-1', 'chair-46.5', ' chair-46'].map(
        thingOf,
      ),
    ).toEqual(Array.from({ length: 10 }, () => null));
  });
});
