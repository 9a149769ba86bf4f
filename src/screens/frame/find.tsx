'use client';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { RegisterLine } from '../../core/view/registerLine';
import { Key } from '../touch/button';
import { stateWords, tableWords } from '../words';
import { useFound } from './useFound';
import { useKeys } from './keys';
import { isCommand } from './singleLetters';

/** Finds a person from anywhere, slips and level codes allowed; `/` puts the cursor in. */
export function Find() {
  const [typed, setTyped] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  useKeys('frame', (event) => {
    if (event.key !== '/' || !isCommand(event)) return false;
    field.current?.focus();
    return true;
  });
  const { lines, state } = useFound(typed, 8);
  return (
    <Combobox
      immediate
      onChange={(person: RegisterLine | null) => {
        setTyped('');
        if (person) router.push(`/people/${person.id}`);
      }}
    >
      <div className="relative w-48">
        <ComboboxInput
          ref={field}
          aria-label="Find a person"
          placeholder="Name or code"
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
        {state !== 'nothing-typed' && (
          <ComboboxOptions static className="absolute right-0 z-20 mt-1 w-96 max-w-[90vw] border-2 border-ink bg-board">
            {lines.map((person) => (
              <ComboboxOption
                key={person.id}
                value={person}
                className="flex min-h-11 cursor-pointer items-baseline gap-3 px-3 py-2 data-focus:bg-wood-pale"
              >
                <span className="font-bold">{person.name}</span>
                <span className="text-sm text-ink-soft">
                  {[person.ageYears, tableWords(person.normTable), person.codes[0] ?? stateWords[person.state]]
                    .filter((w) => w !== null)
                    .join(', ')}
                </span>
              </ComboboxOption>
            ))}
            {(state === 'answered' || state === 'no-answer') && lines.length === 0 && (
              <div className="px-3 py-3">
                {state === 'no-answer'
                  ? 'The server does not answer. Try again in a moment.'
                  : 'Nobody like that is in the register.'}
              </div>
            )}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}
