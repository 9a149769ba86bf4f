'use client';
import { useEffect } from 'react';
import type { ClockEvent, Timeline } from '../../core/shapes/class';
import { elapsedS, isHeld } from '../../core/train/timeline';
import { tonesIn, type ToneAt, type ToneKind } from '../../core/train/tones';
import { Tones } from '../test/bench/tones';

const hertz: Readonly<Record<ToneAt['kind'], readonly [hertz: number, lengthMs: number]>> = {
  ...{
    work: [880, 400],
    rest: [440, 500],
    last: [550, 120],
    half: [660, 250],
    up: [700, 90],
    down: [500, 90],
    breath: [220, 700],
  },
};
/** Planned so far ahead, and again each second; a page that is hidden is woken rarely. */
const [aheadS, hiddenAheadS, againMs] = [10, 90, 1000] as const;

/** Sounds the class on the clock of the sound card, ahead of time; a hold or a jump silences all that was planned. */
export function useTones(timeline: Timeline, events: readonly ClockEvent[], wanted: ReadonlySet<ToneKind>): void {
  useEffect(() => {
    if (wanted.size === 0 || events.length === 0 || isHeld(events)) return undefined;
    const tones = new Tones();
    let plannedTo: number | null = null;
    const plan = () => {
      const at = elapsedS(events, Date.now());
      if (at === null) return;
      const from = plannedTo ?? at;
      const to = at + (document.visibilityState === 'hidden' ? hiddenAheadS : aheadS);
      if (to <= from) return;
      for (const { atS, kind } of tonesIn(timeline, from, to, wanted)) {
        const [pitch, lengthMs] = hertz[kind];
        tones.plan(performance.now() + (atS - at) * 1000, lengthMs, pitch);
      }
      plannedTo = to;
    };
    plan();
    const again = setInterval(plan, againMs);
    document.addEventListener('visibilitychange', plan);
    return () => {
      clearInterval(again);
      document.removeEventListener('visibilitychange', plan);
      tones.silence();
    };
  }, [timeline, events, wanted]);
}
