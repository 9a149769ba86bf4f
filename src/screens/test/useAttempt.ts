'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readCountTrial, type CountRule, type CountTrial } from '../../core/measure/countTrial';
import { isOver, longestGapMs } from '../../core/measure/phase';
import type { AttemptEvent, EventBy } from '../../core/shapes/attempt';
import {
  beat,
  changeKept,
  claim,
  forgetAttempt,
  keepAttempt,
  keepEvent,
  keepEvents,
  keptEvents,
  type KeptAttempt,
  type Unplaced,
} from './attemptStore';
import { runHere, isRun, thisPage } from './pages';
import { isDone, sendAttempt } from './sending';
import { Tones } from './tones';

/** An event without its place and stamp, which are given when it is kept. */
type Fresh = AttemptEvent extends infer E
  ? E extends AttemptEvent
    ? Omit<E, 'seq' | 'atMs' | 'wallMs' | 'by'>
    : never
  : never;

const countdownMs = 3000;
const beatEveryMs = 250;
/** A dead battery loses no more than what came after the last write that waited for the disk. */
const safelyEveryMs = 2000;
/** The wall clock this far ahead of the page's own: the machine slept. */
const sleptMs = 500;
const resendEveryMs = 2000;

/** What becomes of an attempt in a browser that can keep nothing more: held on this page, or all of it sent. */
export type Keeping = 'kept' | 'held' | 'sent';

export interface RunningAttempt {
  /** Read from the events that the browser has kept, or that this page holds where it cannot. */
  readonly trial: CountTrial;
  readonly keeping: Keeping;
  /** Another page of this browser took it over: nothing is marked here any more. */
  readonly lost: boolean;
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
 * at the start, at the end and when the page hides, and takes up an attempt that a reload cut off. Where the browser
 * can keep nothing more, the page holds the events and sends them at once.
 */
export function useAttempt(rule: CountRule, kept: KeptAttempt, earlier: readonly AttemptEvent[]): RunningAttempt {
  const events = useRef<AttemptEvent[]>([...earlier]);
  const [trial, setTrial] = useState<CountTrial>(() => readCountTrial(rule, earlier));
  const [keeping, setKeeping] = useState<Keeping>('kept');
  const [lost, setLost] = useState(false);
  const holding = useRef(false);
  const [goMs, setGoMs] = useState<number | null>(() =>
    kept.goWallMs === null ? null : kept.goWallMs - performance.timeOrigin,
  );
  const goRef = useRef(goMs);
  const beatRef = useRef(kept.beatWallMs);
  const tones = useRef<Tones | null>(null);
  const key = kept.clientKey;

  useEffect(() => runHere(key), [key]);

  const hold = useCallback((error: unknown) => {
    console.error('This browser can keep nothing more; the page holds the events itself:', error);
    holding.current = true;
    setKeeping('held');
  }, []);

  const send = useCallback(async () => {
    const closed = isOver(readCountTrial(rule, events.current).state);
    if (!holding.current) {
      await sendAttempt({ ...kept, closed }).catch(hold);
      return;
    }
    // What was kept before the browser gave up is a part of it; the page has all of it.
    const all = [...events.current];
    const sent = await sendAttempt({ ...kept, closed }, { events: all }).catch(() => 'later' as const);
    setKeeping(sent === 'sent' && all.length === events.current.length ? 'sent' : 'held');
  }, [hold, kept, rule]);

  const take = useCallback(
    async (event: AttemptEvent) => {
      events.current.push(event);
      const now = readCountTrial(rule, events.current);
      setTrial(now);
      const over = isOver(now.state);
      if (over) tones.current?.silence();
      if (over && !holding.current) await changeKept(key, { closed: true }).catch(hold);
      if (over || event.kind === 'start' || holding.current) await send();
    },
    [hold, key, rule, send],
  );

  const mark = useCallback(
    (fresh: Fresh, by: EventBy, timeStamp = performance.now()) => {
      // A page that came back from a reload may only sound after a touch.
      if (goRef.current !== null && tones.current === null && by !== 'device') {
        tones.current = new Tones();
        tones.current.planTest(goRef.current, rule.durationS);
      }
      const atMs = goRef.current === null ? 0 : Math.round((timeStamp - goRef.current) * 10) / 10;
      const wallMs = Math.round((performance.timeOrigin + timeStamp) * 10) / 10;
      const event = { ...fresh, atMs, wallMs, by } as Unplaced;
      const held = () => take({ ...event, seq: Math.max(-1, ...events.current.map((e) => e.seq)) + 1 });
      if (holding.current) {
        void held();
        return;
      }
      keepEvent(key, event, weighty(event.kind)).then(
        (placed) => void take(placed),
        (error: unknown) => {
          hold(error);
          void held();
        },
      );
    },
    [hold, key, rule, take],
  );

  const countDown = useCallback(async () => {
    // The sound card first: where it takes a moment to wake, the first of the three tones would already be late.
    tones.current ??= new Tones();
    tones.current.silence();
    const go = performance.now() + countdownMs;
    tones.current.planTest(go, rule.durationS);
    beatRef.current = wallNow();
    goRef.current = go;
    await keepAttempt({ ...kept, goWallMs: performance.timeOrigin + go, beatWallMs: beatRef.current }).catch(hold);
    setGoMs(go);
  }, [hold, kept, rule]);

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
      const goWallMs = goRef.current === null ? null : performance.timeOrigin + goRef.current;
      const open = { ...kept, goWallMs, beatWallMs: beatRef.current, closed: false };
      await keepAttempt(open)
        .then(() => keepEvents(key, events.current))
        .catch(hold);
      mark({ kind: 'strike', ofSeq: answer.seq, reason: 'answer taken back' }, 'key');
    })();
  }, [hold, key, kept, mark]);

  // Held on this page: sent again until the server has all of it.
  useEffect(() => {
    if (keeping !== 'held') return;
    const timer = setInterval(() => void send(), resendEveryMs);
    return () => {
      clearInterval(timer);
    };
  }, [keeping, send]);

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
    if (trial.state !== 'running' || goMs === null || lost) return;
    let hidden = document.visibilityState === 'hidden';
    let monotonic = performance.now();
    let safely = 0;
    const pulse = () => {
      const now = wallNow();
      const sinceBeat = now - beatRef.current;
      // A page that was only slow still had every press timed for it; one that slept or was put away had not.
      const slept = sinceBeat - (performance.now() - monotonic) > sleptMs;
      if (sinceBeat > longestGapMs && (slept || hidden)) noticeGap();
      hidden = document.visibilityState === 'hidden';
      monotonic = performance.now();
      beatRef.current = now;
      if (holding.current) return;
      const onDisk = monotonic - safely >= safelyEveryMs;
      if (onDisk) safely = monotonic;
      beat(key, thisPage, now, onDisk).then((mine) => {
        if (!mine) setLost(true);
      }, hold);
    };
    const hide = () => {
      hidden = true;
    };
    document.addEventListener('visibilitychange', hide);
    const timer = setInterval(pulse, beatEveryMs);
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
  }, [trial.state, goMs, hold, key, lost, mark, noticeGap, rule]);

  // Taken up after a reload: what happened meanwhile is said first, then the clock goes on where the wall clock is.
  const takenUp = useRef(false);
  useEffect(() => {
    if (takenUp.current || earlier.length === 0 || readCountTrial(rule, earlier).state !== 'running') return;
    takenUp.current = true;
    noticeGap();
  }, [earlier, noticeGap, rule]);

  useEffect(() => {
    const hide = () => {
      if (document.visibilityState !== 'hidden' || events.current.length === 0) return;
      void sendAttempt(kept, { leaving: true, ...(holding.current ? { events: events.current } : {}) });
    };
    document.addEventListener('visibilitychange', hide);
    const sounding = tones;
    return () => {
      document.removeEventListener('visibilitychange', hide);
      sounding.current?.silence();
    };
  }, [kept]);

  return { trial, keeping, lost, goMs, begin, falseStart, reopen, mark };
}

/** An attempt that a reload cut off, or that a page left behind; one that never began is forgotten. */
export async function takeUp(
  attempts: readonly KeptAttempt[],
): Promise<{ kept: KeptAttempt; events: AttemptEvent[] } | null> {
  for (const kept of attempts) {
    const events = await keptEvents(kept.clientKey);
    if (isDone(kept, events) || (await isRun(kept.clientKey))) continue;
    if (!events.some((e) => e.kind === 'start')) await forgetAttempt(kept.clientKey);
    else if (await claim(kept, thisPage)) return { kept: { ...kept, page: thisPage }, events };
  }
  return null;
}
