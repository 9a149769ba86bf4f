'use client';
import { useEffect, useState } from 'react';
import type { ClockEvent, Timeline } from '../../core/shapes/class';
import { elapsedS, isHeld, momentAt, type Moment } from '../../core/train/timeline';

export interface Now {
  /** `null` before the start. */
  readonly elapsedS: number | null;
  readonly held: boolean;
  readonly moment: Moment;
}

/** Four times a second is enough for a clock that shows whole seconds; a tone does not wait for it. */
const tickMs = 250;

/** What is happening now, read from the wall clock: whatever this page slept through, it is where the clock is. */
export function useMoment(timeline: Timeline, events: readonly ClockEvent[]): Now {
  const [nowMs, setNowMs] = useState(() => events.at(-1)?.wallMs ?? 0);
  useEffect(() => {
    const tick = () => setNowMs(Date.now());
    tick();
    const every = setInterval(tick, tickMs);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(every);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [events]);
  const at = elapsedS(events, nowMs);
  return { elapsedS: at, held: at !== null && isHeld(events), moment: momentAt(timeline, at ?? -1) };
}
