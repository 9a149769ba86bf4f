import { historyOf, type HistoryEntry } from '../core/level/history';
import { ladderKey } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { listDecisions } from '../database/decisions';
import type { Desk } from './desk';

/** Everything ever in force of somebody, by ladder or item of a set; oldest first. */
export async function readHistory(desk: Desk, id: PersonId): Promise<ReadonlyMap<string, readonly HistoryEntry[]>> {
  const decisions = await listDecisions(desk.db, id);
  const all = decisions.flatMap(({ day, by, kind, facts, levels }) =>
    levels.map((level) => ({ day, by, kind, facts, level })),
  );
  const keys = [...new Set(all.map((d) => ladderKey(d.level)))];
  return new Map(keys.map((key) => [key, historyOf(all.filter((d) => ladderKey(d.level) === key))]));
}
