import { assertNever } from '../../math/never';
import { asksHalf, clockMs, isOver, longestGapMs } from '../phase';
import { liveEvents } from '../live';
import { readTrial } from '../readTrial';
import { countedIn } from '../trial';
import type { AttemptEvent, EventBy, EventKind } from '../../shapes/attempt';
import type { Act, Bench, Effect, Fresh, Input, Lane, Stepped, Unplaced } from './bench';

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
      return lane.lost ? nothing(lane) : press(lane, input.act, input.by, input);
    case 'kept':
      return take({ ...lane, pending: lane.pending.slice(1) }, input.event);
    case 'failed':
      return fail(lane, input.event);
    case 'wake':
      return lane.trial.state === 'running' ? noticeGap(lane, input) : nothing(lane);
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

function press(lane: Lane, act: Act, by: EventBy, at: Moment): Done {
  const said = (fresh: Fresh, tMs = at.tMs) => mark(lane, fresh, by, { ...at, tMs });
  switch (act.do) {
    case 'count':
      return by === 'key' && mayAnswer(lane, at.tMs) ? said({ kind: 'half-rep', counts: true }) : said({ kind: 'rep' });
    case 'undo':
      return by === 'key' && mayAnswer(lane, at.tMs)
        ? said({ kind: 'half-rep', counts: false })
        : said({ kind: 'undo' });
    case 'half':
      return mayAnswer(lane, at.tMs) ? said({ kind: 'half-rep', counts: act.counts }) : nothing(lane);
    case 'begin':
      return begin(lane, by, at);
    case 'again':
      return then(said({ kind: 'false-start' }), (now) => begin(now, by, at));
    case 'reopen':
      return reopen(lane, by, at);
    case 'end':
      return said({ kind: 'end' });
    case 'stop':
      return said({ kind: 'stop', reason: act.reason }, act.atMs);
    case 'mark':
      return said(act.mark);
    default:
      return assertNever(act);
  }
}

/** Right after the tone a press was meant for a repetition, not for the answer. */
function mayAnswer({ trial, goMs, protocol }: Lane, tMs: number): boolean {
  const lastMs = clockMs(protocol.capture) ?? 0;
  return trial.state === 'half-way-open' && goMs !== null && tMs >= goMs + lastMs + settleMs;
}

/** Stamps an event and hands it to the browser; where that can keep nothing, the page takes it at once. */
function mark(lane: Lane, fresh: Fresh, by: EventBy, { tMs, wallMs }: Moment): Done {
  const { goMs, toned } = lane;
  const sounds = goMs !== null && !toned && by !== 'page' && by !== 'device';
  const stamp = { atMs: goMs === null ? 0 : tenth(tMs - goMs), wallMs: tenth(wallMs), by };
  const event = { ...fresh, ...stamp } as Unplaced;
  const now: Lane = sounds ? { ...lane, toned: true } : lane;
  const tones: Effect[] = sounds ? [plan(now, goMs)] : [];
  if (lane.keeping !== 'kept') return then({ lane: now, effects: tones }, (l) => take(l, placed(l, event)));
  return {
    lane: { ...now, pending: [...now.pending, event] },
    effects: [...tones, { lane: lane.key, kind: 'keep', event, safely: weighty(fresh.kind) }],
  };
}

const tenth = (ms: number): number => Math.round(ms * 10) / 10;

const placed = (lane: Lane, event: Unplaced): AttemptEvent => ({
  ...event,
  seq: Math.max(-1, ...lane.events.map((e) => e.seq)) + 1,
});

/** An event that is kept, or held: only now the number moves. */
function take(lane: Lane, event: AttemptEvent): Done {
  const events = [...lane.events, event];
  const trial = readTrial(lane.protocol, events);
  const now: Lane = { ...lane, events, trial, keeping: lane.keeping === 'sent' ? 'held' : lane.keeping };
  const over = isOver(trial.state);
  const effects: Effect[] = [
    ...(over ? [silence(now)] : []),
    ...(over && now.keeping === 'kept' ? [head(now, true)] : []),
    ...(over || event.kind === 'start' || now.keeping !== 'kept' ? [send(now, false)] : []),
  ];
  return then({ lane: now, effects }, endAtNumber);
}

/** A count that ends at a number ends with the repetition that reaches it. */
function endAtNumber(lane: Lane): Done {
  const { capture } = lane.protocol;
  const most =
    capture.kind === 'count' && capture.ends !== 'stop-sign' && 'count' in capture.ends ? capture.ends.count : null;
  const last = lane.events.at(-1);
  if (most === null || !last || lane.trial.state !== 'running' || countedIn(lane.trial) < most || ends(lane))
    return nothing(lane);
  const { goMs } = lane;
  return mark(lane, { kind: 'end' }, 'page', { tMs: (goMs ?? 0) + last.atMs, wallMs: last.wallMs });
}

const ends = (lane: Lane): boolean => lane.pending.some((e) => e.kind === 'end');

/** The browser can keep nothing more: what it could not keep is held here, and all of it is sent at once. */
function fail(lane: Lane, event: Unplaced | null): Done {
  const held: Lane = { ...lane, keeping: 'held', pending: event ? lane.pending.slice(1) : lane.pending };
  return event ? take(held, placed(held, event)) : nothing(held);
}

function begin(lane: Lane, by: EventBy, { tMs, wallMs }: Moment): Done {
  const goMs = tMs + countdownMs;
  const now: Lane = { ...lane, goMs, goWallMs: wallMs + countdownMs, beatMs: tMs, beatWallMs: wallMs, toned: true };
  // The sound card first: where it takes a moment to wake, the first of the three tones would already be late.
  return then({ lane: now, effects: [silence(now), plan(now, goMs), head(now, false)] }, (l) =>
    mark(l, { kind: 'start' }, by, { tMs: goMs, wallMs: wallMs + countdownMs }),
  );
}

function reopen(lane: Lane, by: EventBy, at: Moment): Done {
  const answer = liveEvents(lane.events).findLast((e) => e.kind === 'half-rep');
  if (!answer) return nothing(lane);
  const back: Effect[] =
    lane.keeping === 'kept' ? [head(lane, false), { lane: lane.key, kind: 'restore', events: lane.events }] : [];
  return then({ lane, effects: back }, (now) =>
    mark(now, { kind: 'strike', ofSeq: answer.seq, reason: 'answer taken back' }, by, at),
  );
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
  const slept = sinceBeat - (at.tMs - lane.beatMs) > sleptMs;
  const noticed = sinceBeat > longestGapMs && (slept || wasHidden) ? noticeGap(lane, at) : nothing(lane);
  return then(noticed, (l) => {
    const safely = at.tMs - l.safelyMs >= safelyEveryMs;
    const now: Lane = { ...l, beatMs: at.tMs, beatWallMs: at.wallMs, safelyMs: safely ? at.tMs : l.safelyMs };
    const said: Effect[] = l.keeping === 'kept' ? [{ lane: l.key, kind: 'beat', wallMs: at.wallMs, safely }] : [];
    return { lane: now, effects: said };
  });
}

/** The wall clock ran on while the page was away or the machine slept: a short gap is marked, a long one ends the try. */
function noticeGap(lane: Lane, at: Moment): Done {
  const { goWallMs, beatWallMs: fromWallMs } = lane;
  const lastMs = clockMs(lane.protocol.capture);
  const now: Lane = { ...lane, beatMs: at.tMs, beatWallMs: at.wallMs };
  const inside = goWallMs !== null && at.wallMs >= goWallMs && (lastMs === null || fromWallMs < goWallMs + lastMs);
  if (!inside) return nothing(now);
  return mark(now, { kind: 'gap', lengthMs: Math.round(at.wallMs - fromWallMs) }, 'page', at);
}

function endOfTime(lane: Lane, { tMs, wallMs }: Moment): Done {
  const lastMs = clockMs(lane.protocol.capture);
  const { goMs, goWallMs } = lane;
  if (lastMs === null || goMs === null || lane.trial.state !== 'running' || ends(lane)) return nothing(lane);
  if (tMs < goMs + lastMs) return nothing(lane);
  return mark(lane, { kind: 'end' }, 'page', { tMs: goMs + lastMs, wallMs: (goWallMs ?? wallMs) + lastMs });
}

function resend(lane: Lane, { tMs }: Moment): Done {
  if (lane.keeping !== 'held' || tMs - lane.sentMs < resendEveryMs) return nothing(lane);
  return { lane: { ...lane, sentMs: tMs }, effects: [send(lane, false)] };
}

const leave = (lane: Lane): Done => (lane.events.length === 0 ? nothing(lane) : { lane, effects: [send(lane, true)] });

const silence = ({ key }: Lane): Effect => ({ lane: key, kind: 'silence' });
const plan = ({ key, protocol }: Lane, goMs: number): Effect => ({
  ...{ lane: key, kind: 'plan', goMs },
  lastMs: clockMs(protocol.capture),
});
const head = ({ key, goWallMs, beatWallMs }: Lane, closed: boolean): Effect => ({
  ...{ lane: key, kind: 'head', goWallMs, beatWallMs, closed },
});
const send = (lane: Lane, leaving: boolean): Effect => ({
  ...{ lane: lane.key, kind: 'send', leaving, closed: isOver(lane.trial.state) },
  events: lane.keeping === 'kept' ? null : lane.events,
});

/** Whether the tone asks something of this lane now. */
export const isAsked = ({ trial, protocol }: Lane): boolean =>
  asksHalf(protocol.capture) && trial.state === 'half-way-open';
