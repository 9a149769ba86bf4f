import { expect, test } from 'vitest';
import { asKeptThen } from './oldReports';
import type { Report } from './report';

/** A page as it was kept before verdicts had five words. */
const page = (change: object) =>
  ({
    printedOn: '2025-12-01',
    tests: [
      {
        test: 'chair-stand-30s',
        sides: null,
        series: [{ side: null, results: [{ change, score: { cutoffs: [{ id: 'chair-stand-risk', past: true }] } }] }],
      },
    ],
  }) as unknown as Report;
const read = (change: object) => asKeptThen(page(change)).tests[0]?.series[0]?.results[0];
const judged = { by: 3, unit: 'stands', better: true, mdc95: 3.4, days: 60, regressionTo: null, unlike: [] };

test('a page handed out with an older word keeps it, and its lines count as they did', () => {
  const kept = read({ kind: 'no-clear-change', ...judged });
  expect(kept?.change).toEqual({
    ...{ kind: 'as-then', was: 'no-clear-change', by: 3, unit: 'stands', better: true, smallestReal: 3.4 },
  });
  expect(kept?.score.cutoffs).toEqual([{ id: 'chair-stand-risk', past: true, setsDate: true }]);
  expect(read({ kind: 'clearly-worse', ...judged, by: -4, better: false })?.change).toMatchObject({
    was: 'clearly-worse',
  });
  expect(read({ kind: 'no-error', by: 20, unit: 's' })?.change).toMatchObject({ kind: 'told', by: 20 });
});
test('a page of now is read as it is', () => {
  const now = { kind: 'told', by: 2, unit: 's', better: true, firstClean: 0, noticed: null };
  expect(read(now)?.change).toEqual(now);
  expect(read({ kind: 'first-time' })?.change).toEqual({ kind: 'first-time' });
});
