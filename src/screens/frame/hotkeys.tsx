'use client';
import { useEffect } from 'react';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Presses the link or button that carries the key's letter, so that a key does exactly what the screen says it does. */
export function Hotkeys() {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) return;
      if (!/^[a-z]$/i.test(event.key)) return;
      const target = document.querySelector<HTMLElement>(`[data-hotkey="${event.key.toUpperCase()}"]`);
      if (!target) return;
      event.preventDefault();
      target.click();
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
    };
  }, []);
  return null;
}
