import type { Blocker, Level } from '../level/answer';
import { levelAt, loadsOn } from '../level/assign';
import { handChoices } from '../level/byHand';
import { printLevelCode } from '../level/code';
import { liftOn } from '../level/lift';
import { isOpen } from '../level/standing';
import { withinAt } from '../level/within';
import { supportWords } from '../level/support';
import { supports, type Facts } from '../shapes/facts';
import type { Ladder, LevelRules, Rung } from '../shapes/ladder';
import type { DialState } from '../shapes/progress';
import { halfDose } from './doseSteps';

export const turnedDials = ['seat', 'within', 'hands', 'rung', 'load'] as const;
export type TurnedDial = (typeof turnedDials)[number];

/** The next thing that may be made harder, or what keeps it. */
export interface NextDial {
  readonly state: DialState;
  readonly dial: TurnedDial | null;
  readonly level: Level | null;
  readonly risk: boolean;
  /** What keeps it closed, and the test that alone would decide. */
  readonly why: string | null;
  readonly test: string | null;
  /** The one test on which all hangs that keeps it, also where it was taken and fell short. */
  readonly decides: string | null;
}

/** Nobody sits more than so much lower at a time. House rule: common practice, no published source. */
const mostLowerCm = 3;

/** A weight grows by so much at a time. House rule: common practice, no published source. */
const mostHeavierKg = 1;

/** Dials that are turned only after two looks: free or hovering hands, any load, and these rungs. */
const riskRungs: Readonly<Record<string, readonly number[]>> = {
  ...{ L: [5, 6, 7, 8], H: [6, 7, 8], B: [5, 6], A: [4], U: [2, 3, 4], W: [4, 5, 6] },
};
/** Under this share of the knee's height a seat is low. */
const lowSeatShare = 0.85;

const printed = (level: Level): Level => ({
  ...level,
  code: printLevelCode({ ...level, heightCm: level.targetCm }),
});

/**
 * The next dial of a level that is in force: a lower seat or box, more of the movement, one step freer hands, the next rung, a
 * weight; the first that the rules allow with what is shown by now. Its dose begins again.
 * @param testOf the test of a measured fact
 */
export function nextDial(
  rules: LevelRules,
  facts: Facts,
  ladder: Ladder,
  level: Level,
  testOf: (fact: string) => string | undefined,
): NextDial {
  const { pattern, rung } = level;
  const same = levelAt(rules, facts, pattern, rung, null);
  const on = ladder.rungs.find((r) => r.rung === rung);
  const deeper = on ? moreOf(on, level, facts) : null;
  if (isOpen(same)) {
    const freer = () => oneFreer(level, same);
    const more = () => (deeper?.kind === 'open' ? { dial: 'within' as const, level: deeper.level } : null);
    const turned =
      (ladder.heightLast ? null : lowerSeat(rules, facts, ladder, level, same)) ??
      (on?.withinAfterHands ? (freer() ?? more()) : (more() ?? freer()));
    if (turned) return found(turned.dial, printed({ ...turned.level, dose: same.dose }), facts);
  }
  const above = ladder.rungs.filter((r) => r.rung > rung);
  for (const { rung: next } of above) {
    const at = levelAt(rules, facts, pattern, next, null);
    if (isOpen(at)) return found('rung', at, facts);
  }
  const last = isOpen(same)
    ? ((ladder.heightLast ? lowerSeat(rules, facts, ladder, level, same) : null) ??
      heavier(rules, facts, level, same, on))
    : null;
  if (last && isOpen(same)) return found(last.dial, printed({ ...last.level, dose: same.dose }), facts);
  if (deeper?.kind === 'place') return closed('place', deeper.why);
  const [next] = above;
  if (!next) return closed('none', 'this is the top rung');
  const at = levelAt(rules, facts, pattern, next.rung, null);
  return isOpen(at) ? found('rung', at, facts) : closedBy(at.blockers, testOf);
}

const found = (dial: TurnedDial, level: Level, facts: Facts): NextDial => ({
  ...{ state: 'open', dial, level, risk: isRisk(dial, level, facts), why: null, test: null, decides: null },
});
const closed = (state: DialState, why: string, test: string | null = null, decides = test): NextDial => ({
  ...{ state, dial: null, level: null, risk: false, why, test, decides },
});

function isRisk(dial: TurnedDial, { pattern, rung, support, targetCm }: Level, { person }: Facts): boolean {
  if (dial === 'load') return true;
  if (dial === 'rung') return riskRungs[pattern]?.includes(rung) ?? false;
  if (dial === 'hands') return support === 'h' || support === '0';
  const kneeCm = person.kneeHeightCm ?? (person.heightCm === null ? null : 0.285 * person.heightCm);
  return targetCm !== null && kneeCm !== null && targetCm < lowSeatShare * kneeCm;
}

/** What is lifted stands at the next height down, once it was lifted from this one; a limiter keeps it up. */
function lowerBox(rules: LevelRules, facts: Facts, lifts: readonly number[], level: Level) {
  const next = lifts.find((cm) => cm < (level.targetCm ?? 0));
  const at =
    next === undefined ? null : levelAt(rules, { ...facts, liftHeightCm: next }, level.pattern, level.rung, null);
  if (!at || !isOpen(at) || (at.targetCm ?? 0) !== next) return null;
  return { dial: 'seat' as const, level: { ...level, targetCm: at.targetCm, wishCm: next } };
}

function lowerSeat(rules: LevelRules, facts: Facts, ladder: Ladder, level: Level, same: Level) {
  const { targetCm } = level;
  const lift = liftOn([ladder], level);
  if (lift) return lowerBox(rules, facts, lift.lifts, level);
  if (targetCm === null || same.targetCm === null || same.targetCm >= targetCm) return null;
  const { lower } = handChoices(rules, facts, ladder, same);
  const heights = lower.find((c) => c.level.rung === level.rung)?.heightsCm ?? [];
  const cm = heights.find((h) => h < targetCm && h >= targetCm - mostLowerCm);
  return cm === undefined
    ? null
    : { dial: 'seat' as const, level: { ...same, targetCm: cm, support: level.support, dose: level.dose } };
}

/** The lightest weight there is, or the next one, a kilogram heavier at most. */
function heavier(rules: LevelRules, facts: Facts, level: Level, { dial }: Level, on: Rung | undefined) {
  const now = level.loadKg ?? 0;
  const kg = loadsOn(rules, facts, { ...level, dial: dial ?? null }).find((load) => load > now);
  if (kg === undefined || (now > 0 && kg > now + mostHeavierKg)) return null;
  const carried = on?.carries ? { carried: on.carries.how } : {};
  return { dial: 'load' as const, level: { ...level, loadKg: kg, ...carried } };
}

/** The same rung with more of the movement, or the firm step that the hall lacks for it. */
function moreOf(
  on: Rung,
  level: Level,
  { kit }: Facts,
): { readonly kind: 'open'; readonly level: Level } | { readonly kind: 'place'; readonly why: string } | null {
  const step = (level.within?.step ?? 0) + 1;
  const at = on.within?.[step];
  if (!at) return null;
  const { onStep } = at;
  if (onStep && !kit.stepsCm.some((cm) => cm > onStep.overCm && cm <= onStep.toCm))
    return { kind: 'place', why: `a firm step over ${onStep.overCm} and up to ${onStep.toCm} cm is missing` };
  return { kind: 'open', level: { ...level, ...withinAt(on, step) } };
}

/** The hands one step freer, no freer than is given; the level otherwise as it is. */
export function oneFreer(level: Level, same: Level) {
  const [now, most] = [supports.indexOf(level.support), supports.indexOf(same.support)];
  const support = supports[now + 1];
  if (support === undefined || now >= most) return null;
  return { dial: 'hands' as const, level: printed({ ...level, support, supportWords: supportWords[support] }) };
}

/** A limiter before the hall, the hall before a test, a test before what fell short. */
function closedBy(blockers: readonly Blocker[], testOf: (fact: string) => string | undefined): NextDial {
  const words = blockers.map((b) => b.text).join('; ');
  if (blockers.some((b) => b.fact.startsWith('limiter:'))) return closed('limiter', words);
  if (blockers.some((b) => b.fact.startsWith('kit.') || b.fact === 'target' || b.fact === 'floorSlides'))
    return closed('place', words);
  const tests = blockers.map((b) => testOf(b.fact));
  const [test] = tests;
  const decides = test !== undefined && tests.every((t) => t === test) ? test : null;
  return decides !== null && blockers.every((b) => b.measured === null)
    ? closed('test', words, decides)
    : closed('need', words, null, decides);
}

const withoutLoad = ({ carried: _how, ...level }: Level): Level => ({ ...level, loadKg: null });

/**
 * One dial back, the first that there is: a weight that classes brought, a seat at least five centimetres up, one step more
 * support, on the floor one rung down; else the dose alone. Its dose is half, and it carries no weight that its rung does not
 * ask for.
 */
export function oneDialBack(rules: LevelRules, facts: Facts, ladder: Ladder, from: Level): Level {
  const half = halfDose(from.dose);
  const { pattern, rung } = from;
  const given = levelAt(rules, facts, pattern, rung, null);
  const on = ladder.rungs.find((r) => r.rung === rung);
  const level = on?.load ? from : withoutLoad(from);
  // A weight that classes brought was the last dial that went up.
  if (from.carried && from.loadKg !== null) return printed({ ...level, dose: half, dial: null });
  if (isOpen(given) && level.targetCm !== null) {
    const { lower } = handChoices(rules, facts, ladder, given);
    const least = level.targetCm + 5;
    const cm = lower.find((c) => c.level.rung === rung)?.heightsCm.find((h) => h >= least);
    if (cm !== undefined) return printed({ ...level, targetCm: cm, dose: half, dial: 'seat' });
  }
  const support = supports[supports.indexOf(level.support) - 1];
  if (on && !on.support && support !== undefined)
    return printed({ ...level, support, supportWords: supportWords[support], dose: half, dial: 'support' });
  const under = on?.floor ? ladder.rungs.findLast((r) => r.rung < rung) : undefined;
  const at = under && levelAt(rules, facts, pattern, under.rung, null);
  return at && isOpen(at) ? { ...at, dial: 'rung' } : printed({ ...level, dose: half, dial: 'dose' });
}
