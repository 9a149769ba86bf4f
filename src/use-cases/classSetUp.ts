import { posesOf } from '../catalogue/ladders/poses';
import type { KeptPlace } from '../core/shapes/hallPlace';
import type { Cupboard, PersonId, UnitSystem } from '../core/shapes/person';
import type { HeldBlock } from '../core/train/seats/holds';
import type { Sitter } from '../core/train/seats/problem';
import { setUpOf, type SetUp } from '../core/train/seats/setUp';
import { doneAtOnce, spottedIn, toCarry, variantsIn, type ClassPlan, type ToCarry } from '../core/train/plan';
import { isVariant, type Variant } from '../core/train/variant';
import { listPlaces, storePlaces } from '../database/classPlaces';
import { placeMoves } from '../schemas/classPlan';
import { parse } from '../schemas/parse';
import { peopleInClass, readClass, rungsIn, type InClass } from './classes';
import { together, type Desk } from './desk';
import { heldBy, sittersOf } from './hallAsks';
import { readPlace } from './places';
import { solve } from './solve';

/** What somebody who sits needs. */
export interface Sat {
  /** The height of their level. */
  readonly targetCm: number;
  /** A firm step under both feet; 0 for none. */
  readonly stepCm: number;
}

/** The set-up of a class, with the names in it. */
export interface ClassSetUp {
  readonly units: UnitSystem;
  readonly cupboard: Cupboard;
  /** All else that the plan needs. */
  readonly carry: readonly ToCarry[];
  readonly plan: ClassPlan;
  readonly setUp: SetUp;
  /** Nothing of who sits on none. */
  readonly sat: Readonly<Record<PersonId, Sat>>;
  /** Where people were put by hand. */
  readonly kept: readonly KeptPlace[];
  readonly posesBy: ReturnType<typeof rungsIn>['poses'];
  /** It is over: nobody is put anywhere any more. */
  readonly closed: boolean;
}

/** How the hall is set up for a class, from its plan and the cupboard of today; `null` where there is no such class. */
export async function readSetUp(desk: Desk, key: string): Promise<ClassSetUp | null> {
  const found = await readClass(desk, key);
  if (!found) return null;
  const { plan } = found;
  const { cupboard, units } = await readPlace(desk);
  const { people, rules } = await peopleInClass(desk, plan.people);
  const variants = variantsIn(plan.doing);
  const sitters = sittersOf(variants, people, rules);
  const setUp = await setUpOf(
    {
      ...{ people: byShelf(plan, variants), sitters, blocks: blocksOf(plan, people) },
      spotted: plan.laid.flatMap((block) => doneAtOnce(plan, block).flatMap(spottedIn)),
    },
    cupboard,
    solve,
  );
  return {
    ...{ plan, setUp, cupboard, units, carry: toCarry(plan.doing, cupboard, posesOf) },
    sat: Object.fromEntries(sitters.map((s) => [s.personId, { targetCm: s.targetCm, stepCm: stepUnder(s, people) }])),
    // A plan that was made anew may have left somebody out.
    kept: (await listPlaces(desk.db, key)).filter((k) => plan.people.includes(k.personId)),
    ...{ posesBy: rungsIn(plan).poses, closed: found.closedAt !== null },
  };
}

export type KeepPlaces = { readonly kind: 'kept' } | { readonly kind: 'rejected'; readonly message: string };

/** Puts people somewhere by hand, or lets them go; said again it changes nothing, and of others nothing is changed. */
export async function keepPlaces(desk: Desk, key: string, sent: unknown): Promise<KeepPlaces> {
  const parsed = parse(placeMoves, sent);
  if (parsed.kind === 'bad')
    return { kind: 'rejected', message: parsed.errors.map((e) => `${e.path} ${e.message}`).join('; ') };
  return together(desk, async (trx): Promise<KeepPlaces> => {
    const found = await readClass(trx, key);
    if (!found) return { kind: 'rejected', message: 'this class is not there any more.' };
    if (found.closedAt !== null)
      return { kind: 'rejected', message: 'this class is over, and nobody is put anywhere any more.' };
    const moves = parsed.value.moves.filter((m) => found.plan.people.includes(m.personId));
    if (moves.length < parsed.value.moves.length)
      return { kind: 'rejected', message: 'somebody of these is not in this class any more.' };
    await storePlaces(trx.db, key, moves);
    return { kind: 'kept' };
  });
}

/** Whoever is held closest by anything they do comes first: they stand nearest to the wall. */
function byShelf({ people }: ClassPlan, variants: readonly Variant[]): PersonId[] {
  const first = new Map<PersonId, string>();
  for (const { personId, shelf } of variants) if (shelf < (first.get(personId) ?? 'Z')) first.set(personId, shelf);
  return [...people].sort((a, b) => (first.get(a) ?? 'Z').localeCompare(first.get(b) ?? 'Z'));
}

/** What the level that asks for the seat puts under the feet. */
function stepUnder({ personId, targetCm }: Sitter, people: readonly InClass[]): number {
  const one = people.find((p) => p.view.person.id === personId);
  const levels = (one?.ladders ?? []).map((l) => l.level).filter((l) => l.targetCm === targetCm);
  return Math.max(0, ...levels.map((l) => l.firmStepCm ?? 0));
}

function blocksOf(plan: ClassPlan, people: readonly InClass[]): HeldBlock[] {
  // Parts of a block come one after the other: the one that holds most.
  return plan.laid.flatMap((block) =>
    doneAtOnce(plan, block)
      .map((together) => heldBy(block.title, together.filter(isVariant), people))
      .reduce<HeldBlock[]>(([most], one) => [!most || one.holding.length > most.holding.length ? one : most], []),
  );
}
