'use client';
import { performanceScale } from '../../core/score/performance';
import type { Score } from '../../core/score/scoreResult';
import { Measured } from './measured';
import { apart, wordsWidth } from './pack';

export interface StackFlag {
  readonly value: number;
  readonly kind: 'latest' | 'other-side' | 'earlier';
}

interface Props {
  readonly score: Score;
  readonly higherIsBetter: boolean;
  readonly flags: readonly StackFlag[];
  /** Half of the error bar of the latest flag, in the unit scored in. */
  readonly reach: number | null;
  readonly width: number;
  readonly label: string;
}

/** Standard deviations shown to either side; what lies further out stands at the end as an arrow. */
export const reachZ = 2.2;
export const stackX = (z: number, width: number): number => {
  const pad = 14;
  const held = Math.max(-reachZ, Math.min(reachZ, z));
  return pad + ((held + reachZ) / (2 * reachZ)) * (width - 2 * pad);
};

const percentiles = [
  [-1.645, '5th'],
  [-0.674, '25th'],
  [0, 'half'],
  [0.674, '75th'],
  [1.645, '95th'],
] as const;

/** The percentiles over a column of rails; the same place in every row. */
export function StackHead({ start }: { start: number }) {
  return (
    <Measured start={start}>
      {(width) => {
        const names = percentiles.map(([z, name]) => ({ name, x: stackX(z, width), width: wordsWidth(name, 14) }));
        return (
          <svg viewBox={`0 0 ${width} 18`} width="100%" aria-hidden fontSize="14" fill="var(--color-ink-soft)">
            {apart(names, [2, 0, 4, 1, 3]).map(({ name, x }) => (
              <text key={name} x={x} y="13" textAnchor="middle">
                {name}
              </text>
            ))}
          </svg>
        );
      }}
    </Measured>
  );
}

/** One rail of a stack: better is right, the middle halves of all tests stand under each other, figures in real units. */
export function StackRail(props: Props) {
  return <Measured start={props.width}>{(width) => <Rail {...props} width={width} />}</Measured>;
}

function Rail({ score, higherIsBetter, flags, reach, width, label }: Props) {
  const scale = performanceScale(score.rank, higherIsBetter);
  if (!scale) return null;
  const x = (value: number) => stackX(scale.at(value), width);
  const { rank } = score;
  const [height, y] = [46, 24];
  const latest = flags.find((f) => f.kind === 'latest');
  const middle: readonly number[] = rank.kind === 'ranked' ? [rank.row.p25, rank.row.p75] : [];
  const mean = rank.kind === 'mean' ? rank.row : null;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="img" aria-label={label} fontSize="14">
      <line
        x1={stackX(-1.645, width)}
        x2={stackX(1.645, width)}
        y1={y}
        y2={y}
        stroke="var(--color-ink)"
        strokeWidth={scale.steps === 'spread' ? 2.5 : 1.5}
        strokeDasharray={scale.steps === 'spread' ? undefined : '2 5'}
      />
      {middle.length === 2 && (
        <line x1={x(middle[0] ?? 0)} x2={x(middle[1] ?? 0)} y1={y} y2={y} stroke="var(--color-ink)" strokeWidth="11" />
      )}
      {mean && (
        <>
          {'sd' in mean && (
            <rect
              x={Math.min(x(mean.mean - mean.sd), x(mean.mean + mean.sd))}
              y={y - 5}
              width={Math.abs(x(mean.mean + mean.sd) - x(mean.mean - mean.sd))}
              height="10"
              fill="var(--color-floor)"
              stroke="var(--color-ink)"
              strokeWidth="1.5"
            />
          )}
          <line x1={x(mean.mean)} x2={x(mean.mean)} y1={y - 8} y2={y + 8} stroke="var(--color-ink)" strokeWidth="3" />
        </>
      )}
      {rank.kind === 'limit' && (
        <line x1={x(rank.limit)} x2={x(rank.limit)} y1={y - 8} y2={y + 8} stroke="var(--color-ink)" strokeWidth="3" />
      )}
      {score.cutoffs.map((c) => (
        <WatchPeg key={c.id} x={x(c.limit)} y={y} past={c.past} />
      ))}
      {score.standard && (
        <circle
          cx={x(score.standard.limit)}
          cy={y}
          r="5.5"
          fill={score.standard.met ? 'var(--color-ready)' : 'var(--color-floor)'}
          stroke="var(--color-ready)"
          strokeWidth="2"
        />
      )}
      <Figures score={score} x={x} y={y} />
      {latest && reach !== null && (
        <line
          x1={x(latest.value - reach)}
          x2={x(latest.value + reach)}
          y1={y}
          y2={y}
          stroke="var(--color-squat)"
          strokeWidth="4"
        />
      )}
      {inOrder(flags).map((flag) => (
        <StackFlagMark
          key={`${flag.kind}${flag.value}`}
          flag={flag}
          x={x(flag.value)}
          y={y}
          past={Math.abs(scale.at(flag.value)) > reachZ ? Math.sign(scale.at(flag.value)) : 0}
        />
      ))}
    </svg>
  );
}

const order: readonly StackFlag['kind'][] = ['earlier', 'other-side', 'latest'];
/** The newest lies over what it covers. */
export const inOrder = (flags: readonly StackFlag[]): StackFlag[] =>
  [...flags].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
const tones = {
  latest: 'var(--color-squat)',
  'other-side': 'var(--color-board)',
  earlier: 'var(--color-wood)',
} as const;

/** A watch line: a diamond, filled where the result is past it. */
export function WatchPeg({ x, y, past }: { x: number; y: number; past: boolean }) {
  return (
    <path
      d={`M${x} ${y - 6}l6 6-6 6-6-6z`}
      fill={past ? 'var(--color-watch)' : 'var(--color-floor)'}
      stroke="var(--color-watch)"
      strokeWidth="2"
    />
  );
}

interface FlagProps {
  readonly flag: StackFlag;
  readonly x: number;
  readonly y: number;
  /** -1 or 1 where it stands past that end of the rule. */
  readonly past?: number;
}

export function StackFlagMark({ flag, x, y, past = 0 }: FlagProps) {
  const tone = tones[flag.kind];
  const top = 3;
  return (
    <g>
      <line x1={x} x2={x} y1={top} y2={y} stroke="var(--color-ink)" strokeWidth="2" />
      <path
        // A flag that stands past the end of the rule points outwards.
        d={past < 0 ? `M${x} ${top}h-14l5 5.5-5 5.5h14z` : `M${x} ${top}h14l-4 5.5 4 5.5h-14z`}
        fill={tone}
        stroke="var(--color-ink)"
        strokeWidth="1.2"
      />
    </g>
  );
}

/** The figures the rule is made of, under it. */
function Figures({ score, x, y }: { score: Score; x: (value: number) => number; y: number }) {
  const { rank } = score;
  const figures =
    rank.kind === 'ranked'
      ? [rank.row.p25, rank.row.p75]
      : rank.kind === 'mean'
        ? [rank.row.mean]
        : rank.kind === 'limit'
          ? [rank.limit]
          : [];
  const labels = figures.map((figure) => {
    const words = String(Number(figure.toFixed(1)));
    return { words, x: x(figure), width: wordsWidth(words, 15) };
  });
  return (
    <>
      {apart(labels, [0, 1]).map(({ words, x: at }) => (
        <text key={words} x={at} y={y + 20} textAnchor="middle" className="num" fill="var(--color-ink-soft)">
          {words}
        </text>
      ))}
    </>
  );
}
