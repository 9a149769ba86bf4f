'use client';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { Search } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { RegisterLine } from '../../core/view/registerLine';
import { Key } from '../touch/button';
import { states, stateOfLine } from '../states';
import { tableWords } from '../words';
import { useFound } from './useFound';
import { useKeys } from './keys';
import { isCommand } from './singleLetters';

/**
 * Finds a person from anywhere, slips and level codes allowed; `/` puts the cursor in. On a phone it opens under the
 * header, as wide as the screen.
 */
export function Find() {
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  const show = () => {
    setOpen(true);
    // It is drawn with the next frame where it was folded away.
    requestAnimationFrame(() => field.current?.focus());
  };
  useKeys('frame', (event) => {
    if (event.key !== '/' || !isCommand(event)) return false;
    field.current?.focus();
    if (document.activeElement !== field.current) show();
    return true;
  });
  const { lines, state } = useFound(typed, 8);
  return (
    <Combobox
      onChange={(person: RegisterLine | null) => {
        setTyped('');
        setOpen(false);
        if (!person) return;
        router.push(`/people/${person.id}`);
        // The keys belong to the page that comes.
        requestAnimationFrame(() => field.current?.blur());
      }}
    >
      <button
        type="button"
        aria-label="Find a person"
        aria-expanded={open}
        className="flex size-11 shrink-0 cursor-pointer items-center justify-center rounded-md border-2 border-ink bg-board md:hidden"
        onClick={() => (open ? setOpen(false) : show())}
      >
        <Search aria-hidden className="size-5" />
      </button>
      <div
        data-fixed
        className={`md:relative md:w-40 ${open ? 'max-md:absolute max-md:inset-x-0 max-md:top-full max-md:z-20 max-md:border-b-4 max-md:border-ink max-md:bg-floor max-md:p-3' : 'max-md:hidden'}`}
      >
        <ComboboxInput
          ref={field}
          aria-label="Find a person"
          placeholder="Name or code"
          autoComplete="off"
          className="h-11 w-full rounded-md border-2 border-ink bg-board px-3 keys:pr-10 placeholder:text-ink-soft"
          displayValue={() => typed}
          onChange={(event) => {
            setTyped(event.target.value);
          }}
        />
        <span className="pointer-events-none absolute top-2 right-2 max-md:hidden" aria-hidden>
          <Key>/</Key>
        </span>
        {state !== 'nothing-typed' && (
          <ComboboxOptions
            static
            className="right-0 z-20 mt-1 border-2 border-ink bg-board max-md:max-h-[60vh] max-md:overflow-y-auto md:absolute md:w-96"
          >
            {lines.map((person) => (
              <ComboboxOption
                key={person.id}
                value={person}
                className="flex min-h-11 cursor-pointer flex-wrap items-baseline gap-x-3 px-3 py-2 data-focus:bg-wood-pale"
              >
                <span className="font-bold">{person.name}</span>
                <span className="text-sm text-ink-soft">
                  {[
                    person.ageYears,
                    tableWords(person.normTable),
                    person.levelName ?? states[stateOfLine(person.state)].word,
                  ]
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
