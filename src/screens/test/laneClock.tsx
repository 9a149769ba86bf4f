'use client';
import { useCallback, useRef } from 'react';
import type { LaneShown } from './bench/runner';
import { moveTo, useFrames } from './frames';

interface Props {
  readonly goMs: number | null;
  /** `null` where no clock ends the test. */
  readonly durationS: number | null;
}

/** Seconds left, or until go. */
export function TimeLeft({ goMs, durationS }: Props) {
  const text = useText(
    useCallback(
      (now: number) => {
        if (goMs === null) return null;
        const elapsed = (now - goMs) / 1000;
        if (elapsed < 0) return `starts in ${Math.ceil(-elapsed)}`;
        return durationS === null ? `${elapsed.toFixed(1)} s` : `${Math.max(0, durationS - elapsed).toFixed(1)} s left`;
      },
      [durationS, goMs],
    ),
  );
  return (
    <span
      ref={text}
      role="timer"
      className="num ml-auto text-3xl font-bold whitespace-nowrap max-md:text-2xl max-[22.5rem]:text-xl"
      data-testid="time-left"
    />
  );
}

/** Writes words into an element in each frame in which they are others. */
function useText(words: (nowMs: number) => string | null) {
  const text = useRef<HTMLSpanElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        const said = words(now);
        if (text.current && said !== null && text.current.textContent !== said) text.current.textContent = said;
      },
      [words],
    ),
  );
  return text;
}

/** A huge 3, 2, 1 over whatever comes after go; what it covers is hidden by `data-counting` on the plate. */
export function Countdown({ goMs, className }: { goMs: number | null; className: string }) {
  const plate = useRef<HTMLDivElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        const left = goMs === null ? 0 : Math.ceil((goMs - now) / 1000);
        if (!plate.current) return;
        plate.current.style.visibility = left > 0 ? 'visible' : 'hidden';
        plate.current.parentElement?.toggleAttribute('data-counting', left > 0);
        const words = String(left);
        if (left > 0 && plate.current.textContent !== words) plate.current.textContent = words;
      },
      [goMs],
    ),
  );
  return <div ref={plate} aria-hidden className={className} style={{ visibility: 'hidden' }} />;
}

/** The clock of a try that runs, in tenths; the test reads the press, not this. */
export function Running({ lane, className }: { lane: Pick<LaneShown, 'goMs' | 'now'>; className: string }) {
  const { goMs, now } = lane;
  const startMs = goMs === null || now.sinceMs === null ? null : goMs + now.sinceMs;
  const text = useText(
    useCallback((at: number) => (startMs === null ? null : Math.max(0, (at - startMs) / 1000).toFixed(1)), [startMs]),
  );
  return <span ref={text} role="timer" className={className} data-testid="clock" />;
}

/** How long is still to be rested; a clock, since nobody remembers when it began. */
export function Rest({ fromMs, seconds }: { fromMs: number; seconds: number }) {
  const text = useText(
    useCallback(
      (at: number) => {
        const left = Math.ceil(seconds - (at - fromMs) / 1000);
        const shown = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
        return left > 0 ? `rest ${shown}` : 'rested';
      },
      [fromMs, seconds],
    ),
  );
  return <span ref={text} className="num font-semibold" data-testid="rest" />;
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
