import type { TimeLineEvent } from '../../core/view/timeLine';
import { Measured } from '../drawing/measured';

const height = 96;
const edge = 16;
const tall: ReadonlySet<string> = new Set(['rep', 'let-go', 'finish', 'stage', 'reading']);

/** An attempt along its time: what counted stands tall, marks are short, what is left out is hollow and crossed. */
export function TimeLine({ line }: { line: readonly TimeLineEvent[] }) {
  const shown = line.filter(
    ({ event }) => !['practice', 'note', 'strike', 'add', 'move', 'condition'].includes(event.kind),
  );
  const lastMs = Math.max(1000, ...shown.map(({ event }) => event.atMs));
  return (
    <Measured start={760}>
      {(width) => {
        const x = (ms: number) => edge + (Math.max(0, ms) / lastMs) * (width - 2 * edge - 30);
        const everyS = [1, 2, 5, 10, 20, 30, 60, 120].find((s) => (lastMs / 1000 / s) * 34 < width) ?? 300;
        return (
          <svg
            width={width}
            height={height}
            aria-hidden
            className="block"
            stroke="var(--color-ink)"
            fill="var(--color-ink)"
          >
            <line x1={edge} x2={x(lastMs)} y1="62" y2="62" strokeWidth="3" />
            {Array.from({ length: Math.floor(lastMs / 1000 / everyS) + 1 }, (_, i) => i * everyS).map((s) => (
              <g key={s}>
                <line x1={x(s * 1000)} x2={x(s * 1000)} y1="62" y2="69" strokeWidth="2" />
                <text x={x(s * 1000)} y="86" fontSize="14" textAnchor="middle" className="num" stroke="none">
                  {s}
                </text>
              </g>
            ))}
            <text x={x(lastMs) + 8} y="86" fontSize="14" stroke="none">
              s
            </text>
            {shown.map(({ event, struckBy }) => {
              const at = x(event.atMs);
              const top = tall.has(event.kind) ? 22 : 42;
              return struckBy ? (
                <g key={event.seq} fill="none" strokeWidth="2">
                  <rect x={at - 4} y={top} width="8" height={62 - top} strokeDasharray="3 3" />
                  <path d={`M${at - 7} ${top + 4}l14 12m0 -12l-14 12`} />
                </g>
              ) : (
                <line key={event.seq} x1={at} x2={at} y1={top} y2="62" strokeWidth={tall.has(event.kind) ? 6 : 3} />
              );
            })}
          </svg>
        );
      }}
    </Measured>
  );
}
