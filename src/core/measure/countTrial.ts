import type { AttemptEvent, StopReason } from '../shapes/attempt';
import { liveEvents, movedTo } from './live';
import { phaseOf, type Phase } from './phase';

/** Rises when the same events would give another result. */
export const measureVersion = 3;

/** What a list of events says of a counted trial, at any moment of it and for ever after. */
export interface CountTrial {
  readonly kind: 'count';
  readonly state: Phase;
  /** Stands counted up to the last moment, with or without hands. */
  readonly counted: number;
  readonly handsUsed: boolean;
  /** Stands before the first use of hands; all of them where hands were not used. */
  readonly cleanBeforeHands: number;
  /** The result under the rule of the protocol; `null` while running, stopped or to be repeated. */
  readonly value: number | null;
  /** When each counted stand was finished, ms since go. A half-way stand has no time. */
  readonly repsMs: readonly number[];
  readonly firstFiveS: number | null;
  /** Stands in each ten seconds. */
  readonly perTenS: readonly number[];
  /** Mean time of a stand in the last third over the first third; `null` under six stands. */
  readonly slowing: number | null;
  readonly halfRepCounted: boolean;
  readonly stopReason: StopReason | null;
  /** The page was away for a moment and the trial went on. */
  readonly gapMs: number;
  readonly fromPaper: boolean;
  /** Said by hand to be the result of its day, whatever else was had that day. */
  readonly counts: boolean;
  /** Who took it down, where it was written on paper. */
  readonly who: string | null;
  readonly falseStarts: number;
  readonly movedTo: string | null;
}

export interface CountRule {
  readonly durationS: number;
  readonly handsMakeZero: boolean;
}

/**
 * Reads a counted trial out of its events.
 *
 * A stand counts when it was marked from 0 up to and including the last millisecond (30 000 for 30 s). `undo` takes
 * back the newest press still standing, whether it counted or came after the tone. A struck event is left out; an `add`
 * correction sets the count.
 * @param events in any order; `seq` decides
 */
export function readCountTrial(rule: CountRule, events: readonly AttemptEvent[]): CountTrial {
  const live = liveEvents(events);
  const entered = live.findLast((e) => e.kind === 'entered');
  const corrected = live.findLast((e) => e.kind === 'add');
  const stop = live.find((e) => e.kind === 'stop');
  const half = live.find((e) => e.kind === 'half-rep');
  const gaps = live.flatMap((e) => (e.kind === 'gap' ? [e.lengthMs] : []));
  const marks = marksOf(live, rule.durationS * 1000);
  const repsMs = marks.filter((m) => m.is === 'stand').map((m) => m.atMs);
  const firstHands = marks.findIndex((m) => m.is === 'hands');
  const halfRepCounted = half?.counts === true;
  const handsUsed = entered ? entered.handsUsed : firstHands >= 0;
  const seen = repsMs.length + (halfRepCounted ? 1 : 0);
  const counted = corrected?.value ?? entered?.value ?? seen;
  const cleanSeen = entered
    ? (entered.cleanBeforeHands ?? 0)
    : marks.slice(0, firstHands).filter((m) => m.is === 'stand').length;
  const state = phaseOf(live);
  return {
    kind: 'count',
    state,
    counted,
    handsUsed,
    cleanBeforeHands: handsUsed ? Math.min(cleanSeen, counted) : counted,
    value: state === 'finished' ? (handsUsed && rule.handsMakeZero ? 0 : counted) : null,
    repsMs,
    firstFiveS: repsMs[4] === undefined ? null : Math.round(repsMs[4] / 100) / 10,
    perTenS: perTen(repsMs, rule.durationS),
    slowing: slowing(repsMs),
    halfRepCounted,
    stopReason: stop?.reason ?? null,
    gapMs: gaps.reduce((sum, ms) => sum + ms, 0),
    fromPaper: entered !== undefined,
    counts: entered?.counts === true,
    who: entered?.who ?? null,
    falseStarts: live.filter((e) => e.kind === 'false-start').length,
    movedTo: movedTo(live),
  };
}

interface Mark {
  /** A press after the tone, or before go, is `late`: it counts for nothing and can be taken back. */
  readonly is: 'stand' | 'hands' | 'late';
  readonly atMs: number;
}

/** The presses that stand, in their order. */
function marksOf(live: readonly AttemptEvent[], lastMs: number): Mark[] {
  const marks: Mark[] = [];
  for (const { kind, atMs } of live) {
    if (kind === 'rep') marks.push({ is: atMs >= 0 && atMs <= lastMs ? 'stand' : 'late', atMs });
    // Hands are noticed late as often as in time, so the mark may come while the half-way question is open.
    else if (kind === 'hands') marks.push({ is: 'hands', atMs });
    else if (kind === 'undo') marks.pop();
    else if (kind === 'false-start') marks.length = 0;
  }
  return marks;
}

function perTen(repsMs: readonly number[], durationS: number): number[] {
  const tens = Array.from({ length: Math.ceil(durationS / 10) }, () => 0);
  for (const ms of repsMs) {
    const ten = Math.max(0, Math.ceil(ms / 10_000) - 1);
    tens[ten] = (tens[ten] ?? 0) + 1;
  }
  return tens;
}

/** Under six stands the thirds are too short to mean anything. */
function slowing(repsMs: readonly number[]): number | null {
  if (repsMs.length < 6) return null;
  const third = Math.floor(repsMs.length / 3);
  const first = (repsMs[third - 1] ?? NaN) / third;
  const last = ((repsMs.at(-1) ?? NaN) - (repsMs.at(-1 - third) ?? NaN)) / third;
  return Number((last / first).toFixed(3));
}
