'use client';
import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch, type FieldPath } from 'react-hook-form';
import { paperForm, type PaperForm } from '../../schemas/attempt';
import type { FieldError } from '../../schemas/parse';
import { Button, ButtonLink } from '../touch/button';
import { newClientKey } from '../test/attemptStore';
import { typedNumber } from '../touch/typed';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  readonly today: string;
  readonly personId: string;
  readonly seatHeightCm: number | null;
  readonly save: (form: unknown, key: string) => Promise<{ kind: string; errors?: readonly FieldError[] }>;
}

const field = 'num mt-1 block h-12 rounded-md border-2 border-ink bg-board px-3 aria-invalid:border-stop';
/** A chair stand counted on paper, for the day it was done. */
export function PaperFormScreen({ today, personId, seatHeightCm, save }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const { register, handleSubmit, formState, setError, control } = useForm<PaperForm>({
    defaultValues: {
      testedOn: today,
      handsUsed: false,
      cleanBeforeHands: null,
      ...(seatHeightCm === null ? {} : { seatHeightCm }),
    },
    resolver: yupResolver(paperForm(today) as never, { strict: true, abortEarly: false }),
  });
  const { errors } = formState;
  const handsUsed = useWatch({ control, name: 'handsUsed' });
  const [key] = useState(newClientKey);
  const submit = useOneAtATime(async () => {
    let left = false;
    await handleSubmit(async (values) => {
      setFault(null);
      const answer = await save(values, key).catch(() => null);
      left = answer?.kind === 'created' || answer?.kind === 'known';
      if (left) router.push(`/people/${personId}/scores`);
      else if (answer === null) setFault('The server did not answer. What you wrote is still here; save again.');
      else
        for (const { path, message } of answer.errors ?? [])
          setError(path.slice(1) as FieldPath<PaperForm>, { message });
    })();
    return !left;
  });
  const text = (
    name: 'testedOn' | 'stands' | 'seatHeightCm' | 'cleanBeforeHands',
    label: string,
    width: string,
    type = 'text',
  ) => (
    <div className="min-h-[104px]">
      <label htmlFor={name} className="font-semibold">
        {label}
      </label>
      <input
        id={name}
        type={type}
        inputMode={type === 'text' ? 'decimal' : undefined}
        autoComplete="off"
        aria-invalid={errors[name] !== undefined}
        aria-describedby={`${name}-fault`}
        className={`${field} ${width}`}
        {...register(
          name,
          name === 'testedOn'
            ? {}
            : { setValueAs: (v: unknown) => typedNumber(v, name === 'cleanBeforeHands' ? null : undefined) },
        )}
      />
      <p id={`${name}-fault`} className="text-sm font-semibold text-stop">
        {errors[name]?.message}
      </p>
    </div>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
      noValidate
      className="max-w-3xl pt-4"
    >
      <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">30-second chair stand, from paper</h2>
      <div className="mt-3 flex flex-wrap gap-x-6">
        {text('testedOn', 'Day it was done', 'w-44', 'date')}
        {text('stands', 'Stands counted', 'w-24')}
        {text('seatHeightCm', 'Seat, cm', 'w-24')}
      </div>
      <label className="flex min-h-11 items-center gap-2.5">
        <input type="checkbox" className="size-6 accent-ink" {...register('handsUsed')} /> hands were used
      </label>
      {handsUsed && <div className="mt-2">{text('cleanBeforeHands', 'Clean stands before the hands', 'w-24')}</div>}
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Button type="submit" className="min-w-56">
          Save the result
        </Button>
        <ButtonLink look="plain" href={`/people/${personId}`}>
          Leave without saving
        </ButtonLink>
        <p role="alert" className="font-semibold text-stop">
          {fault}
        </p>
      </div>
    </form>
  );
}
