import { daysBetween } from '../math/days';
import { upsetSince } from './cautious';
import {
  setPatterns,
  supports,
  type AskFirstKind,
  type Facts,
  type Pattern,
  type RungShown,
  type Support,
} from '../shapes/facts';
import type { Ladder, LevelRules, Need, Rung } from '../shapes/ladder';
import type { Blocker, Caution, ClosedLadder, Dial, Level, LevelsAnswer, Reason } from './answer';
import { hardest, limiterBlock, type Block } from './blocks';
import { printLevelCode } from './code';
import type { DoseCaps } from '../shapes/dose';
import { halved, startingDose } from './dose';
import { aidWords } from './hover';
import { limitersInForce, type LimiterInForce } from '../intake/inForce';
import { askFirstKindOf, changesOf, closing, closingOwn, readinessOf } from './limits';
import { checkNeed, readAll, type Carried, type NeedAnswer, type PlainNeed, type Readings } from './needs';
import {
  askedOf,
  back1,
  freerOf,
  lessFree,
  supportBlocks,
  supportFor,
  supportWords,
  type SupportAnswer,
  type SupportCase,
} from './support';
import { seatHeights } from './seat';
import { sidesOn } from './sides';
import { withinAt } from './within';
import { highestSeat, targetFor, walksWithWalker, type TargetAnswer } from './target';

/** Everything about one person that every ladder and rung looks at. */
interface Case {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
  /** Why somebody is asked first; `null` where nobody is. */
  readonly askFirst: AskFirstKind | null;
}

/** A rung with all that bears on it. */
interface Judged {
  readonly rung: Rung;
  readonly support: SupportAnswer;
  /** Done sitting. */
  readonly seated: boolean;
  /** Verdicts on the person's needs of this rung and of every rung under it. */
  readonly person: readonly NeedAnswer[];
  /** Verdicts on what the hall has for this rung. */
  readonly place: readonly NeedAnswer[];
  /** Worked out for the rung that is given, and for each that the body may keep closed. */
  readonly target: () => TargetAnswer;
  /** All that keeps it closed, each fact once. */
  readonly blocks: readonly Block[];
}

/**
 * Levels for all ladders of the rule set: for each pattern the highest rung whose own needs hold and for which the
 * person's needs of every lower rung hold, with hands, height, load and dose to start with.
 *
 * Same facts and same rules version: same answer, byte for byte.
 * @see rules.house.source for thresholds without a published source
 */
export function assignLevels(rules: LevelRules, given: Facts): LevelsAnswer {
  const one = caseOf(rules, given);
  if (!one) {
    const text = 'Not today: nothing is assigned until the reason is looked at by a licensed professional.';
    return {
      rulesVersion: rules.version,
      levels: [],
      closed: [],
      cautions: [],
      refused: { because: 'not-today', text },
    };
  }
  const answers = rules.ladders.flatMap(itemsOf).map((ladder) => levelOn(ladder, ofItem(ladder, one)));
  const levels = answers.filter((a) => 'code' in a);
  const closed = mergedSets(answers.filter((a) => !('code' in a)));
  return { rulesVersion: rules.version, levels, closed, cautions: cautionsOf(one), refused: null };
}

/** Of a set what is closed is one answer: each item is told of by its number. */
function mergedSets(closed: readonly ClosedLadder[]): ClosedLadder[] {
  const byPattern = new Map<Pattern, ClosedLadder>();
  for (const { pattern, blockers } of closed)
    byPattern.set(pattern, { pattern, blockers: [...(byPattern.get(pattern)?.blockers ?? []), ...blockers] });
  return [...byPattern.values()];
}

/** The rules with the four ladders and all beside them, for whoever asks about one of them. */
export const withAccessories = (rules: LevelRules): LevelRules => ({
  ...rules,
  ladders: [...rules.ladders, ...rules.accessories],
});

/** A ladder as it is judged: of a set each item by itself, as none stands above another. */
export const itemsOf = (ladder: Ladder): Ladder[] =>
  setPatterns.has(ladder.pattern) ? ladder.rungs.map((rung) => ({ ...ladder, rungs: [rung] })) : [ladder];

/** Of a set only what was said of the item. */
function ofItem({ pattern, rungs }: Ladder, one: Case): Case {
  if (!setPatterns.has(pattern)) return one;
  const own = (said: { readonly pattern: Pattern; readonly rung: number }): boolean =>
    said.pattern !== pattern || rungs.some((r) => r.rung === said.rung);
  const { lastConfirmed, setByHand } = one.facts;
  return {
    ...one,
    facts: { ...one.facts, lastConfirmed: lastConfirmed.filter(own), setByHand: setByHand.filter(own) },
  };
}

/** `null` where nothing may be done today. */
function caseOf(rules: LevelRules, given: Facts): Case | null {
  const still = (s: RungShown): boolean => stillShown(s, given, rules);
  const facts = { ...given, shown: given.shown.filter(still), held: given.held.filter(still) };
  const inForce = limitersInForce(rules.limiters, facts.limiters, facts.testedOn);
  if (readinessOf(facts, inForce) === 'not-today') return null;
  return { rules, facts, readings: readAll(rules, facts, inForce), inForce, askFirst: askFirstKindOf(facts, inForce) };
}

/**
 * The level on one rung, for whoever sets it by hand: that rung where it may be done, else what keeps it closed.
 * @param reason of a rung above what the rules give: it stands in for what fell short, never for a limiter, for the floor
 * transfer, for balance or for the hall
 */
export function levelAt(
  rules: LevelRules,
  facts: Facts,
  pattern: Pattern,
  rung: number,
  reason: string | null,
): Level | ClosedLadder {
  const others = facts.setByHand.filter((s) => s.pattern !== pattern);
  const setByHand = reason === null ? facts.setByHand : [...others, { pattern, rung, reason }];
  const one = caseOf(rules, { ...facts, setByHand });
  const ladder = rules.ladders
    .flatMap(itemsOf)
    .find((l) => l.pattern === pattern && l.rungs.some((r) => r.rung === rung));
  if (!one || !ladder) return { pattern, blockers: [] };
  const judged = judgedOn(ladder, one);
  const at = judged.find((j) => j.rung.rung === rung);
  const top = askFirstTop(pattern, one);
  if (at && at.blocks.length === 0 && rung <= top) return levelFrom(ladder, at, judged, one);
  return { pattern, blockers: at ? blockersOf(pattern, at, one) : [] };
}

/**
 * The level on a movement of the hall's own: judged as the rung it stands beside, after all the person's needs under it, or
 * alone in a set; nobody's word stands in for what it asks.
 * @param rung built from it, see `ownRung`
 */
export function levelBeside(rules: LevelRules, facts: Facts, pattern: Pattern, rung: Rung): Level | ClosedLadder {
  const found = rules.ladders.find((l) => l.pattern === pattern);
  if (!found) return { pattern, blockers: [] };
  const under = setPatterns.has(pattern) ? [] : found.rungs.filter((r) => r.rung < rung.rung);
  const ladder = { ...found, rungs: [...under, rung] };
  const plain = { ...facts, setByHand: facts.setByHand.filter((s) => s.pattern !== pattern) };
  const one = caseOf({ ...rules, ladders: [ladder] }, plain);
  if (!one) return { pattern, blockers: [] };
  const judged = judgedOn(ladder, one);
  const at = judged.at(-1);
  if (at && at.blocks.length === 0 && rung.rung <= askFirstTop(pattern, one)) return levelFrom(ladder, at, judged, one);
  return { pattern, blockers: at ? blockersOf(pattern, at, one) : [] };
}

/** What was seen in classes lapses as a test does, and with whatever makes a test no longer true. */
function stillShown({ on }: RungShown, facts: Facts, { house }: LevelRules): boolean {
  if (on === undefined) return true;
  return daysBetween(on, facts.testedOn) <= house.oldAfterDays && !upsetSince(facts, on);
}

/** What to mind with somebody, by the same rules as their levels, without working those out; none where nothing is given. */
export function cautionsFor(rules: LevelRules, facts: Facts): Caution[] {
  const inForce = limitersInForce(rules.limiters, facts.limiters, facts.testedOn);
  const readiness = readinessOf(facts, inForce);
  return readiness === 'not-today' ? [] : cautionsOf({ facts, inForce, askFirst: askFirstKindOf(facts, inForce) });
}

function judgedOn({ pattern, rungs }: Ladder, one: Case): Judged[] {
  const checks = { need: checker(pattern, one), hands: handsChecker(pattern, one) };
  return rungs.map((_, i) => judge(pattern, rungs.slice(0, i + 1), one, checks));
}

function levelOn(ladder: Ladder, one: Case): Level | ClosedLadder {
  const { pattern } = ladder;
  const judged = judgedOn(ladder, one);
  const word = one.facts.setByHand.find((w) => w.pattern === pattern);
  // A word that does not open its own rung opens none under it either.
  if (word && judged.some((j) => j.rung.rung === word.rung && j.blocks.length > 0))
    return levelOn(ladder, {
      ...one,
      facts: { ...one.facts, setByHand: one.facts.setByHand.filter((w) => w !== word) },
    });
  const open = judged.filter((j) => j.blocks.length === 0);
  const best = capped(pattern, open, one);
  if (!best) return { pattern, blockers: judged.flatMap((j) => blockersOf(pattern, j, one)) };
  const missed = one.facts.missedWeeks >= one.rules.house.missedWeeks;
  const lower = open.findLast((j) => j.rung.rung < best.rung.rung);
  // On the floor, where neither seat nor hands can be a step easier, weeks missed cost the rung.
  const given = missed && best.rung.floor && !carriedBy(best) && lower ? lower : best;
  return levelFrom(ladder, given, judged, one);
}

/** A level on the rung that is given, with what keeps every rung above it. */
function levelFrom(ladder: Ladder, given: Judged, judged: readonly Judged[], one: Case): Level {
  const { pattern } = ladder;
  const missed = one.facts.missedWeeks >= one.rules.house.missedWeeks;
  const carried = carriedBy(given) || (missed && 'missed');
  const dialled = carried ? oneDialBack(ladder, given, carried, one) : asItIs(ladder, given, one);
  const { hands, target, dial } = dialled;
  const dose = missed && dial !== 'dose' ? halved(dialled.dose) : dialled.dose;
  const { rung } = given;
  if (hands.support === 'closed') throw new RangeError(`levelOn: ${rung.name} was given with its hands closed`);
  const load = loadFor(pattern, rung, hands.support, one, carried !== false);
  const missing = [target.missing, load.missing].filter((m) => m !== null).join('; ');
  const form = formOf(given, one);
  const caps = doseCaps(pattern, one);
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
    name: (form === 'seated' ? rung.seatedUnless : form === 'mark' ? rung.slides?.mark : rung)?.name ?? rung.name,
    support: code.support,
    supportWords: (form === 'seated' ? rung.seatedUnless?.words : undefined) ?? hands.words,
    targetCm: target.targetCm,
    targetFrom: target.from,
    wishCm: target.wishCm,
    firmStepCm: target.firmStepCm,
    form,
    doneSo: [...doneSo(pattern, rung, one), ...(target.aid === 'wedge' ? [aidWords(one.rules.house.hover).wedge] : [])],
    sides: sidesOn(pattern, rung, one),
    dial,
    ...withinAt(rung, 0),
    loadKg: load.kg,
    ...(rung.carries && load.kg !== null ? { carried: rung.carries.how } : {}),
    dose,
    ...(Object.keys(caps).length > 0 ? { doseCaps: caps } : {}),
    code: printLevelCode(code),
    missing: missing === '' ? null : missing,
    reasons: [...reasonsOf([...given.person, ...given.place]), ...hands.reasons, ...target.reasons()],
    blockers: judged.filter((j) => j.rung.rung > rung.rung).flatMap((j) => blockersOf(pattern, j, one)),
  };
}

/** How a rung that has two forms is done. */
function formOf({ rung, seated }: Judged, one: Case): Level['form'] {
  if (rung.slides) return mayGlide(one) ? 'slide' : 'mark';
  return rung.seatedUnless ? (seated ? 'seated' : 'standing') : null;
}

/** A foot slides only on a floor that lets it, and only where nothing forbids it. */
const mayGlide = ({ facts, inForce }: Case): boolean =>
  facts.floorSlides && changesOf(inForce, 'no-slide').length === 0;

/** How limiters have a rung done, each once. */
function doneSo(pattern: Pattern, rung: Rung, { facts, inForce }: Case): string[] {
  const words = changesOf(inForce, 'done-so').flatMap(({ change }) =>
    change.pattern === pattern && change.rungs[0] <= rung.rung && rung.rung <= change.rungs[1] ? [change.words] : [],
  );
  const { withWalker } = rung;
  return [...new Set([...(withWalker !== undefined && walksWithWalker(facts) ? [withWalker] : []), ...words])];
}

/** What old results carry of a rung that is given; half a year outweighs sixteen weeks. */
function carriedBy({ support, person }: Judged): Carried {
  const all = [support.old, ...person.map((a) => (a.holds ? a.old : false))];
  return (['half-year', 'old'] as const).find((c) => all.includes(c)) ?? false;
}

interface Dialled {
  readonly hands: SupportAnswer;
  readonly target: TargetAnswer;
  readonly dose: Level['dose'];
  readonly dial: Dial | null;
}

function asItIs(ladder: Ladder, judged: Judged, one: Case): Dialled {
  const { rung, support } = judged;
  const target = judged.target();
  return {
    hands: handsOnRail(handsByWord(ladder.pattern, rung, support, one), target, one),
    target,
    dose: startingDose(ladder, rung, one.rules, one.readings, one.facts, doseCaps(ladder.pattern, one)),
    dial: null,
  };
}

/** Where only a pull on a fixed rail holds somebody over the seat, both hands are on it. */
function handsOnRail(hands: SupportAnswer, { aid }: TargetAnswer, { rules: { house } }: Case): SupportAnswer {
  if (aid !== 'rail' || hands.support === 'closed') return hands;
  const words = aidWords(house.hover).rail;
  const reason = { fact: 'support', text: `hands: ${words}, for stiff ankles`, source: house.source.cite };
  return { ...hands, support: leastFree, words, reasons: [...hands.reasons, reason] };
}

/** On a rung that was set by hand the hands are no freer than was said with it. */
function handsByWord(pattern: Pattern, rung: Rung, hands: SupportAnswer, { rules, facts }: Case): SupportAnswer {
  const word = facts.setByHand.find((s) => s.pattern === pattern && s.rung === rung.rung);
  if (!word) return hands;
  const reason = { fact: 'setByHand', text: `set by hand: ${word.reason}`, source: rules.house.source.cite };
  const reasons = [...hands.reasons, reason];
  if (!word.support || rung.support || hands.support === 'closed') return { ...hands, reasons };
  const support = freerOf(lessFree(hands.support, word.support), askedOf(rung));
  return { ...hands, support, words: supportWords[support], reasons };
}

/**
 * Carried by an old result a level is a step easier, and the hands no freer than confirmed: the first of a higher seat,
 * one step more support, on the floor the rung under it, half the dose. Of half a year it is the rung under the
 * confirmed one, on the floor a second one down, with one step more support.
 */
function oneDialBack(ladder: Ladder, given: Judged, carried: Exclude<Carried, false> | 'missed', one: Case): Dialled {
  const { house } = one.rules;
  const confirmed = one.facts.lastConfirmed.find((c) => c.pattern === ladder.pattern);
  const start = asItIs(ladder, given, one);
  const { rung } = given;
  const kept = (hands: SupportAnswer): SupportAnswer => {
    if (carried === 'missed' || hands.support === 'closed' || rung.support || !confirmed) return hands;
    const support = lessFree(hands.support, confirmed.support);
    return support === hands.support ? hands : { ...hands, support, words: supportWords[support] };
  };
  const hands = kept(start.hands);
  const [why, until] =
    carried === 'missed' ? ['some weeks missed', 'for two classes'] : ['tested long ago', 'until tested again'];
  const said = (text: string): Reason => ({ fact: 'dial', text, source: house.source.cite });
  const more = hands.support === 'closed' || rung.support ? null : back1(hands.support, askedOf(rung));
  const helped = (text: string): SupportAnswer =>
    more === null
      ? hands
      : { ...hands, support: more, words: supportWords[more], reasons: [...hands.reasons, said(text)] };
  if (carried === 'half-year')
    return {
      ...start,
      hands: helped('tested over half a year ago: test before the third class'),
      dial: 'half-year',
    };
  const higher = nextSeat(rung, start.target, one);
  if (higher)
    return {
      ...start,
      hands,
      target: {
        ...start.target,
        targetCm: higher.heightCm,
        from: higher.from,
        reasons: () => [...start.target.reasons(), said(`${why}: ${higher.heightCm} cm ${until}`)],
      },
      dial: 'seat',
    };
  if (more !== null && more !== hands.support)
    return { ...start, hands: helped(`${why}: one step more support ${until}`), dial: 'support' };
  if (rung.floor) {
    const reasons = [...hands.reasons, said(`${why}: one rung lower ${until}`)];
    return { ...start, hands: { ...hands, reasons }, dial: 'rung' };
  }
  const reasons = [...hands.reasons, said(`${why}: half the dose ${until}`)];
  return { ...start, hands: { ...hands, reasons }, dose: halved(start.dose), dial: 'dose' };
}

/** The next seat of the kit at least so much higher, of the rungs that go by a seat and have a chair behind. */
function nextSeat(rung: Rung, target: TargetAnswer, { rules, facts }: Case) {
  const { targetCm, missing } = target;
  if (!rung.chairBehind || targetCm === null || missing !== null) return null;
  const highest = highestSeat(facts, rules);
  return (
    seatHeights(facts.kit).find((s) => s.heightCm >= targetCm + rules.house.oldRaiseCm && s.heightCm <= highest) ?? null
  );
}

/** What is asked of every rung again for each rung above it, and worked out once. */
interface Checks {
  /** @param rung that is judged, this one or one above it */
  readonly need: (need: PlainNeed, rung: Rung) => NeedAnswer;
  readonly hands: (of: Rung, wanted: Support, rung: Rung) => readonly Block[];
}

/** What old results of balance carry is the same for all rungs under, on and over the one confirmed. */
function handsChecker(pattern: Pattern, one: Case): Checks['hands'] {
  const confirmed = one.facts.lastConfirmed.find((c) => c.pattern === pattern);
  const known = new Map<Rung, Map<string, readonly Block[]>>();
  return (of, wanted, { rung }) => {
    const key = `${wanted}${confirmed ? Math.sign(rung - confirmed.rung) : 1}`;
    const ofRung = known.get(of) ?? new Map<string, readonly Block[]>();
    const blocks = ofRung.get(key) ?? supportBlocks(of, rung, wanted, { ...one, confirmed });
    known.set(of, ofRung.set(key, blocks));
    return blocks;
  };
}

function checker(pattern: Pattern, { facts, readings }: Case): Checks['need'] {
  const confirmed = facts.lastConfirmed.find((c) => c.pattern === pattern)?.rung ?? 0;
  const byHand = facts.setByHand.find((s) => s.pattern === pattern)?.rung ?? 0;
  const answers = [0, 1, 2, 3, 4, 5].map(() => new Map<Need, NeedAnswer>());
  return (need, rung) => {
    // An old result carries a confirmed level and opens nothing above it; one of half a year what lies under it. On the
    // floor, where neither seat nor hands can be a step easier, both carry one rung less.
    const top = confirmed - (rung.floor ? 1 : 0);
    const carries = { old: rung.rung <= top, halfYear: rung.rung < top, byHand: rung.rung <= byHand };
    const known = answers[Number(carries.old) + Number(carries.halfYear) + 3 * Number(carries.byHand)];
    const answer = known?.get(need) ?? checkNeed(need, carries, facts, readings);
    known?.set(need, answer);
    return answer;
  };
}

/** @param upTo the rung to judge, last, and every rung under it */
function judge(pattern: Pattern, upTo: readonly Rung[], one: Case, checks: Checks): Judged {
  const rung = upTo.at(-1);
  if (!rung) throw new RangeError('judge: a ladder needs at least one rung');
  const { facts, inForce } = one;
  const confirmed = facts.lastConfirmed.find((c) => c.pattern === pattern);
  const hands: SupportCase = { ...one, confirmed };
  // Asked for this rung, not for the lower one.
  const plain = (needs: readonly Need[], kind: Need['kind']) =>
    needs.flatMap((n) => (n.kind !== kind || 'support' in n ? [] : [checks.need(n, rung)]));
  const person = upTo.flatMap((r) => plain(r.needs, 'person'));
  const place = plain(rung.needs, 'place');
  const failed = [...place, ...person].flatMap((a) => (a.holds ? [] : [a.block, ...(a.also ?? [])]));
  // Freer hands than balance gives close the rung that asks for them and every harder one that stands no steadier.
  const freer = upTo.flatMap((r) =>
    r === rung || (standsNoSteadier(rung, r) && rung.freest !== '2')
      ? r.needs.flatMap((n) => ('support' in n ? checks.hands(r, n.support, rung) : []))
      : [],
  );
  const closed = checks.hands(rung, leastFree, rung);
  const target = once(() => targetFor(pattern, rung, one));
  const hovers = rung.target && 'hovers' in rung.target;
  return {
    rung,
    support: supportFor(rung, rung.rung, hands),
    seated: isSeated(rung, one, (need) => checks.need(need, rung)),
    person,
    place,
    target,
    blocks: hardest([
      ...closing(inForce, pattern, rung.rung).map(limiterBlock),
      ...closingOwn(inForce, rung),
      ...failed,
      ...freer,
      ...closed,
      ...(hovers ? target().blocks : []),
    ]),
  };
}

/** Standing only for what is tested, and for nobody who waits for an answer. */
function isSeated({ seatedUnless }: Rung, { askFirst, facts }: Case, check: (need: PlainNeed) => NeedAnswer): boolean {
  if (!seatedUnless) return false;
  if (askFirst && !facts.lightWhileAsking) return true;
  const answers = seatedUnless.needs.flatMap((n) => ('support' in n ? [] : [check(n)]));
  return answers.some((a) => !a.holds || a.old !== false);
}

function once<T>(work: () => T): () => T {
  let done: { readonly is: T } | null = null;
  return () => (done ??= { is: work() }).is;
}

/** A rung that asks for no freer hands must only not be closed. */
const leastFree = supports[0];

const steadiness: readonly Rung['stance'][] = ['one-leg', 'split', 'two-foot'];
const standsNoSteadier = (rung: Rung, than: Rung): boolean =>
  steadiness.includes(rung.stance) && steadiness.indexOf(rung.stance) <= steadiness.indexOf(than.stance);

/** The highest rung that may go on while somebody is asked first; every one where nobody is. */
function askFirstTop(pattern: Pattern, { rules: { house }, facts, askFirst }: Case): number {
  if (!askFirst) return Infinity;
  const light = askFirst === 'disease' && facts.lightWhileAsking;
  return (light ? house.lightTop : house.askFirstTop[askFirst])[pattern] ?? 0;
}

/**
 * The rung given out of those that are open: the highest, but for the first classes and for a question that is open. A
 * rung set by hand is not held back by the first classes.
 */
function capped(pattern: Pattern, open: readonly Judged[], one: Case): Judged | undefined {
  const top = askFirstTop(pattern, one);
  const onLine = hasFirstLine(pattern) && atFirstLine(one) && !(one.askFirst && !one.facts.lightWhileAsking);
  const lined = onLine ? firstLine(pattern, open, one)?.rung.rung : Infinity;
  const byHand = one.facts.setByHand.find((s) => s.pattern === pattern)?.rung ?? 0;
  return open.findLast(({ rung: { rung } }) => rung <= top && (rung <= (lined ?? 0) || rung === byHand));
}

/** One rung under the highest open, and no higher than the house says. */
function firstLine(pattern: Pattern, open: readonly Judged[], { rules: { house } }: Case): Judged | undefined {
  const first = house.firstClassesTop[pattern] ?? Infinity;
  const under = open.slice(0, -1).filter((j) => j.rung.rung <= first);
  // Where the one under it is closed nothing is given: a limiter must not lift anybody over the first classes.
  const lower = under.at(-1) ?? open.find((j) => j.rung.rung === 1);
  // Nobody who rises is put back onto the seat, nor off the raised surface.
  const least = house.firstClassesLeast[pattern] ?? 1;
  return lower && lower.rung.rung < least ? (open.find((j) => j.rung.rung === least) ?? lower) : lower;
}

/** Of a set nothing stands under an item. */
const hasFirstLine = (pattern: Pattern): boolean => !setPatterns.has(pattern);

function inFirstClasses({ facts, rules }: Case): boolean {
  return facts.sessionsLogged < rules.house.firstClasses;
}

/** The line of the first classes stays without a task followed and free arms, and while light work goes on. */
const atFirstLine = (one: Case): boolean =>
  inFirstClasses(one) ||
  !one.facts.followsTask ||
  !one.facts.armsFree ||
  (one.askFirst !== null && one.facts.lightWhileAsking);

/** All that keeps a rung above the given one from being given; the first classes and an open question among it. */
function blockersOf(pattern: Pattern, judged: Judged, one: Case): Blocker[] {
  const { house } = one.rules;
  const { rung } = judged.rung;
  const blocks = [...judged.blocks];
  if (one.askFirst && (one.facts.lightWhileAsking || rung > askFirstTop(pattern, one)))
    blocks.push(...askFirstBlocks(one));
  const { missedWeeks } = one.facts;
  if (missedWeeks >= house.missedWeeks) blocks.push(missedBlock(missedWeeks, house.missedWeeks - 1));
  if (!hasFirstLine(pattern)) return blocks.map((block) => ({ rung, ...block }));
  if (!one.facts.followsTask) blocks.push(yesBlock('followsTask', 'follows a shown task'));
  if (!one.facts.armsFree) blocks.push(yesBlock('armsFree', 'both arms free to hold on'));
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

const missedBlock = (have: number, most: number): Block => ({
  ...{ fact: 'missedWeeks', have, measured: have, need: most, measuredNeeded: most },
  ...{ text: `${have} weeks without a class: one step easier for two classes`, tag: 'weeks missed' },
});

const yesBlock = (fact: string, what: string): Block => ({
  ...{ fact, have: false, measured: false, need: true, measuredNeeded: true },
  ...{ text: `${what}: not so; as in the first two classes until it is`, tag: what },
});

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

/**
 * The heaviest in the kit that is at most a twentieth of body mass and 4 kg, on the weighted squat, or on the seat tap of
 * somebody strong; what classes brought on a rung that carries one. None in the first classes, on an old result, or where
 * anything forbids a weight.
 */
function loadFor(
  pattern: Pattern,
  rung: Rung,
  hands: Support,
  one: Case,
  old: boolean,
): { kg: number | null; missing: string | null } {
  const nothing = { kg: null, missing: null };
  if (!mayLoad(pattern, rung, hands, one, old)) return nothing;
  const most = mostLoadKg(rung, one);
  const missing = (what: string) => (rung.load ? { kg: null, missing: what } : nothing);
  if (most === null) return missing('body mass, to know how light the first weight must be');
  const before = one.facts.lastConfirmed.find((l) => l.pattern === pattern && l.rung === rung.rung)?.kg ?? 0;
  const kg = loadsUpTo(most, rung, one.facts).findLast((load) => !rung.carries || load <= before);
  return kg === undefined ? missing(`a weight of at most ${most} kg`) : { kg, missing: null };
}

/** Whether a rung carries a weight for somebody at all. */
function mayLoad(
  pattern: Pattern,
  { load, loadsFrom, carries }: Rung,
  hands: Support,
  one: Case,
  old: boolean,
): boolean {
  if (old || atFirstLine(one) || one.askFirst) return false;
  if (load) return true;
  const { facts, inForce, readings } = one;
  const free = hands === 'h' || hands === '0';
  const sore = (kind: string, most: number) => facts.limiters.some((l) => l.kind === kind && (l.pain ?? 10) > most);
  if (carries) {
    const { unlessCloses, painMost } = carries;
    const closed = closing(inForce, unlessCloses.pattern, unlessCloses.rung).length > 0;
    return free && !closed && !(painMost && sore(painMost.kind, painMost.pain));
  }
  if (loadsFrom === undefined) return false;
  const { tap } = one.rules.house.load;
  const clean = readings.get('cleanStands')?.reading;
  const strong = clean?.state === 'fresh' && clean.cautious >= tap.stands;
  const forbidden = closing(inForce, pattern, loadsFrom).length > 0;
  return (
    strong && free && !sore('knee-pain', tap.kneePainMost) && !forbidden && facts.sessionsLogged >= tap.fromClasses
  );
}

/** In kg, to a tenth; `null` where body mass is not known. */
function mostLoadKg({ carries }: Rung, { facts: { person }, rules: { house } }: Case): number | null {
  const { shareOfMass, mostKg } = house.load;
  if (person.massKg === null) return null;
  return Math.min(mostKg, carries?.mostKg ?? mostKg, Math.floor(shareOfMass * person.massKg * 10) / 10);
}

/** What the hall has to carry, lightest first; in each hand only two that weigh the same. */
function loadsUpTo(mostKg: number, { carries }: Rung, { kit }: Pick<Facts, 'kit'>): number[] {
  const each = kit.weightsKg.map((kg) => Math.floor(kg * 10 + 1e-9) / 10);
  const all =
    carries?.how === 'each-hand'
      ? each.filter((kg, i) => each.indexOf(kg) !== i).map((kg) => Math.round(2 * kg * 10) / 10)
      : each;
  return [...new Set(all)].filter((kg) => kg <= mostKg).sort((a, b) => a - b);
}

/** The weights that somebody may carry on a rung as it is given, lightest first; in kg. */
export function loadsOn(rules: LevelRules, facts: Facts, level: Level): number[] {
  const one = caseOf(rules, facts);
  const rung = rules.ladders.find((l) => l.pattern === level.pattern)?.rungs.find((r) => r.rung === level.rung);
  if (!one || !rung || !mayLoad(level.pattern, rung, level.support, one, level.dial != null)) return [];
  const most = mostLoadKg(rung, one);
  return most === null ? [] : loadsUpTo(most, rung, facts);
}

/** The least of all that caps a dose; nothing where nothing does. */
function doseCaps(pattern: Pattern, { inForce, askFirst, rules }: Case): DoseCaps {
  const reps = changesOf(inForce, 'reps-cap').flatMap(({ change }) => (change.pattern === pattern ? change.reps : []));
  const holds = [
    ...changesOf(inForce, 'hold-cap').map(({ change }) => change.seconds),
    ...(askFirst ? [rules.house.askFirstHoldS] : []),
  ];
  return {
    ...(holds.length > 0 ? { holdS: Math.min(...holds) } : {}),
    ...(reps.length > 0 ? { reps: Math.min(...reps) } : {}),
  };
}

/** The facts behind the given rung and those under it, each said once, at the highest it was asked for. */
function reasonsOf(person: readonly NeedAnswer[]): Reason[] {
  const byFact = new Map<string, Reason>();
  for (const answer of person) if (answer.holds) byFact.set(answer.reason.fact, answer.reason);
  return [...byFact.values()];
}

const askFirstWords: Readonly<Record<AskFirstKind, string>> = {
  symptoms: 'A licensed professional is asked first: nothing until it is answered.',
  operation: 'A licensed professional is asked first: only the seated squeeze and ankles, no pushing with the arms.',
  disease: 'A licensed professional is asked first: only light seated work, holds of 10 s at most.',
};

/** The largest first: what hands and seat do, then a blood thinner, then the rest. */
function weightOf({ row: { kind, changes } }: LimiterInForce): number {
  const handsOrSeat = changes.some(({ change }) => /^(seat|support)-/.test(change) || change === 'no-slide');
  return handsOrSeat ? 0 : kind === 'blood-thinner' ? 1 : 2;
}

/** What to mind, the largest first; that of everybody is the last. */
function cautionsOf({ facts, inForce, askFirst }: Pick<Case, 'facts' | 'inForce' | 'askFirst'>): Caution[] {
  const asked = inForce.filter((l) => !l.limiter.unasked);
  const heaviest = [...asked].sort((a, b) => weightOf(a) - weightOf(b));
  const cautions: Caution[] = heaviest.map(({ row, limiter: { text = '' } }) => ({
    id: row.kind,
    text: row.asTicked && text !== '' ? `${text}.` : row.says,
  }));
  if (inForce.some((l) => l.limiter.unasked))
    cautions.push({
      id: 'to-complete',
      text: 'Part of the intake is not asked yet: what it would close stays closed until it is.',
    });
  if (askFirst) cautions.unshift({ id: 'ask-first', text: askFirstWords[askFirst] });
  if (facts.readiness === 'ready-with-care' || facts.falls12m >= 2 || facts.injuredInFall)
    cautions.unshift({ id: 'ready-with-care', text: 'Ready with care: an own spotter within arm’s reach.' });
  cautions.push({
    id: 'chair',
    text: 'Chair with its back to the wall; nothing that can slide or tip. This is fitness instruction, not treatment: licensed professionals and local rules come first.',
  });
  return cautions;
}
