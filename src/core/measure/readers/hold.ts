import { roundTo } from '../../math/round';
import { bestOf } from '../tries';
import { allMarks, marksOf, triesIn } from '../marks';
import type { Try } from '../trial';
import type { Reader } from './seen';

/** Seconds from the start of each try to the first letting go, at most the cap; whoever was let hold on held to the end. */
export const readHold: Reader = (protocol, live) => {
  const capS = protocol.capture.kind === 'hold' ? protocol.capture.capS : Infinity;
  const endMs = live.findLast((e) => e.kind === 'end')?.atMs ?? null;
  const tries = Array.from({ length: triesIn(live) }, (_, nth): Try => {
    const { startMs, marks } = marksOf(live, nth);
    const letGo = marks.find((m) => m.kind === 'let-go' && startMs !== null && m.atMs >= startMs);
    const untilMs = letGo?.atMs ?? endMs;
    if (startMs === null || untilMs === null) return { state: 'running', value: null, atMs: [] };
    const heldS = Math.min(capS, Math.max(0, untilMs - startMs) / 1000);
    return { state: 'done', value: roundTo(heldS, protocol.readTo ?? 0.1), atMs: [] };
  });
  return {
    tries,
    value: bestOf(protocol, tries),
    handsUsed: allMarks(live).some((e) => e.kind === 'hands'),
    cleanBeforeHands: null,
    seconds: null,
  };
};
