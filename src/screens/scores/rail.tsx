import type { Change } from '../../core/retest/change';
import type { MeasurementError } from '../../core/score/error';
import type { Score } from '../../core/score/scoreResult';
import type { SittingView } from '../../core/personView';
import { NormRail, type Flag, type Peg } from '../drawing/normRail';
import { monthYear, shortDay, signed } from '../words';

/** A counted result as a mark on a rail. */
export interface StoredTrial {
  readonly on: string;
  readonly counted: number;
  readonly handsUsed: boolean;
}

export const trialMark = ({ attempt }: SittingView): StoredTrial => ({
  on: attempt.sittingDate,
  counted: attempt.trial.counted,
  handsUsed: attempt.trial.handsUsed,
});

interface Props {
  readonly score: Score;
  readonly unit: string;
  readonly on: string;
  /** Newest first. */
  readonly earlier: readonly StoredTrial[];
  readonly small?: boolean;
  readonly width?: number;
}

/** A scored result on its rail; in words where there is nothing to draw on. */
export function ScoreRail({ score, unit, on, earlier, small, width }: Props) {
  if (score.rank.kind !== 'ranked' || score.value === null) return <p className="py-4 text-lg">{score.notes[0]}</p>;
  const flags = [
    ...earlierFlags(earlier.filter((t) => !t.handsUsed)),
    { value: score.value, label: `${score.value}${small ? '' : ` · ${shortDay(on)}`}`, latest: true },
  ];
  return (
    <NormRail
      row={score.rank.row}
      unit={unit}
      flags={flags}
      pegs={pegsOf(score)}
      reach={reachOf(score.error)}
      small={small}
      width={width}
    />
  );
}

/** One pale flag a value, with the months in which it was reached. */
function earlierFlags(earlier: readonly StoredTrial[]): Flag[] {
  return [...new Set(earlier.map((t) => t.counted))].map((value) => {
    const months = [...new Set(earlier.filter((t) => t.counted === value).map((t) => monthYear(t.on)))];
    const shown = months.slice(0, 2).reverse().join(', ');
    return { value, label: months.length > 2 ? `${shown} and before` : shown, latest: false };
  });
}

const reachOf = (error: MeasurementError | null): number | null => error && 1.96 * error.sem;

/** One peg a line; lines that fall on the same value share one. */
function pegsOf(score: Score): Peg[] {
  const values = [...new Set(score.cutoffs.map((c) => c.limit))];
  const lines = values.map((value) => {
    const names = score.cutoffs.filter((c) => c.limit === value).map((c) => c.label);
    return { value, label: `${names.join(' and ')} ${value}`, kind: 'watch' as const };
  });
  const { standard } = score;
  return standard
    ? [...lines, { value: standard.limit, label: `many keep ${standard.limit}`, kind: 'standard' }]
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
    default: {
      const words = {
        'no-clear-change': 'no clear change',
        'clearly-better': 'clearly better',
        'clearly-worse': 'clearly worse',
      };
      return {
        verdict: words[change.kind],
        size: `${signed(change.by)} · smallest real change ${change.mdc95.toFixed(1)}`,
      };
    }
  }
}
