import { roundTo } from '../../math/round';
import { fullReps, marksOf, triesIn } from '../marks';
import { bestOf } from '../tries';
import type { Try } from '../trial';
import type { Reader } from './seen';

/** Seconds from the start of each try to its end: the last of so many repetitions, or the line. Past the cap there is none. */
export const readTimed: Reader = (protocol, live) => {
  const { capS, reps: asked } =
    protocol.capture.kind === 'timed' ? protocol.capture : { capS: Infinity, reps: undefined };
  let handsUsed = false;
  const tries = Array.from({ length: triesIn(live) }, (_, nth): Try => {
    const { startMs, marks } = marksOf(live, nth);
    handsUsed ||= marks.some((m) => m.kind === 'hands');
    const reps = startMs === null ? [] : fullReps(marks).filter((r) => r.atMs >= startMs);
    const last = asked === undefined ? marks.findLast((m) => m.kind === 'finish') : reps[asked - 1];
    const atMs = reps.slice(0, asked).map((r) => r.atMs);
    if (startMs === null || last === undefined || last.atMs < startMs) return { state: 'running', value: null, atMs };
    const tookS = (last.atMs - startMs) / 1000;
    return tookS > capS
      ? { state: 'not-counted', value: null, atMs }
      : { state: 'done', value: roundTo(tookS, protocol.readTo ?? 0.01), atMs };
  });
  return { tries, value: bestOf(protocol, tries), handsUsed, cleanBeforeHands: null, seconds: null };
};
