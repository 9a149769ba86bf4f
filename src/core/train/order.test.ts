import { describe, expect, test } from 'vitest';
import { classTemplates } from '../../catalogue/classes';
import { parseDose } from '../level/code';
import type { ClassBlock, Part } from '../shapes/class';
import type { Pattern } from '../shapes/facts';
import { orderTold } from './order';
import type { BlockDoing, Variant } from './variant';

const part = (pattern: Pattern, scheme = '10x2'): Part => ({
  ...{ pattern, scheme, shelves: { A: [`${pattern}1`], B: [], C: [] } },
});
const work = (title: string, minutes: number, ...parts: readonly Part[]): ClassBlock => ({
  ...{ id: title, kind: 'work', title, minutes, parts },
});
const rest: ClassBlock = { id: 'rest', kind: 'rest', title: 'Seated', minutes: 1.5 };
const end: ClassBlock = { id: 'end', kind: 'cool-down', title: 'Cool-down', minutes: 4 };
const told = (blocks: readonly ClassBlock[], more: Partial<Parameters<typeof orderTold>[0]> = {}) =>
  orderTold({ blocks: [...blocks, end], doing: [], soreKnee: false, frail: false, ...more });
const does = (block: string, pattern: Pattern, rung: number, support: Variant['support'] = '0'): BlockDoing => {
  const dose = parseDose('5x1');
  if (!dose) throw new Error('a dose');
  const variant: Variant = {
    ...{ personId: 'p', shelf: 'C', pattern, rung, name: '', support, targetCm: null, loadKg: null, dose, code: '' },
    ...{ folded: null, why: null, spotter: null },
  };
  return { block, parts: [[variant]] };
};

describe('the order of a class', () => {
  test('of the eight as they are written nothing is told', () => {
    for (const { id, blocks } of classTemplates)
      expect([id, orderTold({ blocks, doing: [], soreKnee: false, frail: false })]).toEqual([id, []]);
  });
  test('squat and lunge do not follow each other with a sore knee, either way round, unless people sit between', () => {
    const both = [work('Squat', 3, part('S')), work('Lunge', 3, part('L'))];
    expect(told(both)).toEqual([]);
    for (const two of [both, [...both].reverse()]) expect(told(two, { soreKnee: true })).toHaveLength(1);
    expect(told([both[0] ?? rest, rest, both[1] ?? rest], { soreKnee: true })).toEqual([]);
  });
  test('hinge and bridge never do', () => {
    expect(told([work('Hinge', 3, part('H')), work('Bridge', 3, part('B'))])[0]).toContain('the thigh cramps');
  });
  test('holds come neither straight after intervals nor last', () => {
    const holds = work('Holds', 3, part('W', 'h15x3'));
    expect(told([work('Squat', 3, part('S', '30/15x3')), holds, work('Ankles', 2, part('A'))])).toEqual([
      'Holds after Squat: no holds straight after intervals.',
    ]);
    expect(told([work('Squat', 3, part('S')), holds])).toEqual(['Holds: holds are never last before the cool-down.']);
  });
  test('one leg and the free split come early, and before holds; held they may come later', () => {
    const blocks = [
      work('Squat', 6, part('S')),
      work('Hold', 2, part('W', 'h15x3')),
      work('Split', 3, part('L')),
      rest,
    ];
    const at = (support: Variant['support']) => told(blocks, { doing: [does('Split', 'L', 5, support)] });
    expect(at('0')).toEqual([
      'Split: one leg and the free split come before the holds.',
      'Split: one leg and the free split come before the last third of the work.',
    ]);
    expect(at('1')).toEqual([]);
  });
  test('lifting belongs into the first half', () => {
    const blocks = [work('Squat', 6, part('S')), work('Lift', 3, part('H'))];
    expect(told(blocks, { doing: [does('Lift', 'H', 5)] })).toEqual([
      'Lift: lifting belongs into the first half of the work.',
    ]);
    expect(told([...blocks].reverse(), { doing: [does('Lift', 'H', 5)] })).toEqual([]);
  });
  test('a seat every twelve minutes of work, every eight with somebody frail', () => {
    // By hand: 8 times 30 s, and 7 times 15 s between them, are 5:45.
    const blocks = (['S', 'A', 'L'] as const).map((pattern) => work(pattern, 6, part(pattern, '30/15x8')));
    expect(told(blocks)).toHaveLength(1);
    expect(told([blocks[0] ?? rest, rest, ...blocks.slice(1)])).toEqual([]);
    expect(told(blocks.slice(0, 2))).toEqual([]);
    expect(told(blocks.slice(0, 2), { frail: true })).toHaveLength(1);
  });
  test('the floor only with ten minutes left after the way down', () => {
    const floor: ClassBlock = { id: 'floor', kind: 'floor', title: 'Way down', minutes: 4 };
    expect(told([floor, work('Bridge', 3, part('B'))])[0]).toContain('leave the floor out');
    expect(told([floor, work('Bridge', 4, part('B'))])).toEqual([]);
  });
});
