import type { AttemptEvent, EventBy, Fresh, StopReason } from '../../shapes/attempt';
import type { Protocol } from '../../shapes/protocol';
import { liveEvents } from '../live';
import { nowIn, type Now } from '../now';
import { readTrial } from '../readTrial';
import type { Trial } from '../trial';

/** An event without its place in the list, which whoever keeps it gives. */
export type Unplaced = AttemptEvent extends infer E ? (E extends AttemptEvent ? Omit<E, 'seq'> : never) : never;

/** What becomes of an attempt in a browser that can keep nothing more: held on this page, or all of it sent. */
export type Keeping = 'kept' | 'held' | 'sent';

/** One person at one test on this page. Moments are ms on the page's own axis but where they are called wall. */
export interface Lane {
  readonly key: string;
  /** Under the rules of the attempt. */
  readonly protocol: Protocol;
  /** Kept by the browser, or held by this page: the number shown is read from these and nothing else. */
  readonly events: readonly AttemptEvent[];
  readonly trial: Trial;
  /** What of it is being measured. */
  readonly now: Now;
  /** Presses on their way into the browser: a flash, not yet a number. */
  readonly pending: readonly Unplaced[];
  /** Planned go; `null` before the countdown. */
  readonly goMs: number | null;
  readonly goWallMs: number | null;
  /** When this page last said it is there. */
  readonly beatMs: number;
  readonly beatWallMs: number;
  /** When a write last waited for the disk, and when what is held was last sent. */
  readonly safelyMs: number;
  readonly sentMs: number;
  readonly keeping: Keeping;
  /** Another page took it over: nothing is marked here any more. */
  readonly lost: boolean;
  /** Stop was pressed and nobody has said why yet: the lane stands still. On the axis of the page, and on the wall. */
  readonly stopAsked: { readonly atMs: number; readonly wallMs: number } | null;
  /** The tones of this go were planned on this page; one that came back from a reload may only sound after a touch. */
  readonly toned: boolean;
}

/** Everything a page measures at once; plain data. */
export interface Bench {
  readonly lanes: readonly Lane[];
  readonly hidden: boolean;
  /** Hidden at any moment since the last tick. */
  readonly wasHidden: boolean;
}

export const emptyBench: Bench = { lanes: [], hidden: false, wasHidden: false };

/** What somebody does to a lane. */
export type Act =
  /**
   * The lane’s own key, or the lane itself: counts one, starts and ends a hold, crosses the line, helps into a position
   * and lets go. At the tone the key answers the half-way question with yes.
   */
  | { readonly do: 'tap' }
  /** Takes back what was last marked. At the tone the key answers the half-way question with no. */
  | { readonly do: 'undo' }
  /** The last repetition was not full, and does not count. */
  | { readonly do: 'not-full' }
  | { readonly do: 'half'; readonly counts: boolean }
  /** 3, 2, 1, go, where the test has that; else the clock starts at once. */
  | { readonly do: 'begin' }
  /** Somebody went too early: from 3, 2, 1 again. */
  | { readonly do: 'again' }
  /** A device told of a repetition; told again it is the same one. */
  | { readonly do: 'heard'; readonly device: string; readonly boot: string; readonly n: number }
  /** Takes back what ended it, also after it was sent: the answer at the tone, or the last try. */
  | { readonly do: 'reopen' }
  /** Somebody ends what no clock ends. */
  | { readonly do: 'end' }
  /** Stands still until somebody says why, or that it goes on. */
  | { readonly do: 'ask-stop' }
  | { readonly do: 'go-on' }
  /** From the press that asked for it. */
  | { readonly do: 'stop'; readonly reason: StopReason }
  | { readonly do: 'mark'; readonly mark: Fresh };

interface At {
  /** On the axis of the page. */
  readonly tMs: number;
  readonly wallMs: number;
}

export type Input = At &
  (
    | { readonly kind: 'press'; readonly lane: string; readonly act: Act; readonly by: EventBy }
    /** The browser has it. */
    | { readonly kind: 'kept'; readonly lane: string; readonly event: AttemptEvent }
    /** The browser can keep nothing more; what it could not keep comes back. */
    | { readonly kind: 'failed'; readonly lane: string; readonly event: Unplaced | null }
    | { readonly kind: 'tick' }
    /** Taken up after a reload, or from a page that is gone. */
    | { readonly kind: 'wake'; readonly lane: string }
    | { readonly kind: 'hide' }
    | { readonly kind: 'show' }
    /** What the server said to a list of so many events. */
    | { readonly kind: 'answer'; readonly lane: string; readonly taken: boolean; readonly events: number }
    /** Whether this page still runs it. */
    | { readonly kind: 'claim'; readonly lane: string; readonly mine: boolean }
  );

export type Effect = { readonly lane: string } & (
  | { readonly kind: 'keep'; readonly event: Unplaced; readonly safely: boolean }
  /** What is kept beside the events. */
  | {
      readonly kind: 'head';
      readonly goWallMs: number | null;
      readonly beatWallMs: number;
      readonly stopAskedWallMs: number | null;
      readonly closed: boolean;
    }
  | { readonly kind: 'beat'; readonly wallMs: number; readonly safely: boolean }
  /** `events`: those the page holds itself; `null` where the browser has them. */
  | {
      readonly kind: 'send';
      readonly closed: boolean;
      readonly leaving: boolean;
      readonly events: readonly AttemptEvent[] | null;
    }
  /** Tones: to go, at the end, and on the way. Moments but the first in ms after it. */
  | {
      readonly kind: 'plan';
      readonly goMs: number;
      readonly lastMs: number | null;
      readonly onTheWayMs: readonly number[];
    }
  | { readonly kind: 'silence' }
);

export interface Stepped {
  readonly bench: Bench;
  readonly effects: readonly Effect[];
}

/** What the events of a lane say of it. */
export const readLane = (protocol: Protocol, events: readonly AttemptEvent[]): Pick<Lane, 'trial' | 'now'> => ({
  trial: readTrial(protocol, events),
  now: nowIn(protocol, liveEvents(events)),
});

/** A lane out of what the browser keeps of an attempt; of a new one it keeps no events. */
export function laneOf(
  key: string,
  protocol: Protocol,
  events: readonly AttemptEvent[],
  left: {
    readonly goMs: number | null;
    readonly goWallMs: number | null;
    readonly beatWallMs: number;
    readonly stopAsked: Lane['stopAsked'];
  },
  tMs: number,
): Lane {
  return {
    ...{ key, protocol, events, ...readLane(protocol, events), pending: [] },
    ...{ ...left, beatMs: tMs, safelyMs: tMs, sentMs: tMs },
    ...{ keeping: 'kept', lost: false, toned: false },
  };
}
