'use client';
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useRouter } from 'next/navigation';

export interface SheetOfTest {
  readonly id: string;
  readonly name: string;
  readonly href: string;
}

interface Props {
  readonly tests: readonly SheetOfTest[];
  readonly chosen: string;
  /** Something is written on this sheet: it is saved or left before another is taken. */
  readonly written: boolean;
}

/** Which test’s sheet lies here. */
export function TestChooser({ tests, chosen, written }: Props) {
  const router = useRouter();
  return (
    <Listbox
      value={chosen}
      onChange={(id) => {
        const to = tests.find((t) => t.id === id);
        if (to && id !== chosen) router.push(to.href);
      }}
    >
      <div className="font-semibold">
        <span id="sheet-test">Test</span>
        <ListboxButton
          aria-labelledby="sheet-test sheet-test-chosen"
          // Enter opens it as the space bar does, instead of sending the sheet.
          onKeyDown={(event: React.KeyboardEvent<HTMLButtonElement>) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            event.currentTarget.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
          }}
          className="mt-1 flex h-12 w-72 items-center justify-between gap-3 rounded-md border-2 border-ink bg-board px-3 text-left"
        >
          <span id="sheet-test-chosen">{tests.find((t) => t.id === chosen)?.name}</span>
          <ChevronDown aria-hidden className="size-5" />
        </ListboxButton>
        <ListboxOptions
          anchor="bottom start"
          className="z-20 mt-1 max-h-[70vh] w-72 overflow-y-auto rounded-md border-2 border-ink bg-board"
        >
          {written && (
            <p className="border-b-2 border-ink px-3 py-2 text-sm">Save this sheet, or leave it, to take another.</p>
          )}
          {tests.map((t) => (
            <ListboxOption
              key={t.id}
              value={t.id}
              disabled={written && t.id !== chosen}
              className="flex min-h-11 cursor-pointer items-center px-3 data-disabled:cursor-not-allowed data-disabled:opacity-60 data-focus:bg-ink data-focus:text-board data-selected:font-bold"
            >
              {t.name}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </div>
    </Listbox>
  );
}
