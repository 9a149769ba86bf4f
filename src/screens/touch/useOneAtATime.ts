'use client';
import { useCallback, useRef } from 'react';

/**
 * Runs a deed once at a time: a shaky finger taps twice within a tenth of a second, sooner than a button can be drawn
 * as switched off. The next run waits until the deed says it may be done again.
 * @param deed answers true when it may be run again, false when the page is being left
 */
export function useOneAtATime<A extends readonly unknown[]>(
  deed: (...args: A) => Promise<boolean>,
): (...args: A) => void {
  const running = useRef(false);
  return useCallback(
    (...args: A) => {
      if (running.current) return;
      running.current = true;
      void deed(...args).then((mayAgain) => {
        running.current = !mayAgain;
      });
    },
    [deed],
  );
}
