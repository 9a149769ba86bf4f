'use client';
import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { useForm, useWatch, type FieldPath, type UseFormRegisterReturn } from 'react-hook-form';
import { limiterKinds, readinessOutcomes, walkingAids, type Limiter } from '../../core/shapes/facts';
import { cautions } from '../../catalogue/cautions/cautions';
import { limiterRows } from '../../catalogue/limiters/limiters';
import type { FieldError } from '../../schemas/parse';
import { personForm, type PersonForm } from '../../schemas/person';
import { Button, ButtonLink } from '../touch/button';
import { newClientKey } from '../test/attemptStore';
import { typedNumber } from '../touch/typed';
import { useOneAtATime } from '../touch/useOneAtATime';
import { aidWords, isPain, limiterWords, readinessWords } from '../words';

export type SavePersonAnswer =
  { kind: 'saved'; id: string } | { kind: 'rejected'; errors: readonly FieldError[] } | { kind: 'not-found' };

interface Props {
  readonly today: string;
  readonly start: PersonForm;
  /** @param key made when the form was opened, so that a form sent twice adds one person */
  readonly save: (form: unknown, key: string) => Promise<SavePersonAnswer>;
  readonly isNew: boolean;
  readonly backTo: string;
}

const tables = [
  ['female', 'women'],
  ['male', 'men'],
  [null, 'left open: both, the cautious one counts'],
] as const;

const field = 'num mt-1 block h-12 rounded-md border-2 border-ink bg-board px-3 aria-invalid:border-stop';
const legend = 'mb-2 block w-full border-b-2 border-ink pb-1 text-lg font-bold';

/** One calm page, in the order people talk: who, body, what hurts, falls, today. */
export function PersonFormScreen({ today, start, save, isNew, backTo }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [key] = useState(newClientKey);
  const form = useForm<PersonForm>({
    defaultValues: start,
    resolver: yupResolver(personForm(today) as never, { strict: true, abortEarly: false }),
  });
  const { register, formState, handleSubmit, setError, setValue, control } = form;
  const now = useWatch({ control });
  const { errors, isSubmitting } = formState;
  const limiters = (now.limiters ?? []) as Limiter[];
  const { readiness } = now;

  const submit = useOneAtATime(async () => {
    let left = false;
    await handleSubmit(async (values) => {
      setFault(null);
      const answer = await save(values, key).catch(() => null);
      left = answer?.kind === 'saved';
      if (answer === null) setFault('The server did not answer. What you wrote is still here; save again.');
      else if (answer.kind === 'saved') router.push(`/people/${answer.id}`);
      else if (answer.kind === 'not-found') setFault('This person is no longer in the register.');
      else
        for (const { path, message } of answer.errors)
          setError(path.slice(1).replace(/\//g, '.') as FieldPath<PersonForm>, { message });
    })();
    return !left;
  });

  const faultOf = (name: keyof PersonForm) => errors[name]?.message;
  const text = (name: keyof PersonForm) => ({
    ...register(name),
    id: name,
    'aria-invalid': faultOf(name) !== undefined,
    'aria-describedby': `${name}-fault`,
  });
  const numeric = (name: keyof PersonForm) => ({
    ...text(name),
    ...register(name, { setValueAs: (v: unknown) => typedNumber(v, null) }),
    inputMode: 'decimal' as const,
  });

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
      noValidate
      className="pt-5 pb-28"
    >
      <h1 className="text-2xl font-extrabold">{isNew ? 'Add a person' : `Intake: ${start.name}`}</h1>
      <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_1.25fr]">
        <div className="space-y-6">
          <fieldset>
            <legend className={legend}>Who</legend>
            <div className="flex flex-wrap gap-x-5">
              <Field label="Name" name="name" fault={faultOf('name')}>
                <input {...text('name')} autoComplete="off" className={`${field} w-72 font-sans`} />
              </Field>
              <Field label="Birth date" name="birthDate" fault={faultOf('birthDate')}>
                <input {...text('birthDate')} type="date" className={`${field} w-44`} />
              </Field>
            </div>
            <Choices label="Norm table to read from" fault={faultOf('normTable')}>
              {tables.map(([value, words]) => (
                <label key={words} className="flex min-h-11 cursor-pointer items-center gap-2.5">
                  <input
                    type="radio"
                    name="normTable"
                    className="size-6 accent-ink"
                    checked={now.normTable === value}
                    onChange={() => {
                      setValue('normTable', value);
                    }}
                  />
                  {words}
                </label>
              ))}
            </Choices>
          </fieldset>
          <fieldset>
            <legend className={legend}>Body and chair</legend>
            <div className="flex flex-wrap gap-x-5">
              <Field label="Height, cm" name="heightCm" fault={faultOf('heightCm')}>
                <input {...numeric('heightCm')} className={`${field} w-28`} />
              </Field>
              <Field label="Mass, kg" name="massKg" fault={faultOf('massKg')}>
                <input {...numeric('massKg')} className={`${field} w-28`} />
              </Field>
              <Field label="Seat of their chair, cm" name="seatHeightCm" fault={faultOf('seatHeightCm')}>
                <input {...numeric('seatHeightCm')} className={`${field} w-28`} />
              </Field>
            </div>
          </fieldset>
          <fieldset>
            <legend className={legend}>Falls and getting about</legend>
            <div className="flex flex-wrap items-start gap-x-5">
              <Field label="Falls in 12 months" name="falls12m" fault={faultOf('falls12m')}>
                <input {...numeric('falls12m')} className={`${field} w-20`} />
              </Field>
              <Field label="Walking aid" name="walkingAid" fault={faultOf('walkingAid')}>
                <select {...text('walkingAid')} className={`${field} w-32 font-sans`}>
                  {walkingAids.map((aid) => (
                    <option key={aid} value={aid}>
                      {aidWords[aid]}
                    </option>
                  ))}
                </select>
              </Field>
              <Field label="Classes so far" name="classesSoFar" fault={faultOf('classesSoFar')}>
                <input {...numeric('classesSoFar')} className={`${field} w-20`} />
              </Field>
            </div>
            <div className="flex flex-wrap gap-x-6">
              <Choice type="checkbox" register={register('injuredInFall')} checked={now.injuredInFall === true}>
                hurt in a fall
              </Choice>
              <Choice type="checkbox" register={register('aidIndoors')} checked={now.aidIndoors === true}>
                uses the aid indoors
              </Choice>
              <Choice type="checkbox" register={register('sitsUnsupported')} checked={now.sitsUnsupported === true}>
                sits without a back or arms
              </Choice>
              <Choice type="checkbox" register={register('heelDownAtTarget')} checked={now.heelDownAtTarget === true}>
                heels seen down in a squat
              </Choice>
            </div>
          </fieldset>
        </div>
        <div className="space-y-6">
          <fieldset>
            <legend className={legend}>What to watch for</legend>
            <ul className="grid gap-x-6 sm:grid-cols-2">
              {limiterKinds.map((kind) => (
                <LimiterLine
                  key={kind}
                  kind={kind}
                  limiter={limiters.find((l) => l.kind === kind)}
                  change={(next) => {
                    setValue('limiters', [
                      ...limiters.filter((l) => l.kind !== kind),
                      ...(next ? [next] : []),
                    ] as PersonForm['limiters']);
                  }}
                />
              ))}
            </ul>
          </fieldset>
          <fieldset>
            <legend className={legend}>May they be tested?</legend>
            <details className="mb-2">
              <summary className="min-h-11 cursor-pointer py-2 font-semibold text-squat underline underline-offset-4">
                What speaks for “not today” or “ask first”
              </summary>
              <ul className="list-disc pl-5 text-sm">
                {[...cautions.notToday, ...cautions.askFirst].map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </details>
            <Choices label="" fault={faultOf('readiness')}>
              {readinessOutcomes.map((outcome) => (
                <Choice
                  key={outcome}
                  type="radio"
                  value={outcome}
                  register={register('readiness')}
                  checked={readiness === outcome}
                >
                  {readinessWords[outcome]}
                </Choice>
              ))}
            </Choices>
            <Field label="Why, in a few words" name="readinessWhy" fault={faultOf('readinessWhy')}>
              <input {...text('readinessWhy')} autoComplete="off" className={`${field} w-full max-w-lg font-sans`} />
            </Field>
            <p className="text-sm">{cautions.defer}</p>
          </fieldset>
        </div>
      </div>
      <div className="fixed inset-x-0 bottom-0 z-10 border-t-4 border-ink bg-board">
        <div className="mx-auto flex max-w-[1400px] flex-wrap items-center gap-4 px-7 py-3">
          <Button type="submit" disabled={isSubmitting} className="min-w-56 text-lg">
            {isNew ? 'Save this person' : 'Save the intake'}
          </Button>
          <ButtonLink look="plain" href={backTo}>
            Leave without saving
          </ButtonLink>
          <p role="alert" className="font-semibold text-stop">
            {fault ??
              (Object.keys(errors).length > 0 ? 'Nothing was saved yet: the marked fields need another look.' : '')}
          </p>
        </div>
      </div>
    </form>
  );
}

function Field({
  label,
  name,
  fault,
  children,
}: {
  label: string;
  name: string;
  fault: string | undefined;
  children: ReactNode;
}) {
  return (
    <div className="min-h-[98px]">
      <label htmlFor={name} className="font-semibold">
        {label}
      </label>
      {children}
      <p id={`${name}-fault`} className="max-w-72 text-sm font-semibold text-stop">
        {fault}
      </p>
    </div>
  );
}

function Choices({ label, fault, children }: { label: string; fault: string | undefined; children: ReactNode }) {
  return (
    <div role="group" aria-label={label || 'May they be tested?'}>
      {label && <p className="font-semibold">{label}</p>}
      <div className="flex flex-wrap gap-x-6">{children}</div>
      <p className="text-sm font-semibold text-stop">{fault}</p>
    </div>
  );
}

function Choice({
  type,
  value,
  register,
  checked,
  children,
}: {
  type: 'radio' | 'checkbox';
  value?: string;
  register: UseFormRegisterReturn;
  checked: boolean;
  children: ReactNode;
}) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2.5">
      <input type={type} value={value} {...register} defaultChecked={checked} className="size-6 accent-ink" />
      {children}
    </label>
  );
}

interface LimiterProps {
  readonly kind: Limiter['kind'];
  readonly limiter: Limiter | undefined;
  readonly change: (next: Limiter | null) => void;
}

const needsRelease = new Set(limiterRows.filter((row) => row.untilLifted).map((row) => row.kind));

/** A limiter, what is known of it, and at once what it closes and changes. */
function LimiterLine({ kind, limiter, change }: LimiterProps) {
  const rows = limiter
    ? limiterRows.filter(
        (row) =>
          row.kind === kind &&
          !(row.untilLifted && limiter.limitsLifted) &&
          (limiter.pain ?? 10) >= (row.painAtLeast ?? 0),
      )
    : [];
  return (
    <li className="border-b border-rule">
      <div className="flex flex-wrap items-center gap-x-3">
        <label className="flex min-h-11 flex-1 cursor-pointer items-center gap-2.5">
          <input
            type="checkbox"
            className="size-6 accent-ink"
            checked={limiter !== undefined}
            onChange={(event) => {
              change(event.target.checked ? { kind, ...(isPain(kind) ? { pain: 3 } : {}) } : null);
            }}
          />
          {limiterWords[kind]}
        </label>
        {limiter && isPain(kind) && (
          <select
            aria-label={`${limiterWords[kind]}: how much, 0 to 10`}
            className="num h-11 rounded-md border-2 border-ink bg-board px-2"
            value={limiter.pain ?? 0}
            onChange={(event) => {
              change({ ...limiter, pain: Number(event.target.value) });
            }}
          >
            {Array.from({ length: 11 }, (_, n) => (
              <option key={n} value={n}>
                {n} of 10
              </option>
            ))}
          </select>
        )}
        {limiter && needsRelease.has(kind) && (
          <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={limiter.limitsLifted === true}
              onChange={(event) => {
                change({ ...limiter, limitsLifted: event.target.checked });
              }}
            />
            released in writing
          </label>
        )}
      </div>
      {rows.map((row) => (
        <p key={row.title} className="pb-1 pl-9 text-sm text-ink-soft">
          {row.says}
        </p>
      ))}
    </li>
  );
}
