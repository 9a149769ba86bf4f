import { fullReps, marksOf } from '../marks';
import type { Reader } from './seen';

/**
 * Repetitions from 0 up to and including the last millisecond (30 000 for 30 s), those before the first hands apart.
 * Where the test ends at a number, what was tapped after it is left out.
 */
export const readCount: Reader = ({ capture }, live) => {
  const { marks } = marksOf(live, 0);
  const rule = capture.kind === 'count' ? capture : null;
  const ends = rule?.ends ?? 'stop-sign';
  const lastMs = 1000 * (ends !== 'stop-sign' && 'time' in ends ? ends.time : (rule?.capS ?? Infinity));
  const most = ends !== 'stop-sign' && 'count' in ends ? ends.count : Infinity;
  const reps = fullReps(marks)
    .filter(({ atMs }) => atMs >= 0 && atMs <= lastMs)
    .slice(0, most);
  const firstHands = marks.findIndex((m) => m.kind === 'hands');
  const before = new Set(marks.slice(0, Math.max(0, firstHands)));
  const half = live.some((e) => e.kind === 'half-rep' && e.counts);
  const counted = reps.length + (half ? 1 : 0);
  return {
    tries: [{ state: 'done', value: counted, atMs: reps.map((r) => r.atMs) }],
    value: counted,
    handsUsed: firstHands >= 0,
    cleanBeforeHands: firstHands >= 0 ? reps.filter((r) => before.has(r)).length : counted,
    seconds: null,
  };
};
