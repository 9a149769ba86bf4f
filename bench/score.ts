// Scoring beside the same sheet in a general spreadsheet engine: the same look-ups, the same formulas, in one run.
import { HyperFormula } from 'hyperformula';
import { protocols } from '../src/catalogue/protocols';
import { scoreResult } from '../src/core/score/scoreResult';
import type { TestResult } from '../src/core/shapes/facts';
import type { Sex } from '../src/core/shapes/norms';
import type { Protocol } from '../src/core/shapes/protocol';

const tests = protocols.filter((p) => p.norms?.kind === 'middle-half');
const six = ['chair-stand-30s', 'arm-curl', 'step-2min', 'sit-reach', 'back-scratch', 'up-and-go-8ft'];
const sexes: readonly Sex[] = ['female', 'male'];

interface Row {
  readonly protocol: Protocol;
  readonly sex: Sex;
  readonly ageYears: number;
  readonly value: number;
}

/** Made-up results, spread over the whole table; the same numbers each run. */
function rows(people: number): Row[] {
  const chosen = tests.filter((t) => six.includes(t.id));
  return Array.from({ length: people }, (_, person) =>
    chosen.map((protocol, t): Row => {
      const share = ((person * 7 + t * 13) % 101) / 100;
      const { min, whole } = protocol.range;
      const value = min + 1 + share * (protocol.better === 'lower' ? 12 : 30);
      const sex = sexes[person % 2] ?? 'female';
      return { protocol, sex, ageYears: 60 + (person % 35), value: whole ? Math.round(value) : value };
    }),
  ).flat();
}

function scoreAll(all: readonly Row[]): (number | null)[] {
  return all.map(({ protocol, sex, ageYears, value }) => {
    const result: TestResult = { test: protocol.id, testedOn: '2026-03-02', outcome: 'done', value };
    const { rank } = scoreResult(protocol, result, { ageYears, sex });
    return rank.kind === 'ranked' ? rank.percentile : null;
  });
}

/** Norms on one sheet, results on the other: row by MATCH, quartiles by INDEX, then mean, SD, z, percentile, band. */
function spreadsheet(all: readonly Row[]): (number | null)[] {
  const norms = tests.flatMap((t) => {
    if (t.norms?.kind !== 'middle-half') return [];
    const by = t.norms.inTestUnit ?? 1;
    return t.norms.rows.map((r) => [`${t.id}|${r.sex}|${r.ageLow}`, r.p25 * by, r.p75 * by]);
  });
  const last = norms.length;
  const results = all.map(({ protocol, sex, ageYears, value }, i) => {
    const n = i + 1;
    return [
      protocol.id,
      sex,
      ageYears,
      value,
      `=MATCH(A${n}&"|"&B${n}&"|"&(FLOOR(C${n}/5,1)*5),Norms!A$1:A$${last},0)`,
      `=INDEX(Norms!B$1:B$${last},E${n},1)`,
      `=INDEX(Norms!C$1:C$${last},E${n},1)`,
      `=(D${n}-(F${n}+G${n})/2)/((G${n}-F${n})/(2*0.6744897501960817))`,
      `=MIN(99.9,MAX(0.1,100*NORM.S.DIST(H${n},TRUE())))`,
      `=IF(H${n}<-0.6744897501960817,"below",IF(H${n}>0.6744897501960817,"above","middle"))`,
    ];
  });
  const engine = HyperFormula.buildFromSheets(
    { Norms: norms, Results: results },
    { licenseKey: 'gpl-v3', maxRows: 100_000, useColumnIndex: true },
  );
  const sheet = engine.getSheetId('Results') ?? 1;
  const read = all.map((_, i) => {
    const value = engine.getCellValue({ sheet, row: i, col: 8 });
    return typeof value === 'number' ? value : null;
  });
  engine.destroy();
  return read;
}

function timed<T>(work: () => T): readonly [ms: number, answer: T] {
  const start = performance.now();
  const answer = work();
  return [performance.now() - start, answer];
}

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

const all = rows(10_000);
scoreAll(all.slice(0, 6000));
spreadsheet(all.slice(0, 600));
const [theirMs, theirs] = timed(() => spreadsheet(all));
const ourRuns = Array.from({ length: 5 }, () => timed(() => scoreAll(all)));
const ours = ourRuns[0]?.[1] ?? [];
const apart = ours.filter((p, i) => p !== null && Math.abs(p - (theirs[i] ?? NaN)) > 1e-6).length;
const ourMs = median(ourRuns.map(([ms]) => ms));
console.log(
  `scoring 10,000 people x 6 tests, spreadsheet engine / ours: ${(theirMs / ourMs).toFixed(0)} (${theirMs.toFixed(0)} ms / ${ourMs.toFixed(0)} ms; ${apart} of ${all.length} percentiles apart by more than 1e-6)`,
);
if (apart > 0) process.exitCode = 1;

const perRow = (count: number): number => {
  const some = rows(Math.ceil(count / 6)).slice(0, count);
  return median(Array.from({ length: 5 }, () => timed(() => scoreAll(some))[0])) / count;
};
perRow(1000);
const [few, many] = [perRow(1000), perRow(100_000)];
console.log(
  `time a row, 100,000 over 1,000 rows, median of 5: ${(many / few).toFixed(2)} (${(many * 1000).toFixed(2)} and ${(few * 1000).toFixed(2)} µs)`,
);
