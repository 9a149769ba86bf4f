import { supports, type Facts, type Pattern } from '../shapes/facts';
import type { Ladder, LevelRules, Need, Rung } from '../shapes/ladder';
import type { Blocker, Caution, ClosedLadder, Level, LevelsAnswer, Reason } from './answer';
import { printLevelCode } from './code';
import { startingDose } from './dose';
import { limitersInForce, type LimiterInForce } from '../intake/inForce';
import { changesOf, closing, readinessOf } from './limits';
import { checkNeed, readAll, type NeedAnswer, type PlainNeed, type Readings } from './needs';
import { supportBlocks, supportFor, supportWords, type SupportAnswer, type SupportCase } from './support';
import { targetFor } from './target';

/** Everything about one person that every ladder and rung looks at. */
interface Case {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
  readonly askFirst: boolean;
}

/** A rung with all that bears on it. */
interface Judged {
  readonly rung: Rung;
  readonly support: SupportAnswer;
  /** Verdicts on the person's needs of this rung and of every rung under it. */
  readonly person: readonly NeedAnswer[];
  /** All that keeps it closed, each fact once. */
  readonly blocks: readonly Block[];
}

type Block = Omit<Blocker, 'rung'>;

/**
 * Levels for all ladders of the rule set: for each pattern the highest rung whose own needs hold and for which the
 * person's needs of every lower rung hold, with hands, height, load and dose to start with.
 *
 * Same facts and same rules version: same answer, byte for byte.
 * @see rules.house.source for thresholds without a published source
 */
export function assignLevels(rules: LevelRules, facts: Facts): LevelsAnswer {
  const inForce = limitersInForce(rules.limiters, facts.limiters);
  const readiness = readinessOf(facts, inForce);
  if (readiness === 'not-today') {
    const text = 'Not today: nothing is assigned until the reason is looked at by a licensed professional.';
    return {
      rulesVersion: rules.version,
      levels: [],
      closed: [],
      cautions: [],
      refused: { because: 'not-today', text },
    };
  }
  const askFirst = readiness === 'ask-first';
  const one: Case = { rules, facts, readings: readAll(rules, facts), inForce, askFirst };
  const answers = rules.ladders.map((ladder) => levelOn(ladder, one));
  const levels = answers.filter((a) => 'code' in a);
  const closed = answers.filter((a) => !('code' in a));
  return { rulesVersion: rules.version, levels, closed, cautions: cautionsOf(one), refused: null };
}

/** What to mind with somebody, by the same rules as their levels, without working those out; none where nothing is given. */
export function cautionsFor(rules: LevelRules, facts: Facts): Caution[] {
  const inForce = limitersInForce(rules.limiters, facts.limiters);
  const readiness = readinessOf(facts, inForce);
  return readiness === 'not-today' ? [] : cautionsOf({ facts, inForce, askFirst: readiness === 'ask-first' });
}

function levelOn(ladder: Ladder, one: Case): Level | ClosedLadder {
  const { pattern, rungs } = ladder;
  const { rules, facts, readings, inForce } = one;
  const check = checker(pattern, one);
  const judged = rungs.map((_, i) => judge(pattern, rungs.slice(0, i + 1), one, check));
  const open = judged.filter((j) => j.blocks.length === 0);
  const given = capped(pattern, open, one);
  if (!given) return { pattern, blockers: judged.flatMap((j) => blockersOf(pattern, j, one)) };
  const { rung } = given;
  const old = given.support.old || given.person.some((a) => a.holds && a.old);
  const hands = old ? oneDialBack(rung, given.support, rules) : given.support;
  if (hands.support === 'closed') throw new RangeError(`levelOn: ${rung.name} was given with its hands closed`);
  const target = targetFor(pattern, rung, rules, facts, readings, inForce, old ? rules.house.oldRaiseCm : 0);
  const load = loadFor(rung, one, old);
  const dose = startingDose(ladder, rung, rules, readings, holdCapS(one));
  const missing = [target.missing, load.missing].filter((m) => m !== null).join('; ');
  const code = {
    pattern,
    rung: rung.rung,
    heightCm: target.targetCm,
    support: hands.support,
    loadKg: load.kg,
    dose,
  };
  return {
    pattern,
    rung: rung.rung,
    name: rung.name,
    support: code.support,
    supportWords: hands.words,
    targetCm: target.targetCm,
    targetFrom: target.from,
    loadKg: load.kg,
    dose,
    code: printLevelCode(code),
    missing: missing === '' ? null : missing,
    reasons: [...reasonsOf(given.person), ...hands.reasons, ...target.reasons],
    blockers: judged.filter((j) => j.rung.rung > rung.rung).flatMap((j) => blockersOf(pattern, j, one)),
  };
}

/** On an old result: the seat goes up where there is one, else the hands help by one step more. */
function oneDialBack(rung: Rung, given: SupportAnswer, { house }: LevelRules): SupportAnswer {
  if (rung.target || rung.support || given.support === 'closed') return given;
  const support = supports[Math.max(0, supports.indexOf(given.support) - 1)] ?? '2';
  const text = 'tested long ago: one step more support until tested again';
  const reasons = [...given.reasons, { fact: 'support', text, source: house.source.cite }];
  return { ...given, support, words: supportWords[support], reasons };
}

type Check = (need: PlainNeed, rung: number) => NeedAnswer;

/** Each need is looked at once: every rung asks again for those of the rungs under it. */
function checker(pattern: Pattern, { facts, readings }: Case): Check {
  const confirmed = facts.lastConfirmed.find((c) => c.pattern === pattern)?.rung ?? 0;
  const answers = { carried: new Map<Need, NeedAnswer>(), anew: new Map<Need, NeedAnswer>() };
  return (need, rung) => {
    // An old result carries a confirmed level and opens nothing above it.
    const oldCarries = rung <= confirmed;
    const known = oldCarries ? answers.carried : answers.anew;
    const answer = known.get(need) ?? checkNeed(need, oldCarries, facts, readings);
    known.set(need, answer);
    return answer;
  };
}

/** @param upTo the rung to judge, last, and every rung under it */
function judge(pattern: Pattern, upTo: readonly Rung[], one: Case, checkFor: Check): Judged {
  const rung = upTo.at(-1);
  if (!rung) throw new RangeError('judge: a ladder needs at least one rung');
  const { facts, inForce } = one;
  const confirmed = facts.lastConfirmed.find((c) => c.pattern === pattern);
  const hands: SupportCase = { ...one, confirmed };
  // Asked for this rung, not for the lower one.
  const plain = (needs: readonly Need[], kind: Need['kind']) =>
    needs.flatMap((n) => (n.kind !== kind || 'support' in n ? [] : [checkFor(n, rung.rung)]));
  const person = upTo.flatMap((r) => plain(r.needs, 'person'));
  const failed = [...plain(rung.needs, 'place'), ...person].flatMap((a) => (a.holds ? [] : [a.block]));
  const freer = upTo.flatMap((r) =>
    r.needs.flatMap((n) => ('support' in n ? supportBlocks(r, rung.rung, n.support, hands) : [])),
  );
  const closed = rung.support ? [] : supportBlocks(rung, rung.rung, leastFree, hands);
  return {
    rung,
    support: supportFor(rung, rung.rung, hands),
    person,
    blocks: hardest([...closing(inForce, pattern, rung.rung).map(limiterBlock), ...failed, ...freer, ...closed]),
  };
}

/** A rung that asks for no freer hands must only not be closed. */
const leastFree = supports[0];

function limiterBlock({ row, limiter }: LimiterInForce): Block {
  const fact = `limiter:${row.kind}`;
  if (limiter.unasked) {
    const text = `${row.title}: not asked yet, so taken as present; the intake tells`;
    const tag = `${row.title}?`;
    return {
      fact,
      have: 'not asked',
      measured: 'not asked',
      need: 'not present',
      measuredNeeded: 'not present',
      tag,
      text,
    };
  }
  if (row.painAtLeast !== undefined) {
    const need = row.painAtLeast - 1;
    const have = limiter.pain ?? null;
    return {
      fact,
      have,
      measured: have,
      need,
      measuredNeeded: need,
      tag: row.title,
      text: `${row.title}: opens at ${need} of 10 or less`,
    };
  }
  const need = row.untilLifted ? 'limits lifted in writing' : 'not present';
  const text = row.untilLifted ? `${row.title}: opens once limits are lifted in writing` : `${row.title}: stays closed`;
  return { fact, have: 'present', measured: 'present', need, measuredNeeded: need, tag: row.title, text };
}

/** Of several blocks of one fact the hardest says all: the larger need, or for a pain the smaller. */
function hardest(blocks: readonly Block[]): Block[] {
  const byFact = new Map<string, Block>();
  for (const block of blocks) {
    const known = byFact.get(block.fact);
    if (!known || harder(block, known)) byFact.set(block.fact, block);
  }
  return [...byFact.values()];
}

function harder(a: Block, b: Block): boolean {
  if (typeof a.need !== 'number' || typeof b.need !== 'number') return false;
  return a.fact.startsWith('limiter:') ? a.need < b.need : a.need > b.need;
}

/** The rung given out of those that are open: the highest, but for the first classes and for a question that is open. */
function capped(pattern: Pattern, open: readonly Judged[], one: Case): Judged | undefined {
  const { house } = one.rules;
  const top = one.askFirst ? (house.askFirstTop[pattern] ?? 0) : Infinity;
  const allowed = open.filter((j) => j.rung.rung <= top);
  if (!inFirstClasses(one) || one.askFirst) return allowed.at(-1);
  const first = house.firstClassesTop[pattern] ?? Infinity;
  const under = allowed.slice(0, -1).filter((j) => j.rung.rung <= first);
  // Where the one under it is closed nothing is given: a limiter must not lift anybody over the first classes.
  return under.at(-1) ?? allowed.find((j) => j.rung.rung === 1);
}

function inFirstClasses({ facts, rules }: Case): boolean {
  return facts.sessionsLogged < rules.house.firstClasses;
}

/** All that keeps a rung above the given one from being given; the first classes and an open question among it. */
function blockersOf(pattern: Pattern, judged: Judged, one: Case): Blocker[] {
  const { house } = one.rules;
  const { rung } = judged.rung;
  const blocks = [...judged.blocks];
  if (one.askFirst && rung > (house.askFirstTop[pattern] ?? 0)) blocks.push(...askFirstBlocks(one));
  if (inFirstClasses(one)) {
    const { firstClasses } = house;
    const text = judged.blocks.length === 0 ? 'open: after the first two classes' : 'and the first two classes';
    const have = one.facts.sessionsLogged;
    blocks.push({
      fact: 'sessionsLogged',
      have,
      measured: have,
      need: firstClasses,
      measuredNeeded: firstClasses,
      tag: 'after two classes',
      text,
    });
  }
  return blocks.map((block) => ({ rung, ...block }));
}

/** The question that is open, and each limiter that waits for a release. */
function askFirstBlocks({ facts, inForce }: Case): Block[] {
  const waiting = hardest(changesOf(inForce, 'ask-first').map(limiterBlock));
  if (facts.readiness !== 'ask-first') return waiting;
  const have = facts.readiness;
  const text = 'a licensed professional is asked first';
  return [
    { fact: 'readiness', have, measured: have, need: 'ready', measuredNeeded: 'ready', tag: 'ask first', text },
    ...waiting,
  ];
}

/** The lightest in the kit, at most a twentieth of body mass; none in the first classes or on an old result. */
function loadFor(rung: Rung, one: Case, old: boolean): { kg: number | null; missing: string | null } {
  if (!rung.load || old || inFirstClasses(one) || one.askFirst) return { kg: null, missing: null };
  const { massKg } = one.facts.person;
  if (massKg === null) return { kg: null, missing: 'body mass, to know how light the first weight must be' };
  const most = Math.floor(one.rules.house.loadShareOfMass * massKg * 10) / 10;
  const lightest = Math.min(...one.facts.kit.weightsKg);
  return lightest <= most ? { kg: lightest, missing: null } : { kg: null, missing: `a weight of at most ${most} kg` };
}

function holdCapS(one: Case): number {
  const caps = changesOf(one.inForce, 'hold-cap').map(({ change }) => change.seconds);
  return Math.min(Infinity, ...caps, ...(one.askFirst ? [one.rules.house.askFirstHoldS] : []));
}

/** The facts behind the given rung and those under it, each said once, at the highest it was asked for. */
function reasonsOf(person: readonly NeedAnswer[]): Reason[] {
  const byFact = new Map<string, Reason>();
  for (const answer of person) if (answer.holds) byFact.set(answer.reason.fact, answer.reason);
  return [...byFact.values()];
}

function cautionsOf({ facts, inForce, askFirst }: Pick<Case, 'facts' | 'inForce' | 'askFirst'>): Caution[] {
  const asked = inForce.filter((l) => !l.limiter.unasked);
  const cautions: Caution[] = asked.map(({ row }) => ({ id: row.kind, text: row.says }));
  if (inForce.some((l) => l.limiter.unasked))
    cautions.push({
      id: 'to-complete',
      text: 'Part of the intake is not asked yet: what it would close stays closed until it is.',
    });
  if (askFirst)
    cautions.push({ id: 'ask-first', text: 'A licensed professional is asked first; seated work may go on.' });
  if (facts.readiness === 'ready-with-care' || facts.falls12m >= 2 || facts.injuredInFall)
    cautions.push({ id: 'ready-with-care', text: 'Ready with care: an own spotter within arm’s reach.' });
  cautions.push({
    id: 'chair',
    text: 'Chair with its back to the wall; nothing that can slide or tip. This is fitness instruction, not treatment: licensed professionals and local rules come first.',
  });
  return cautions;
}
