import type { ClassBlock, ClockEvent, Span, Timeline } from '../shapes/class';
import { lastsS, stretchesOf } from './doseTime';

/** Seconds to change places between two parts of a block. Common practice, no published source. */
export const changeS = 20;

/** What the parts of a block take, with the showing before and the changes between, in seconds. */
export function workS({ showS = 0, parts = [], stations }: ClassBlock): number {
  if (parts.length === 0) return 0;
  const each = parts.map(lastsS);
  const all = stations ? Math.max(...each) : each.reduce((a, b) => a + b, 0) + changeS * (parts.length - 1);
  return showS + all;
}

/**
 * A plan as a gapless line of spans, in whole and half seconds. What is left of a block after its work is the change to the
 * next; a block without parts is one stretch a cue.
 * @throws RangeError where the work of a block does not fit in its minutes
 */
export function compile(blocks: readonly ClassBlock[]): Timeline {
  const spans: Span[] = [];
  let at = 0;
  for (const [i, block] of blocks.entries()) {
    const endS = at + Math.round(block.minutes * 60);
    for (const span of spansOf(block, i)) {
      spans.push({ ...span.what, fromS: at, toS: at + span.forS });
      at += span.forS;
    }
    if (at > endS + 1e-9) throw new RangeError(`compile: ${block.title} takes ${at - endS} s more than it has`);
    if (endS - at > 1e-9) spans.push({ ...quiet(i, 'change'), fromS: at, toS: endS });
    at = endS;
  }
  return { spans, totalS: at };
}

interface Laid {
  readonly forS: number;
  readonly what: Omit<Span, 'fromS' | 'toS'>;
}

const quiet = (block: number, kind: 'ease' | 'change' | 'rest', cue: string | null = null): Laid['what'] => ({
  ...{ kind, block, part: null, round: 1, rounds: 1, side: null, reps: null, cue },
});

function spansOf(block: ClassBlock, index: number): Laid[] {
  const { parts = [], cues = [], showS = 0, stations } = block;
  if (parts.length === 0) return easeOf(block, index);
  const shown: Laid[] = showS > 0 ? [{ forS: showS, what: quiet(index, 'ease', 'Watch all three first.') }] : [];
  const asked = stations ? [longest(parts)] : [...parts.keys()];
  const work = asked.flatMap((part, i): Laid[] => {
    const mine = parts[part];
    if (!mine) return [];
    const laid = stretchesOf(mine).map(({ lastsS: forS, ...what }): Laid => {
      // Of several movements the next line goes with the next movement, of one with the next round.
      const line = parts.length > 1 ? part : what.round - 1;
      const cue = what.kind === 'work' && cues.length > 0 ? (cues[line % cues.length] ?? null) : null;
      return { forS, what: { ...what, block: index, part, cue } };
    });
    return i === 0 ? laid : [{ forS: changeS, what: quiet(index, 'change') }, ...laid];
  });
  return [...shown, ...work];
}

/** Of stations beside each other the longest gives the time. */
const longest = (parts: NonNullable<ClassBlock['parts']>): number =>
  parts.map(lastsS).reduce((best, s, i, all) => (s > (all[best] ?? 0) ? i : best), 0);

/** A block of one thing: its cues spread evenly over it, to whole seconds. */
function easeOf({ cues = [], minutes, kind }: ClassBlock, index: number): Laid[] {
  const all = Math.round(minutes * 60);
  const lines = cues.length === 0 ? [null] : cues;
  const edges = lines.map((_, i) => Math.round((all * i) / lines.length)).concat(all);
  return lines.map((cue, i) => ({
    forS: (edges[i + 1] ?? all) - (edges[i] ?? 0),
    what: quiet(index, kind === 'rest' ? 'rest' : 'ease', cue),
  }));
}

/** Where a repetition is. */
export interface RepNow {
  /** From 1. */
  readonly n: number;
  readonly of: number;
  readonly way: 'up' | 'down';
  /** As it is counted out: 1, 2, 3 of this way. */
  readonly count: number;
}

/** What is happening at a moment of a class. */
export interface Moment {
  /** `null` before the start and after the end. */
  readonly span: Span | null;
  readonly spanLeftS: number;
  readonly blockLeftS: number;
  readonly classLeftS: number;
  readonly rep: RepNow | null;
  /** The next span that is work or another block. */
  readonly next: Span | null;
}

/** What is happening so many seconds after the start. Any jump of the clock lands right, as nothing is counted down. */
export function momentAt({ spans, totalS }: Timeline, elapsedS: number): Moment {
  const at = spanAt(spans, elapsedS);
  const span = at === null ? null : (spans[at] ?? null);
  const next =
    spans
      .slice(at === null ? (elapsedS < 0 ? 0 : spans.length) : at + 1)
      .find((s) => s.kind === 'work' || s.block !== span?.block) ?? null;
  const blockEnd = span ? (spans.findLast((s) => s.block === span.block)?.toS ?? totalS) : totalS;
  return {
    span,
    spanLeftS: span ? span.toS - elapsedS : 0,
    blockLeftS: span ? blockEnd - elapsedS : 0,
    classLeftS: Math.max(0, totalS - Math.max(0, elapsedS)),
    rep: span ? repAt(span, elapsedS - span.fromS) : null,
    next,
  };
}

/** By halving: a class of an hour has hundreds of spans, and every frame asks. */
function spanAt(spans: readonly Span[], elapsedS: number): number | null {
  let [low, high] = [0, spans.length - 1];
  while (low <= high) {
    const mid = (low + high) >> 1;
    const span = spans[mid];
    if (!span) return null;
    if (elapsedS < span.fromS) high = mid - 1;
    else if (elapsedS >= span.toS) low = mid + 1;
    else return mid;
  }
  return null;
}

/** Up, then down, counted out; `null` once they are all done and the rest of the stretch is rest. */
function repAt({ reps }: Span, intoS: number): RepNow | null {
  if (!reps) return null;
  const eachS = reps.upS + reps.downS;
  const n = Math.floor(intoS / eachS);
  if (n >= reps.count) return null;
  const into = intoS - n * eachS;
  const way = into < reps.upS ? 'up' : 'down';
  return { n: n + 1, of: reps.count, way, count: Math.floor(way === 'up' ? into : into - reps.upS) + 1 };
}

/**
 * Seconds of class so far, out of what happened to its clock. It never goes back but by a jump; a hold stops it.
 * @param nowMs on the wall clock of the events
 * @returns `null` before the start
 */
export function elapsedS(events: readonly ClockEvent[], nowMs: number): number | null {
  let [ranS, since]: [number, number | null] = [0, null];
  let started = false;
  for (const event of events) {
    const ran = since === null ? 0 : Math.max(0, event.wallMs - since) / 1000;
    switch (event.kind) {
      case 'start':
      case 'go':
        if (since === null) since = event.wallMs;
        started = true;
        break;
      case 'hold':
        ranS += ran;
        since = null;
        break;
      case 'jump':
        ranS = event.toS;
        if (since !== null) since = event.wallMs;
        break;
    }
  }
  if (!started) return null;
  return ranS + (since === null ? 0 : Math.max(0, nowMs - since) / 1000);
}

/** Whether the clock of a class stands still. */
export const isHeld = (events: readonly ClockEvent[]): boolean =>
  events.findLast((e) => e.kind !== 'jump')?.kind === 'hold';
