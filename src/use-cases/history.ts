import { historyOf, type LadderStory } from '../core/level/history';
import type { Level } from '../core/level/answer';
import { itemsOf } from '../core/level/assign';
import { ownLadder } from '../core/level/own';
import { ladderKey, setPatterns } from '../core/shapes/facts';
import type { Ladder } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import { listDecisions } from '../database/decisions';
import { listOwn } from '../database/ownExercises';
import type { Desk } from './desk';
import { groupBy } from './groupBy';
import { readRules } from './rules';

/** Everything ever in force of somebody: a story a ladder, an item of a set, a movement of the hall's own. */
export async function readHistory(desk: Desk, id: PersonId): Promise<LadderStory[]> {
  const { levels: rules } = await readRules(desk);
  const ladders = [...rules.ladders, ...rules.accessories].flatMap(itemsOf).map((ladder) => {
    const item = setPatterns.has(ladder.pattern) ? ladder.rungs[0] : undefined;
    return item ? { ...ladder, title: item.name } : ladder;
  });
  const owns = await listOwn(desk.db);
  const ladderOf = ({ pattern, rung, own }: Level): Ladder | undefined => {
    const mine = own && owns.find((o) => o.id === own.id);
    if (own) return mine && ownLadder(mine, rules);
    return ladders.find((l) => l.pattern === pattern && (!setPatterns.has(pattern) || l.rungs[0]?.rung === rung));
  };
  const decisions = await listDecisions(desk.db, id);
  const all = decisions.flatMap(({ day, by, kind, facts, levels }) =>
    levels.map((level) => ({ day, by, kind, facts, level })),
  );
  const byKey = groupBy(all, (d) => ladderKey(d.level));
  return [...byKey].flatMap(([key, decided]) => {
    const ladder = decided[0] && ladderOf(decided[0].level);
    return ladder ? [{ key, ladder, entries: historyOf(decided) }] : [];
  });
}
