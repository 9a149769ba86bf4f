'use client';
import { useState } from 'react';
import type { FieldError } from '../../schemas/parse';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  readonly save: (number: string) => Promise<{ kind: string; errors?: readonly FieldError[] }>;
  readonly saved: (number: string) => void;
}

/** Before anybody is tested the hall says which number is called; none is ever assumed. */
export function EmergencyNumber({ save, saved }: Props) {
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState('');
  const submit = useOneAtATime(async () => {
    const answer = await save(typed).catch(() => null);
    if (answer?.kind === 'saved') saved(typed.trim());
    else setFault(answer?.errors?.[0]?.message ?? 'The server did not answer. Save again.');
    return true;
  });
  return (
    <form
      className="max-w-2xl pt-8"
      data-testid="emergency-number"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <h1 className="text-2xl font-extrabold">Which number is called in an emergency here?</h1>
      <p className="mt-2 text-lg">
        It stands large on the sheet of an incident and on every stop. Write the number of your place, with what must be
        dialled first from the telephone of this hall.
      </p>
      <label className="mt-4 block font-semibold">
        Emergency number
        <input
          autoFocus
          inputMode="tel"
          autoComplete="off"
          value={typed}
          aria-invalid={fault !== ''}
          onChange={(event) => setTyped(event.target.value)}
          className="num mt-1 block h-16 w-72 max-w-full rounded-md border-2 border-ink bg-board px-4 text-3xl"
        />
      </label>
      <p role="alert" className="min-h-6 font-semibold text-stop">
        {fault}
      </p>
      <Button type="submit" className="mt-2 min-h-16 min-w-56 text-xl">
        Save, then the test
      </Button>
    </form>
  );
}
