'use client';
import { memo, useCallback, useRef, useState } from 'react';
import type { NormRow } from '../../core/shapes/norms';
import { moveTo, useFrames } from './frames';

interface Props {
  readonly counted: number;
  readonly row: NormRow | null;
  /** Where an even pace to the median would be now, or `null` with nothing to compare. */
  readonly pace: (nowMs: number) => number | null;
}

const edge = 18;
/** Lower than this nothing could be read off it. */
const leastHeight = 220;

/** For the instructor's face: a rule that the count climbs, the middle half as wood, a hollow mark at the median's pace. */
export function LaneRule({ counted, row, pace }: Props) {
  const ghost = useRef<HTMLDivElement>(null);
  const [height, setHeight] = useState(420);
  const measure = useCallback((rule: HTMLDivElement | null) => {
    if (!rule) return undefined;
    const put = () => setHeight((before) => Math.floor(rule.clientHeight) || before);
    const watch = new ResizeObserver(put);
    watch.observe(rule);
    put();
    return () => watch.disconnect();
  }, []);
  const most = Math.max(20, Math.ceil((counted + 1) / 5) * 5, row ? Math.ceil((row.p75 * 1.15 + 1) / 5) * 5 : 0);
  const y = (stands: number) => edge + (1 - stands / most) * (height - 2 * edge);
  useFrames(
    useCallback(
      (now: number) => {
        const at = pace(now);
        if (!ghost.current || at === null) return;
        moveTo(ghost.current, 0, edge + (1 - at / most) * (height - 2 * edge));
        ghost.current.style.visibility = 'visible';
      },
      [height, most, pace],
    ),
  );
  return (
    <div
      ref={measure}
      className={`relative h-full w-full overflow-hidden rounded-md border-2 border-ink bg-board ${height < leastHeight ? 'invisible' : ''}`}
      aria-hidden
    >
      <Scale height={height} most={most} p25={row?.p25 ?? null} p75={row?.p75 ?? null} />
      <div ref={ghost} className="invisible absolute top-0 left-0 will-change-transform">
        <svg
          width="96"
          height="24"
          className="-mt-3 block"
          stroke="var(--color-ink-soft)"
          strokeWidth="2.5"
          fill="var(--color-board)"
        >
          <line x1="46" x2="60" y1="12" y2="12" strokeDasharray="4 4" />
          <path d="M60 12l16 -10v20z" />
        </svg>
      </div>
      <div className="absolute left-0" style={{ top: y(counted) }}>
        <svg width="96" height="32" className="-mt-4 block" fill="var(--color-ink)">
          <path d="M58 16l20 -13v26z" />
        </svg>
      </div>
    </div>
  );
}

/** The part that stays; drawn again only when the rule grows. */
const Scale = memo(function Scale({
  height,
  most,
  p25,
  p75,
}: {
  height: number;
  most: number;
  p25: number | null;
  p75: number | null;
}) {
  // Of a rule of a hundred and more each single one would be a hair.
  const each = most > 40 ? 5 : 1;
  const named = most > 40 ? 20 : 5;
  const y = (stands: number) => edge + (1 - stands / most) * (height - 2 * edge);
  return (
    <svg width="96" height={height} className="absolute inset-0 block" fill="var(--color-ink)">
      {p25 !== null && p75 !== null && (
        <rect
          x="42"
          y={y(p75)}
          width="14"
          height={y(p25) - y(p75)}
          fill="var(--color-wood)"
          stroke="var(--color-wood-dark)"
        />
      )}
      <line x1="42" x2="42" y1={y(most)} y2={y(0)} stroke="var(--color-ink)" strokeWidth="3" />
      {Array.from({ length: Math.floor(most / each) + 1 }, (_, i) => i * each).map((n) => (
        <line
          key={n}
          x1={n % named === 0 ? 30 : 36}
          x2="42"
          y1={y(n)}
          y2={y(n)}
          stroke="var(--color-ink)"
          strokeWidth="2"
        />
      ))}
      {Array.from({ length: Math.floor(most / named) + 1 }, (_, i) => i * named).map((n) => (
        <text key={n} x="27" y={y(n) + 5} fontSize={most > 99 ? 13 : 15} textAnchor="end" className="num">
          {n}
        </text>
      ))}
    </svg>
  );
});
