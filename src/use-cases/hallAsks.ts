import { ladders as shippedLadders, accessories } from '../catalogue/ladders';
import { posesOf } from '../catalogue/ladders/poses';
import { highestSeat } from '../core/level/target';
import type { Facts } from '../core/shapes/facts';
import type { LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import type { HeldBlock, Holding } from '../core/train/seats/holds';
import type { Sitter } from '../core/train/seats/problem';
import type { Variant } from '../core/train/variant';
import type { InClass } from './classes';

/** What a movement at a level asks of the hall. */
export type Asked = Pick<Variant, 'personId' | 'pattern' | 'rung' | 'support' | 'targetCm'>;

/** One seat a person: the highest that anything of theirs asks for. */
export function sittersOf(
  asked: readonly Asked[],
  people: readonly InClass[],
  rules: Pick<LevelRules, 'house'>,
): Sitter[] {
  const seats = asked.filter(isSat);
  return people.flatMap(({ view: { person }, facts }) => {
    const heights = seats.flatMap((v) => (v.personId === person.id ? (v.targetCm ?? []) : []));
    if (heights.length === 0) return [];
    return [{ personId: person.id, targetCm: Math.max(...heights), mostCm: highestSeat(facts, rules) }];
  });
}

/** What so many do at once, as the hall has to hold it. */
export function heldBy(title: string, doing: readonly Asked[], people: readonly InClass[]): HeldBlock {
  const factsOf = (id: PersonId) => people.find((p) => p.view.person.id === id)?.facts;
  return {
    title,
    holding: doing.flatMap((v) => holdingOf(v, factsOf(v.personId)) ?? []),
    sitting: doing.filter((v) => isSat(v) || posesOf(v.pattern, v.rung)?.props.includes('chair') === true).length,
  };
}

/** A height that is sat on or touched, not one that is lifted from. */
const isSat = ({ pattern, rung, targetCm }: Asked): boolean =>
  targetCm !== null && posesOf(pattern, rung)?.props.includes('box') !== true;

const rungs = [...shippedLadders, ...accessories].flatMap((l) => l.rungs.map((r) => ({ pattern: l.pattern, ...r })));

/** What somebody holds; `null` of free hands and of what the movement holds by itself. */
function holdingOf({ pattern, rung, support, personId }: Asked, facts: Facts | undefined): Holding | null {
  const hold = posesOf(pattern, rung)?.hold;
  if (hold === undefined || support === '0') return null;
  const railUnder = rungs.find((r) => r.pattern === pattern && r.rung === rung)?.railUnder;
  const stage = facts?.results.findLast((r) => r.test === 'four-stage' && r.outcome === 'done')?.value ?? 0;
  // A chair is pushed down on and never pulled: squats and wide holds have something fixed.
  const fixed = pattern === 'S' || pattern === 'W' || (railUnder !== undefined && stage < railUnder.under);
  return { personId, fixed };
}
