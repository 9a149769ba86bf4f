'use client';
import { useCallback, useEffect, useState } from 'react';
import type { ClockEvent, Span, Timeline } from '../../core/shapes/class';
import { elapsedS, isHeld, momentAt, type Moment } from '../../core/train/timeline';

export interface Now {
  /** `null` before the start. */
  readonly elapsedS: number | null;
  readonly held: boolean;
  readonly moment: Moment;
}

/** Where a class is, as far as it changes a few times a minute: who is on what does not move with the seconds. */
export interface Where {
  readonly begun: boolean;
  readonly over: boolean;
  readonly held: boolean;
  readonly span: Span | null;
  /** The next span that is work or another block. */
  readonly next: Span | null;
}

/** Four times a second is enough for a clock that shows whole seconds; a tone does not wait for it. */
const tickMs = 250;

function useTicks(tick: () => void): void {
  useEffect(() => {
    tick();
    const every = setInterval(tick, tickMs);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(every);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [tick]);
}

const nowAt = (timeline: Timeline, events: readonly ClockEvent[], wallMs: number): Now => {
  const at = elapsedS(events, wallMs);
  return { elapsedS: at, held: at !== null && isHeld(events), moment: momentAt(timeline, at ?? -1) };
};

/** What is happening now, read from the wall clock: whatever this page slept through, it is where the clock is. */
export function useMoment(timeline: Timeline, events: readonly ClockEvent[]): Now {
  const [nowMs, setNowMs] = useState(() => events.at(-1)?.wallMs ?? 0);
  useTicks(useCallback(() => setNowMs(Date.now()), []));
  // What moved the clock since the last tick is never in the future.
  return nowAt(timeline, events, Math.max(nowMs, events.at(-1)?.wallMs ?? 0));
}

const whereAt = (timeline: Timeline, events: readonly ClockEvent[], wallMs: number): Where => {
  const { elapsedS: at, held, moment } = nowAt(timeline, events, wallMs);
  return {
    begun: at !== null,
    over: at !== null && moment.classLeftS <= 0,
    held,
    span: moment.span,
    next: moment.next,
  };
};

/** Where the class is. A page that draws much asks this, and only the clock in it asks for every moment. */
export function useWhere(timeline: Timeline, events: readonly ClockEvent[]): Where {
  const [where, setWhere] = useState(() => whereAt(timeline, events, events.at(-1)?.wallMs ?? 0));
  useTicks(
    useCallback(() => {
      const next = whereAt(timeline, events, Date.now());
      setWhere((was) =>
        (['begun', 'over', 'held', 'span', 'next'] as const).every((k) => was[k] === next[k]) ? was : next,
      );
    }, [timeline, events]),
  );
  return where;
}
