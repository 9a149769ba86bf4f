'use client';
import { useLayoutEffect, useRef } from 'react';

/** Who hears keys, from the top down. A sheet or a test that has the screen keeps them from everything under it. */
export type KeyLayer = 'always' | 'sheet' | 'screen' | 'page' | 'frame';

/** Does what the key asks for; true when it was for it. */
type Press = (event: KeyboardEvent) => boolean;

interface Listener {
  readonly layer: KeyLayer;
  readonly press: Press;
}

const listeners: Listener[] = [];

const typingIn = new Set(['INPUT', 'TEXTAREA', 'SELECT']);

/**
 * A key that writes or moves in a field belongs to the field; the keys of the top row do not write, and nothing is written
 * into a box that is ticked.
 */
function belongsToField(target: EventTarget | null, code: string): boolean {
  if (/^F\d+$/.test(code) || !(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement && ['checkbox', 'radio'].includes(target.type))
    return /^(Space|Enter|NumpadEnter|Arrow\w+)$/.test(code);
  return target.isContentEditable || typingIn.has(target.tagName);
}

/** Space and Enter on something that is pressed with them press it. */
const pressesTarget = (target: EventTarget | null, code: string): boolean =>
  ['Space', 'Enter', 'NumpadEnter'].includes(code) &&
  target instanceof HTMLElement &&
  target.closest('button, a[href], summary') !== null;

/** The layers that hear a key now: down to the highest one that keeps the rest away. */
export function hearing(present: ReadonlySet<KeyLayer>): readonly KeyLayer[] {
  const heard: KeyLayer[] = ['always'];
  for (const layer of ['sheet', 'screen'] as const) if (present.has(layer)) return [...heard, layer];
  return [...heard, 'page', 'frame'];
}

function route(event: KeyboardEvent): void {
  // Somebody has a keyboard here: from now on the keys are drawn (see `keys:` in globals.css).
  document.documentElement.dataset['keys'] = '';
  if (event.defaultPrevented || belongsToField(event.target, event.code)) return;
  // A sheet of another hand, such as a list that unfolds, is told by its role.
  const sheet = document.querySelector('[role=dialog]') !== null;
  const present = new Set([...listeners.map((l) => l.layer), ...(sheet ? (['sheet'] as const) : [])]);
  for (const layer of hearing(present))
    for (const listener of listeners.filter((l) => l.layer === layer).reverse())
      if (listener.press(event)) {
        event.preventDefault();
        return;
      }
}

function listen(listener: Listener): () => void {
  if (listeners.length === 0) window.addEventListener('keydown', route);
  listeners.push(listener);
  return () => {
    listeners.splice(listeners.indexOf(listener), 1);
    if (listeners.length === 0) window.removeEventListener('keydown', route);
  };
}

interface How {
  /** Also on a button: the key is not one that presses it, or pressing it means the same. */
  readonly overButtons?: boolean;
}

/**
 * Hears keys for as long as the screen part that asks is shown. All keys of a page go through one listener, which
 * knows what is typed into and what lies on top.
 */
export function useKeys(layer: KeyLayer, press: Press, { overButtons = false }: How = {}): void {
  const now = useRef(press);
  // Before the first paint: a key pressed as soon as the screen shows must not be lost.
  useLayoutEffect(() => {
    now.current = press;
  });
  useLayoutEffect(
    () =>
      listen({
        layer,
        press: (event) => (overButtons || !pressesTarget(event.target, event.code)) && now.current(event),
      }),
    [layer, overButtons],
  );
}
