'use client';
import { useCallback, useRef } from 'react';
import { moveTo, useFrames } from './frames';

interface Props {
  readonly goMs: number | null;
  /** `null` where no clock ends the test. */
  readonly durationS: number | null;
}

/** Seconds left, or until go. */
export function TimeLeft({ goMs, durationS }: Props) {
  const text = useRef<HTMLSpanElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        if (!text.current || goMs === null) return;
        const elapsed = (now - goMs) / 1000;
        const words =
          elapsed < 0
            ? `starts in ${Math.ceil(-elapsed)}`
            : durationS === null
              ? `${elapsed.toFixed(1)} s`
              : `${Math.max(0, durationS - elapsed).toFixed(1)} s left`;
        if (text.current.textContent !== words) text.current.textContent = words;
      },
      [durationS, goMs],
    ),
  );
  return (
    <span
      ref={text}
      role="timer"
      className="num ml-auto text-3xl font-bold whitespace-nowrap max-md:text-2xl"
      data-testid="time-left"
    />
  );
}

/** What is left of the time, as a level that drains behind the plate. */
export function Level({ goMs, durationS }: Props) {
  const level = useRef<HTMLDivElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        if (!level.current || goMs === null || durationS === null) return;
        const gone = Math.min(1, Math.max(0, (now - goMs) / (durationS * 1000)));
        moveTo(level.current, 0, gone * level.current.clientHeight);
      },
      [durationS, goMs],
    ),
  );
  return (
    <div className="absolute inset-0 overflow-hidden" aria-hidden>
      <div ref={level} className="absolute inset-0 border-t-2 border-ink bg-wood-pale will-change-transform" />
    </div>
  );
}
