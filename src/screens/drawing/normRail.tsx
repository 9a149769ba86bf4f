'use client';
import { valueAt } from '../../core/score/rank';
import type { NormRow } from '../../core/shapes/norms';
import { rowWords } from '../words';
import { Measured } from './measured';
import { apart, packLabels, wordsWidth } from './pack';

export interface Flag {
  readonly value: number;
  readonly label: string;
  readonly latest: boolean;
}

export interface Peg {
  readonly value: number;
  readonly label: string;
  readonly kind: 'watch' | 'standard';
}

interface Props {
  readonly row: NormRow;
  readonly unit: string;
  readonly flags: readonly Flag[];
  readonly pegs: readonly Peg[];
  /** Half of the error bar of the latest flag: 1.96 standard errors. */
  readonly reach: number | null;
  /** Least value there can be: the rule does not run under it. */
  readonly least?: number | undefined;
  /** Width until it is measured, in CSS pixels. */
  readonly start?: number | undefined;
  readonly small?: boolean;
}

const z95 = 1.6448536269514722;
const marks = [
  [-z95, '5th'],
  [-0.6744897501960817, '25th'],
  [0, 'half'],
  [0.6744897501960817, '75th'],
  [z95, '95th'],
] as const;

/**
 * A straight rule from the 5th to the 95th percentile of this age and sex, the middle half thick, real units under it,
 * cut-offs as pegs with their names, this result as a flag with its error bar, earlier ones as pale flags.
 */
export function NormRail({ start = 1100, ...rail }: Props) {
  return <Measured start={start}>{(width) => <Rail {...rail} width={width} />}</Measured>;
}

function Rail({
  row,
  unit,
  flags,
  pegs,
  reach,
  least = 0,
  width,
  small = false,
}: Omit<Props, 'start'> & { readonly width: number }) {
  const pad = 26;
  const latest = flags.find((f) => f.latest);
  const within = (value: number) => Math.max(least, value);
  const ends = [-z95, z95].map((z) => within(valueAt(row, z)));
  const error = latest && reach !== null ? [within(latest.value - reach), latest.value + reach] : [];
  const all = [...ends, ...error, ...flags.map((f) => f.value), ...pegs.map((p) => p.value)];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const towardsBetter = row.p75 > row.p25;
  const x = (value: number): number => {
    const share = (value - low) / (high - low);
    return pad + (towardsBetter ? share : 1 - share) * (width - 2 * pad);
  };
  const shown = small ? flags.filter((f) => f.latest) : flags;
  const flagLabels = packLabels(
    shown.map((f) => ({ x: x(f.value) + 22, width: wordsWidth(f.label, 15) + 34 })),
    width,
  );
  const pegLabels = packLabels(
    pegs.map((p) => ({ x: x(p.value), width: wordsWidth(p.label, 15) })),
    width,
  );
  const flagRows = 1 + Math.max(0, ...flagLabels.map((l) => l.row));
  const pegRows = small || pegs.length === 0 ? 0 : 1 + Math.max(...pegLabels.map((l) => l.row));
  const ruleY = (small ? 12 : 34) + flagRows * 32 + 8;
  const height = ruleY + 40 + pegRows * 24;
  const percentiles = marks.flatMap(([z, name]) => {
    const at = valueAt(row, z);
    return at >= least ? [{ name, x: x(at), width: wordsWidth(name, 15) }] : [];
  });
  const figures = ticks(low, high, Math.max(3, Math.floor(width / 62)));
  const flagTop = (i: number) => ruleY - 8 - ((flagLabels[i]?.row ?? 0) + 1) * 32;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={railWords(row, unit, latest, pegs)}
      fontSize="15"
      fill="var(--color-ink)"
    >
      {!small &&
        // Where not all fit, the middle and the ends are told.
        apart(percentiles, [2, 0, 4, 1, 3]).map(({ name, x: at }) => (
          <text key={name} x={at} y="16" textAnchor="middle" fill="var(--color-ink-soft)">
            {name}
          </text>
        ))}
      <line
        x1={pad}
        x2={width - pad}
        y1={ruleY}
        y2={ruleY}
        stroke="var(--color-ink)"
        strokeWidth="1.5"
        strokeDasharray="2 5"
      />
      <line
        x1={x(ends[0] ?? low)}
        x2={x(ends[1] ?? high)}
        y1={ruleY}
        y2={ruleY}
        stroke="var(--color-ink)"
        strokeWidth="3"
      />
      <line x1={x(row.p25)} x2={x(row.p75)} y1={ruleY} y2={ruleY} stroke="var(--color-ink)" strokeWidth="13" />
      {figures.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={ruleY + 7} y2={ruleY + 14} stroke="var(--color-ink)" strokeWidth="2" />
          <text x={x(tick)} y={ruleY + 30} textAnchor="middle" className="num">
            {tick}
          </text>
        </g>
      ))}
      {pegs.map((peg, i) => {
        const at = pegLabels[i] ?? { left: 0, row: 0 };
        const tone = peg.kind === 'watch' ? 'var(--color-watch)' : 'var(--color-ready)';
        const labelY = ruleY + 40 + at.row * 24 + 12;
        return (
          <g key={peg.label}>
            <line
              x1={x(peg.value)}
              x2={x(peg.value)}
              y1={ruleY - 12}
              y2={ruleY + 12}
              stroke="var(--color-board)"
              strokeWidth="8"
            />
            <line x1={x(peg.value)} x2={x(peg.value)} y1={ruleY - 12} y2={ruleY + 12} stroke={tone} strokeWidth="5" />
            {peg.kind === 'watch' ? (
              <path
                d={`M${x(peg.value)} ${ruleY - 19}l7 7-7 7-7-7z`}
                fill={tone}
                stroke="var(--color-board)"
                strokeWidth="1.5"
              />
            ) : (
              <circle
                cx={x(peg.value)}
                cy={ruleY - 12}
                r="6"
                fill={tone}
                stroke="var(--color-board)"
                strokeWidth="1.5"
              />
            )}
            {!small && (
              <>
                <line
                  x1={x(peg.value)}
                  x2={x(peg.value)}
                  y1={ruleY + 35}
                  y2={labelY - 13}
                  stroke={tone}
                  strokeWidth="2"
                  strokeDasharray="2 3"
                />
                <text x={at.left} y={labelY} fill={tone} fontWeight="650">
                  {peg.label}
                </text>
              </>
            )}
          </g>
        );
      })}
      {error.length === 2 && (
        <g stroke="var(--color-squat)">
          <line
            x1={x(error[0] ?? low)}
            x2={x(error[1] ?? high)}
            y1={ruleY}
            y2={ruleY}
            stroke="var(--color-floor)"
            strokeWidth="9"
          />
          <line x1={x(error[0] ?? low)} x2={x(error[1] ?? high)} y1={ruleY} y2={ruleY} strokeWidth="5" />
          {error.map((end) => (
            <line key={end} x1={x(end)} x2={x(end)} y1={ruleY - 8} y2={ruleY + 8} strokeWidth="3" />
          ))}
        </g>
      )}
      {shown.map((flag, i) => (
        <line
          key={flag.label}
          x1={x(flag.value)}
          x2={x(flag.value)}
          y1={flagTop(i)}
          y2={ruleY - 2}
          stroke="var(--color-ink)"
          strokeWidth="2"
        />
      ))}
      {shown.map((flag, i) => {
        const top = flagTop(i);
        const tone = flag.latest ? 'var(--color-squat)' : 'var(--color-wood)';
        const pole = x(flag.value);
        return (
          <g key={flag.label}>
            <path d={`M${pole} ${top}h26l-7 9 7 9h-26z`} fill={tone} stroke="var(--color-ink)" strokeWidth="1.5" />
            <text
              x={pole + 33}
              y={top + 15}
              fontWeight={flag.latest ? 750 : 500}
              paintOrder="stroke"
              stroke="var(--color-floor)"
              strokeWidth="6"
            >
              {flag.label}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Whole units, about as many as asked for. */
function ticks(low: number, high: number, about: number): number[] {
  const step = [0.5, 1, 2, 5, 10, 20, 50].find((s) => (high - low) / s <= Math.min(about, 12)) ?? 100;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, i) => first + i * step);
}

/** The rail read out. */
function railWords(row: NormRow, unit: string, latest: Flag | undefined, pegs: readonly Peg[]): string {
  const result = latest ? `Result ${latest.value} ${unit}. ` : '';
  return `${result}Middle half of ${rowWords(row)}: ${row.p25} to ${row.p75} ${unit}. ${pegs.map((p) => p.label).join(', ')}.`;
}
