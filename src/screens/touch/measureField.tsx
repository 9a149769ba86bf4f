'use client';
import { useState } from 'react';
import { lengthWords, massWords, readLength, readMass, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { useUnits } from '../frame/units';
import { Field, TextBox } from './field';

type Measure = 'height' | 'length' | 'mass';

/** What is kept, as it is shown in a box. */
function shownAs(measure: Measure, kept: number, units: UnitSystem): string {
  if (units === 'metric') return String(kept);
  if (measure === 'mass') return massWords(kept, 'lb');
  return measure === 'height' ? lengthWords(kept, 'in') : shortLengthWords(kept, 'in');
}

/** A measure as it was typed: in cm or kg, `null` where nothing is written, else the words for the check to refuse. */
export function readMeasure(measure: Measure, typed: string, units: UnitSystem): number | string | null {
  if (typed.trim() === '') return null;
  const { length, mass } = unitsOf[units];
  return (measure === 'mass' ? readMass(typed, mass) : readLength(typed, length)) ?? typed;
}

/** A measure typed in the units of the hall or in the others, kept in cm or kg. */
export function MeasureField({
  label,
  name,
  measure,
  value,
  set,
  fault,
}: {
  label: string;
  name: string;
  measure: Measure;
  value: number | null | undefined;
  set: (value: number | string | null) => void;
  fault: string | undefined;
}) {
  const units = useUnits();
  const [typed, setTyped] = useState(() => (typeof value === 'number' ? shownAs(measure, value, units) : ''));
  const { length, mass } = unitsOf[units];
  const unit = measure === 'mass' ? mass : measure === 'height' && units === 'us' ? 'ft in' : length;
  return (
    <Field label={`${label}, ${unit}`} name={name} fault={fault}>
      <TextBox
        num
        className={`mt-1 block ${units === 'metric' ? 'w-24' : 'w-32'}`}
        id={name}
        value={typed}
        inputMode={units === 'metric' ? 'decimal' : 'text'}
        aria-invalid={fault !== undefined}
        aria-describedby={`${name}-fault`}
        onChange={(event) => {
          setTyped(event.target.value);
          set(readMeasure(measure, event.target.value, units));
        }}
      />
    </Field>
  );
}
