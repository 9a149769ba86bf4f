import { errorOf } from '../../core/score/error';
import { coveringRow, rowFor, scaled } from '../../core/score/rank';
import { scoredUnit, type Score } from '../../core/score/scoreResult';
import type { NormSet, Sex } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { ScoreRail } from '../scores/rail';
import { cited } from '../scores/says';
import { amongWords, cutoffWords, standingWords } from '../scores/testWords';
import { rowWords, valueWords } from '../words';
import { Calculator, type Asked } from './calculator';
import { NormEditor } from './normEditor';
import type { ComponentProps } from 'react';
import { BackLink } from '../touch/backLink';

interface Props {
  readonly protocol: Protocol;
  readonly asked: Asked;
  /** What the asked result scores; kept nowhere. */
  readonly score: Score | null;
  readonly normsVersion: string;
  readonly today: string;
  readonly editor: ComponentProps<typeof NormEditor>;
}

/** One test’s figures as printed with their sources, the asked row lit, and a result scored without keeping it. */
export function NormPage({ protocol, asked, score, normsVersion, today, editor }: Props) {
  const { norms, cutoffs, reliability, publishedErrors } = protocol;
  const unit = scoredUnit(protocol);
  return (
    <div className="pt-5">
      <p>
        <BackLink href="/library">Library</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">{protocol.title}</h1>
      <div className="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-[1.3fr_1fr]">
        <section aria-labelledby="table">
          <h2 id="table" className="border-b-2 border-ink pb-1 text-lg font-bold">
            {norms ? `${norms.title}, ${norms.unit}` : 'No norms published'}
          </h2>
          {norms ? (
            <Table protocol={protocol} norms={norms} asked={asked} />
          ) : (
            <p className="mt-2">
              Nothing is known of how people of an age spread in this test; it is held against the person’s own results.
            </p>
          )}
          {norms && (
            <div className="mt-2 space-y-1 text-sm text-ink-soft">
              <p>
                {cited(norms.source)}; confidence {norms.source.confidence}. {norms.population}.
              </p>
              {norms.note && <p>{norms.note}</p>}
              {norms.unit !== unit && (norms.inTestUnit ?? 1) !== 1 && (
                <p>
                  Printed in {norms.unit}, results in {protocol.unit}: one inch is 2.54 cm.
                </p>
              )}
              <p>Norm version {normsVersion}.</p>
            </div>
          )}
          {protocol.speedOverM === undefined && <NormEditor key={normsVersion} {...editor} />}
        </section>
        <div className="space-y-6">
          <section aria-labelledby="try">
            <h2 id="try" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Score a result, keep nothing
            </h2>
            <Calculator protocol={protocol} asked={asked} />
            {score && asked.value !== null && (
              <div className="mt-2" data-testid="calculated">
                <p className="text-lg">
                  <b className="num">{valueWords(protocol, asked.value)}</b>: <b>{standingWords(score)}</b>
                  {amongWords(score) && ` for ${amongWords(score)}`}.
                </p>
                <ScoreRail score={score} protocol={protocol} on={today} earlier={[]} small start={520} />
                <ul>
                  {score.cutoffs.map((c) => (
                    <li key={c.id}>
                      {c.past ? 'Past' : 'Not past'} the {c.label} ({cutoffWords(c)} {unit}).
                    </li>
                  ))}
                  {score.standard && (
                    <li>
                      {score.standard.met ? 'Reaches' : 'Does not yet reach'} what many keep, {score.standard.limit}{' '}
                      {unit}.
                    </li>
                  )}
                  {score.notes.map((n) => (
                    <li key={n} className="text-sm text-ink-soft">
                      {n}
                    </li>
                  ))}
                </ul>
              </div>
            )}
          </section>
          {cutoffs && (
            <Lines
              title="Watch lines"
              lines={cutoffs.map(
                (c) =>
                  `${c.label}${c.sex ? `, ${c.sex === 'female' ? 'women' : 'men'}` : ''}: ${
                    c.limit === 'p25'
                      ? 'under the 25th of the row'
                      : `${cutoffWords({ pastIf: c.pastIf, limit: scaled(c.limit, c.inTestUnit ?? 1) })} ${unit}`
                  }, ${c.meaning}. ${cited(c.source)}; confidence ${c.source.confidence}.`,
              )}
            />
          )}
          {(reliability || publishedErrors) && (
            <Lines
              title="Error"
              lines={[
                ...(reliability
                  ? [
                      `Test-retest R = ${reliability.r}: ${cited(reliability.source)}. SEM = SD √(1 − R), with the SD of each row read as normal; smallest real change = 1.96 √2 SEM.`,
                    ]
                  : []),
                ...(publishedErrors ?? []).map(
                  (e) =>
                    `${e.statistic} ${e.value} ${e.unit}, ${e.population}: ${cited(e.source)}; confidence ${e.source.confidence}.`,
                ),
              ]}
            />
          )}
        </div>
      </div>
    </div>
  );
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <section>
      <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">{title}</h2>
      <ul className="mt-1 space-y-1">
        {lines.map((line) => (
          <li key={line} className="first-letter:uppercase">
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}

type Row = NormSet['rows'][number];

function Table({ protocol, norms, asked }: { protocol: Protocol; norms: NormSet; asked: Asked }) {
  const { standard } = protocol;
  const lit = litRows(norms, asked);
  const heads = {
    'middle-half': ['25th', '75th', 'Real change from', 'Many keep'],
    'mean-sd': ['Mean', 'SD', norms.kind === 'mean-sd' && norms.rows.some((r) => r.n !== undefined) ? 'People' : ''],
    'mean-ci': ['Mean', '95 % interval of the mean'],
    limit: ['Worse than average over'],
  }[norms.kind].filter((h) => h !== '');
  const keeps = (row: Row): string => {
    if (!standard || row.sex === 'both' || row.ageLow >= standard.notFromAge) return '–';
    const found = coveringRow(standard.rows, { sex: row.sex, ageYears: row.ageLow });
    return found ? String(found.limit) : '–';
  };
  const change = (row: Row): string => {
    const peer = { sex: row.sex === 'both' ? ('female' as const) : row.sex, ageYears: row.ageLow };
    const error = errorOf(protocol, rowFor(norms, peer));
    return error ? error.mdc95.toFixed(1) : '–';
  };
  return (
    <table className="mt-2 w-full text-left">
      <thead className="text-sm text-ink-soft">
        <tr>
          {['Age and table', ...heads].map((head) => (
            <th key={head} className="py-1 pr-3 font-semibold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {norms.rows.map((row) => (
          <tr
            key={rowWords(row)}
            className={`border-t border-rule ${lit.has(row) ? 'bg-board font-bold outline-2 outline-ink' : ''}`}
            aria-current={lit.has(row) ? 'true' : undefined}
          >
            <th className="py-1 font-semibold">
              {lit.has(row) && '▸ '}
              {rowWords(row)}
            </th>
            {cellsOf(row, change(row), keeps(row)).map((cell, i) => (
              <td key={i} className="num">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function cellsOf(row: Row, change: string, keeps: string): string[] {
  if ('p25' in row) {
    const other = row.other ? ` (other printing ${row.other.p25} to ${row.other.p75})` : '';
    return [String(row.p25), `${row.p75}${other}`, change, keeps];
  }
  if ('sd' in row) return [String(row.mean), String(row.sd), ...(row.n === undefined ? [] : [String(row.n)])];
  if ('ciLow' in row) return [String(row.mean), `${row.ciLow} to ${row.ciHigh}`];
  return [String(row.limit)];
}

/** The rows the asked age and table read; both where the table is left open. */
function litRows({ rows }: NormSet, { ageYears, sex }: Asked): ReadonlySet<Row> {
  if (ageYears === null) return new Set();
  const sexes: readonly Sex[] = sex ? [sex] : ['female', 'male'];
  const all: readonly Row[] = rows;
  return new Set(sexes.flatMap((s) => coveringRow(all, { ageYears, sex: s }) ?? []));
}
