'use client';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { RegisterLine } from '../../core/view/registerLine';
import { Key } from '../touch/button';
import { stateWords, tableWords } from '../words';
import { fetchLines } from './askRegister';
import { useKeys } from './keys';
import { isCommand } from './singleLetters';

/** Finds a person from anywhere, slips and level codes allowed; `/` puts the cursor in. */
export function Find() {
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<{ for: string; lines: readonly RegisterLine[] | null }>({ for: '', lines: [] });
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  useKeys('frame', (event) => {
    if (event.key !== '/' || !isCommand(event)) return false;
    field.current?.focus();
    return true;
  });
  useEffect(() => {
    const search = typed.trim();
    if (search === '') return;
    const asking = new AbortController();
    fetchLines({ search, limit: 8 }, asking.signal).then(
      (answer) => setFound({ for: search, lines: answer?.lines ?? null }),
      () => undefined,
    );
    return () => asking.abort();
  }, [typed]);
  const asked = typed.trim();
  const lines = found.lines ?? [];
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
        {asked !== '' && (
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
            {found.for === asked && lines.length === 0 && (
              <div className="px-3 py-3">
                {found.lines === null
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
