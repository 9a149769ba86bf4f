'use client';
import type { ComponentProps, ReactNode } from 'react';
import { sentenceIn } from '../../core/math/units';
import { useUnits } from '../frame/units';

/** Everything that is typed into or chosen from looks as it does here, and nowhere else. */
const look = 'rounded-md border-2 border-ink bg-board aria-invalid:border-stop placeholder:text-ink-soft';
const sizes = { line: 'h-11 px-2', box: 'h-12 px-3', big: 'h-16 px-4 text-3xl' } as const;

interface Look {
  /** `line` among others in a row, `box` on its own, `big` for the one thing on a screen. */
  readonly size?: keyof typeof sizes;
  /** For figures: their width stays as they change. */
  readonly num?: boolean;
}

type Shown<T extends 'input' | 'select' | 'textarea'> = Omit<ComponentProps<T>, 'size'> & Look;

const classes = ({ size = 'box', num = false }: Look, more = ''): string =>
  `${num ? 'num ' : ''}${look} ${sizes[size]} ${more}`;

export function TextBox({ size, num, className, ...rest }: Shown<'input'>) {
  return <input autoComplete="off" {...rest} className={classes({ size, num }, className)} />;
}

export function Choice({ size, num, className, ...rest }: Shown<'select'>) {
  return <select {...rest} className={classes({ size, num }, className)} />;
}

export function TextArea({ num = false, className = '', ...rest }: Omit<Shown<'textarea'>, 'size'>) {
  return <textarea {...rest} className={`${num ? 'num ' : ''}${look} p-3 ${className}`} />;
}

/** A tick, or one of several; it stands in a label of 44 px. */
export function TickBox({ className = '', type = 'checkbox', ...rest }: ComponentProps<'input'>) {
  return <input type={type} {...rest} className={`size-6 shrink-0 accent-ink ${className}`} />;
}

/** What is asked, its box, and what is wrong with it under it: `name` ties the three together. */
export function Field({
  label,
  name,
  fault,
  className = 'min-h-[92px] max-w-full',
  children,
}: {
  label: string;
  name: string;
  fault?: string | undefined;
  className?: string;
  children: ReactNode;
}) {
  const units = useUnits();
  return (
    <div className={className}>
      <label htmlFor={name} className="font-semibold">
        {label}
      </label>
      {children}
      <p id={`${name}-fault`} className="max-w-72 text-sm font-semibold text-stop empty:hidden">
        {fault === undefined ? '' : sentenceIn(fault, units)}
      </p>
    </div>
  );
}

/** A text box in its field. */
export function TextField({
  label,
  name,
  fault,
  fieldClass = 'max-w-full',
  ...box
}: Omit<Shown<'input'>, 'name' | 'id'> & {
  readonly label: string;
  readonly name: string;
  readonly fault?: string | undefined;
  readonly fieldClass?: string;
}) {
  return (
    <Field label={label} name={name} fault={fault} className={fieldClass}>
      <TextBox
        {...box}
        id={name}
        className={`mt-1 block ${box.className ?? ''}`}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${name}-fault`}
      />
    </Field>
  );
}
