'use client';
import { useSyncExternalStore } from 'react';

const key = 'single-letter-keys';
const changed = 'single-letter-keys-changed';

/** Whether a single letter presses a button; somebody who speaks to the computer can switch that off. */
export const lettersAreOn = (): boolean => localStorage.getItem(key) !== 'off';

export function switchLetters(on: boolean): void {
  localStorage.setItem(key, on ? 'on' : 'off');
  window.dispatchEvent(new Event(changed));
}

export function useLettersOn(): boolean {
  return useSyncExternalStore(
    (tell) => {
      window.addEventListener(changed, tell);
      return () => {
        window.removeEventListener(changed, tell);
      };
    },
    lettersAreOn,
    () => true,
  );
}

/** A key pressed as a command: not held down, not part of another shortcut. Where it was pressed the router knows. */
export const isCommand = (event: KeyboardEvent): boolean =>
  !event.ctrlKey && !event.metaKey && !event.altKey && !event.repeat;
