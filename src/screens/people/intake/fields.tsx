'use client';
import { useState, type ReactNode } from 'react';
import type { UnitSystem } from '../../../core/shapes/person';
import { lengthWords, massWords, readLength, readMass, shortLengthWords } from '../../../core/math/units';
import { Field, TextBox, TickBox } from '../../touch/field';

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
      <TickBox type={type} name={name} checked={checked} onChange={(event) => set(event.target.checked)} />
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
      <TextBox
        num
        className={`mt-1 block ${metric ? 'w-24' : 'w-32'}`}
        id={name}
        value={typed}
        inputMode={metric ? 'decimal' : 'text'}
        aria-invalid={fault !== undefined}
        aria-describedby={`${name}-fault`}
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
