import fc from 'fast-check';
import { expect, test } from 'vitest';
import { packLabels } from './pack';

test('no two labels touch, and none leaves the drawing', () => {
  const label = fc.record({ x: fc.integer({ min: -50, max: 1050 }), width: fc.integer({ min: 10, max: 200 }) });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 12 }), (labels) => {
      const placed = packLabels(labels, 1000).map((p, i) => ({ ...p, right: p.left + (labels[i]?.width ?? 0) }));
      for (const [i, a] of placed.entries()) {
        expect(a.left >= 0 && a.right <= 1000).toBe(true);
        for (const b of placed.slice(i + 1)) expect(a.row !== b.row || a.right < b.left || b.right < a.left).toBe(true);
      }
    }),
  );
});
test('a label alone stands centred in the first row; the second of one place goes a row on', () => {
  expect(
    packLabels(
      [
        { x: 500, width: 100 },
        { x: 500, width: 100 },
      ],
      1000,
    ),
  ).toEqual([
    { left: 450, row: 0 },
    { left: 450, row: 1 },
  ]);
});
