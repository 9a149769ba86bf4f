import type { AttemptEvent, EventKind } from '../shapes/attempt';
import { isLong } from './phase';

/** The marks of one try that stand, with its last start. */
export interface Marks {
  /** `null` before the clock of this try was started. */
  readonly startMs: number | null;
  /** In their order; what was taken back or began too early is left out. */
  readonly marks: readonly AttemptEvent[];
}

const tapped: ReadonlySet<EventKind> = new Set<EventKind>([
  'rep',
  'hands',
  'not-full',
  'let-go',
  'finish',
  'touch',
  'rest',
  'go-on',
  'stage',
  'reading',
  'caught',
]);

/** Whether it is marked on somebody in a try, so that `undo` takes it back. */
export const isTapped = (kind: EventKind): boolean => tapped.has(kind);

/** The number of tries that were begun or marked. */
export const triesIn = (live: readonly AttemptEvent[]): number =>
  live.reduce((most, e) => (e.kind === 'start' || tapped.has(e.kind) ? Math.max(most, (e.try ?? 0) + 1) : most), 0);

/**
 * The marks of a try: `undo` takes back the newest that stands, whether it counted or came too late. What began too
 * early, did not count, or was lost while the page was away, begins anew.
 */
export function marksOf(live: readonly AttemptEvent[], nth: number): Marks {
  let startMs: number | null = null;
  const marks: AttemptEvent[] = [];
  for (const event of live) {
    if ((event.try ?? 0) !== nth) continue;
    if (event.kind === 'start') startMs = event.atMs;
    else if (event.kind === 'false-start' || (isLong(event) && event.try !== undefined)) {
      marks.length = 0;
      startMs = null;
    } else if (event.kind === 'undo') marks.pop();
    else if (event.kind === 'rep') meet(marks, event);
    else if (tapped.has(event.kind)) marks.push(event);
  }
  return { startMs, marks };
}

/** A tap so near to a repetition that a device told of is the same one, seen twice: it is kept, and not counted. */
export const sameRepMs = 600;

/** A repetition among those before it: the device’s stands, whichever of the two came first. */
function meet(marks: AttemptEvent[], rep: AttemptEvent): void {
  const byDevice = rep.by === 'device';
  const near = (m: AttemptEvent) =>
    m.kind === 'rep' && (m.by === 'device') !== byDevice && Math.abs(m.atMs - rep.atMs) <= sameRepMs;
  const place = marks.findIndex(near);
  if (place < 0) marks.push(rep);
  else if (byDevice) marks.splice(place, marks.length, rep, ...marks.slice(place).filter((m) => !near(m)));
}

/** The marks of all tries that stand. */
export const allMarks = (live: readonly AttemptEvent[]): AttemptEvent[] =>
  Array.from({ length: triesIn(live) }, (_, nth) => marksOf(live, nth).marks).flat();

/** Repetitions that were full, by what was said of them afterwards. */
export function fullReps(marks: readonly AttemptEvent[]): AttemptEvent[] {
  const short = new Set(marks.flatMap((m) => (m.kind === 'not-full' ? [m.ofSeq] : [])));
  return marks.filter((m) => m.kind === 'rep' && !short.has(m.seq));
}
