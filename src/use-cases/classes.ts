import { classTemplates } from '../catalogue/classes';
import { posesOf } from '../catalogue/ladders/poses';
import { measuredFacts } from '../catalogue/rules/margins';
import { withAccessories, levelAt } from '../core/level/assign';
import { besideOf } from '../core/level/accessories';
import { needsSpotter } from '../core/level/ownSpotter';
import { isOpen, trainedLevel } from '../core/level/standing';
import type { Level } from '../core/level/answer';
import { addDays } from '../core/math/days';
import { shortNames } from '../core/math/names';
import type { ClassBlock } from '../core/shapes/class';
import type { PlanAsked } from '../core/shapes/classPlan';
import { setPatterns, type Facts, type IsoDate, type Pattern } from '../core/shapes/facts';
import type { Ladder, LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import { eyeOn, type Eye } from '../core/train/eyes';
import { blockBook, layBlocks } from '../core/train/lay';
import { pastSessions, type HeldClass, type PastSession } from '../core/train/past';
import { doings, seatsOf, toCarry, type ClassPlan, type ToCarry } from '../core/train/plan';
import { totalS } from '../core/train/shorten';
import type { Trainee } from '../core/train/variant';
import type { PersonView } from '../core/view/personView';
import { findClass, findClassHeld, listClassesOf, listLines, storePlan, type KeptClass } from '../database/classes';
import { planBody } from '../schemas/classPlan';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';
import { readGroups } from './groups';
import { readHelpers } from './helpers';
import { readPlace } from './places';
import { knownPeople } from './readPeople';

/** The blocks there are, by the name they are asked for. */
export const theBlocks = blockBook(classTemplates);

/** Classes are read back so far to see what was shown, what is due and what rests. */
const readBackDays = 16 * 7;

/** Somebody in a class with all that the rules of progress ask of them. */
export interface InClass {
  readonly view: PersonView;
  readonly facts: Facts;
  readonly trainee: Trainee;
  /** The ladders they train on, each with what is in force or open. */
  readonly ladders: readonly { readonly ladder: Ladder; readonly level: Level }[];
}

/** People as a class sees them: their levels in force, what is open beside the four, and who needs somebody to stand by. */
export async function peopleInClass(
  desk: Desk,
  ids: readonly PersonId[],
): Promise<{ readonly rules: LevelRules; readonly people: readonly InClass[] }> {
  const { hall, people } = await knownPeople(desk, ids);
  const rules = withAccessories(hall.rules.levels);
  return {
    rules,
    people: people.map(({ view, facts }) => ({ view, facts, ...traineeOf(view, facts, hall.rules.levels, rules) })),
  };
}

function traineeOf(
  view: PersonView,
  facts: Facts,
  four: LevelRules,
  rules: LevelRules,
): Pick<InClass, 'trainee' | 'ladders'> {
  const { person, known, standings, levels, decided, lastTestedOn } = view;
  const onFour = standings.map((s) => [s.pattern, trainedLevel(s)] as const);
  const beside = levels.refused
    ? []
    : besideOf(four, facts, levels.levels, decided, lastTestedOn)
        .filter((b) => !setPatterns.has(b.ladder.pattern))
        .map(
          (b) =>
            [
              b.ladder.pattern,
              trainedLevel(b.standing) ?? (isOpen(b.standing.ceiling) ? b.standing.ceiling : null),
            ] as const,
        );
  const own = new Map<Pattern, Level | null>(levels.refused ? [] : [...onFour, ...beside]);
  const rungOf = ({ pattern, rung }: Pick<Level, 'pattern' | 'rung'>) =>
    rules.ladders.find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung);
  const ladders = rules.ladders.flatMap((ladder) => {
    const level = own.get(ladder.pattern) ?? null;
    return level ? [{ ladder, level }] : [];
  });
  const trainee: Trainee = {
    ...{ id: person.id, name: person.name },
    levelOf: (pattern) => own.get(pattern) ?? null,
    lowerAt: (pattern, rung) => {
      const at = levels.refused ? null : levelAt(rules, facts, pattern, rung, null);
      return at && isOpen(at) ? at : null;
    },
    isSpotted: (level) => {
      const rung = rungOf(level);
      return rung !== undefined && needsSpotter(known, rung, level);
    },
  };
  return { trainee, ladders };
}

/** The classes of some people, oldest first, with what was logged of each. */
export async function heldClasses(desk: Desk, ids: readonly PersonId[], from: IsoDate): Promise<HeldClass[]> {
  const kept = await listClassesOf(desk.db, ids, from);
  const lines = await listLines(
    desk.db,
    kept.map((c) => c.key),
  );
  return kept.flatMap(({ key, day, plan }) =>
    plan ? [{ key, day, people: plan.people, doing: plan.doing, lines: lines.filter((l) => l.key === key) }] : [],
  );
}

/** How often somebody was in a class before these. */
export const classesBefore = (
  { view, facts }: Pick<InClass, 'view' | 'facts'>,
  classes: readonly HeldClass[],
): number => Math.max(0, facts.sessionsLogged - classes.filter((c) => c.people.includes(view.person.id)).length);

export const pastOf = (one: InClass, classes: readonly HeldClass[], pattern: Pattern): PastSession[] =>
  pastSessions(classes, one.view.person.id, pattern, classesBefore(one, classes));

/** A plan with what has to be known before it is run. */
export interface PlanShown {
  readonly plan: ClassPlan;
  readonly minutesPlanned: number;
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

/** What everybody does in what was asked for: the whole plan, as it can be run. */
export async function makePlan(desk: Desk, asked: PlanAsked): Promise<PlanShown> {
  const [place, helpers] = [await readPlace(desk), await readHelpers(desk)];
  const { people } = await peopleInClass(desk, asked.people);
  const classes = await heldClasses(desk, asked.people, addDays(asked.day, -readBackDays));
  const laid = layBlocks(asked.blocks, theBlocks);
  const spotters = helpers.filter((h) => asked.helpers.includes(h.id) && h.may.spot !== null).map((h) => h.name);
  const names = people.map((p) => p.view.person.name);
  const short = shortNames(names);
  const doing = doings(
    laid,
    people.map((p) => p.trainee),
    spotters,
  );
  const plan: ClassPlan = {
    ...asked,
    ...{ title: classTemplates.find((t) => t.id === asked.template)?.title ?? asked.template, place: place.name },
    people: people.map((p) => p.view.person.id),
    who: people.map((p, i) => ({
      id: p.view.person.id,
      name: p.view.person.name,
      short: short[i] ?? p.view.person.name,
    })),
    ...{ laid, doing, eyes: eyesOf(people, classes, laid), spotters },
  };
  const untested = people.flatMap(({ view: { person, standings, levels } }) => {
    const why = levels.refused
      ? ('not-today' as const)
      : standings.length === 0
        ? ('not-tested' as const)
        : standings.every((s) => trainedLevel(s) === null)
          ? ('waits' as const)
          : null;
    return why ? [{ id: person.id, name: person.name, why }] : [];
  });
  return {
    ...{ plan, minutesPlanned: totalS(laid) / 60, untested },
    carry: toCarry(doing, place.cupboard, posesOf),
    seats: seatsOf(doing, posesOf),
    heldAlready: asked.groupId !== null && (await findClassHeld(desk.db, asked.groupId, asked.day)) !== undefined,
  };
}

function eyesOf(people: readonly InClass[], classes: readonly HeldClass[], laid: readonly ClassBlock[]): Eye[] {
  const patterns = new Set(laid.flatMap((b) => (b.parts ?? []).map((p) => p.pattern)));
  return people.flatMap((one) =>
    one.ladders.flatMap(({ ladder: { pattern }, level }) => {
      const why = patterns.has(pattern) ? eyeOn(pastOf(one, classes, pattern), level.rung) : null;
      return why ? [{ personId: one.view.person.id, pattern, why }] : [];
    }),
  );
}

export type SaveClass =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps a plan under its key. It may be planned anew until it begins; a day to come is a plan, not a class. */
export async function saveClass(desk: Desk, key: string, sent: unknown): Promise<SaveClass> {
  const parsed = parse(
    planBody(
      classTemplates.map((t) => t.id),
      [...theBlocks.keys()],
    ),
    sent,
  );
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const asked = parsed.value;
  const errors: FieldError[] = [];
  if (!/^[A-Za-z0-9_-]{8,64}$/.test(key))
    errors.push({ path: '', message: 'the key in the address must be 8 to 64 letters, digits, - or _' });
  const ids = asked.blocks.map((b) => b.id);
  if (new Set(ids).size < ids.length) errors.push({ path: '/blocks', message: 'each block needs an id of its own' });
  return together(desk, async (trx): Promise<SaveClass> => {
    if (asked.groupId !== null && !(await readGroups(trx)).some((g) => g.id === asked.groupId))
      errors.push({ path: '/groupId', message: 'there is no such group' });
    if (errors.length > 0) return { kind: 'rejected', errors };
    const known = await findClass(trx.db, key);
    if (known?.plan && isSame(known.plan, asked)) return { kind: 'known' };
    const { plan } = await makePlan(trx, asked);
    if (plan.people.length < asked.people.length)
      return {
        kind: 'rejected',
        errors: [{ path: '/people', message: 'somebody of this list is not in the register' }],
      };
    return { kind: await storePlan(trx.db, key, plan) };
  });
}

/** Whether what was asked for then is asked for again: what follows from it stays as it was kept. */
const isSame = (plan: ClassPlan, asked: PlanAsked): boolean =>
  JSON.stringify(only(plan)) === JSON.stringify(only(asked));
const only = ({ day, groupId, template, minutes, leader, helpers, people, blocks }: PlanAsked) => ({
  ...{ day, groupId, template, minutes, leader, helpers, people },
  blocks: blocks.map(({ id, of, more }) => ({ id, of, more })),
});

/** A class with its log, as a screen opens it. */
export async function readClass(
  desk: Desk,
  key: string,
): Promise<
  (KeptClass & { readonly plan: ClassPlan; readonly lines: Awaited<ReturnType<typeof listLines>> }) | undefined
> {
  const found = await findClass(desk.db, key);
  if (!found?.plan) return undefined;
  return { ...found, plan: found.plan, lines: await listLines(desk.db, [key]) };
}

/** The test of a measured fact. */
export const testOfFact = (fact: string): string | undefined => measuredFacts.find((f) => f.id === fact)?.test;
