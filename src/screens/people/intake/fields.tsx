'use client';
import type { ReactNode } from 'react';
import { TickBox } from '../../touch/field';

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
