import type { Protocol } from '../../core/shapes/protocol';
import { Button } from '../touch/button';
import type { NormTable } from '../../core/shapes/norms';
import { Choice, TextBox } from '../touch/field';

export interface Asked {
  readonly ageYears: number | null;
  readonly sex: NormTable;
  readonly value: number | null;
}

/** Asks by the address of the page, so that an answer can be sent on as a link and nothing is kept. */
export function Calculator({ protocol, asked }: { protocol: Protocol; asked: Asked }) {
  return (
    <form method="get" className="mt-2 flex flex-wrap items-end gap-4">
      <label className="font-semibold">
        Age
        <TextBox
          num
          className="mt-1 block w-24"
          name="age"
          type="number"
          min={18}
          max={110}
          required
          defaultValue={asked.ageYears ?? undefined}
        />
      </label>
      <label className="font-semibold">
        Norm table
        <Choice className="mt-1 block w-24 w-32" name="sex" defaultValue={asked.sex ?? ''}>
          <option value="female">women</option>
          <option value="male">men</option>
          <option value="">left open</option>
        </Choice>
      </label>
      <label className="font-semibold">
        Result, {protocol.unit}
        <TextBox
          num
          className="mt-1 block w-24"
          name="value"
          type="number"
          step={protocol.range.whole ? 1 : 'any'}
          min={protocol.range.min}
          max={protocol.range.max}
          defaultValue={asked.value ?? undefined}
        />
      </label>
      <Button type="submit">Score it</Button>
    </form>
  );
}
