'use client';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { laneOf, type Act } from '../../../core/measure/bench/bench';
import type { AttemptEvent, EventBy } from '../../../core/shapes/attempt';
import type { Protocol } from '../../../core/shapes/protocol';
import { theBench } from './browser';
import { runHere } from './pages';
import type { LaneShown } from './runner';
import type { KeptAttempt } from './store';

export type Press = (act: Act, by: EventBy, atMs?: number) => void;

/**
 * One attempt on the bench of this page, for as long as it is shown: as it stands, and what to do to it. What it was
 * begun with is what it came with first.
 */
export function useLane(
  kept: KeptAttempt,
  protocol: Protocol,
  earlier: readonly AttemptEvent[],
): { readonly lane: LaneShown; readonly press: Press } {
  const [came] = useState({ kept, protocol, earlier });
  const key = came.kept.clientKey;
  useEffect(() => {
    const bench = theBench();
    const said = runHere(key);
    bench.add(came.kept, came.protocol, came.earlier);
    return () => {
      said();
      bench.remove(key);
    };
  }, [came, key]);
  const [asItCame] = useState<LaneShown>(() => laneOf(key, protocol, earlier, { ...kept, goMs: null }, 0));
  const look = useCallback(() => theBench().look(key) ?? asItCame, [asItCame, key]);
  const lane = useSyncExternalStore(subscribe, look, () => asItCame);
  const press: Press = useCallback((act, by, atMs) => theBench().press(key, act, by, atMs), [key]);
  return { lane, press };
}

const subscribe = (listener: () => void): (() => void) => theBench().subscribe(listener);
