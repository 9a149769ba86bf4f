'use client';
import { useState, type ReactNode } from 'react';
import type { UnitSystem } from '../../../core/shapes/person';
import { lengthWords, massWords, readLength, readMass, shortLengthWords } from '../../../core/math/units';

export const field = 'num mt-1 block h-12 rounded-md border-2 border-ink bg-board px-3 aria-invalid:border-stop';
const legend = 'mb-2 block w-full border-b-2 border-ink pb-1 text-lg font-bold';

export function Part({ title, about, children }: { title: string; about?: string; children: ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className={legend}>
        {title}
        {about && <span className="ml-3 text-base font-normal text-ink-soft">{about}</span>}
      </legend>
      {children}
    </fieldset>
  );
}

export function Field({
  label,
  name,
  fault,
  children,
}: {
  label: string;
  name: string;
  fault?: string | undefined;
  children: ReactNode;
}) {
  return (
    <div className="min-h-[92px] max-w-full">
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

/** A tick or a choice of several, 44 px and up. */
export function Tick({
  type = 'checkbox',
  name,
  checked,
  set,
  children,
}: {
  type?: 'checkbox' | 'radio';
  name?: string;
  checked: boolean;
  set: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2.5">
      <input
        type={type}
        name={name}
        checked={checked}
        onChange={(event) => set(event.target.checked)}
        className="size-6 shrink-0 accent-ink"
      />
      <span>{children}</span>
    </label>
  );
}

type Measure = 'height' | 'length' | 'mass';

/** A measure typed in the units of the hall or in the others, kept in cm or kg. */
export function MeasureField({
  label,
  name,
  measure,
  units,
  value,
  set,
  fault,
}: {
  label: string;
  name: string;
  measure: Measure;
  units: UnitSystem;
  value: number | null | undefined;
  set: (value: number | string | null) => void;
  fault: string | undefined;
}) {
  const metric = units === 'metric';
  const show = (kept: number | null | undefined): string => {
    if (typeof kept !== 'number') return '';
    if (metric) return String(kept);
    if (measure === 'mass') return massWords(kept, 'lb');
    return measure === 'height' ? lengthWords(kept, 'in') : shortLengthWords(kept, 'in');
  };
  const [typed, setTyped] = useState(() => show(value));
  const unit = measure === 'mass' ? (metric ? 'kg' : 'lb') : metric ? 'cm' : measure === 'height' ? 'ft in' : 'in';
  return (
    <Field label={`${label}, ${unit}`} name={name} fault={fault}>
      <input
        id={name}
        value={typed}
        inputMode={metric ? 'decimal' : 'text'}
        autoComplete="off"
        aria-invalid={fault !== undefined}
        aria-describedby={`${name}-fault`}
        className={`${field} ${metric ? 'w-24' : 'w-32'}`}
        onChange={(event) => {
          const text = event.target.value;
          setTyped(text);
          const read =
            measure === 'mass' ? readMass(text, metric ? 'kg' : 'lb') : readLength(text, metric ? 'cm' : 'in');
          // What is no measure goes on as it was typed, so that the check of the field can say so.
          set(text.trim() === '' ? null : (read ?? text));
        }}
      />
    </Field>
  );
}
