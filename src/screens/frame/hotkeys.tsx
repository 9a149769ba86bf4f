'use client';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { Button, Key } from '../touch/button';
import { useKeys } from './keys';
import { isCommand, lettersAreOn, switchLetters, useLettersOn } from './singleLetters';
import { TickBox } from '../touch/field';

const everywhere = [
  ['/', 'find a person'],
  ['?', 'this legend'],
  ['F9', 'hold: somebody needs help'],
] as const;
const lane = [
  ['Space', 'or a tap: counts a stand (also 1, PageDown)'],
  ['Backspace', 'takes the last one back (also Q)'],
  ['A', 'hands were used'],
  ['Esc', 'stops, and asks why (also Z)'],
  ['F8', 'went off too early: back to the countdown'],
  ['Y, N', 'half-way up at the tone: yes or no (also Space, Backspace)'],
] as const;

/**
 * Presses the button that carries the key's letter, so that a key does exactly what the screen says it does; and shows
 * all keys on `?`.
 */
export function Hotkeys() {
  const [legend, setLegend] = useState<readonly (readonly [string, string])[] | null>(null);
  const lettersOn = useLettersOn();
  useKeys('frame', (event) => {
    if (!isCommand(event)) return false;
    if (event.key === '?') {
      setLegend(keysOfThisPage());
      return true;
    }
    if (!/^[a-z]$/i.test(event.key) || !lettersAreOn()) return false;
    const target = document.querySelector<HTMLElement>(`[data-hotkey="${event.key.toUpperCase()}"]`);
    target?.click();
    return target !== null;
  });
  return (
    <Dialog open={legend !== null} onClose={() => setLegend(null)} className="relative z-30">
      <div className="fixed inset-0 flex items-center justify-center bg-ink/40 p-6">
        <DialogPanel className="max-h-full w-full max-w-2xl overflow-auto border-4 border-ink bg-board p-6">
          <DialogTitle className="text-2xl font-extrabold">Keys</DialogTitle>
          <div className="mt-4 grid gap-x-8 gap-y-5 sm:grid-cols-2">
            <div className="space-y-5">
              <Keys title="On this page" keys={legend ?? []} />
              <Keys title="Everywhere" keys={everywhere} />
            </div>
            <Keys title="In a running test" keys={lane} />
          </div>
          <label className="mt-5 flex min-h-11 items-center gap-3">
            <TickBox checked={lettersOn} onChange={(event) => switchLetters(event.target.checked)} />
            single letters press buttons
          </label>
          <Button className="mt-3" onClick={() => setLegend(null)} autoFocus>
            Close
          </Button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function keysOfThisPage(): [string, string][] {
  return [...document.querySelectorAll<HTMLElement>('[data-hotkey]')].map((element) => {
    const key = element.dataset['hotkey'] ?? '';
    return [key, element.textContent.slice(0, -key.length)];
  });
}

function Keys({ title, keys }: { title: string; keys: readonly (readonly [string, string])[] }) {
  if (keys.length === 0) return null;
  return (
    <section>
      <h3 className="border-b-2 border-ink pb-1 font-bold">{title}</h3>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1.5">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
