'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { protocolById } from '../../../catalogue/protocols';
import { dayResults, type DayAttempt } from '../../../core/measure/day/dayResults';
import { dayState, type DayState } from '../../../core/measure/day/dayState';
import { liveEvents } from '../../../core/measure/live';
import { readTrial } from '../../../core/measure/readTrial';
import type { Trial } from '../../../core/measure/trial';
import { corrections, type AttemptEvent } from '../../../core/shapes/attempt';
import type { DayEvent, DayNote, DayResult } from '../../../core/shapes/day';
import type { IsoDate } from '../../../core/shapes/facts';
import { heldElsewhere, onHold } from '../../frame/holding';
import { thisRegister } from '../../frame/thisRegister';
import { forever } from '../bench/forever';
import { thisPage } from '../bench/pages';
import { askDay, rulesOf, type DayNow } from '../bench/sending';
import { keptAttempts, keptDayNotes, keptEvents, type KeptAttempt } from '../bench/store';
import { noteDay } from './noteDay';

/** So often a board asks what the others noted and measured; a hold reaches every tablet within that. */
const everyMs = 2000;
/** On a day without a plan, whether somebody has made one by now. */
const unplannedMs = 15_000;

export interface TestingDay {
  readonly state: DayState;
  readonly results: readonly DayResult[];
  /** Whether anything is planned for this day. */
  readonly on: boolean;
  /** Other boards open on it, and whether the server answers. */
  readonly others: number;
  readonly away: boolean;
  /** Who sits by now on the server. */
  readonly sitting: readonly string[];
  /** The wall clock of the last look, ms since 1970; moves on by itself. */
  readonly nowMs: number;
  readonly note: (event: DayEvent) => void;
  /** Tells what was measured on this page, before the server has it. */
  readonly measured: (attempts: readonly DayAttempt[]) => void;
}

/**
 * The testing day as this browser knows it: what came with the page, what others noted since, and what was noted here,
 * which is kept in this browser first and goes out by itself.
 */
export function useTestingDay(came: DayNow, day: IsoDate): TestingDay {
  const [theirs, setTheirs] = useState(came);
  const [mine, setMine] = useState<readonly DayNote[]>([]);
  const [measuredHere, setMeasured] = useState<readonly DayAttempt[]>([]);
  const [others, setOthers] = useState(0);
  const [away, setAway] = useState(false);
  const [nowMs, setNowMs] = useState(() => Date.now());

  const note = useCallback(
    (event: DayEvent) => {
      const { note: noted } = noteDay(day, event);
      setMine((now) => [...now, noted]);
      setNowMs(noted.wallMs);
    },
    [day],
  );
  const measured = useCallback((attempts: readonly DayAttempt[]) => {
    setMeasured((now) => [...now, ...attempts]);
    setNowMs(Date.now());
  }, []);

  const notes = useMemo(() => {
    const known = new Set(theirs.notes.map((n) => n.key));
    return [...theirs.notes, ...mine.filter((n) => !known.has(n.key))].filter((n) => n.day === day);
  }, [theirs, mine, day]);
  const state = useMemo(() => dayState(notes), [notes]);
  const results = useMemo(
    () => [
      ...(theirs.day === day ? theirs.results : []),
      ...dayResults(measuredHere, (test) => protocolById(test)?.sides ?? 'none'),
    ],
    [theirs, measuredHere, day],
  );

  const on = state.plan !== null;
  const { held } = state;
  const planned = useRef(on);
  useEffect(() => {
    planned.current = on;
  }, [on]);

  useEffect(() => {
    let live = true;
    let askedMs = -Infinity;
    // What this browser kept and the server may not have.
    void Promise.all([keptDayNotes(), keptHere(day)]).then(
      ([kept, attempts]) => {
        if (!live) return;
        setMine((now) => [...kept.filter((k) => !now.some((n) => n.key === k.key)), ...now]);
        measured(attempts);
      },
      (error: unknown) => console.error('What this browser keeps cannot be read:', error),
    );
    const end = forever(
      async () => {
        if (document.visibilityState === 'hidden') return;
        if (!planned.current && Date.now() - askedMs < unplannedMs) return;
        askedMs = Date.now();
        const said = await askDay(day, thisPage);
        if (!live) return;
        setNowMs(Date.now());
        setAway(said === null);
        if (said?.registerId !== thisRegister()) return;
        setOthers(said.boards);
        setTheirs({ day, notes: said.notes, results: said.results, sitting: said.sitting });
      },
      everyMs,
      (error) => console.error('The day was not asked for; it is asked again:', error),
    );
    return () => {
      live = false;
      end();
    };
  }, [day, measured]);

  const calledHere = useRef(false);
  useEffect(
    () =>
      onHold(() => {
        if (!on) return;
        calledHere.current = true;
        note({ kind: 'hold' });
      }, 'here'),
    [note, on],
  );
  useEffect(() => {
    if (held && !calledHere.current) heldElsewhere();
    if (!held) calledHere.current = false;
  }, [held]);
  return { state, results, on, others, away, sitting: theirs.sitting, nowMs, note, measured };
}

/** Attempts of the day that this browser still keeps. */
async function keptHere(day: IsoDate): Promise<DayAttempt[]> {
  const attempts = (await keptAttempts()).filter((a) => a.sittingDate === day);
  const all = await Promise.all(attempts.map(async (kept) => ({ kept, events: await keptEvents(kept.clientKey) })));
  return all.flatMap(({ kept, events }) => {
    const rules = rulesOf(kept);
    return rules && events.length > 0 ? [asDayAttempt(kept, events, readTrial(rules, events))] : [];
  });
}

export function asDayAttempt(kept: KeptAttempt, events: readonly AttemptEvent[], trial: Trial): DayAttempt {
  const { personId, test, side } = kept;
  const own = liveEvents(events).filter((e) => !corrections.some((c) => c === e.kind));
  return {
    ...{ personId: trial.movedTo ?? personId, test, side, trial },
    why: own.findLast((e) => e.kind === 'note')?.text ?? '',
    endedWallMs: Math.max(...own.map((e) => e.wallMs)),
  };
}
