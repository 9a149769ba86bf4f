'use client';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { laneOf, type Act } from '../../../core/measure/bench/bench';
import type { AttemptEvent, EventBy } from '../../../core/shapes/attempt';
import type { Protocol } from '../../../core/shapes/protocol';
import { theBench } from './browser';
import { runHere } from './pages';
import type { LaneShown } from './runner';
import type { KeptAttempt } from './store';

/** One attempt on this page: what the browser keeps of it, and the events it came with. */
export interface Run {
  readonly kept: KeptAttempt;
  readonly events: readonly AttemptEvent[];
}

export type Press = (act: Act, by: EventBy, atMs?: number) => void;

/** An attempt as it stands, and what to do to it. */
export interface RunNow extends Run {
  readonly lane: LaneShown;
  readonly press: Press;
}

/**
 * Attempts on the bench of this page, for as long as they are shown. What they were begun with is what they came with
 * first.
 * @param protocol under the rules of the attempts
 */
export function useLanes(runs: readonly Run[], protocol: Protocol): readonly RunNow[] {
  const [came] = useState({ runs, protocol });
  useEffect(() => {
    const bench = theBench();
    const ends = came.runs.map(({ kept, events }) => {
      const said = runHere(kept.clientKey);
      bench.add(kept, came.protocol, events);
      return () => {
        said();
        bench.remove(kept.clientKey);
      };
    });
    return () => {
      for (const end of ends) end();
    };
  }, [came]);
  const [asTheyCame] = useState<readonly RunNow[]>(() =>
    came.runs.map((run) => ({
      ...run,
      lane: laneOf(run.kept.clientKey, protocol, run.events, { ...run.kept, goMs: null, stopAsked: null }, 0),
      press: (act, by, atMs) => theBench().press(run.kept.clientKey, act, by, atMs),
    })),
  );
  // The same list, and the same lane in it, until something of them changes.
  const last = useRef(asTheyCame);
  const look = useCallback(() => {
    const now = last.current.map((run) => {
      const lane = theBench().look(run.kept.clientKey) ?? run.lane;
      return lane === run.lane ? run : { ...run, lane };
    });
    if (now.some((run, i) => run !== last.current[i])) last.current = now;
    return last.current;
  }, []);
  return useSyncExternalStore(subscribe, look, () => asTheyCame);
}

const subscribe = (listener: () => void): (() => void) => theBench().subscribe(listener);
