'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readCountTrial, type CountRule, type CountTrial } from '../../core/measure/countTrial';
import { longestGapMs } from '../../core/measure/phase';
import type { AttemptEvent, EventBy } from '../../core/shapes/attempt';
import {
  changeKept,
  forgetAttempt,
  keepAttempt,
  keepEvent,
  keptEvents,
  newClientKey,
  type KeptAttempt,
} from './attemptStore';
import { sendAttempt } from './sending';
import { Tones } from './tones';

/** An event without its place and stamp, which are given when it is kept. */
type Fresh = AttemptEvent extends infer E
  ? E extends AttemptEvent
    ? Omit<E, 'seq' | 'atMs' | 'wallMs' | 'by'>
    : never
  : never;

const countdownMs = 3000;
const beatEveryMs = 250;
/** The wall clock this far ahead of the page's own: the machine slept. */
const sleptMs = 500;

export interface RunningAttempt {
  /** Read from the events that the browser has kept, never from ones on their way. */
  readonly trial: CountTrial;
  /** Planned go moment on the axis of `performance.now()`, or `null` before the countdown. */
  readonly goMs: number | null;
  readonly begin: () => void;
  readonly falseStart: () => void;
  /** Takes back the answer to the half-way question, also after it was sent. */
  readonly reopen: () => void;
  readonly mark: (event: Fresh, by: EventBy, timeStamp?: number) => void;
}

/** The clock on the wall: `performance.now()` may stand still while a tablet sleeps, this one does not. */
const wallNow = (): number => Date.now();

/** True for events few enough, and weighty enough, to wait for the disk. */
const weighty = (kind: AttemptEvent['kind']): boolean => kind !== 'rep' && kind !== 'undo';

/**
 * One attempt on this page: keeps each event in the browser, times it against the planned go moment, sends the list
 * at the start, at the end and when the page hides, and takes up an attempt that a reload cut off.
 */
export function useAttempt(rule: CountRule, kept: KeptAttempt, earlier: readonly AttemptEvent[]): RunningAttempt {
  const events = useRef<AttemptEvent[]>([...earlier]);
  const nextSeq = useRef(earlier.length);
  const [trial, setTrial] = useState<CountTrial>(() => readCountTrial(rule, earlier));
  const [goMs, setGoMs] = useState<number | null>(() =>
    kept.goWallMs === null ? null : kept.goWallMs - performance.timeOrigin,
  );
  const goRef = useRef(goMs);
  const beatRef = useRef(kept.beatWallMs);
  const tones = useRef<Tones | null>(null);
  const key = kept.clientKey;

  const mark = useCallback(
    (fresh: Fresh, by: EventBy, timeStamp = performance.now()) => {
      // A page that came back from a reload may only sound after a touch.
      if (goRef.current !== null && tones.current === null && by !== 'device') {
        tones.current = new Tones();
        tones.current.planTest(goRef.current, rule.durationS);
      }
      const atMs = goRef.current === null ? 0 : Math.round((timeStamp - goRef.current) * 10) / 10;
      const stamp = {
        seq: nextSeq.current++,
        atMs,
        wallMs: Math.round((performance.timeOrigin + timeStamp) * 10) / 10,
        by,
      };
      const event = { ...fresh, ...stamp } as AttemptEvent;
      void keepEvent(key, event, weighty(event.kind)).then(async () => {
        events.current.push(event);
        const now = readCountTrial(rule, events.current);
        setTrial(now);
        const over = now.state === 'finished' || now.state === 'stopped' || now.state === 'to-repeat';
        if (over) {
          tones.current?.silence();
          await changeKept(key, { closed: true });
        }
        if (over || event.kind === 'start') await sendAttempt({ ...kept, closed: over });
      });
    },
    [key, kept, rule],
  );

  const countDown = useCallback(async () => {
    const go = performance.now() + countdownMs;
    tones.current ??= new Tones();
    tones.current.silence();
    tones.current.planTest(go, rule.durationS);
    beatRef.current = wallNow();
    goRef.current = go;
    await keepAttempt({ ...kept, goWallMs: performance.timeOrigin + go, beatWallMs: beatRef.current });
    setGoMs(go);
  }, [kept, rule]);

  const begin = useCallback(() => {
    void countDown().then(() => {
      mark({ kind: 'start' }, 'key', goRef.current ?? undefined);
    });
  }, [countDown, mark]);

  const falseStart = useCallback(() => {
    mark({ kind: 'false-start' }, 'key');
    begin();
  }, [begin, mark]);

  const reopen = useCallback(() => {
    const answer = events.current.findLast((e) => e.kind === 'half-rep');
    if (!answer) return;
    void (async () => {
      const go = goRef.current === null ? null : performance.timeOrigin + goRef.current;
      await keepAttempt({ ...kept, goWallMs: go, beatWallMs: beatRef.current, closed: false });
      for (const event of events.current) await keepEvent(key, event, true);
      mark({ kind: 'strike', ofSeq: answer.seq, reason: 'answer taken back' }, 'key');
    })();
  }, [key, kept, mark]);

  // The wall clock ran on while the page was away or the machine slept: a short gap is marked, a long one ends the trial.
  const noticeGap = useCallback(() => {
    const now = wallNow();
    const away = { from: beatRef.current, lengthMs: Math.round(now - beatRef.current) };
    const goWall = performance.timeOrigin + (goRef.current ?? Infinity);
    beatRef.current = now;
    if (now >= goWall && away.from < goWall + rule.durationS * 1000)
      mark({ kind: 'gap', lengthMs: away.lengthMs }, 'device');
  }, [mark, rule]);

  useEffect(() => {
    if (trial.state !== 'running' || goMs === null) return;
    let hidden = document.visibilityState === 'hidden';
    let monotonic = performance.now();
    const beat = () => {
      const now = wallNow();
      const sinceBeat = now - beatRef.current;
      // A page that was only slow still had every press timed for it; one that slept or was put away had not.
      const slept = sinceBeat - (performance.now() - monotonic) > sleptMs;
      if (sinceBeat > longestGapMs && (slept || hidden)) noticeGap();
      hidden = document.visibilityState === 'hidden';
      monotonic = performance.now();
      beatRef.current = now;
      void changeKept(key, { beatWallMs: now });
    };
    const hide = () => {
      hidden = true;
    };
    document.addEventListener('visibilitychange', hide);
    const timer = setInterval(beat, beatEveryMs);
    const end = setTimeout(
      () => {
        mark({ kind: 'end' }, 'device', goMs + rule.durationS * 1000);
      },
      Math.max(0, goMs + rule.durationS * 1000 - performance.now()),
    );
    return () => {
      document.removeEventListener('visibilitychange', hide);
      clearInterval(timer);
      clearTimeout(end);
    };
  }, [trial.state, goMs, key, mark, noticeGap, rule]);

  // Taken up after a reload: what happened meanwhile is said first, then the clock goes on where the wall clock is.
  const takenUp = useRef(false);
  useEffect(() => {
    if (takenUp.current || earlier.length === 0 || readCountTrial(rule, earlier).state !== 'running') return;
    takenUp.current = true;
    noticeGap();
  }, [earlier, noticeGap, rule]);

  useEffect(() => {
    const hide = () => {
      if (document.visibilityState === 'hidden' && nextSeq.current > 0) void sendAttempt(kept, true);
    };
    document.addEventListener('visibilitychange', hide);
    const sounding = tones;
    return () => {
      document.removeEventListener('visibilitychange', hide);
      sounding.current?.silence();
    };
  }, [kept]);

  return { trial, goMs, begin, falseStart, reopen, mark };
}

/** An attempt that a reload of this tab cut off, or that another tab left behind; one that never began is forgotten. */
export async function takeUp(
  attempts: readonly KeptAttempt[],
): Promise<{ kept: KeptAttempt; events: AttemptEvent[] } | null> {
  for (const kept of attempts.filter((a) => !a.closed)) {
    const elsewhere = kept.tab !== thisTab() && wallNow() - kept.beatWallMs < abandonedAfterMs;
    if (elsewhere) continue;
    const events = await keptEvents(kept.clientKey);
    if (events.some((e) => e.kind === 'start')) return { kept: { ...kept, tab: thisTab() }, events };
    await forgetAttempt(kept.clientKey);
  }
  return null;
}

const abandonedAfterMs = 10_000;

/** This tab's own name, the same after a reload. */
export function thisTab(): string {
  const known = sessionStorage.getItem('tab');
  if (known !== null) return known;
  const made = newClientKey();
  sessionStorage.setItem('tab', made);
  return made;
}
