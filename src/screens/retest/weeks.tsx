'use client';
import { addDays, daysBetween } from '../../core/math/days';
import { Measured } from '../drawing/measured';
import { shortDay } from '../words';

interface Props {
  readonly dueOn: readonly string[];
  readonly today: string;
  readonly weeks?: number;
}

/** Retests as beads on a line, a column a week from this one on; what is due since earlier stands in the first. */
export function RetestWeeks(props: Props) {
  return <Measured start={640}>{(width) => <Weeks {...props} width={width} />}</Measured>;
}

function Weeks({ dueOn, today, weeks = 12, width }: Props & { readonly width: number }) {
  const weekday = (new Date(`${today}T00:00:00Z`).getUTCDay() + 6) % 7;
  const monday = addDays(today, -weekday);
  const columns = Array.from({ length: weeks }, (_, week) => ({
    from: addDays(monday, week * 7),
    count: dueOn.filter((day) => Math.max(0, Math.floor(daysBetween(monday, day) / 7)) === week).length,
  }));
  const overdue = dueOn.filter((day) => day < today).length;
  const most = Math.max(4, ...columns.map((c) => c.count));
  const height = most * 24 + 40;
  const step = width / weeks;
  // Every week is named where the names have room beside each other, else every second or third.
  const every = Math.ceil(52 / step);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`Retests by week: ${columns.map((c) => `${c.count} in the week of ${shortDay(c.from)}`).join(', ')}`}
      fill="var(--color-ink)"
    >
      <line x1="0" x2={width} y1={height - 30} y2={height - 30} stroke="var(--color-ink)" strokeWidth="3" />
      {columns.map((column, week) => (
        <g key={column.from}>
          {Array.from({ length: column.count }, (_, i) => {
            const late = week === 0 && i < overdue;
            const at = { x: step * (week + 0.5), y: height - 44 - i * 24 };
            return late ? (
              <g key={i} fill="none" stroke="var(--color-ink)" strokeLinecap="round" strokeLinejoin="round">
                <circle cx={at.x} cy={at.y} r="8" strokeWidth="2" />
                <path d={`M${at.x} ${at.y - 5}v5l3.4 2`} strokeWidth="2.4" />
              </g>
            ) : (
              <circle key={i} cx={at.x} cy={at.y} r="9" />
            );
          })}
          {week % every === 0 && (
            <text x={Math.max(22, step * (week + 0.5))} y={height - 8} fontSize="14" textAnchor="middle">
              {shortDay(column.from)}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
