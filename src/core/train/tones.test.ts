import fc from 'fast-check';
import { expect, test } from 'vitest';
import { classTemplates } from '../../catalogue/classes';
import type { ClassBlock } from '../shapes/class';
import { compile } from './timeline';
import { flashesAt, toneKinds, tonesIn } from './tones';

const all = new Set(toneKinds);
const four: ClassBlock = {
  ...{ id: 's', kind: 'work', title: 'S', minutes: 1.5 },
  parts: [{ pattern: 'S', scheme: '2x2', tempo: [1, 2], shelves: { A: ['S1'], B: ['S4'], C: ['S7'] } }],
};

test('two at 1-2, half a minute, two again: start, up, down, the last three, rest', () => {
  const line = compile([four]);
  expect(tonesIn(line, 0, 36, all).map((t) => `${t.atS} ${t.kind}`)).toEqual([
    ...['0 work', '0 breath', '1 down', '3 last', '3 breath', '3 up', '4 last', '4 down', '5 last', '6 rest'],
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

test('the screen flashes with the start, the change and each of the last three seconds, never twice in a second', () => {
  const timeline = compile(classTemplates.find((t) => t.id === 'intervals')?.blocks ?? []);
  const tones = tonesIn(timeline, 0, timeline.totalS, new Set(['start', 'change', 'last']));
  expect(tones.length).toBeGreaterThan(50);
  for (const { atS } of tones) {
    expect([0, 0.3].map((later) => flashesAt(timeline, atS + later))).toEqual([true, true]);
    expect(flashesAt(timeline, atS + 0.5)).toBe(false);
  }
  const starts = [...new Set(tones.map((t) => t.atS))];
  for (const [i, at] of starts.entries()) expect(at - (starts[i - 1] ?? -1)).toBeGreaterThanOrEqual(1);
});

test('a breath is told at the start of each repetition', () => {
  const timeline = compile([
    {
      ...{ id: 's', kind: 'work', title: 'S', minutes: 2 },
      parts: [{ pattern: 'S', scheme: '5x1', shelves: { A: ['S1'], B: [], C: [] }, tempo: [2, 4] }],
    },
  ]);
  const breaths = tonesIn(timeline, 0, timeline.totalS, new Set(['breath'])).map((t) => t.atS);
  expect(breaths.map((at) => at - (breaths[0] ?? 0))).toEqual([0, 6, 12, 18, 24]);
});
