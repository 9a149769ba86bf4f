import type { Facts } from '../shapes/facts';
import type { Ladder, LevelRules, LiftRule } from '../shapes/ladder';
import type { Level } from './answer';
import { levelAt } from './assign';
import { isOpen, isOver, type Decided } from './standing';

/** What a rung lifts from, and how high it may stand; `null` where it lifts nothing. */
export function liftOn(
  ladders: readonly Ladder[],
  { pattern, rung }: Pick<Level, 'pattern' | 'rung'>,
): LiftRule | null {
  const target = ladders.find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung)?.target;
  return target && 'lifts' in target ? target : null;
}

/** Whether the rules allow a level now: what is lifted from so low a box, and a weight that classes bring, as well. */
export function isAllowed(rules: LevelRules, facts: Facts, to: Level): boolean {
  const lifts = liftOn(rules.ladders, to) !== null;
  const lifted = lifts ? { ...facts, liftHeightCm: to.targetCm ?? 0 } : facts;
  const at = levelAt(rules, to.carried ? withCarried(lifted, to) : lifted, to.pattern, to.rung, null);
  return isOpen(at) && !isOver(to, at) && (!lifts || (to.targetCm ?? 0) >= (at.targetCm ?? 0));
}

/** The facts as they would be with a weight confirmed. */
function withCarried(facts: Facts, { pattern, rung, support, loadKg }: Level): Facts {
  const others = facts.lastConfirmed.filter((l) => l.pattern !== pattern);
  const said = { pattern, rung, support, ...(loadKg === null ? {} : { kg: loadKg }) };
  return { ...facts, lastConfirmed: [...others, said] };
}

/** The height of what was lifted by the newest level on record; `null` where none lifts. */
export function liftedBefore(ladders: readonly Ladder[], decided: readonly Decided[]): number | null {
  const last = decided.findLast(
    ({ level }) => !level.own && level.byHand?.word !== 'not-this' && liftOn(ladders, level) !== null,
  );
  return last ? (last.level.targetCm ?? 0) : null;
}
