'use client';
import { useEffect, useRef } from 'react';
import type { NormRow } from '../../core/shapes/norms';

interface Props {
  readonly counted: number;
  readonly row: NormRow | null;
  /** Where an even pace to the median would be now, or `null` with nothing to compare. */
  readonly pace: (nowMs: number) => number | null;
}

const top = 20;

/** For the instructor's face: a rule that the count climbs, the middle half as wood, a hollow mark at the median's pace. */
export function LaneRule({ counted, row, pace }: Props) {
  const ghost = useRef<SVGGElement>(null);
  const most = Math.max(top, Math.ceil((counted + 1) / 5) * 5, row ? Math.ceil((row.p75 + 1) / 5) * 5 : 0);
  const y = (stands: number) => 590 - (stands / most) * 570;
  useEffect(() => {
    let frame = requestAnimationFrame(function next() {
      const at = pace(performance.now());
      if (ghost.current) {
        ghost.current.style.display = at === null ? 'none' : '';
        if (at !== null) ghost.current.setAttribute('transform', `translate(44 ${590 - (at / most) * 570})`);
      }
      frame = requestAnimationFrame(next);
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [most, pace]);
  return (
    <svg viewBox="0 0 128 610" height="100%" className="block" aria-hidden fill="var(--color-ink)">
      <rect
        x="0"
        y="0"
        width="128"
        height="610"
        rx="6"
        fill="var(--color-board)"
        stroke="var(--color-ink)"
        strokeWidth="2"
      />
      {row && (
        <rect
          x="42"
          y={y(row.p75)}
          width="14"
          height={y(row.p25) - y(row.p75)}
          fill="var(--color-wood)"
          stroke="var(--color-wood-dark)"
        />
      )}
      <line x1="42" x2="42" y1={y(most)} y2={y(0)} stroke="var(--color-ink)" strokeWidth="3" />
      {Array.from({ length: most + 1 }, (_, n) => (
        <g key={n}>
          <line x1={n % 5 === 0 ? 30 : 36} x2="42" y1={y(n)} y2={y(n)} stroke="var(--color-ink)" strokeWidth="2" />
          {n % 5 === 0 && (
            <text x="26" y={y(n) + 5} fontSize="15" textAnchor="end" className="num">
              {n}
            </text>
          )}
        </g>
      ))}
      <g ref={ghost} stroke="var(--color-ink-soft)" strokeWidth="2.5" fill="var(--color-board)">
        <line x1="0" x2="52" y1="0" y2="0" strokeDasharray="4 4" />
        <path d="M52 0l18 -10v20z" />
      </g>
      <path d="M0 0l34 -15v30z" transform={`translate(58 ${y(counted)})`} />
    </svg>
  );
}
