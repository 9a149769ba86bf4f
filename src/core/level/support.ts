import { supports, type Facts, type RungConfirmed, type Support } from '../shapes/facts';
import type { BalanceRow, BalanceStance, LevelRules, MeasuredFactId, Rung } from '../shapes/ladder';
import type { Blocker, Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import { measuredBlock, type Readings } from './needs';

export interface SupportAnswer {
  readonly support: Support | 'closed';
  readonly words: string;
  readonly reasons: readonly Reason[];
  readonly old: boolean;
}

export const supportWords: Record<Support, string> = {
  '2': 'two hands',
  '1': 'one hand',
  f: 'fingertips',
  h: 'hands hovering, a fixed hold within reach',
  '0': 'free, a fixed hold near',
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
  if (rung.support) return { support: rung.support.is, words: rung.support.words, reasons: [], old: false };
  const stance = stanceOf(rung);
  const { rules, inForce, confirmed } = one;
  const { stage, legS, old, measuredLeg } = balanceShown(asked, one);
  const row = rules.balance.findLast((r) => r.fourStage <= Math.min(stage, 3) && r.oneLegS <= legS);
  const because = `four-stage ${stage}, one leg ${measuredLeg === null ? 'not tested' : `${legS} s`}`;
  const back = stepsBack(rung, one);
  const stepped = row ? notch(row, stance, back.length, stage) : 'closed';
  if (stepped === 'closed') return { support: 'closed', words: `hands: ${because}`, reasons: [], old };
  const limits = [
    ...(rung.freest ? [rung.freest] : []),
    ...changesOf(inForce, 'support-most').flatMap(({ change }) => (change.stance === stance ? [change.support] : [])),
    ...(old && confirmed ? [confirmed.support] : []),
  ];
  const support = limits.reduce(lessFree, stepped);
  const source = rules.house.source.cite;
  const reasons = [
    { fact: 'support', text: `hands: ${because}`, source },
    ...back.map(({ text }) => ({ fact: 'support', text: `one step more support: ${text}`, source })),
  ];
  return { support, words: supportWords[support], reasons, old };
}

function stanceOf(rung: Rung): BalanceStance {
  if (rung.stance === 'seated' || rung.stance === 'lying')
    throw new RangeError(`supportFor: ${rung.name} is ${rung.stance}, so its hands must be fixed by the ladder`);
  return rung.stance;
}

/** Balance as it may be used for the rung asked about: not tested, or too old for it, is none. */
function balanceShown(asked: number, { readings, confirmed }: SupportCase) {
  const mayBeOld = confirmed !== undefined && asked <= confirmed.rung;
  const [fourStage, oneLeg] = ['fourStage', 'oneLegS'].map((id) => readings.get(id)?.reading);
  const [stage = 0, legS = 0] = [fourStage, oneLeg].map((r) =>
    !r || (r.state === 'old' && !mayBeOld) ? 0 : r.cautious,
  );
  const old = fourStage?.state === 'old' || oneLeg?.state === 'old';
  return { stage, legS, old, measuredLeg: oneLeg?.measured ?? null };
}

type Block = Omit<Blocker, 'rung'>;

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
    ...(facts.readiness === 'ready-with-care' ? [block('readiness', facts.readiness, 'ready', 'ready with care')] : []),
  ];
  const shown = facts.shown.some((s) => s.pattern === patternOf(rung, rules) && s.rung >= rung.rung);
  const { firstClasses } = rules.house;
  const fresh = rung.stance !== 'two-foot' && !shown && facts.sessionsLogged < firstClasses;
  const rows = [...new Map(changesOf(inForce, 'support-back').map((l) => [l.row.title, l])).values()];
  return [
    ...(falls.length > 0 ? [{ text: 'falls, or ready with care', blocks: falls }] : []),
    ...(facts.aidIndoors
      ? [{ text: 'a walking aid indoors', blocks: [block('aidIndoors', true, false, 'a walking aid indoors')] }]
      : []),
    ...(fresh
      ? [
          {
            text: 'the first two classes',
            blocks: [block('sessionsLogged', facts.sessionsLogged, firstClasses, 'the first two classes')],
          },
        ]
      : []),
    ...rows.map(({ row }) => ({
      text: row.title,
      blocks: [block(`limiter:${row.kind}`, 'present', 'not present', row.title)],
    })),
  ];
}

const patternOf = (rung: Rung, { ladders }: LevelRules) => ladders.find((l) => l.rungs.includes(rung))?.pattern;

/**
 * Steps back from what a row of the balance table gives. From four-stage 2 they stop at two hands; at four-stage 1 a
 * step closes the rung, and on one leg nothing stands behind two hands.
 */
function notch(row: BalanceRow, stance: BalanceStance, steps: number, stage: number): Support | 'closed' {
  const shown = row[stance];
  if (shown === 'closed' || steps === 0) return shown;
  if (stage < 2) return 'closed';
  const at = supports.indexOf(shown) - steps;
  if (at < 0 && stance === 'one-leg') return 'closed';
  return supports[Math.max(0, at)] ?? '2';
}

/** The less free of two. */
export const lessFree = (a: Support, b: Support): Support => (supports.indexOf(a) <= supports.indexOf(b) ? a : b);

const enough = (given: Support | 'closed', wanted: Support): boolean =>
  given !== 'closed' && supports.indexOf(given) >= supports.indexOf(wanted);

/**
 * What keeps the hands from being as free as a rung asks: the smallest steps of balance that would allow it with the
 * steps back as they are, or, where no balance would, those steps too.
 * @param wanted least free that will do; `2` where the rung must only not be closed
 */
export function supportBlocks(rung: Rung, asked: number, wanted: Support, one: SupportCase): Block[] {
  if (enough(supportFor(rung, asked, one).support, wanted)) return [];
  const back = stepsBack(rung, one);
  const opens = (steps: number) =>
    one.rules.balance.find((row) => enough(notch(row, stanceOf(rung), steps, row.fourStage), wanted));
  const [row, lifted] = opens(back.length) ? [opens(back.length), []] : [opens(0), back.flatMap((b) => b.blocks)];
  if (!row) throw new RangeError(`supportBlocks: no balance opens ${rung.name} with ${supportWords[wanted]}`);
  const { stage, legS } = balanceShown(asked, one);
  return [
    ...lifted,
    ...(stage < row.fourStage ? [balanceBlock('fourStage', row.fourStage, one)] : []),
    ...(legS < row.oneLegS ? [balanceBlock('oneLegS', row.oneLegS, one)] : []),
  ];
}

function balanceBlock(id: MeasuredFactId, atLeast: number, { readings }: SupportCase): Block {
  const found = readings.get(id);
  if (!found) throw new RangeError(`supportBlocks: the rules measure no ${id}`);
  const { fact, reading } = found;
  return measuredBlock(fact, reading, { atLeast }, reading.state === 'old' && reading.cautious >= atLeast);
}
