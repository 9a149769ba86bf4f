import { classTemplates } from '../catalogue/classes';
import { accessories, ladders as shippedLadders } from '../catalogue/ladders';
import { moveOf } from '../catalogue/ladders/moves';
import { posesOf } from '../catalogue/ladders/poses';
import { measuredFacts } from '../catalogue/rules/margins';
import { withAccessories, levelAt } from '../core/level/assign';
import { besideOf } from '../core/level/accessories';
import { needsSpotter } from '../core/level/ownSpotter';
import { isOpen, trainedLevel, type Standing } from '../core/level/standing';
import type { Level } from '../core/level/answer';
import { addDays } from '../core/math/days';
import { shortNames } from '../core/math/names';
import type { ClassBlock } from '../core/shapes/class';
import type { PlanAsked } from '../core/shapes/classPlan';
import { patterns, setPatterns, type Facts, type IsoDate, type Pattern } from '../core/shapes/facts';
import type { Ladder, LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import { afterAway, awayFrom, weeksWithout } from '../core/train/away';
import { oneFreer } from '../core/train/dials';
import { eyeOn, type Eye } from '../core/train/eyes';
import { askedOf, layBlocks } from '../core/train/lay';
import { presentIn } from '../core/train/log';
import { orderTold } from '../core/train/order';
import {
  pastSessions,
  trainedIn,
  type HeldClass,
  type LoadOf,
  type PastSession,
  type TrainedPattern,
} from '../core/train/past';
import {
  doings,
  seatsOf,
  toCarry,
  variantsIn,
  type ClassListed,
  type ClassPlan,
  type PlanShown,
} from '../core/train/plan';
import { shorten, totalS } from '../core/train/shorten';
import type { Trainee } from '../core/train/variant';
import type { PersonView } from '../core/view/personView';
import {
  findClass,
  findClassHeld,
  lastUnplanned,
  listClasses,
  listClassesOf,
  listLines,
  storePlan,
  type KeptClass,
} from '../database/classes';
import { groupsOfPeople, sittingOn } from '../database/groups';
import { listPeople } from '../database/people';
import { planBody } from '../schemas/classPlan';
import { parse, type FieldError } from '../schemas/parse';
import { readTemplates, theBlocks } from './classTemplates';
import { together, type Desk } from './desk';
import { groupsToSeat, readGroups } from './groups';
import { readHelpers } from './helpers';
import { readPlace } from './places';
import { upsFrom } from './proposals';
import { knownPeople } from './readPeople';

/** Classes are read back so far: half a year tells who was away how long, and holds all that is due or rests. */
const readBackDays = (awayFrom.rungDown + 1) * 7;

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
): Promise<{
  readonly rules: LevelRules;
  readonly people: readonly InClass[];
  /** Those they were planned for in the last half year and that are over, oldest first. */
  readonly classes: readonly HeldClass[];
}> {
  const { hall, people } = await knownPeople(desk, ids);
  const classes = await heldClasses(desk, ids, addDays(desk.today(), -readBackDays));
  const unplanned = await lastUnplanned(desk.db, ids);
  const rules = withAccessories(hall.rules.levels);
  return {
    ...{ rules, classes },
    people: people.map(({ view, facts }) => ({
      ...{ view, facts },
      ...traineeOf(view, facts, hall.rules.levels, rules, classes, unplanned.get(view.person.id) ?? null),
    })),
  };
}

function traineeOf(
  view: PersonView,
  facts: Facts,
  four: LevelRules,
  rules: LevelRules,
  classes: readonly HeldClass[],
  unplannedOn: IsoDate | null,
): Pick<InClass, 'trainee' | 'ladders'> {
  const { person, known, standings, levels, decided, lastTestedOn } = view;
  const weeksOn = ({ pattern, inForce }: Standing): number =>
    inForce ? weeksWithout(classes, person.id, pattern, facts, inForce.decidedOn, unplannedOn) : facts.missedWeeks;
  const isAway = (s: Standing): boolean => weeksOn(s) >= four.house.missedWeeks;
  /** In force; eased where they were away, or where the rules give less by now: nobody waits for a yes to do less. */
  const trained = (s: Standing, ladder: Ladder | undefined): Level | null => {
    const { inForce, ceiling, state } = s;
    if (!inForce || !isOpen(ceiling) || state === 'aside') return null;
    if (ladder && isAway(s))
      return afterAway(rules, { ...facts, missedWeeks: weeksOn(s) }, ladder, inForce.level, ceiling);
    return state === 'over' ? ceiling : trainedLevel(s);
  };
  const ladderOf = (pattern: Pattern) => rules.ladders.find((l) => l.pattern === pattern);
  const onFour = standings.map((s) => [s.pattern, trained(s, ladderOf(s.pattern))] as const);
  const beside = levels.refused
    ? []
    : besideOf(four, facts, levels.levels, decided, lastTestedOn)
        .filter((b) => !setPatterns.has(b.ladder.pattern))
        .map(
          (b) =>
            [
              b.ladder.pattern,
              trained(b.standing, b.ladder) ?? (isOpen(b.standing.ceiling) ? b.standing.ceiling : null),
            ] as const,
        );
  const own = new Map<Pattern, Level | null>(levels.refused ? [] : [...onFour, ...beside]);
  const rungOf = ({ pattern, rung }: Pick<Level, 'pattern' | 'rung'>) =>
    ladderOf(pattern)?.rungs.find((r) => r.rung === rung);
  const ladders = rules.ladders.flatMap((ladder) => {
    const level = own.get(ladder.pattern) ?? null;
    return level ? [{ ladder, level }] : [];
  });
  const trainee: Trainee = {
    ...{ id: person.id, name: person.name },
    levelOf: (pattern) => own.get(pattern) ?? null,
    easedBy: (pattern) => {
      const s = standings.find((one) => one.pattern === pattern);
      if (!s?.inForce || !own.get(pattern)) return null;
      return isAway(s) ? 'away' : s.state === 'over' ? 'rules' : null;
    },
    harder: (pattern) => {
      const now = own.get(pattern);
      const s = standings.find((one) => one.pattern === pattern);
      const ceiling = s?.ceiling;
      if (!now || !ceiling || !isOpen(ceiling) || isAway(s)) return null;
      if (ceiling.rung > now.rung) {
        const next = levelAt(rules, facts, pattern, now.rung + 1, null);
        return isOpen(next) ? next : null;
      }
      return ceiling.rung === now.rung ? (oneFreer(now, ceiling)?.level ?? null) : null;
    },
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
  // Only where a joint was worse is it asked which of two went up last.
  const asked = lines.some((l) => l.content.kind === 'next-day' && l.content.worse && l.content.joint !== null);
  const ups = asked ? await upsFrom(desk, kept) : [];
  return kept.flatMap(({ key, day, plan }) =>
    plan
      ? [
          {
            ...{ key, day, people: plan.people, doing: plan.doing },
            ...{ lines: lines.filter((l) => l.key === key), ups: ups.filter((up) => up.key === key) },
          },
        ]
      : [],
  );
}

/** How often somebody was in a class before these. */
export const classesBefore = (
  { view, facts }: Pick<InClass, 'view' | 'facts'>,
  classes: readonly HeldClass[],
): number =>
  Math.max(
    0,
    facts.sessionsLogged - classes.filter((c) => presentIn(c.people, c.lines).includes(view.person.id)).length,
  );

const everyRung = [...shippedLadders, ...accessories];

/** How much a rung asks of a joint, as the ladders say. */
const loadOf: LoadOf = ({ pattern, rung }, joint) => {
  const found = everyRung.find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung)?.loads[joint];
  return found === 'much' ? 2 : found === 'some' ? 1 : 0;
};

export const pastOf = (one: InClass, classes: readonly HeldClass[], pattern: Pattern): PastSession[] =>
  pastSessions(classes, one.view.person.id, pattern, classesBefore(one, classes), loadOf);

/** What everybody does in what was asked for: the whole plan, as it can be run. */
export async function makePlan(desk: Desk, asked: PlanAsked): Promise<PlanShown> {
  const [place, helpers, templates] = [await readPlace(desk), await readHelpers(desk), await readTemplates(desk)];
  const { people, classes } = await peopleInClass(desk, asked.people);
  const whole = layBlocks(asked.blocks, theBlocks);
  const eyes = eyesOf(people, classes, whole);
  const fitted = shorten(whole, asked.minutes, {
    lastTime: patternsOf(classes.at(-1)),
    due: [...new Set(eyes.flatMap((e) => (e.why === 'second' ? [e.pattern] : [])))],
  });
  const laid = fitted.blocks;
  const spotters = helpers.filter((h) => asked.helpers.includes(h.id) && h.may.spot !== null).map((h) => h.name);
  const names = people.map((p) => p.view.person.name);
  const short = shortNames(names);
  const doing = doings(
    laid,
    people.map((p) => p.trainee),
    spotters,
    asked.turned ?? [],
  );
  const plan: ClassPlan = {
    ...asked,
    ...{ title: templates.find((t) => t.id === asked.template)?.title ?? asked.template, place: place.name },
    people: people.map((p) => p.view.person.id),
    who: people.map((p, i) => ({
      id: p.view.person.id,
      name: p.view.person.name,
      short: short[i] ?? p.view.person.name,
    })),
    ...{ laid, doing, eyes, spotters },
  };
  const untested = people.flatMap(({ view: { person, standings, levels }, trainee }) => {
    const why = levels.refused
      ? ('not-today' as const)
      : standings.length === 0
        ? ('not-tested' as const)
        : standings.every((s) => trainee.levelOf(s.pattern) === null)
          ? ('waits' as const)
          : null;
    return why ? [{ id: person.id, name: person.name, why }] : [];
  });
  return {
    order: orderTold({
      ...{ blocks: laid, doing },
      soreKnee: people.some(({ facts }) => facts.limiters.some((l) => l.kind === 'knee-pain' && (l.pain ?? 0) >= 3)),
      frail: people.some(({ facts }) => facts.person.ageYears > 85 || facts.readiness === 'ready-with-care'),
    }),
    ...{ plan, minutesPlanned: totalS(laid) / 60, untested, dropped: fitted.dropped, overMinutes: fitted.overS / 60 },
    carry: toCarry(doing, place.cupboard, posesOf),
    seats: seatsOf(doing, posesOf),
    heldAlready: asked.groupId !== null && (await findClassHeld(desk.db, asked.groupId, asked.day)) !== undefined,
  };
}

const patternsOf = (one: HeldClass | undefined): Pattern[] => [
  ...new Set(
    (one?.doing ?? []).flatMap((b) =>
      b.parts.flatMap((part) => part.flatMap((d) => ('pattern' in d ? [d.pattern] : []))),
    ),
  ),
];

function eyesOf(people: readonly InClass[], classes: readonly HeldClass[], laid: readonly ClassBlock[]): Eye[] {
  const inIt = new Set(laid.flatMap((b) => (b.parts ?? []).map((p) => p.pattern)));
  return people.flatMap((one) =>
    one.ladders.flatMap(({ ladder: { pattern }, level }) => {
      const why = inIt.has(pattern) ? eyeOn(pastOf(one, classes, pattern), level.rung) : null;
      return why ? [{ personId: one.view.person.id, pattern, why }] : [];
    }),
  );
}

const thePlanBody = async (desk: Desk) =>
  planBody(
    (await readTemplates(desk)).map((t) => t.id),
    [...theBlocks.keys()],
  );

export type SaveClass =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps a plan under its key. It may be planned anew until it begins; a day to come is a plan, not a class. */
export async function saveClass(desk: Desk, key: string, sent: unknown): Promise<SaveClass> {
  const parsed = parse(await thePlanBody(desk), sent);
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
    const { plan, overMinutes } = await makePlan(trx, asked);
    if (overMinutes > 0) {
      const message = `this needs ${Math.ceil(overMinutes)} minutes more than there are: take a block out, or another class`;
      return { kind: 'rejected', errors: [{ path: '/minutes', message }] };
    }
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
const only = ({ day, groupId, template, minutes, leader, helpers, people, blocks, turned = [] }: PlanAsked) => ({
  ...{ day, groupId, template, minutes, leader, helpers, people },
  blocks: blocks.map(({ id, of, more }) => ({ id, of, more })),
  turned: turned.map(({ personId, pattern, way }) => ({ personId, pattern, way })),
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

/** Classes with a plan, newest first, and the groups there are. */
export async function readClasses(desk: Desk) {
  const kept = await listClasses(desk.db, 30);
  const begun = new Set(
    (
      await listLines(
        desk.db,
        kept.map((c) => c.key),
      )
    ).map((l) => l.key),
  );
  const classes = kept.flatMap(({ key, day, groupId, closedAt, plan }): ClassListed[] =>
    plan
      ? [
          {
            ...{ key, day, groupId, title: plan.title, people: plan.people.length },
            state: closedAt !== null ? 'closed' : begun.has(key) ? 'running' : 'planned',
          },
        ]
      : [],
  );
  return { classes, groups: await groupsToSeat(desk), today: desk.today() };
}

/** What is proposed for a group before anybody changes it: its people, a class that was not the last one, an hour's part. */
export async function proposeClass(desk: Desk, groupId: string | null): Promise<PlanAsked> {
  const members = await groupsOfPeople(desk.db);
  const there = (await listPeople(desk.db)).filter((p) => !p.archived);
  const sitting = groupId === null ? new Set(await sittingOn(desk.db, desk.today())) : null;
  const people = there
    .filter((p) => (sitting ? sitting.has(p.id) : (members.get(p.id) ?? []).includes(groupId ?? '')))
    .map((p) => p.id);
  const { people: inClass } = await peopleInClass(desk, people);
  const fresh = inClass.filter((p) => p.facts.sessionsLogged < firstClasses).length;
  const last = groupId === null ? [] : await listClasses(desk.db, 1, groupId);
  const usual = classTemplates.filter(
    (t) => t.id !== last[0]?.plan?.template && t.id !== 'first-timers' && t.id !== 'daily-minute',
  );
  const first = fresh * 2 > inClass.length ? 'first-timers' : 'intervals';
  const template =
    classTemplates.find((t) => t.id === first && t.id !== last[0]?.plan?.template) ?? usual[0] ?? classTemplates[0];
  if (!template) throw new RangeError('proposeClass: no class ships');
  return {
    ...{ day: desk.today(), groupId, template: template.id, minutes: Math.ceil(template.minutes / 5) * 5 },
    ...{ leader: '', helpers: [], people: inClass.map((p) => p.view.person.id), blocks: askedOf(template) },
  };
}

/** Classes in which everybody does the rungs of the first sessions. */
const firstClasses = 2;

/** The plan as it would be, for a form that is being changed; `null` where what was sent is none. */
export async function tryPlan(desk: Desk, sent: unknown): Promise<PlanShown | null> {
  const parsed = parse(await thePlanBody(desk), sent);
  return parsed.kind === 'bad' ? null : makePlan(desk, parsed.value);
}

/** Who may come: those of the plan first, then everybody who sits in today. */
export async function peopleToChoose(desk: Desk, people: readonly PersonId[]) {
  const sitting = await sittingOn(desk.db, desk.today());
  const ids = [...new Set([...people, ...sitting])];
  const all = new Map((await listPeople(desk.db)).map((p) => [p.id, p]));
  return ids.flatMap((id) => {
    const found = all.get(id);
    return found && !found.archived ? [{ id, name: found.name }] : [];
  });
}

/** What a screen of a class needs to know of each rung that is done in it, by `S5`. */
export function rungsIn({ doing }: ClassPlan) {
  const all = new Map(variantsIn(doing).map((v) => [`${v.pattern}${v.rung}`, v]));
  const by = <T>(of: (pattern: Pattern, rung: number) => T | undefined): Record<string, T> =>
    Object.fromEntries(
      [...all].flatMap(([code, v]) => {
        const found = of(v.pattern, v.rung);
        return found === undefined ? [] : [[code, found]];
      }),
    );
  return { checks: by((p, r) => moveOf(p, r)?.checks), poses: by(posesOf) };
}

/** The classes of somebody over sixteen weeks, a row a pattern. */
export async function readTraining(desk: Desk, id: PersonId): Promise<TrainedPattern[]> {
  const {
    people: [one],
    classes,
  } = await peopleInClass(desk, [id]);
  return one ? trainedIn(classes, id, patterns, classesBefore(one, classes), loadOf) : [];
}
