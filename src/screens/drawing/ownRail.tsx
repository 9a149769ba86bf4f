'use client';
import type { CutoffAnswer } from '../../core/score/scoreResult';
import { told } from '../words';
import { Measured } from './measured';
import { apart, wordsWidth } from './pack';
import { inOrder, StackFlagMark, stackX, WatchPeg, type StackFlag } from './stackRail';

interface Props {
  readonly flags: readonly StackFlag[];
  readonly cutoffs: readonly CutoffAnswer[];
  readonly higherIsBetter: boolean;
  /** Steps of a test that is passed step by step; `null` where any figure can be reached. */
  readonly steps: number | null;
  readonly width: number;
  readonly label: string;
  readonly unit: string;
}

const [left, right] = [-1.645, 1.645];
const [height, y] = [46, 24];

/**
 * A rail without norms: the steps of the test, or the person’s own results from the least to the best. Better is right
 * here too, and nothing is said of others.
 */
export function OwnRail(props: Props) {
  if (props.flags.length === 0) return null;
  return <Measured start={props.width}>{(width) => <Rail {...props} width={width} />}</Measured>;
}

function Rail({ flags, cutoffs, higherIsBetter, steps, width, label, unit }: Props) {
  const ends =
    steps === null ? endsOf([...flags.map((f) => f.value), ...cutoffs.map((c) => c.limit)]) : ([0, steps] as const);
  const x = (value: number) => {
    const share = ends[1] === ends[0] ? 0.5 : (value - ends[0]) / (ends[1] - ends[0]);
    return stackX(left + (higherIsBetter ? share : 1 - share) * (right - left), width);
  };
  const latest = flags.find((f) => f.kind === 'latest')?.value ?? 0;
  const marks = steps === null ? [...new Set(ends)] : Array.from({ length: steps + 1 }, (_, i) => i);
  const labels = marks.map((mark) => {
    const words = String(told(mark, unit));
    return { words, x: x(mark), width: wordsWidth(words, 15) };
  });
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="img" aria-label={label} fontSize="14">
      <line
        x1={stackX(left, width)}
        x2={stackX(right, width)}
        y1={y}
        y2={y}
        stroke="var(--color-ink)"
        strokeWidth="1.5"
        strokeDasharray="2 5"
      />
      {steps !== null && latest > 0 && (
        <line x1={x(0)} x2={x(latest)} y1={y} y2={y} stroke="var(--color-ink)" strokeWidth="5" />
      )}
      {marks.map((mark) => (
        <line key={mark} x1={x(mark)} x2={x(mark)} y1={y - 5} y2={y + 5} stroke="var(--color-ink)" strokeWidth="2" />
      ))}
      {apart(labels, [labels.length - 1, ...labels.keys()]).map(({ words, x: at }) => (
        <text key={words} x={at} y={y + 20} textAnchor="middle" className="num" fill="var(--color-ink-soft)">
          {words}
        </text>
      ))}
      {cutoffs.map((c) => (
        <WatchPeg key={c.id} x={x(c.limit)} y={y} past={c.past} />
      ))}
      {inOrder(flags).map((flag) => (
        <StackFlagMark key={`${flag.kind}${flag.value}`} flag={flag} x={x(flag.value)} y={y} />
      ))}
    </svg>
  );
}

const endsOf = (values: readonly number[]): readonly [number, number] => [Math.min(...values), Math.max(...values)];
