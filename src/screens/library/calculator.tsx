import type { Protocol } from '../../core/shapes/protocol';
import { Button } from '../touch/button';
import type { NormTable } from '../../core/shapes/norms';

export interface Asked {
  readonly ageYears: number | null;
  readonly sex: NormTable;
  readonly value: number | null;
}

const box = 'num mt-1 block h-12 w-24 rounded-md border-2 border-ink bg-board px-3';

/** Asks by the address of the page, so that an answer can be sent on as a link and nothing is kept. */
export function Calculator({ protocol, asked }: { protocol: Protocol; asked: Asked }) {
  return (
    <form method="get" className="mt-2 flex flex-wrap items-end gap-4">
      <label className="font-semibold">
        Age
        <input
          name="age"
          type="number"
          min={18}
          max={110}
          required
          defaultValue={asked.ageYears ?? undefined}
          className={box}
        />
      </label>
      <label className="font-semibold">
        Norm table
        <select name="sex" defaultValue={asked.sex ?? ''} className={`${box} w-32! font-sans`}>
          <option value="female">women</option>
          <option value="male">men</option>
          <option value="">left open</option>
        </select>
      </label>
      <label className="font-semibold">
        Result, {protocol.unit}
        <input
          name="value"
          type="number"
          step={protocol.range.whole ? 1 : 'any'}
          min={protocol.range.min}
          max={protocol.range.max}
          defaultValue={asked.value ?? undefined}
          className={box}
        />
      </label>
      <Button type="submit">Score it</Button>
    </form>
  );
}
