'use client';
import { useEffect } from 'react';

/** Calls back in every frame; what it draws is a function of the moment, never a count-down. */
export function useFrames(draw: (nowMs: number) => void): void {
  useEffect(() => {
    let frame = requestAnimationFrame(function next() {
      draw(performance.now());
      frame = requestAnimationFrame(next);
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [draw]);
}

/** Moves an element to whole pixels, and only when that is another place: a frame that shows nothing new costs nothing. */
export function moveTo(element: HTMLElement, x: number, y: number): void {
  const transform = `translate(${Math.round(x)}px, ${Math.round(y)}px)`;
  if (element.style.transform !== transform) element.style.transform = transform;
}
