import { supports, type Facts, type RungConfirmed, type Support } from '../shapes/facts';
import type { LevelRules, Rung } from '../shapes/ladder';
import type { Reason } from './answer';
import type { LimiterInForce } from '../intake/inForce';
import { changesOf } from './limits';
import type { Readings } from './needs';

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

/** How the hands help: fixed by the movement on the low rungs, by shown balance with steps back above them. */
/** @param confirmed the level confirmed before: an old balance result carries no further than it */
export function supportFor(
  rung: Rung,
  rules: LevelRules,
  facts: Facts,
  readings: Readings,
  inForce: readonly LimiterInForce[],
  confirmed: RungConfirmed | undefined,
): SupportAnswer {
  if (rung.support) return { support: rung.support.is, words: rung.support.words, reasons: [], old: false };
  const mayBeOld = confirmed !== undefined && rung.rung <= confirmed.rung;
  const [fourStage, oneLeg] = ['fourStage', 'oneLegS'].map((id) => readings.get(id)?.reading);
  const [stage = 0, legS = 0] = [fourStage, oneLeg].map((r) =>
    !r || (r.state === 'old' && !mayBeOld) ? 0 : r.cautious,
  );
  const row = rules.balance.findLast((r) => r.fourStage <= Math.min(stage, 3) && r.oneLegS <= legS);
  const shown = row?.twoFoot ?? 'closed';
  const old = fourStage?.state === 'old' || oneLeg?.state === 'old';
  const source = rules.house.source.cite;
  const because = `four-stage ${stage}, one leg ${oneLeg?.measured == null ? 'not tested' : `${legS} s`}`;
  const back = stepsBack(rules, facts, inForce);
  const stepped = shown === 'closed' ? shown : notch(shown, back.length, stage);
  if (stepped === 'closed') return { support: 'closed', words: `hands: ${because}`, reasons: [], old };
  const support = old && confirmed ? lessFree(stepped, confirmed.support) : stepped;
  const reasons = [
    { fact: 'support', text: `hands: ${because}`, source },
    ...back.map((text) => ({ fact: 'support', text: `one step more support: ${text}`, source })),
  ];
  return { support, words: supportWords[support], reasons, old };
}

/** Each is one step back, however many limiters say the same. */
function stepsBack(rules: LevelRules, facts: Facts, inForce: readonly LimiterInForce[]): string[] {
  const falls =
    facts.falls12m >= rules.house.fallsForCare || facts.injuredInFall || facts.readiness === 'ready-with-care';
  const kinds = new Set(changesOf(inForce, 'support-back').map(({ row }) => row.title));
  return [
    ...(falls ? ['falls, or ready with care'] : []),
    ...(facts.aidIndoors ? ['a walking aid indoors'] : []),
    ...kinds,
  ];
}

/** From four-stage 2 the steps stop at two hands; at four-stage 1 a step closes the rung. */
function notch(support: Support, steps: number, fourStage: number): Support | 'closed' {
  if (steps > 0 && fourStage < 2) return 'closed';
  return supports[Math.max(0, supports.indexOf(support) - steps)] ?? '2';
}

/** The less free of two. */
function lessFree(a: Support, b: Support): Support {
  return supports.indexOf(a) <= supports.indexOf(b) ? a : b;
}
