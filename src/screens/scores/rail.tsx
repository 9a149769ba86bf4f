import { amount } from '../../core/math/amount';
import { topOf, type Change, type Judgement, type Noticed } from '../../core/retest/change';
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

/** Faster and slower of a time, else more and less: never "more seconds". */
export function byWords(by: number, unit: string): string {
  const size = Math.abs(told(by, unit));
  if (size === 0) return 'the same';
  if (unit === 's') return `${amount(size, unit)} ${by < 0 ? 'faster' : 'slower'}`;
  return `${signed(told(by, unit))}${unit === 'm/s' ? ' m/s' : ''}`;
}

const judgementWords: Readonly<Record<Judgement, string>> = {
  'clearly-better': 'clearly better',
  'probably-better': 'probably better',
  'about-the-same': 'about the same',
  'probably-less': 'probably less',
  'clearly-less': 'clearly less',
  'longer-by-a-step': 'longer by a step',
  'shorter-by-a-step': 'shorter by a step',
};

/** A change said against the error of the test; never a size where none can be trusted. */
export function changeWords(change: Change): { readonly verdict: string; readonly size: string } {
  switch (change.kind) {
    case 'first-time':
      return { verdict: 'first time', size: '' };
    case 'not-comparable':
      return {
        verdict: 'not like for like',
        size: [...(change.by === null ? [] : [byWords(change.by, change.unit)]), change.why].join(' · '),
      };
    case 'hands':
      return { verdict: change.words, size: '' };
    case 'told':
      return {
        verdict: byWords(change.by, change.unit),
        size: [
          ...(change.firstClean > 0 ? [`${change.firstClean} of them without hands: the first`] : []),
          ...noticedWords(change.noticed),
          'no published error',
        ].join(' · '),
      };
    case 'at-top':
      return { verdict: 'at the top of this test', size: '' };
    case 'as-then': {
      const { was, by, unit, smallestReal } = change;
      return {
        verdict: was.replaceAll('-', ' '),
        size: `${byWords(by, unit)} · smallest real change ${smallestReal.toFixed(smallestReal < 1 ? 2 : 1)}`,
      };
    }
    default: {
      const { smallestReal } = change;
      return {
        verdict: judgementWords[change.kind],
        size: [
          byWords(change.by, change.unit),
          ...(smallestReal === null
            ? ['by its tries']
            : [`smallest real change ${smallestReal.toFixed(smallestReal < 1 ? 2 : 1)}`]),
          ...(change.nearest ? ['the error is that of the nearest age'] : []),
          ...noticedWords(change.noticed),
        ].join(' · '),
      };
    }
  }
}

/** In a table of many only how much, or why nothing can be said; the rest stands on the page of the test. */
export const shortly = (size: string): string => size.split(' · ')[0] ?? '';

const noticedWords = (noticed: Noticed | null): string[] => (noticed ? [`people notice ${noticed.by}`] : []);
