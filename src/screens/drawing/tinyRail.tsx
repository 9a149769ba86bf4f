'use client';
import { reachZ, StackFlagMark, stackX, WatchPeg } from './stackRail';
import type { TinyMarks } from './tinyMarks';

const width = 130;
const y = 16;
const x = (z: number): number => Math.round(stackX(z, width) * 10) / 10;

/** A rail of a grid of many: only the flag on its rule, and no words that would grow or shrink with it. */
export function TinyRail({ steps, middle, box, line, pegs, flag, label }: TinyMarks & { readonly label: string }) {
  return (
    <svg
      viewBox={`0 0 ${width} 26`}
      width="100%"
      role="img"
      aria-label={label}
      className="max-w-52"
      stroke="var(--color-ink)"
    >
      <line
        x1={x(-1.645)}
        x2={x(1.645)}
        y1={y}
        y2={y}
        strokeWidth={steps === 'spread' ? 2.5 : 1.5}
        strokeDasharray={steps === 'spread' ? undefined : '2 5'}
      />
      {middle && <line x1={x(middle[0])} x2={x(middle[1])} y1={y} y2={y} strokeWidth="7" />}
      {box && (
        <rect
          x={Math.min(x(box[0]), x(box[1]))}
          y={y - 5}
          width={Math.abs(x(box[1]) - x(box[0]))}
          height="10"
          fill="var(--color-floor)"
          strokeWidth="1.5"
        />
      )}
      {line !== null && <line x1={x(line)} x2={x(line)} y1={y - 8} y2={y + 8} strokeWidth="3" />}
      {pegs.map(({ z, past }) => (
        <WatchPeg key={z} x={x(z)} y={y} past={past} />
      ))}
      {flag !== null && (
        <StackFlagMark
          flag={{ value: flag, kind: 'latest' }}
          x={x(flag)}
          y={y}
          past={Math.abs(flag) > reachZ ? Math.sign(flag) : 0}
        />
      )}
    </svg>
  );
}
