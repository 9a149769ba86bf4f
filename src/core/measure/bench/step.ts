import { assertNever } from '../../math/never';
import { roundTo } from '../../math/round';
import { asksHalf, clockMs, countsFor, hasCountdown, isOver, longestGapMs } from '../phase';
import { liveEvents } from '../live';
import { fullReps, isTapped, marksOf } from '../marks';
import { ranOut } from '../now';
import type { AttemptEvent, EventBy, EventKind, Fresh } from '../../shapes/attempt';
import {
  readLane,
  type Act,
  type Bench,
  type Effect,
  type Input,
  type Lane,
  type Stepped,
  type Unplaced,
} from './bench';

/** From the first tone to go. */
export const countdownMs = 3000;
/** A step takes no answer so soon after it appears: the press was meant for what stood there before. */
export const settleMs = 700;
/** The wall clock this far ahead of the page’s own: the machine slept. */
const sleptMs = 500;
/** A dead battery loses no more than what came after the last write that waited for the disk. */
const safelyEveryMs = 2000;
const resendEveryMs = 2000;

/** Events few enough, and weighty enough, to wait for the disk. */
const weighty = (kind: EventKind): boolean => kind !== 'rep' && kind !== 'undo';

/**
 * One step of everything that is measured on a page: pure, so that clock, store and page can be played.
 * @returns the bench as it is now, and what is to be done; of one lane in this order
 */
export function step(bench: Bench, input: Input): Stepped {
  switch (input.kind) {
    case 'tick': {
      const ticked = each(bench, (lane) => tick(lane, input, bench.wasHidden));
      return { ...ticked, bench: { ...ticked.bench, wasHidden: bench.hidden } };
    }
    case 'hide': {
      const left = each(bench, leave);
      return { ...left, bench: { ...left.bench, hidden: true, wasHidden: true } };
    }
    case 'show':
      return { bench: { ...bench, hidden: false }, effects: [] };
    default:
      return each(bench, (lane) => (lane.key === input.lane ? toLane(lane, input) : nothing(lane)));
  }
}

interface Done {
  readonly lane: Lane;
  readonly effects: readonly Effect[];
}

const nothing = (lane: Lane): Done => ({ lane, effects: [] });

function each(bench: Bench, deed: (lane: Lane) => Done): Stepped {
  const all = bench.lanes.map(deed);
  return { bench: { ...bench, lanes: all.map((d) => d.lane) }, effects: all.flatMap((d) => d.effects) };
}

/** One deed after the other on a lane. */
function then(done: Done, deed: (lane: Lane) => Done): Done {
  const next = deed(done.lane);
  return { lane: next.lane, effects: [...done.effects, ...next.effects] };
}

type Moment = Pick<Input, 'tMs' | 'wallMs'>;
type LaneInput = Exclude<Input, { readonly kind: 'tick' | 'hide' | 'show' }>;

function toLane(lane: Lane, input: LaneInput): Done {
  switch (input.kind) {
    case 'press':
      return lane.lost ? nothing(lane) : pressed(lane, input.act, input.by, input);
    case 'kept':
      return take({ ...lane, pending: lane.pending.slice(1) }, input.event);
    case 'failed':
      return fail(lane, input.event);
    case 'wake':
      return lane.trial.state === 'running' && !lane.stopAsked ? noticeGap(lane, input) : nothing(lane);
    case 'answer': {
      const keeping =
        lane.keeping === 'kept' ? 'kept' : input.taken && input.events === lane.events.length ? 'sent' : 'held';
      return nothing({ ...lane, keeping });
    }
    case 'claim':
      return input.mine ? nothing(lane) : { lane: { ...lane, lost: true }, effects: [silence(lane)] };
    default:
      return assertNever(input);
  }
}

/**
 * What a press means hangs on those before it, also where the browser does not have them yet: of two readings that come
 * faster than the disk the second is of the next try. What is shown waits for the browser all the same.
 */
function pressed(lane: Lane, act: Act, by: EventBy, at: Moment): Done {
  if (lane.pending.length === 0) return press(lane, act, by, at);
  const first = Math.max(-1, ...lane.events.map((e) => e.seq)) + 1;
  const ahead = [...lane.events, ...lane.pending.map((e, i): AttemptEvent => ({ ...e, seq: first + i }))];
  const { now } = readLane(lane.protocol, ahead);
  const done = press({ ...lane, now }, act, by, at);
  return { ...done, lane: { ...done.lane, now: lane.now } };
}

function press(lane: Lane, act: Act, by: EventBy, at: Moment): Done {
  if (lane.stopAsked && countsOn(act)) return nothing(lane);
  const said = (fresh: Fresh, tMs = at.tMs) => mark(lane, fresh, by, { ...at, tMs });
  switch (act.do) {
    case 'tap':
      return by === 'key' && mayAnswer(lane, at.tMs) ? said({ kind: 'half-rep', counts: true }) : tap(lane, by, at);
    case 'undo':
      return by === 'key' && mayAnswer(lane, at.tMs)
        ? said({ kind: 'half-rep', counts: false })
        : said(takenBack(lane, at.tMs));
    case 'not-full': {
      const last = fullReps(marksOf(liveEvents(lane.events), lane.now.nth).marks).at(-1);
      return last ? said({ kind: 'not-full', ofSeq: last.seq, ...inTry(lane) }) : nothing(lane);
    }
    case 'heard':
      return heard(lane, act, at);
    case 'half':
      return mayAnswer(lane, at.tMs) ? said({ kind: 'half-rep', counts: act.counts }) : nothing(lane);
    case 'begin':
      return begin(lane, by, at);
    case 'again':
      return then(said({ kind: 'false-start', ...inTry(lane) }), (now) => begin(now, by, at));
    case 'reopen':
      return reopen(lane, by, at);
    case 'end':
      return said({ kind: 'end' });
    case 'ask-stop': {
      if (lane.stopAsked || isOver(lane.trial.state)) return nothing(lane);
      const asked: Lane = { ...lane, stopAsked: { atMs: at.tMs, wallMs: at.wallMs } };
      return { lane: asked, effects: headOf(asked) };
    }
    case 'go-on': {
      const going: Lane = { ...lane, stopAsked: null };
      if (!lane.stopAsked) return nothing(lane);
      // A page that was made anew meanwhile was away; one that only waited for the answer was not.
      const away = sleptBy(lane, at) && lane.trial.state === 'running';
      return then({ lane: going, effects: headOf(going) }, (l) => (away ? noticeGap(l, at) : nothing(l)));
    }
    case 'stop': {
      const { stopAsked } = lane;
      const when = { ...at, tMs: stopAsked?.atMs ?? at.tMs };
      return mark({ ...lane, stopAsked: null }, { kind: 'stop', reason: act.reason }, by, when);
    }
    case 'mark': {
      const noted = said(ofItsTry(lane, act.mark));
      // Whoever touched the hold or was caught stands no more.
      const stands = lane.protocol.capture.kind === 'hold' || lane.protocol.capture.kind === 'staged';
      const down = stands && (act.mark.kind === 'touch' || act.mark.kind === 'caught') && lane.now.sinceMs !== null;
      return down ? then(noted, (now) => tap(now, by, at)) : noted;
    }
    default:
      return assertNever(act);
  }
}

/** What would count or end something while it is asked why it was stopped. */
const countsOn = ({ do: deed }: Act): boolean =>
  deed === 'tap' || deed === 'heard' || deed === 'end' || deed === 'half';

/** Kept beside the events, where the browser keeps anything. */
const headOf = (lane: Lane): Effect[] => (lane.keeping === 'kept' ? [head(lane, false)] : []);

/** What a device told counts from go to the end, however late it came; what it told before is no part of the test. */
function heard(lane: Lane, { device, boot, n }: Extract<Act, { readonly do: 'heard' }>, at: Moment): Done {
  const { goMs, now, protocol, trial } = lane;
  const last = countsFor(protocol.capture);
  if (goMs === null || last === null || isOver(trial.state)) return nothing(lane);
  const atMs = at.tMs - goMs - (now.sinceMs ?? 0);
  const known = [...lane.events, ...lane.pending].some((e) => e.boot === boot && e.n === n && e.device === device);
  const during = atMs >= 0 && atMs <= last * 1000;
  return known || !during ? nothing(lane) : mark(lane, { kind: 'rep', device, boot, n }, 'device', at);
}

/** Of which try something is; left out of the first. */
const inTry = ({ now }: Lane, nth = now.nth): { readonly try?: number } => (nth === 0 ? {} : { try: nth });

const ofItsTry = (lane: Lane, mark: Fresh): Fresh =>
  isTapped(mark.kind) && mark.try === undefined
    ? { ...mark, ...inTry(lane, isOver(lane.trial.state) ? Math.max(0, lane.now.nth - 1) : lane.now.nth) }
    : mark;

/** Two taps so soon after each other were one. */
const bounceMs = 300;

/** What the lane’s own key means now. */
function tap(lane: Lane, by: EventBy, at: Moment): Done {
  const { protocol, now, goMs } = lane;
  const { capture } = protocol;
  const said = (fresh: Fresh) => mark(lane, { ...fresh, ...inTry(lane) }, by, at);
  const sinceMs = goMs === null || now.sinceMs === null ? null : at.tMs - goMs - now.sinceMs;
  const open = sinceMs !== null && sinceMs >= bounceMs;
  switch (capture.kind) {
    case 'count':
      // Counted without a clock it begins when they are ready, with the first press.
      return sinceMs === null && !hasCountdown(capture) ? begin(lane, by, at) : said({ kind: 'rep' });
    case 'hold':
      if (sinceMs === null) return now.full ? nothing(lane) : begin(lane, by, at);
      return open ? said({ kind: 'let-go' }) : nothing(lane);
    case 'timed':
      if (sinceMs === null) return capture.unhurried && !now.full ? begin(lane, by, at) : nothing(lane);
      if (capture.reps !== undefined) return sinceMs > 0 ? said({ kind: 'rep' }) : nothing(lane);
      return open ? said({ kind: 'finish' }) : nothing(lane);
    case 'staged': {
      const stage = capture.stages[now.nth];
      if (!stage || now.full) return nothing(lane);
      if (stage.holdS === undefined)
        return stage.afterS !== undefined && sinceMs === null ? begin(lane, by, at) : nothing(lane);
      if (sinceMs === null) return begin(lane, by, at);
      const answer = roundTo(Math.max(0, sinceMs) / 1000, protocol.readTo ?? 0.1);
      return open ? said({ kind: 'stage', id: stage.id, held: false, answer }) : nothing(lane);
    }
    case 'distance':
      return nothing(lane);
    default:
      return assertNever(capture);
  }
}

/** An end pressed too soon may be taken back for so long; then that try is done anew. */
const slipMs = 5000;

/** What takes back the newest mark: its undo, or, where the clock would have run on meanwhile, that the try begins anew. */
function takenBack(lane: Lane, tMs: number): Fresh {
  const { protocol, now, events, goMs } = lane;
  const { kind } = protocol.capture;
  if (kind === 'count') return { kind: 'undo' };
  const live = liveEvents(events);
  const here = marksOf(live, now.nth);
  const nth = here.startMs !== null || here.marks.length > 0 ? now.nth : Math.max(0, now.nth - 1);
  const { startMs, marks } = marksOf(live, nth);
  const last = marks.at(-1);
  const slipped = last !== undefined && goMs !== null && tMs - goMs - last.atMs < slipMs;
  const undoes = kind === 'distance' || (kind !== 'staged' && last !== undefined && (startMs === null || slipped));
  return undoes ? { kind: 'undo', ...inTry(lane, nth) } : { kind: 'false-start', ...inTry(lane, nth) };
}

/** Right after the tone a press was meant for a repetition, not for the answer. */
function mayAnswer({ trial, goMs, now }: Lane, tMs: number): boolean {
  return trial.state === 'half-way-open' && goMs !== null && tMs >= goMs + (now.untilMs ?? 0) + settleMs;
}

/** Stamps an event and hands it to the browser; where that can keep nothing, the page takes it at once. */
function mark(lane: Lane, fresh: Fresh, by: EventBy, { tMs, wallMs }: Moment): Done {
  // What is measured without a countdown goes from its first mark.
  const first = lane.goMs === null && isMeasured(fresh.kind);
  const goMs = first ? tMs : lane.goMs;
  const sounds = lane.now.sinceMs !== null && !lane.toned && by !== 'page' && by !== 'device';
  const stamp = { atMs: goMs === null ? 0 : tenth(tMs - goMs), wallMs: tenth(wallMs), by };
  const event = { ...fresh, ...stamp } as Unplaced;
  const gone = first ? { goMs, goWallMs: wallMs, beatMs: tMs, beatWallMs: wallMs } : {};
  const now: Lane = { ...lane, ...gone, ...(sounds || first ? { toned: true } : {}) };
  const before: Effect[] = [...(sounds ? [plan(now)] : []), ...(first ? [head(now, false)] : [])];
  if (lane.keeping !== 'kept') return then({ lane: now, effects: before }, (l) => take(l, placed(l, event)));
  return {
    lane: { ...now, pending: [...now.pending, event] },
    effects: [...before, { lane: lane.key, kind: 'keep', event, safely: weighty(fresh.kind) }],
  };
}

const isMeasured = (kind: EventKind): boolean => kind === 'start' || (isTapped(kind) && kind !== 'caught');

const tenth = (ms: number): number => Math.round(ms * 10) / 10;

const placed = (lane: Lane, event: Unplaced): AttemptEvent => ({
  ...event,
  seq: Math.max(-1, ...lane.events.map((e) => e.seq)) + 1,
});

/** An event that is kept, or held: only now the number moves. */
function take(lane: Lane, event: AttemptEvent): Done {
  const events = [...lane.events, event];
  const now: Lane = {
    ...lane,
    events,
    ...readLane(lane.protocol, events),
    keeping: lane.keeping === 'sent' ? 'held' : lane.keeping,
  };
  const over = isOver(now.trial.state);
  const stopped = lane.now.sinceMs !== null && now.now.sinceMs === null;
  const effects: Effect[] = [
    ...(over || stopped ? [silence(now)] : []),
    ...(over && now.keeping === 'kept' ? [head(now, true)] : []),
    ...(over || event.kind === 'start' || now.keeping !== 'kept' ? [send(now, false)] : []),
  ];
  return then({ lane: now, effects }, endWhenFull);
}

/** With nothing left to be measured it ends, at the moment of the last mark. */
function endWhenFull(lane: Lane): Done {
  const { goMs, now, trial, events, pending } = lane;
  const last = events.at(-1);
  const ending = pending.some((e) => e.kind === 'end');
  if (!now.full || !last || goMs === null || trial.state !== 'running' || ending) return nothing(lane);
  return mark(lane, { kind: 'end' }, 'page', { tMs: goMs + last.atMs, wallMs: last.wallMs });
}

/** The browser can keep nothing more: what it could not keep is held here, and all of it is sent at once. */
function fail(lane: Lane, event: Unplaced | null): Done {
  const held: Lane = { ...lane, keeping: 'held', pending: event ? lane.pending.slice(1) : lane.pending };
  return event ? take(held, placed(held, event)) : nothing(held);
}

/** Starts the try that comes next: at go, or at once. */
function begin(lane: Lane, by: EventBy, { tMs, wallMs }: Moment): Done {
  const waitMs = hasCountdown(lane.protocol.capture) ? countdownMs : 0;
  const at = { tMs: tMs + waitMs, wallMs: wallMs + waitMs };
  // A start that was taken back leaves no moment behind that anything would be reckoned from.
  const { kind } = lane.protocol.capture;
  const first = lane.goMs === null || kind === 'count' || lane.trial.tries.every((t) => t.state === 'running');
  // Of a later try by the wall: between two tries the machine may have slept, and the page’s own clock with it.
  const goWallMs = first ? at.wallMs : (lane.goWallMs ?? at.wallMs);
  const go = { goMs: at.tMs - (at.wallMs - goWallMs), goWallMs };
  const now: Lane = { ...lane, ...go, beatMs: tMs, beatWallMs: wallMs, toned: true };
  // The sound card first: where it takes a moment to wake, the first of the three tones would already be late.
  return then({ lane: now, effects: [silence(now), plan(now, at.tMs), head(now, false)] }, (l) =>
    mark(l, { kind: 'start', ...inTry(l) }, by, at),
  );
}

/** Counted against the clock: its end cannot be taken back. */
const hasEnd = ({ protocol }: Lane): boolean => countsFor(protocol.capture) !== null;

function reopen(lane: Lane, by: EventBy, at: Moment): Done {
  const live = liveEvents(lane.events);
  const answer = live.findLast((e) => e.kind === 'half-rep');
  const last = answer ?? live.findLast((e) => e.kind === 'end' || (e.kind === 'entered' && e.by !== 'hand'));
  if (!last || (!answer && hasEnd(lane))) return nothing(lane);
  const reason = answer ? 'answer taken back' : 'end taken back';
  const strike = (to: Lane): Done => mark(to, { kind: 'strike', ofSeq: last.seq, reason }, by, at);
  // What ended it was the last of the tries: that one is done anew, said first so that nothing ends again meanwhile.
  const anew = !answer && last.kind === 'end' && lane.now.full;
  return anew ? then(mark(lane, takenBack(lane, Infinity), by, at), strike) : strike(lane);
}

/** A beat of the page: notices that it was away, ends what the clock ends, sends again what it holds. */
function tick(lane: Lane, at: Moment, wasHidden: boolean): Done {
  if (lane.lost) return nothing(lane);
  const running = lane.trial.state === 'running' && lane.goMs !== null;
  return then(
    then(running ? beat(lane, at, wasHidden) : nothing(lane), (l) => endOfTime(l, at)),
    (l) => resend(l, at),
  );
}

function beat(lane: Lane, at: Moment, wasHidden: boolean): Done {
  const sinceBeat = at.wallMs - lane.beatWallMs;
  // A page that was only slow still had every press timed for it; one that slept or was put away had not.
  const slept = sleptBy(lane, at);
  // While it is asked why it was stopped nothing counts; the next beat after it goes on sees how long that was.
  if (lane.stopAsked)
    return {
      lane,
      effects: lane.keeping === 'kept' ? [{ lane: lane.key, kind: 'beat', wallMs: at.wallMs, safely: false }] : [],
    };
  const noticed = sinceBeat > longestGapMs && (slept || wasHidden) ? noticeGap(lane, at) : nothing(lane);
  return then(noticed, (l) => {
    const safely = at.tMs - l.safelyMs >= safelyEveryMs;
    const now: Lane = { ...l, beatMs: at.tMs, beatWallMs: at.wallMs, safelyMs: safely ? at.tMs : l.safelyMs };
    const said: Effect[] = l.keeping === 'kept' ? [{ lane: l.key, kind: 'beat', wallMs: at.wallMs, safely }] : [];
    return { lane: now, effects: said };
  });
}

/** The wall clock ran on further than the page’s own. */
const sleptBy = (lane: Lane, at: Moment): boolean => at.wallMs - lane.beatWallMs - (at.tMs - lane.beatMs) > sleptMs;

/** The wall clock ran on while the page was away or the machine slept: a short gap is marked, a long one ends the try. */
function noticeGap(lane: Lane, at: Moment): Done {
  const { goWallMs, beatWallMs: fromWallMs, now: measured, protocol } = lane;
  const { sinceMs, untilMs } = measured;
  const now: Lane = { ...lane, beatMs: at.tMs, beatWallMs: at.wallMs };
  const inside =
    goWallMs !== null &&
    sinceMs !== null &&
    at.wallMs >= goWallMs + sinceMs &&
    (untilMs === null || fromWallMs < goWallMs + untilMs);
  if (!inside) return nothing(now);
  const ofTry = protocol.capture.kind === 'count' ? {} : { try: measured.nth };
  return mark(now, { kind: 'gap', lengthMs: Math.round(at.wallMs - fromWallMs), ...ofTry }, 'page', at);
}

function endOfTime(lane: Lane, { tMs, wallMs }: Moment): Done {
  const { goMs, goWallMs, now, trial, pending, protocol } = lane;
  if (now.untilMs === null || goMs === null || trial.state !== 'running' || lane.stopAsked) return nothing(lane);
  const last = ranOut(protocol, now);
  if (tMs < goMs + now.untilMs || pending.some((e) => e.kind === last.kind)) return nothing(lane);
  return mark(lane, last, 'page', { tMs: goMs + now.untilMs, wallMs: (goWallMs ?? wallMs) + now.untilMs });
}

function resend(lane: Lane, { tMs }: Moment): Done {
  if (lane.keeping !== 'held' || tMs - lane.sentMs < resendEveryMs) return nothing(lane);
  return { lane: { ...lane, sentMs: tMs }, effects: [send(lane, false)] };
}

const leave = (lane: Lane): Done => (lane.events.length === 0 ? nothing(lane) : { lane, effects: [send(lane, true)] });

const silence = ({ key }: Lane): Effect => ({ lane: key, kind: 'silence' });
/** The tones of the try that runs, or of one that begins at `startMs`. */
function plan({ key, protocol, goMs, now }: Lane, startMs = (goMs ?? 0) + (now.sinceMs ?? 0)): Effect {
  const { capture, calls = [], beatS } = protocol;
  const lastMs = clockMs(protocol, now.nth);
  const beats = beatS === undefined || capture.kind !== 'count' ? [] : everyMs(beatS * 1000, capture.capS * 1000);
  return { lane: key, kind: 'plan', goMs: startMs, lastMs, onTheWayMs: [...calls.map((c) => c.atS * 1000), ...beats] };
}

const everyMs = (stepMs: number, lastMs: number): number[] =>
  Array.from({ length: Math.floor(lastMs / stepMs) }, (_, i) => (i + 1) * stepMs);

const head = ({ key, goWallMs, beatWallMs, stopAsked }: Lane, closed: boolean): Effect => ({
  ...{ lane: key, kind: 'head', goWallMs, beatWallMs, stopAskedWallMs: stopAsked?.wallMs ?? null, closed },
});
const send = (lane: Lane, leaving: boolean): Effect => ({
  ...{ lane: lane.key, kind: 'send', leaving, closed: isOver(lane.trial.state) },
  events: lane.keeping === 'kept' ? null : lane.events,
});

/** Whether the tone asks something of this lane now. */
export const isAsked = ({ trial, protocol }: Lane): boolean =>
  asksHalf(protocol.capture) && trial.state === 'half-way-open';
