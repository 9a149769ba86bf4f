import { ladders as shippedLadders, accessories } from '../catalogue/ladders';
import { posesOf } from '../catalogue/ladders/poses';
import { highestSeat } from '../core/level/target';
import type { Facts } from '../core/shapes/facts';
import type { Cupboard, PersonId, UnitSystem } from '../core/shapes/person';
import type { HeldBlock, Holding } from '../core/train/seats/holds';
import type { Sitter } from '../core/train/seats/problem';
import { setUpOf, type SetUp } from '../core/train/seats/setUp';
import { toCarry, variantsIn, type ClassPlan, type ToCarry } from '../core/train/plan';
import { isVariant, type Variant } from '../core/train/variant';
import { peopleInClass, readClass, type InClass } from './classes';
import type { Desk } from './desk';
import { readPlace } from './places';
import { solve } from './solve';

/** The set-up of a class, with the names in it. */
export interface ClassSetUp {
  readonly units: UnitSystem;
  readonly cupboard: Cupboard;
  /** All else that the plan needs. */
  readonly carry: readonly ToCarry[];
  readonly plan: ClassPlan;
  readonly setUp: SetUp;
  /** The height of each one's level; nothing of who sits on none. */
  readonly targets: Readonly<Record<PersonId, number>>;
}

/** How the hall is set up for a class, from its plan and the cupboard of today; `null` where there is no such class. */
export async function readSetUp(desk: Desk, key: string): Promise<ClassSetUp | null> {
  const found = await readClass(desk, key);
  if (!found) return null;
  const { plan } = found;
  const { cupboard, units } = await readPlace(desk);
  const { people, rules } = await peopleInClass(desk, plan.people);
  const sitters = sittersOf(plan, people, rules);
  const setUp = await setUpOf({ people: plan.people, sitters, blocks: blocksOf(plan, people) }, cupboard, solve);
  return {
    ...{ plan, setUp, cupboard, units, carry: toCarry(plan.doing, cupboard, posesOf) },
    targets: Object.fromEntries(sitters.map((s) => [s.personId, s.targetCm])),
  };
}

/** One seat a person for the whole class: the highest that anything of theirs asks for. */
function sittersOf(plan: ClassPlan, people: readonly InClass[], rules: Parameters<typeof highestSeat>[1]): Sitter[] {
  const seats = variantsIn(plan.doing).filter(isSat);
  return people.flatMap(({ view: { person }, facts }) => {
    const heights = seats.flatMap((v) => (v.personId === person.id ? (v.targetCm ?? []) : []));
    if (heights.length === 0) return [];
    return [{ personId: person.id, targetCm: Math.max(...heights), mostCm: highestSeat(facts, rules) }];
  });
}

/** A height that is sat on or touched, not one that is lifted from. */
const isSat = ({ pattern, rung, targetCm }: Variant): boolean =>
  targetCm !== null && posesOf(pattern, rung)?.props.includes('box') !== true;

function blocksOf(plan: ClassPlan, people: readonly InClass[]): HeldBlock[] {
  const facts = new Map(people.map((one) => [one.view.person.id, one.facts]));
  return plan.laid.flatMap((block) => {
    const doing = plan.doing.find((d) => d.block === block.id);
    if (!doing) return [];
    // Parts of a block come one after the other: the one that holds most.
    const parts = doing.parts.map((part): HeldBlock => {
      const all = part.filter(isVariant);
      return {
        title: block.title,
        holding: all.flatMap((v) => holdingOf(v, facts.get(v.personId)) ?? []),
        sitting: all.filter((v) => isSat(v) || posesOf(v.pattern, v.rung)?.props.includes('chair') === true).length,
      };
    });
    return parts.reduce<HeldBlock[]>(
      ([most], one) => [!most || one.holding.length > most.holding.length ? one : most],
      [],
    );
  });
}

const rungs = [...shippedLadders, ...accessories].flatMap((l) => l.rungs.map((r) => ({ pattern: l.pattern, ...r })));

/** What somebody holds; `null` of free hands and of what the movement holds by itself. */
function holdingOf(variant: Variant, facts: Facts | undefined): Holding | null {
  const { pattern, rung, support, personId } = variant;
  const hold = posesOf(pattern, rung)?.hold;
  if (hold === undefined || support === '0') return null;
  const railUnder = rungs.find((r) => r.pattern === pattern && r.rung === rung)?.railUnder;
  const stage = facts?.results.findLast((r) => r.test === 'four-stage' && r.outcome === 'done')?.value ?? 0;
  // A chair is pushed down on and never pulled: squats and wide holds have something fixed.
  const fixed = pattern === 'S' || pattern === 'W' || (railUnder !== undefined && stage < railUnder.under);
  return { personId, fixed };
}
