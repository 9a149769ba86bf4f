import { supports, type Facts, type RungConfirmed, type Support } from '../shapes/facts';
import type { BalanceRow, BalanceStance, LevelRules, MeasuredFactId, Rung } from '../shapes/ladder';
import type { Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { handsBlock, type Block } from './blocks';
import { changesOf } from './limits';
import { measuredBlocks, type Carried, type Readings } from './needs';

export interface SupportAnswer {
  readonly support: Support | 'closed';
  readonly words: string;
  readonly reasons: readonly Reason[];
  /** An old result carries it: without it the hands would help more. */
  readonly old: Carried;
}

export const supportWords: Record<Support, string> = {
  '2': 'both hands',
  '1': 'one hand',
  f: 'fingertips',
  h: 'hands just above the rail',
  '0': 'no hands, the rail one step away',
};

/** What bears on the hands of every rung. */
export interface SupportCase {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
  /** The level confirmed before on this ladder. */
  readonly confirmed: RungConfirmed | undefined;
}

/**
 * How the hands help: fixed by the movement on some rungs, else by shown balance in that stance, with steps back.
 * @param asked the rung that is judged, this one or one above it: an old balance result carries no further than the
 * level confirmed before
 */
export function supportFor(rung: Rung, asked: number, one: SupportCase): SupportAnswer {
  const answer = supportBy(rung, asked, one, true);
  const fresh = supportBy(rung, asked, one, false);
  // What an old result does not change it does not carry.
  return fresh.support === answer.support ? fresh : answer;
}

function supportBy(rung: Rung, asked: number, one: SupportCase, withOld: boolean): SupportAnswer {
  const shown = balanceShown(asked, one, withOld);
  if (rung.support) return fixedSupport(rung.support, shown, one);
  const stance = stanceOf(rung);
  const { rules, confirmed } = one;
  const { stage, legS, old, measuredLeg } = shown;
  const row = rowOf(rules, stage, legS);
  const because = `four-stage ${stage}, one leg ${measuredLeg === null ? 'not tested' : `${legS} s`}`;
  const back = stepsBack(rung, one);
  const stepped = row ? notch(row, stance, back.length) : 'closed';
  if (stepped === 'closed') return { support: 'closed', words: `hands: ${because}`, reasons: [], old };
  const limits = [
    ...(rung.freest ? [rung.freest] : []),
    ...limitsOf(rung, one).map(({ change }) => change.support),
    ...(old && confirmed ? [confirmed.support] : []),
  ];
  const limited = limits.reduce(lessFree, stepped);
  const newOnIt = isNewOn(rung, one) ? back1(limited, askedOf(rung)) : limited;
  const source = rules.house.source.cite;
  const reasons = [
    { fact: 'support', text: `hands: ${because}`, source },
    ...back.map(({ text }) => ({ fact: 'support', text: `one step more support: ${text}`, source })),
    ...(newOnIt === limited
      ? []
      : [{ fact: 'support', text: 'one step more support: the first two sessions on it', source }]),
  ];
  return { support: newOnIt, words: supportWords[newOnIt], reasons, old };
}

/** What the movement fixes; for whoever is unsteady one hand on a rail where it says so. It takes no step back. */
function fixedSupport(
  fixed: NonNullable<Rung['support']>,
  { stage, old }: Pick<Shown, 'stage' | 'old'>,
  { rules }: SupportCase,
): SupportAnswer {
  const { unsteady } = fixed;
  if (!unsteady || stage >= unsteady.under)
    return { support: fixed.is, words: fixed.words, reasons: [], old: unsteady ? old : false };
  const text = `hands: four-stage ${stage}; an own spotter`;
  const reasons = [{ fact: 'support', text, source: rules.house.source.cite }];
  return { support: unsteady.is, words: unsteady.words, reasons, old };
}

/** The first two sessions on a rung in a step stance or on one leg: by the log or the tick, not by classes overall. */
function isNewOn(rung: Rung, { facts, rules }: SupportCase): boolean {
  const pattern = patternOf(rung, rules);
  return rung.stance !== 'two-foot' && !facts.shown.some((s) => s.pattern === pattern && s.rung >= rung.rung);
}

/** One step more support, but not past what the rung asks for. */
export function back1(support: Support, asked: Support): Support {
  const less = supports[supports.indexOf(support) - 1] ?? '2';
  return supports.indexOf(less) < supports.indexOf(asked) ? support : less;
}

/** The least free hands that a rung asks for. */
export const askedOf = (rung: Rung): Support =>
  rung.needs.reduce<Support>((most, n) => ('support' in n ? (freer(n.support, most) ? n.support : most) : most), '2');

const freer = (a: Support, b: Support): boolean => supports.indexOf(a) > supports.indexOf(b);

function stanceOf(rung: Rung): BalanceStance {
  if (rung.stance === 'seated' || rung.stance === 'lying')
    throw new RangeError(`supportFor: ${rung.name} is ${rung.stance}, so its hands must be fixed by the ladder`);
  return rung.stance;
}

const rowOf = ({ balance }: LevelRules, stage: number, legS: number): BalanceRow | undefined =>
  balance.findLast((r) => r.fourStage <= Math.min(stage, 3) && r.oneLegS <= legS);

interface Shown {
  readonly stage: number;
  readonly legS: number;
  readonly old: Carried;
  readonly measuredLeg: number | null;
}

/** Balance as it may be used for the rung asked about: not tested, or too old for it, is none. */
function balanceShown(asked: number, { readings, confirmed }: SupportCase, withOld: boolean): Shown {
  const carries = {
    fresh: true,
    old: withOld && confirmed !== undefined && asked <= confirmed.rung,
    'half-year': withOld && confirmed !== undefined && asked < confirmed.rung,
    untested: false,
  };
  const read = (['fourStage', 'oneLegS'] as const).map((id) => readings.get(id)?.reading);
  const [stage = 0, legS = 0] = read.map((r) => (r && carries[r.state] ? r.cautious : 0));
  const states = read.flatMap((r) => (r && carries[r.state] ? [r.state] : []));
  const old = (['half-year', 'old'] as const).find((state) => states.includes(state)) ?? false;
  return { stage, legS, old, measuredLeg: read[1]?.measured ?? null };
}

interface StepBack {
  readonly text: string;
  /** The facts it comes from, each with what would take the step away. */
  readonly blocks: readonly Block[];
}

/** Each is one step back, however many limiters say the same. */
function stepsBack(rung: Rung, { rules, facts, inForce }: SupportCase): StepBack[] {
  const block = (fact: string, have: Block['have'], need: Block['need'], text: string): Block => ({
    ...{ fact, have, measured: have, need, measuredNeeded: need, text: `${text}: one step more support`, tag: text },
  });
  const falls = [
    ...(facts.falls12m >= rules.house.fallsForCare
      ? [block('falls12m', facts.falls12m, rules.house.fallsForCare - 1, 'falls in the last 12 months')]
      : []),
    ...(facts.injuredInFall ? [block('injuredInFall', true, false, 'a fall that hurt')] : []),
    ...(facts.readiness === 'ready' ? [] : [block('readiness', facts.readiness, 'ready', 'ready with care')]),
  ];
  const back = changesOf(inForce, 'support-back').filter(
    ({ change }) => change.stances?.some((s) => s === rung.stance) ?? true,
  );
  const rows = [...new Map(back.map((l) => [l.row.kind, l])).values()];
  return [
    ...(falls.length > 0 ? [{ text: 'falls, or ready with care', blocks: falls }] : []),
    ...(facts.aidIndoors
      ? [{ text: 'a walking aid indoors', blocks: [block('aidIndoors', true, false, 'a walking aid indoors')] }]
      : []),
    ...rows.map(({ row }) => ({
      text: row.title,
      blocks: [block(`limiter:${row.kind}`, 'present', 'not present', row.title)],
    })),
  ];
}

const patternOf = (rung: Rung, { ladders }: LevelRules) => ladders.find((l) => l.rungs.includes(rung))?.pattern;

/** Limiters that keep the hands no freer than something on this rung. */
const limitsOf = (rung: Rung, { rules, inForce }: SupportCase) =>
  changesOf(inForce, 'support-most').filter(({ change }) =>
    'stance' in change
      ? change.stance === rung.stance
      : change.pattern === patternOf(rung, rules) && change.rungs[0] <= rung.rung && rung.rung <= change.rungs[1],
  );

/**
 * Steps back from what a row of the balance table gives. They stop at two hands, which on a fixed rail hold; on one leg
 * nothing stands behind two hands.
 */
function notch(row: BalanceRow, stance: BalanceStance, steps: number): Support | 'closed' {
  const shown = row[stance];
  if (shown === 'closed' || steps === 0) return shown;
  const at = supports.indexOf(shown) - steps;
  if (at < 0 && stance === 'one-leg') return 'closed';
  return supports[Math.max(0, at)] ?? '2';
}

/** The freer of two. */
export const freerOf = (a: Support, b: Support): Support => (freer(a, b) ? a : b);

/** The less free of two. */
export const lessFree = (a: Support, b: Support): Support => (supports.indexOf(a) <= supports.indexOf(b) ? a : b);

const enough = (given: Support | 'closed', wanted: Support): boolean => given !== 'closed' && !freer(wanted, given);

/**
 * What keeps the hands from being as free as a rung asks: a limiter that holds them, the smallest steps of balance that
 * would allow it with the steps back as they are, or, where no balance would, those steps too.
 * @param wanted least free that will do; `2` where the rung must only not be closed
 */
export function supportBlocks(rung: Rung, asked: number, wanted: Support, one: SupportCase): Block[] {
  const rail = railBlocks(rung, asked, one);
  if (rung.support || rail.length > 0) return rail;
  if (enough(supportFor(rung, asked, one).support, wanted)) return [];
  const held = limitsOf(rung, one).filter(({ change }) => freer(wanted, change.support));
  const back = stepsBack(rung, one);
  const opens = (steps: number) => one.rules.balance.find((row) => enough(notch(row, stanceOf(rung), steps), wanted));
  const [row, lifted] = opens(back.length) ? [opens(back.length), []] : [opens(0), back.flatMap((b) => b.blocks)];
  if (!row) throw new RangeError(`supportBlocks: no balance opens ${rung.name} with ${supportWords[wanted]}`);
  const { stage, legS } = balanceShown(asked, one, true);
  return [
    ...held.map(handsBlock),
    ...lifted,
    ...(stage < row.fourStage ? balanceBlocks('fourStage', row.fourStage, one) : []),
    ...(legS < row.oneLegS ? balanceBlocks('oneLegS', row.oneLegS, one) : []),
  ];
}

/** Whoever is unsteady needs the rail; without one, steadier standing would do. */
function railBlocks(rung: Rung, asked: number, one: SupportCase): Block[] {
  const unsteady = rung.support?.unsteady ?? rung.railUnder;
  if (!unsteady || one.facts.kit.rail || balanceShown(asked, one, true).stage >= unsteady.under) return [];
  return balanceBlocks(unsteady.fact, unsteady.under, one);
}

function balanceBlocks(id: MeasuredFactId, atLeast: number, { readings }: SupportCase): Block[] {
  const found = readings.get(id);
  if (!found) throw new RangeError(`supportBlocks: the rules measure no ${id}`);
  return measuredBlocks(found, { atLeast });
}
