'use client';
import type { StationChairs } from '../../../core/measure/day/chairs';
import type { Helper } from '../../../core/shapes/helper';
import { useUnits } from '../../frame/units';
import { Heading } from '../../touch/heading';
import { chairsAt, chairsTold } from './chairWords';
import { staffName } from './dayWords';
import { useChairs, type FindChairs } from './useChairs';

interface Props {
  readonly chairs: readonly StationChairs[];
  /** The seat all are tested on. */
  readonly seatCm: number;
  readonly pads: number;
  readonly helpers: readonly Helper[];
  readonly find: FindChairs;
}

/** Which chairs to put out at which station, and what is short; asked again when the seat, the tests or the helpers change. */
export function ChairsOut({ chairs, seatCm, pads, helpers, find }: Props) {
  const units = useUnits();
  const stations = chairs.map(({ staff, seats }) => ({ staff, seatsCm: seats.map((cm) => Math.round(cm ?? seatCm)) }));
  const now = useChairs({ stations }, find);
  const told = typeof now === 'string' ? [] : chairsTold(now, { seatCm, pads }, units);
  return (
    <div className="mt-4" data-testid="chairs-out">
      <Heading id="chairs-out">Chairs to put out</Heading>
      <p className="mt-1 text-sm text-ink-soft">A chair a lane, its back to the wall; they stay there all day.</p>
      {now === 'asking' && <p role="status">Looking into the cupboard …</p>}
      {now === 'no-answer' && (
        <p role="status">The server did not answer: chairs were not looked for. The day can begin without.</p>
      )}
      {typeof now !== 'string' && (
        <ul>
          {now.stations.map(({ staff, seats }) => (
            <li key={staff} className="flex min-h-10 flex-wrap items-center gap-x-3 border-b border-rule py-1">
              <b>{staffName(staff, helpers)}</b>
              <span>{chairsAt(seats, units).join('; ')}</span>
            </li>
          ))}
        </ul>
      )}
      {told.length > 0 && (
        <ul className="mt-2 border-l-8 border-watch bg-board p-3 font-semibold">
          {told.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
