import type { AttemptEvent } from '../../shapes/attempt';
import type { FourStageSeconds } from '../../shapes/facts';
import type { Protocol } from '../../shapes/protocol';
import type { Try } from '../trial';

/** What a reader sees in the events of its kind, before paper, corrections and the state have their say. */
export interface Seen {
  readonly tries: readonly Try[];
  /** The result by the rule of the protocol; `null` while there is none. */
  readonly value: number | null;
  readonly handsUsed: boolean;
  /** `null` where nothing is counted. */
  readonly cleanBeforeHands: number | null;
  readonly seconds: FourStageSeconds | null;
}

/** Reads the events that stand; total: whatever list it is given, it says what can be told of it. */
export type Reader = (protocol: Protocol, live: readonly AttemptEvent[]) => Seen;
