import type { Change } from '../retest/change';
import type { Report } from './report';

type Told = Readonly<Record<string, unknown>>;

/**
 * A page that was kept before verdicts had five words, as it reads now: its verdicts stay those it was handed out with,
 * and every line it drew counted as to watch.
 */
export const asKeptThen = (report: Report): Report => ({
  ...report,
  tests: report.tests.map((test) => ({
    ...test,
    series: test.series.map((series) => ({
      ...series,
      results: series.results.map((result) => ({
        ...result,
        ...('change' in result ? { change: changeThen(result.change) } : {}),
        // The oldest pages kept less of a result.
        ...('score' in result ? { score: { ...result.score, cutoffs: result.score.cutoffs.map(cutoffThen) } } : {}),
      })),
    })),
  })),
});

/** `setsDate` is younger than the pages; without it a line counted. */
const cutoffThen = <C extends { readonly setsDate: boolean }>(cutoff: C): C =>
  'setsDate' in cutoff ? cutoff : Object.assign({}, cutoff, { setsDate: true });

function changeThen(change: Change): Change {
  const then: Told = { ...change };
  const { kind, by, unit, mdc95, better } = then;
  if (kind === 'no-error')
    return {
      ...{ kind: 'told', by: Number(by), unit: String(unit), firstClean: 0, noticed: null },
      better: null,
    };
  if (typeof mdc95 !== 'number') return change;
  const was = kind === 'no-clear-change' || kind === 'clearly-worse' ? kind : 'clearly-better';
  return { kind: 'as-then', was, by: Number(by), unit: String(unit), better: better === true, smallestReal: mdc95 };
}
