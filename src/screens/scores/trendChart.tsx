'use client';
import { Area, CartesianGrid, ComposedChart, ErrorBar, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { monthYear } from '../words';
import { dateOfDay, type TrendProps } from './trendPoints';

/** One series over time: results with their error bars, the middle half as it steps at birthdays, the line of the trend. */
export function TrendChart({ points, line, unit, higherIsBetter }: TrendProps) {
  const measured = points.filter((p) => p.value !== null);
  if (measured.length < 2) return null;
  const days = measured.map((p) => p.day);
  const [from, to] = [Math.min(...days), Math.max(...days)];
  const data = points.map((p) => ({ ...p, line: line.find((l) => l.day === p.day)?.value ?? null }));
  const words = measured.map((p) => `${monthYear(dateOfDay(p.day))} ${p.value ?? ''}`).join(', ');
  return (
    <div role="img" aria-label={`Over time, ${unit}: ${words}`} className="mt-1 h-52">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 8, right: 14, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-rule)" strokeDasharray="2 4" vertical={false} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[from - 10, to + 10]}
            ticks={ticksOf(from, to)}
            tickFormatter={(day: number) => monthYear(dateOfDay(day))}
            stroke="var(--color-ink)"
            tick={{ fill: 'var(--color-ink)', fontSize: 14 }}
          />
          <YAxis
            // Better is up here too, so that times and counts read alike.
            reversed={!higherIsBetter}
            domain={['auto', 'auto']}
            width={44}
            stroke="var(--color-ink)"
            tick={{ fill: 'var(--color-ink)', fontSize: 14 }}
          />
          <Area
            dataKey="middle"
            type="linear"
            stroke="var(--color-wood)"
            fill="var(--color-wood-pale)"
            connectNulls
            isAnimationActive={false}
          />
          <Line
            dataKey="line"
            stroke="var(--color-ink)"
            strokeDasharray="6 5"
            strokeWidth={2}
            dot={false}
            connectNulls
            isAnimationActive={false}
          />
          <Line
            dataKey="value"
            stroke="var(--color-squat)"
            strokeWidth={2}
            connectNulls
            dot={{ r: 5, fill: 'var(--color-squat)', stroke: 'var(--color-board)' }}
            isAnimationActive={false}
          >
            <ErrorBar
              isAnimationActive={false}
              dataKey="reach"
              width={8}
              stroke="var(--color-squat)"
              strokeWidth={1.5}
              direction="y"
            />
          </Line>
        </ComposedChart>
      </ResponsiveContainer>
      <p className="sr-only">Pale band: the middle half of the same sex and age. Broken line: the trend.</p>
    </div>
  );
}

/** First, last and up to two days between them. */
function ticksOf(from: number, to: number): number[] {
  const months = (to - from) / 30;
  const steps = months > 9 ? 3 : months > 4 ? 2 : 1;
  return Array.from({ length: steps + 1 }, (_, i) => Math.round(from + ((to - from) * i) / steps));
}
