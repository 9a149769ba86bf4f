import { supports, type Facts, type IsoDate } from '../shapes/facts';
import type { Ladder } from '../shapes/ladder';
import type { Level } from './answer';
import type { DecisionKind } from './standing';

/** A level that was decided, with the facts of that day. */
export interface PastDecision {
  readonly day: IsoDate;
  readonly by: string;
  readonly kind: DecisionKind;
  readonly facts: Facts;
  readonly level: Level;
}

/** How a level stands to the one before it on its ladder. */
export const historySteps = [
  'first',
  'left-out',
  'taken-up',
  'up',
  'down',
  'freer',
  'held',
  'lower-seat',
  'higher-seat',
  'same',
] as const;
export type HistoryStep = (typeof historySteps)[number];

export interface HistoryEntry extends PastDecision {
  readonly step: HistoryStep;
  /** The rung before it, where it moved. */
  readonly from: number | null;
}

/** What one ladder, one item of a set or one movement of the hall's own went through. */
export interface LadderStory {
  /** As `ladderKey` gives it. */
  readonly key: string;
  /** Of an item, or a movement of the hall's own: with that one alone. */
  readonly ladder: Ladder;
  /** Oldest first, at least one. */
  readonly entries: readonly HistoryEntry[];
}

/**
 * Every level ever in force on one ladder, and how each stands to the one before: the rung first, then the hands, then the
 * seat, as the dials are turned.
 * @param decided of one ladder or one item of a set, oldest first
 */
export function historyOf(decided: readonly PastDecision[]): HistoryEntry[] {
  return decided.map((one, i) => {
    const before = decided[i - 1]?.level;
    return {
      ...one,
      step: stepFrom(before, one.level),
      from: before && before.rung !== one.level.rung ? before.rung : null,
    };
  });
}

function stepFrom(before: Level | undefined, now: Level): HistoryStep {
  if (now.byHand?.word === 'not-this') return 'left-out';
  if (!before) return 'first';
  if (before.byHand?.word === 'not-this') return 'taken-up';
  if (now.rung !== before.rung) return now.rung > before.rung ? 'up' : 'down';
  const hands = supports.indexOf(now.support) - supports.indexOf(before.support);
  if (hands !== 0) return hands > 0 ? 'freer' : 'held';
  const seat = (now.targetCm ?? 0) - (before.targetCm ?? 0);
  return seat < 0 ? 'lower-seat' : seat > 0 ? 'higher-seat' : 'same';
}
