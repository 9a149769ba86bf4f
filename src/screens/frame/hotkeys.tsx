'use client';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useEffect, useState } from 'react';
import { Button, Key } from '../touch/button';
import { useKeys } from './keys';
import { isCommand, lettersAreOn, switchLetters, useLettersOn } from './singleLetters';
import { TickBox } from '../touch/field';
import { StateWord } from '../drawing/stateMark';
import { states, type State } from '../states';

const everywhere = [
  ['/', 'find a person'],
  ['?', 'these signs and keys'],
  ['F9', 'hold: somebody needs help'],
] as const;
const intake = [
  ['F2', 'the next part of the intake (Shift: the one before)'],
  ['0 to 9, T', 'how much a sore place hurts; T is ten'],
  ['S', 'check of the day: the same as last time'],
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
 * all signs and keys on `?`, or by its button where there are no keys.
 */
export function Hotkeys() {
  const [legend, setLegend] = useState<readonly (readonly [string, string])[] | null>(null);
  const lettersOn = useLettersOn();
  useEffect(() => {
    // Drawn by the server before it can do anything: from here on the page answers.
    document.documentElement.dataset['ready'] = '';
  }, []);
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
    <>
      <button
        type="button"
        className="num size-11 shrink-0 cursor-pointer rounded-md border-2 border-ink bg-board text-lg font-bold"
        onClick={() => setLegend(keysOfThisPage())}
      >
        ?<span className="sr-only"> Signs and keys</span>
      </button>
      <Dialog open={legend !== null} onClose={() => setLegend(null)} className="relative z-30">
        <div className="fixed inset-0 flex items-center justify-center bg-ink/40 p-3 sm:p-6">
          <DialogPanel className="max-h-full w-full max-w-4xl overflow-auto border-4 border-ink bg-board p-4 sm:p-6">
            <DialogTitle className="text-2xl font-extrabold">Signs and keys</DialogTitle>
            <div className="mt-4 grid gap-x-8 gap-y-5 sm:grid-cols-2 lg:grid-cols-3">
              <section>
                <h3 className="border-b-2 border-ink pb-1 font-bold">Signs</h3>
                <ul className="mt-2 space-y-1.5">
                  {(Object.keys(states) as State[]).map((state) => (
                    <li key={state}>
                      <StateWord state={state} />
                    </li>
                  ))}
                </ul>
              </section>
              <div className="space-y-5">
                <Keys title="On this page" keys={legend ?? []} />
                <Keys title="Everywhere" keys={everywhere} />
              </div>
              <Keys title="In a running test" keys={lane} />
              <Keys title="In the intake and the check of the day" keys={intake} />
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
    </>
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
              <Key always>{key}</Key>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
