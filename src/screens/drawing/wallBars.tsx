'use client';
import type { Blocker, Level } from '../../core/level/answer';
import type { Ladder } from '../../core/shapes/ladder';
import { Measured } from './measured';
import { wordsWidth } from './pack';
import { tagWords } from './tagWords';
import { lookOf } from './patterns';

interface Props {
  readonly ladder: Ladder;
  readonly level: Level | undefined;
  /** What keeps the rungs above it, or all of them. */
  readonly blockers: readonly Blocker[];
  /** Rungs confirmed before, for the pale pegs. */
  readonly earlier: readonly number[];
  /** Rungs of the tallest bay beside it, so that all stand on one floor and are as high. */
  readonly tallest: number;
}

const pitch = 42;
/** Narrower than that a bay shows its numbers and pegs alone. */
const narrowest = 180;

/**
 * One bay of wall bars: each bar a rung, a wooden peg at the level, pale pegs where it was before, and on the first bar
 * above it a tag with the one thing that is missing most.
 */
export function WallBars(props: Props) {
  return <Measured start={278}>{(width) => <Bars {...props} width={width} />}</Measured>;
}

function Bars({ ladder, level, blockers, earlier, tallest, width }: Props & { readonly width: number }) {
  const inner = width - 34;
  const height = tallest * pitch + 22;
  const { tone } = lookOf(ladder.pattern);
  const narrow = width < narrowest;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={barsWords(ladder, level)}
      fontSize="15"
      fill="var(--color-ink)"
    >
      {[8, inner + 14].map((x) => (
        <rect
          key={x}
          x={x}
          y="4"
          width="11"
          height={height - 8}
          rx="2"
          fill="var(--color-wood)"
          stroke="var(--color-wood-dark)"
        />
      ))}
      {ladder.rungs.map((rung) => {
        const y = height - 18 - (rung.rung - 1) * pitch;
        const open = level !== undefined && rung.rung <= level.rung;
        const here = level?.rung === rung.rung;
        const next = rung.rung === (level?.rung ?? 0) + 1;
        const tag =
          next && !narrow
            ? tagOf(
                blockers.filter((b) => b.rung === rung.rung),
                inner - 24,
              )
            : null;
        return (
          <g key={rung.rung}>
            <rect
              x="6"
              y={y - 5}
              width={inner + 21}
              height="10"
              rx="5"
              fill={open ? 'var(--color-wood-dark)' : 'var(--color-wood-pale)'}
              stroke={open ? 'var(--color-ink)' : 'var(--color-wood)'}
            />
            <text x="27" y={y - 13} className="num" fontWeight="750" fill={open ? tone : 'var(--color-ink-soft)'}>
              {rung.rung}
            </text>
            {!narrow && (
              <text
                x="42"
                y={y - 13}
                fontWeight={here ? 750 : 500}
                fill={open ? 'var(--color-ink)' : 'var(--color-ink-soft)'}
              >
                {rung.name}
              </text>
            )}
            {earlier.includes(rung.rung) && !here && (
              <circle
                cx={inner - 8}
                cy={y}
                r="8"
                fill="var(--color-board)"
                stroke="var(--color-ink-soft)"
                strokeWidth="2"
                strokeDasharray="3 2"
              />
            )}
            {here && (
              <>
                <circle
                  cx={inner - 8}
                  cy={y}
                  r="14"
                  fill="var(--color-wood)"
                  stroke="var(--color-ink)"
                  strokeWidth="3"
                />
                <circle cx={inner - 8} cy={y} r="6" fill={tone} />
              </>
            )}
            {tag && <Tag words={tag} y={y - 8} />}
          </g>
        );
      })}
    </svg>
  );
}

function Tag({ words, y }: { words: string; y: number }) {
  const length = wordsWidth(words, 14) + 28;
  return (
    <g transform={`translate(40 ${y})`}>
      <path
        d={`M0 11l10-11h${length - 10}v22h-${length - 10}z`}
        fill="var(--color-board)"
        stroke="var(--color-watch)"
        strokeWidth="1.5"
      />
      <circle cx="12" cy="11" r="2.5" fill="var(--color-watch)" />
      <text x="20" y="15.5" fontSize="14" fontWeight="600">
        {words}
      </text>
    </g>
  );
}

/** What the person can change comes before what is only a matter of time; what does not fit is counted. */
function tagOf(blockers: readonly Blocker[], room: number): string | null {
  const first =
    blockers.find((b) => b.fact.startsWith('limiter:')) ??
    blockers.find((b) => b.fact !== 'sessionsLogged') ??
    blockers[0];
  if (!first) return null;
  const more = blockers.length - 1;
  return tagWords(first.tag, more, (words) => wordsWidth(words, 14) + 28 <= room);
}

function barsWords(ladder: Ladder, level: Level | undefined): string {
  if (!level) return `${ladder.title}: no rung is open.`;
  return `${ladder.title}: rung ${level.rung} of ${ladder.rungs.length}, ${level.name}.`;
}
