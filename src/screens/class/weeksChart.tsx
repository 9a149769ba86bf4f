'use client';
import { Bar, BarChart, CartesianGrid, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { TrainedWeek } from '../../core/train/weeks';
import { shortDay } from '../words';

interface Measure {
  readonly key: 'came' | 'minutes' | 'cleanReps';
  readonly title: string;
  readonly colour: string;
  readonly words: (week: TrainedWeek) => string;
}

const measures: readonly Measure[] = [
  { key: 'came', title: 'There', colour: 'var(--color-squat)', words: (w) => `${w.came}/${w.planned}` },
  { key: 'minutes', title: 'Minutes', colour: 'var(--color-hinge)', words: (w) => String(w.minutes) },
  { key: 'cleanReps', title: 'Clean repetitions', colour: 'var(--color-bridge)', words: (w) => String(w.cleanReps) },
];

/** Three small pictures on one row of weeks: who was there, how long, how much was clean. */
export function WeeksChart({ weeks }: { weeks: readonly TrainedWeek[] }) {
  return (
    <div className="grid gap-4">
      {measures.map(({ key, title, colour, words }) => {
        const data = weeks.map((w) => ({
          week: shortDay(w.monday),
          value: w[key],
          told: w.classes > 0 ? words(w) : '',
        }));
        return (
          <figure key={key}>
            <figcaption className="text-lg font-bold">{title}</figcaption>
            <div
              role="img"
              aria-label={`${title}, by week: ${weeks.map((w) => `${shortDay(w.monday)} ${w.classes > 0 ? words(w) : 'no class'}`).join(', ')}`}
              className="h-36"
            >
              <ResponsiveContainer width="100%" height="100%">
                <BarChart data={data} margin={{ top: 20, right: 4, bottom: 0, left: 4 }} accessibilityLayer={false}>
                  <CartesianGrid stroke="var(--color-rule)" strokeDasharray="2 4" vertical={false} />
                  <XAxis
                    dataKey="week"
                    interval="preserveStartEnd"
                    stroke="var(--color-ink)"
                    tick={{ fill: 'var(--color-ink)', fontSize: 14 }}
                  />
                  <YAxis hide domain={[0, 'auto']} />
                  <Bar dataKey="value" fill={colour} isAnimationActive={false} maxBarSize={44}>
                    <LabelList dataKey="told" position="top" fill="var(--color-ink)" fontSize={14} />
                  </Bar>
                </BarChart>
              </ResponsiveContainer>
            </div>
          </figure>
        );
      })}
    </div>
  );
}
