import type { Blocker, Level } from '../../core/level/answer';
import type { Ladder } from '../../core/shapes/ladder';
import { wordsWidth } from './pack';

interface Props {
  readonly ladder: Ladder;
  readonly level: Level | undefined;
  /** Rungs confirmed before, for the pale pegs. */
  readonly earlier: readonly number[];
  readonly width?: number;
}

const pitch = 54;

/**
 * One bay of wall bars: each bar a rung, a wooden peg at the level, pale pegs where it was before, and on every bar
 * above it a tag with the one thing that is missing most.
 */
export function WallBars({ ladder, level, earlier, width = 600 }: Props) {
  const height = ladder.rungs.length * pitch + 30;
  const inner = width - 34;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={barsWords(ladder, level)}
      fontSize="16"
      fill="var(--color-ink)"
    >
      {[8, inner + 14].map((x) => (
        <rect
          key={x}
          x={x}
          y="4"
          width="12"
          height={height - 8}
          rx="2"
          fill="var(--color-wood)"
          stroke="var(--color-wood-dark)"
        />
      ))}
      {ladder.rungs.map((rung) => {
        const y = height - 24 - (rung.rung - 1) * pitch;
        const open = level !== undefined && rung.rung <= level.rung;
        const here = level?.rung === rung.rung;
        const room = inner - 54 - wordsWidth(rung.name, 16) - 20;
        const tag = open ? null : tagOf(level?.blockers.filter((b) => b.rung === rung.rung) ?? [], room);
        const tagWidth = tag ? wordsWidth(tag, 14) + 30 : 0;
        return (
          <g key={rung.rung}>
            <rect
              x="6"
              y={y - 5}
              width={inner + 22}
              height="11"
              rx="5.5"
              fill={open ? 'var(--color-wood-dark)' : 'var(--color-wood-pale)'}
              stroke={open ? 'var(--color-ink)' : 'var(--color-wood)'}
            />
            <text
              x="34"
              y={y - 13}
              className="num"
              fontWeight="750"
              fill={open ? 'var(--color-squat)' : 'var(--color-ink-soft)'}
            >
              {rung.rung}
            </text>
            <text
              x="54"
              y={y - 13}
              fontWeight={here ? 750 : 500}
              fill={open ? 'var(--color-ink)' : 'var(--color-ink-soft)'}
            >
              {rung.name}
            </text>
            {earlier.includes(rung.rung) && !here && (
              <circle
                cx={inner - 12}
                cy={y}
                r="9"
                fill="var(--color-board)"
                stroke="var(--color-ink-soft)"
                strokeWidth="2"
                strokeDasharray="3 2"
              />
            )}
            {here && (
              <>
                <circle
                  cx={inner - 12}
                  cy={y}
                  r="15"
                  fill="var(--color-wood)"
                  stroke="var(--color-ink)"
                  strokeWidth="3"
                />
                <circle cx={inner - 12} cy={y} r="6" fill="var(--color-squat)" />
              </>
            )}
            {tag && (
              <g transform={`translate(${inner - tagWidth} ${y - 31})`}>
                <path
                  d={`M0 12l11-12h${tagWidth - 11}v24h-${tagWidth - 11}z`}
                  fill="var(--color-board)"
                  stroke="var(--color-watch)"
                  strokeWidth="1.5"
                />
                <circle cx="13" cy="12" r="2.5" fill="var(--color-watch)" />
                <text x="22" y="17" fontSize="14" fontWeight="600">
                  {tag}
                </text>
              </g>
            )}
          </g>
        );
      })}
    </svg>
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
  const tries = more > 0 ? [`${first.tag} · and ${more} more`, `${first.tag} +${more}`] : [first.tag];
  return tries.find((words) => wordsWidth(words, 14) + 30 <= room) ?? `${blockers.length} things`;
}

function barsWords(ladder: Ladder, level: Level | undefined): string {
  if (!level) return `${ladder.title}: no rung is open.`;
  return `${ladder.title}: rung ${level.rung} of ${ladder.rungs.length}, ${level.name}.`;
}
