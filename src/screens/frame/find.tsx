'use client';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { Key } from '../touch/button';
import { isCommand } from './singleLetters';

export interface Findable {
  readonly id: string;
  readonly name: string;
  readonly about: string;
}

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** People whose names hold every typed part, in any order and without accents. */
export function matching<P extends { readonly name: string }>(people: readonly P[], typed: string, most = 8): P[] {
  const parts = plain(typed)
    .split(/\s+/)
    .filter((part) => part !== '');
  return people.filter((p) => parts.every((part) => plain(p.name).includes(part))).slice(0, most);
}

/** Finds a person from anywhere; `/` puts the cursor in. */
export function Find({ people }: { people: readonly Findable[] }) {
  const [typed, setTyped] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  useEffect(() => {
    const jump = (event: KeyboardEvent) => {
      if (event.key !== '/' || !isCommand(event)) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', jump);
    return () => {
      window.removeEventListener('keydown', jump);
    };
  }, []);
  const found = typed.trim() === '' ? [] : matching(people, typed);
  return (
    <Combobox
      immediate
      onChange={(person: Findable | null) => {
        setTyped('');
        if (person) router.push(`/people/${person.id}`);
      }}
    >
      <div className="relative w-60">
        <ComboboxInput
          ref={field}
          aria-label="Find a person"
          placeholder="Find a person"
          autoComplete="off"
          className="h-11 w-full rounded-md border-2 border-ink bg-board px-3 pr-10 placeholder:text-ink-soft"
          displayValue={() => typed}
          onChange={(event) => {
            setTyped(event.target.value);
          }}
        />
        <span className="pointer-events-none absolute top-2 right-2 text-ink-soft" aria-hidden>
          <Key>/</Key>
        </span>
        {typed.trim() !== '' && (
          <ComboboxOptions static className="absolute right-0 z-20 mt-1 w-80 border-2 border-ink bg-board">
            {found.map((person) => (
              <ComboboxOption
                key={person.id}
                value={person}
                className="flex min-h-11 cursor-pointer items-baseline gap-3 px-3 py-2 data-focus:bg-wood-pale"
              >
                <span className="font-bold">{person.name}</span>
                <span className="text-sm text-ink-soft">{person.about}</span>
              </ComboboxOption>
            ))}
            {found.length === 0 && <div className="px-3 py-3">Nobody of that name is in the register.</div>}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}
