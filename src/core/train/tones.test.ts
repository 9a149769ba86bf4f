import fc from 'fast-check';
import { expect, test } from 'vitest';
import { classTemplates } from '../../catalogue/classes';
import type { ClassBlock } from '../shapes/class';
import { compile } from './timeline';
import { toneKinds, tonesIn } from './tones';

const all = new Set(toneKinds);
const four: ClassBlock = {
  ...{ id: 's', kind: 'work', title: 'S', minutes: 1.5 },
  parts: [{ pattern: 'S', scheme: '2x2', tempo: [1, 2], shelves: { A: ['S1'], B: ['S4'], C: ['S7'] } }],
};

test('two at 1-2, half a minute, two again: start, up, down, the last three, rest', () => {
  const line = compile([four]);
  expect(tonesIn(line, 0, 36, all).map((t) => `${t.atS} ${t.kind}`)).toEqual([
    ...['0 work', '1 down', '3 last', '3 up', '4 last', '4 down', '5 last', '6 rest'],
  ]);
  expect(tonesIn(line, 36, 90, new Set(['start', 'change'])).map((t) => `${t.atS} ${t.kind}`)).toEqual([
    '36 work',
    '42 rest',
  ]);
  expect(tonesIn(line, 0, 90, new Set())).toEqual([]);
});

test('planned window by window there are the same tones as at once, none twice', () => {
  fc.assert(
    fc.property(fc.constantFrom(...classTemplates), fc.integer({ min: 1, max: 90 }), ({ blocks }, windowS) => {
      const line = compile(blocks);
      const pieces = Array.from({ length: Math.ceil(line.totalS / windowS) }, (_, i) =>
        tonesIn(line, i * windowS, (i + 1) * windowS, all),
      ).flat();
      expect(pieces).toEqual(tonesIn(line, 0, line.totalS + windowS, all));
    }),
    { numRuns: 40 },
  );
});
