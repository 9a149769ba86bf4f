import { amount } from '../../core/math/amount';
import { topOf, type Change } from '../../core/retest/change';
import { errorReach } from '../../core/score/error';
import { moreIsBetter, scoredUnit, scoredValue, type Score } from '../../core/score/scoreResult';
import type { Protocol } from '../../core/shapes/protocol';
import type { ScoredResult } from '../../core/view/testView';
import { NormRail, type Flag, type Peg } from '../drawing/normRail';
import { OwnRail } from '../drawing/ownRail';
import { StackRail } from '../drawing/stackRail';
import { dayWords, monthYear, shortDay, signed, told } from '../words';

/** A result as a mark on a rail. */
export interface RailMark {
  readonly on: string;
  readonly value: number;
  readonly handsUsed: boolean;
}

/** A result without a number lies on no rail and is marked as one with hands is: left out. */
export const resultMark = (protocol: Protocol, { on, result }: ScoredResult): RailMark => ({
  on,
  value: result.value === null ? 0 : scoredValue(protocol, result.value),
  handsUsed: result.handsUsed === true || result.value === null,
});

interface Props {
  readonly score: Score;
  /** In the units shown. */
  readonly protocol: Protocol;
  readonly on: string;
  /** Newest first. */
  readonly earlier: readonly RailMark[];
  readonly small?: boolean;
  /** Width until it is measured, in CSS pixels. */
  readonly start?: number;
}

/**
 * A scored result on its rail: with percentiles where a spread of quarters was published; with the mean or the limit
 * where that is all; else the steps of the test or the person's own results, with the number, its unit and last time.
 */
export function ScoreRail({ score, protocol, on, earlier, small, start = 700 }: Props) {
  const { rank, scored } = score;
  if (scored === null || score.handsUsed)
    return rank.kind === 'no-norm' ? <p className="py-4 text-lg">{score.notes[0]}</p> : null;
  const unit = scoredUnit(protocol);
  const before = earlier.filter((t) => !t.handsUsed);
  if (rank.kind === 'ranked')
    return (
      <NormRail
        row={rank.row}
        unit={unit}
        flags={[
          ...earlierFlags(before),
          { value: scored, label: `${told(scored, unit)}${small ? '' : ` · ${shortDay(on)}`}`, latest: true },
        ]}
        pegs={pegsOf(score, unit)}
        reach={score.error && errorReach(score.error)}
        least={protocol.range.min}
        small={small}
        start={start}
      />
    );
  const said = amount(told(scored, unit), unit);
  const rail = {
    higherIsBetter: moreIsBetter(protocol),
    flags: [
      { value: scored, kind: 'latest' as const },
      ...before.map(({ value }) => ({ value, kind: 'earlier' as const })),
    ],
    width: start,
    label: said,
  };
  const [last] = before;
  return (
    <div className="py-2" data-testid="own-rail">
      {rank.kind === 'no-norm' ? (
        <OwnRail {...rail} cutoffs={score.cutoffs} steps={topOf(protocol)} unit={unit} />
      ) : (
        <StackRail {...rail} score={score} reach={score.error && errorReach(score.error)} />
      )}
      <p>
        <b className="num">{said}</b>
        {last && `, last time ${amount(told(last.value, unit), unit)} on ${dayWords(last.on)}`}.{' '}
        {rank.kind === 'no-norm' && <span className="text-ink-soft">{score.notes[0]}</span>}
      </p>
    </div>
  );
}

/** One pale flag a value, with the months in which it was reached. */
function earlierFlags(earlier: readonly RailMark[]): Flag[] {
  return [...new Set(earlier.map((t) => t.value))].map((value) => {
    const months = [...new Set(earlier.filter((t) => t.value === value).map((t) => monthYear(t.on)))];
    const shown = months.slice(0, 2).reverse().join(', ');
    return { value, label: months.length > 2 ? `${shown} and before` : shown, latest: false };
  });
}

/** One peg a line; lines that fall on the same value share one. */
function pegsOf(score: Score, unit: string): Peg[] {
  const values = [...new Set(score.cutoffs.map((c) => c.limit))];
  const lines = values.map((value) => {
    const names = score.cutoffs.filter((c) => c.limit === value).map((c) => c.label);
    return { value, label: `${names.join(' and ')} ${told(value, unit)}`, kind: 'watch' as const };
  });
  const { standard } = score;
  return standard
    ? [...lines, { value: standard.limit, label: `many keep ${told(standard.limit, unit)}`, kind: 'standard' }]
    : lines;
}

/** A change said against the error of the test; never a size where none can be trusted. */
export function changeWords(change: Change): { readonly verdict: string; readonly size: string } {
  switch (change.kind) {
    case 'first-time':
      return { verdict: 'first time', size: '' };
    case 'not-comparable':
      return { verdict: 'not comparable', size: change.why };
    case 'hands':
      return { verdict: change.words, size: '' };
    case 'no-error':
      return {
        verdict: change.by === 0 ? 'the same' : `${signed(told(change.by, change.unit))} ${change.unit}`,
        size: 'not judged: the error of this test is not known',
      };
    case 'at-top':
      return { verdict: 'at the top of this test', size: '' };
    default: {
      const words = {
        'no-clear-change': 'no clear change',
        'clearly-better': 'clearly better',
        'clearly-worse': 'clearly worse',
      };
      return {
        verdict: words[change.kind],
        size: `${signed(told(change.by, change.unit))}${change.unit === 'm/s' || change.unit === 's' ? ` ${change.unit}` : ''} · smallest real change ${change.mdc95.toFixed(change.mdc95 < 1 ? 2 : 1)}`,
      };
    }
  }
}
