'use client';
import type { Ladder } from '../../core/shapes/ladder';
import { Measured } from './measured';
import { lookOf } from './patterns';

/** A level that was in force from a day on. */
export interface HistoryPeg {
  readonly rung: number;
  /** Short, under the bars. */
  readonly day: string;
  /** Left out by somebody’s word: no peg is put in. */
  readonly out: boolean;
}

const [pitch, column, left] = [34, 92, 206];

/** The bars of one ladder, and on them a peg a decision from left to right, each with its day; the last is the one in force. */
export function HistoryBars({ ladder, pegs }: { ladder: Ladder; pegs: readonly HistoryPeg[] }) {
  return (
    <Measured start={1100}>
      {(width) => {
        const room = Math.max(1, Math.floor((width - left - 20) / column));
        const shown = pegs.slice(-room);
        const height = ladder.rungs.length * pitch + 40;
        const { tone } = lookOf(ladder.pattern);
        const yOf = (rung: number) => height - 46 - ladder.rungs.findIndex((r) => r.rung === rung) * pitch;
        const xOf = (i: number) => left + 30 + i * column;
        return (
          <>
            <svg
              viewBox={`0 0 ${width} ${height}`}
              width="100%"
              role="img"
              aria-label={shown.map((p) => `${p.day}: ${p.out ? 'left out' : `rung ${p.rung}`}`).join('; ')}
              fontSize="14"
              fill="var(--color-ink)"
            >
              {ladder.rungs.map(({ rung, name }) => (
                <g key={rung}>
                  <rect
                    x={left - 10}
                    y={yOf(rung) - 4}
                    width={width - left}
                    height="8"
                    rx="4"
                    fill="var(--color-wood-pale)"
                    stroke="var(--color-wood)"
                  />
                  <text x="0" y={yOf(rung) + 5} fontWeight="700" fill={tone} className="num">
                    {rung}
                  </text>
                  <text x="18" y={yOf(rung) + 5}>
                    {name.length > 24 ? `${name.slice(0, 23)}…` : name}
                  </text>
                </g>
              ))}
              {shown.map((peg, i) => {
                const last = i === shown.length - 1;
                return (
                  <g key={`${peg.day} ${i}`}>
                    {peg.out ? (
                      <path
                        d={`M${xOf(i) - 7} ${yOf(peg.rung) - 7}l14 14m0 -14l-14 14`}
                        stroke="var(--color-ink)"
                        strokeWidth="3"
                      />
                    ) : (
                      <circle
                        cx={xOf(i)}
                        cy={yOf(peg.rung)}
                        r={last ? 12 : 9}
                        fill={last ? 'var(--color-wood)' : 'var(--color-board)'}
                        stroke="var(--color-ink)"
                        strokeWidth={last ? 3 : 2}
                        strokeDasharray={last ? undefined : '3 2'}
                      />
                    )}
                    {!peg.out && last && <circle cx={xOf(i)} cy={yOf(peg.rung)} r="5" fill={tone} />}
                    <text x={xOf(i)} y={height - 8} textAnchor="middle" className="num">
                      {peg.day}
                    </text>
                  </g>
                );
              })}
            </svg>
            {shown.length < pegs.length && (
              <p className="text-sm">
                The newest {shown.length} of {pegs.length}; all are told below.
              </p>
            )}
          </>
        );
      }}
    </Measured>
  );
}
