import { addDays, daysBetween } from '../../core/math/days';
import { shortDay } from '../words';

/** Retests as beads on a line, a column a week from this one on; what is due since earlier stands in the first. */
export function RetestWeeks({ dueOn, today, weeks = 12 }: { dueOn: readonly string[]; today: string; weeks?: number }) {
  const weekday = (new Date(`${today}T00:00:00Z`).getUTCDay() + 6) % 7;
  const monday = addDays(today, -weekday);
  const columns = Array.from({ length: weeks }, (_, week) => ({
    from: addDays(monday, week * 7),
    count: dueOn.filter((day) => Math.max(0, Math.floor(daysBetween(monday, day) / 7)) === week).length,
  }));
  const overdue = dueOn.filter((day) => day < today).length;
  const most = Math.max(4, ...columns.map((c) => c.count));
  const height = most * 24 + 40;
  const step = 700 / weeks;
  return (
    <svg
      viewBox={`0 0 700 ${height}`}
      width="100%"
      role="img"
      aria-label={`Retests by week: ${columns.map((c) => `${c.count} in the week of ${shortDay(c.from)}`).join(', ')}`}
      fill="var(--color-ink)"
    >
      <line x1="0" x2="700" y1={height - 30} y2={height - 30} stroke="var(--color-ink)" strokeWidth="3" />
      {columns.map((column, week) => (
        <g key={column.from}>
          {Array.from({ length: column.count }, (_, i) => {
            const late = week === 0 && i < overdue;
            const at = { x: step * (week + 0.5), y: height - 44 - i * 24 };
            return late ? (
              <path
                key={i}
                d={`M${at.x} ${at.y - 9}l9 9-9 9-9-9z`}
                fill="var(--color-floor)"
                stroke="var(--color-watch)"
                strokeWidth="3"
              />
            ) : (
              <circle key={i} cx={at.x} cy={at.y} r="9" />
            );
          })}
          <text x={step * (week + 0.5)} y={height - 8} fontSize="13.5" textAnchor="middle">
            {shortDay(column.from)}
          </text>
        </g>
      ))}
    </svg>
  );
}
