import { needsOf, type HallNeeds } from '../card/needs';
import type { ClassBlock, Part } from '../shapes/class';
import type { PlanAsked, TurnedBy } from '../shapes/classPlan';
import type { IsoDate, Pattern } from '../shapes/facts';
import type { Cupboard, PersonId } from '../shapes/person';
import type { RungPoses } from '../shapes/pose';
import type { Eye } from './eyes';
import { doseOf } from './doseTime';
import type { Spotted } from './seats/floor';
import { holdStock } from './seats/holds';
import { doingOf, inTurn, isVariant, setsOf, type BlockDoing, type Doing, type Trainee, type Variant } from './variant';

/** A class as it is run: everything it needs without a server. */
export interface ClassPlan extends PlanAsked {
  readonly title: string;
  readonly place: string;
  /** In order; short names tell them apart across a hall. */
  readonly who: readonly { readonly id: PersonId; readonly name: string; readonly short: string }[];
  readonly laid: readonly ClassBlock[];
  readonly doing: readonly BlockDoing[];
  readonly eyes: readonly Eye[];
  /** Names of who may spot and does nothing else. */
  readonly spotters: readonly string[];
}

/**
 * Who does what in every block. Whoever needs somebody to stand by gets one of those who may spot, in the order of the people;
 * where more need one the block runs staggered, two to a spotter, each in every second round; the others hold with both hands.
 * @param spotters names of who may spot and does nothing else
 * @param turnedBy who does a pattern one step easier or harder than their own
 */
export function doings(
  blocks: readonly ClassBlock[],
  people: readonly Trainee[],
  spotters: readonly string[],
  turnedBy: readonly TurnedBy[] = [],
): BlockDoing[] {
  return blocks.flatMap((block) =>
    block.parts
      ? [{ block: block.id, parts: block.parts.map((part) => partDoing(part, people, spotters, turnedBy)) }]
      : [],
  );
}

function partDoing(
  part: Part,
  people: readonly Trainee[],
  spotters: readonly string[],
  turnedBy: readonly TurnedBy[],
): Doing[] {
  const doing = (who: Trainee, spotter: string | null) =>
    doingOf(part, who, spotter, turnedBy.find((t) => t.personId === who.id && t.pattern === part.pattern)?.way ?? null);
  const [anybody = null] = spotters;
  const needing = people.filter((who) => {
    const one = doing(who, anybody);
    return isVariant(one) && one.spotter !== null;
  });
  const rounds = setsOf(doseOf(part));
  const shared = needing.length > spotters.length && rounds > 1;
  const stoodBy = new Map(
    needing.slice(0, shared ? 2 * spotters.length : spotters.length).map((who, i) => {
      const at = i % spotters.length;
      // Of several, the last ones may stand by one person alone.
      const two = shared && at + spotters.length < needing.length;
      return [who.id, { spotter: spotters[at] ?? null, turn: two ? (i < spotters.length ? 1 : 2) : null }] as const;
    }),
  );
  return people.map((who) => {
    const by = stoodBy.get(who.id);
    const one = doing(who, by?.spotter ?? null);
    return by?.turn && isVariant(one) ? inTurn(one, by.turn, rounds) : one;
  });
}

export const variantsIn = (all: readonly BlockDoing[]): Variant[] =>
  all.flatMap((b) => b.parts.flatMap((part) => part.filter(isVariant)));

/** A kept plan without somebody who was taken out of the register: who they were stands nowhere in it. */
export function withoutPerson(plan: ClassPlan, id: PersonId): ClassPlan {
  const others = (of: { readonly personId: PersonId }) => of.personId !== id;
  return {
    ...plan,
    people: plan.people.filter((one) => one !== id),
    who: plan.who.filter((w) => w.id !== id),
    doing: plan.doing.map((b) => ({ ...b, parts: b.parts.map((part) => part.filter(others)) })),
    eyes: plan.eyes.filter(others),
    ...(plan.turned ? { turned: plan.turned.filter(others) } : {}),
  };
}

/**
 * What is done at the same time in a block: one part after the other by all, or all stations beside each other, a third of the group at
 * each, who move on by one with each turn.
 */
export function doneAtOnce(
  { people, doing }: Pick<ClassPlan, 'people' | 'doing'>,
  { id, stations }: Pick<ClassBlock, 'id' | 'stations'>,
): readonly (readonly Doing[])[] {
  const parts = doing.find((d) => d.block === id)?.parts ?? [];
  if (!stations) return parts;
  const thirds = dealtOut(people, parts);
  const stationOf = (one: PersonId) => ((thirds.get(one) ?? 0) + stations.turn) % parts.length;
  return [parts.flatMap((part, i) => part.filter((d) => stationOf(d.personId) === i))];
}

/**
 * Who goes round the stations together: dealt out with whoever is held closest at any of them first, so that no group holds more than
 * another by more than one, at whatever station it stands.
 */
function dealtOut(people: readonly PersonId[], parts: readonly (readonly Doing[])[]): ReadonlyMap<PersonId, number> {
  const closest = new Map<PersonId, string>();
  for (const { personId, shelf } of parts.flat().filter(isVariant))
    if (shelf < (closest.get(personId) ?? 'Z')) closest.set(personId, shelf);
  const shelfOf = (id: PersonId): string => closest.get(id) ?? 'Z';
  return new Map(
    [...people].sort((a, b) => shelfOf(a).localeCompare(shelfOf(b))).map((id, i) => [id, i % parts.length]),
  );
}

/** Whom one who may spot stands by in the same movement, by turns; of each spotter one entry, more than one person in it. */
export function spottedIn(part: readonly Doing[]): Spotted[] {
  const stoodBy = part
    .filter(isVariant)
    .flatMap((v) => (v.spotter === null ? [] : [{ by: v.spotter, id: v.personId }]));
  return [...new Set(stoodBy.map((s) => s.by))]
    .map((spotter) => ({ spotter, people: stoodBy.flatMap((s) => (s.by === spotter ? [s.id] : [])) }))
    .filter(({ people }) => people.length > 1);
}

/** One thing to carry out, and whether the cupboard has so many. */
export interface ToCarry {
  readonly what: string;
  readonly need: number;
  readonly have: number;
  /** Who sits where tells it exactly. */
  readonly isPlaced: boolean;
}

/** What a plan needs at once, against the cupboard. @returns in the order in which it is carried */
export function toCarry(
  all: readonly BlockDoing[],
  cupboard: Cupboard,
  posesOf: (pattern: Pattern, rung: number) => RungPoses | undefined,
): ToCarry[] {
  // Blocks come one after the other: of each thing the block that wants most of it.
  const each = all.flatMap(({ parts }) => parts.map((part) => needsOf(part.filter(isVariant), posesOf)));
  const most = (of: (needs: HallNeeds) => number) => Math.max(0, ...each.map(of));
  const count = (list: readonly { readonly count: number }[]) => list.reduce((sum, one) => sum + one.count, 0);
  const seats = (n: HallNeeds) => n.seats.reduce((sum, s) => sum + s.count, 0);
  const rows: readonly (readonly [what: string, need: number, have: number, isPlaced?: true])[] = [
    ['firm chairs', most((n) => seats(n) + n.chairs), count(cupboard.chairs.filter((c) => c.stable)), true],
    ['places at a rail, table or strap', most((n) => n.rail), holdStock(cupboard).fixed, true],
    ['mats', most((n) => n.mats), cupboard.mats],
    ['raised surfaces', most((n) => n.surfaces), cupboard.raisedSurface ? most((n) => n.surfaces) : 0],
    ['steps', most((n) => n.steps), count(cupboard.steps)],
    ['boxes to lift', most((n) => n.boxes), count(cupboard.boxes)],
    ['pads under a knee', most((n) => n.pads), count(cupboard.pads)],
    ['straps', most((n) => n.straps), cupboard.straps],
    ['bands', most((n) => n.bands), cupboard.bands],
    ['weights', most((n) => count(n.weights)), cupboard.weightsKg.length],
  ];
  return rows.flatMap(([what, need, have, isPlaced = false]) => (need > 0 ? [{ what, need, have, isPlaced }] : []));
}

/** The seats of a plan by height, the most wanted first. */
export function seatsOf(
  all: readonly BlockDoing[],
  posesOf: (pattern: Pattern, rung: number) => RungPoses | undefined,
): HallNeeds['seats'] {
  const squats = all.flatMap(({ parts }) => parts.map((part) => needsOf(part.filter(isVariant), posesOf).seats));
  return squats.reduce((best, one) => (one.length > best.length ? one : best), []);
}

/** A plan with what has to be known before it is run. */
export interface PlanShown {
  readonly plan: ClassPlan;
  readonly minutesPlanned: number;
  /** What does not fit into the time, in the order in which it goes. */
  readonly dropped: readonly string[];
  /** What is wrong with the order of its blocks, in sentences. */
  readonly order: readonly string[];
  /** So much longer than the time there is, when nothing more may go. */
  readonly overMinutes: number;
  readonly carry: readonly ToCarry[];
  readonly seats: ReturnType<typeof seatsOf>;
  /** Who has nothing to train on, and why. */
  readonly untested: readonly {
    readonly id: PersonId;
    readonly name: string;
    readonly why: 'not-tested' | 'waits' | 'not-today';
  }[];
  /** A class of this group was held on this day already. */
  readonly heldAlready: boolean;
}

/** A class in a list. */
export interface ClassListed {
  readonly key: string;
  readonly day: IsoDate;
  readonly title: string;
  readonly groupId: string | null;
  readonly people: number;
  readonly state: 'planned' | 'running' | 'closed';
}
