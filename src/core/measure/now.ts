import type { AttemptEvent, Fresh } from '../shapes/attempt';
import type { Protocol, Stage } from '../shapes/protocol';
import { allMarks, fullReps, marksOf, triesIn } from './marks';
import { asksHalf, clockMs } from './phase';

/** What is being measured at a moment of an attempt. Moments are ms since its go. */
export interface Now {
  /** The try, or in a staged test the stage, that is on or comes next, from 0. */
  readonly nth: number;
  /** When its clock was started; `null` while it waits, or has none. */
  readonly sinceMs: number | null;
  /** When the clock itself ends it; `null` where somebody does. */
  readonly untilMs: number | null;
  /** When the last try or stage before it ended; `null` before any did. */
  readonly endedMs: number | null;
  /** Nothing is left to be measured: it may be ended. */
  readonly full: boolean;
}

/** @param live the events that stand, see `liveEvents` */
export function nowIn(protocol: Protocol, live: readonly AttemptEvent[]): Now {
  const { capture } = protocol;
  switch (capture.kind) {
    case 'count': {
      const { startMs, marks } = marksOf(live, 0);
      const { ends } = capture;
      const most = ends !== 'stop-sign' && 'count' in ends ? ends.count : Infinity;
      return {
        nth: 0,
        ...clock(startMs, clockMs(protocol)),
        endedMs: null,
        full: fullReps(marks).length >= most && !asksHalf(capture),
      };
    }
    case 'hold':
    case 'timed': {
      const tries = Array.from({ length: triesIn(live) }, (_, nth) => marksOf(live, nth));
      const ended = tries.map(({ marks }) => marks.some((m) => endsTry(protocol, marks, m)));
      const open = ended.indexOf(false);
      const nth = open < 0 ? ended.length : open;
      const count = protocol.tries?.count ?? 1;
      const enoughMs = (protocol.tries?.enoughAt ?? Infinity) * 1000;
      const enough = tries.some(({ startMs, marks }) => {
        const end = marks.find((m) => endsTry(protocol, marks, m));
        return startMs !== null && end !== undefined && end.atMs - startMs >= enoughMs;
      });
      const startMs = tries[nth]?.startMs ?? null;
      const endedMs = lastOf(tries.flatMap(({ marks }) => marks.filter((m) => endsTry(protocol, marks, m))));
      return { nth, ...clock(startMs, clockMs(protocol)), endedMs, full: startMs === null && (nth >= count || enough) };
    }
    case 'distance': {
      const tries = Array.from({ length: triesIn(live) }, (_, nth) => marksOf(live, nth).marks);
      const caught = tries.map((marks) => marks.some((m) => m.kind === 'caught'));
      const read = tries.map((marks, i) => !caught[i] && marks.some((m) => m.kind === 'reading'));
      const open = tries.findIndex((_, i) => !caught[i] && !read[i]);
      const nth = open < 0 ? tries.length : open;
      const done = read.filter(Boolean).length;
      return {
        nth,
        sinceMs: null,
        untilMs: null,
        endedMs: lastOf(tries.flat()),
        full: done >= (protocol.tries?.count ?? 1),
      };
    }
    case 'staged': {
      const said = allMarks(live).flatMap((m) => (m.kind === 'stage' ? [m] : []));
      const open = capture.stages.findIndex(({ id }) => !said.some((m) => m.id === id));
      const nth = open < 0 ? capture.stages.length : open;
      const stage = capture.stages[nth];
      const notHeld = said.filter((m) => m.held === false);
      const full =
        stage === undefined ||
        (capture.ends === 'first-not' && notHeld.length > 0) ||
        (capture.ends === 'lowest' && failedTwice(notHeld));
      const startMs = stage ? stageStart(capture.stages, stage, nth, live) : null;
      return { nth, ...clock(startMs, clockMs(protocol, nth)), endedMs: lastOf(said), full };
    }
  }
}

const lastOf = (ends: readonly AttemptEvent[]): number | null => ends.at(-1)?.atMs ?? null;

const clock = (startMs: number | null, lastMs: number | null): Pick<Now, 'sinceMs' | 'untilMs'> => ({
  sinceMs: startMs,
  untilMs: startMs === null || lastMs === null ? null : startMs + lastMs,
});

/** Whether a mark is the end of its try: letting go, the line, or the last of so many. */
function endsTry({ capture }: Protocol, marks: readonly AttemptEvent[], mark: AttemptEvent): boolean {
  if (capture.kind === 'hold') return mark.kind === 'let-go';
  if (capture.kind !== 'timed') return false;
  return capture.reps === undefined ? mark.kind === 'finish' : fullReps(marks)[capture.reps - 1] === mark;
}

/** Stages that are taken so long after something share the start of the first of them. */
function stageStart(stages: readonly Stage[], stage: Stage, nth: number, live: readonly AttemptEvent[]): number | null {
  const first = stage.afterS === undefined ? nth : stages.findIndex((s) => s.afterS !== undefined);
  return marksOf(live, first).startMs;
}

/** Not risen from twice, at one height: it goes no lower. */
const failedTwice = (notHeld: readonly { readonly seatCm?: number }[]): boolean =>
  notHeld.some((one, i) => notHeld.slice(i + 1).some((other) => other.seatCm === one.seatCm));

/** What the clock itself marks when it has run out. */
export function ranOut({ capture }: Protocol, { nth }: Now): Fresh {
  if (capture.kind === 'hold') return { kind: 'let-go', try: nth };
  const stage = capture.kind === 'staged' ? capture.stages[nth] : undefined;
  return stage ? { kind: 'stage', id: stage.id, held: true, try: nth } : { kind: 'end' };
}
