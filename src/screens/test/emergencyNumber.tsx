'use client';
import { useState } from 'react';
import type { FieldError } from '../../schemas/parse';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { TextField } from '../touch/field';

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
      <TextField
        size="big"
        num
        className="w-72 max-w-full"
        fieldClass="mt-4 min-h-[116px]"
        autoFocus
        inputMode="tel"
        label="Emergency number"
        name="emergencyNumber"
        fault={fault === '' ? undefined : fault}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button type="submit" className="mt-2 min-h-16 min-w-56 text-xl">
        Save, then the test
      </Button>
    </form>
  );
}
