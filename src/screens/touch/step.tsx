'use client';
import { useEffect, useRef, type HTMLAttributes, type SyntheticEvent } from 'react';
import { settleMs } from '../../core/measure/bench/step';

/** Told from the first paint on: whether what is pressed now was meant for the step before. */
export function useSettled(): () => boolean {
  const shownMs = useRef(Infinity);
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      shownMs.current = performance.now();
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, []);
  return () => performance.now() - shownMs.current >= settleMs;
}

/**
 * A step of a test: in its first moment nothing on it can be pressed, as a bouncing key or a double tap was meant for
 * the step before. What must work at once (stop, undo, hold, counting) carries `data-at-once`.
 */
export function Step({ children, ...rest }: HTMLAttributes<HTMLDivElement>) {
  const settled = useSettled();
  const guard = (event: SyntheticEvent) => {
    const atOnce = event.target instanceof Element && event.target.closest('[data-at-once]') !== null;
    if (atOnce || settled()) return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div {...rest} onClickCapture={guard}>
      {children}
    </div>
  );
}
