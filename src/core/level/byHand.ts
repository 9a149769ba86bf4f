import { supports, type Facts, type Pattern, type Support } from '../shapes/facts';
import type { Dose } from '../shapes/dose';
import type { Ladder, LevelRules, Rung } from '../shapes/ladder';
import type { Blocker, ByHand, ClosedLadder, Level } from './answer';
import { levelAt } from './assign';
import { printDose, printLevelCode } from './code';
import { halved } from './dose';
import { seatHeights } from './seat';
import { isOpen } from './standing';
import { askedOf, supportWords } from './support';
import { highestSeat } from './target';

/** What may be chosen on one rung that is set by hand: as the rules give it there, or less of each. */
export interface HandChoice {
  readonly level: Level;
  /** Freest first. */
  readonly supports: readonly Support[];
  /** Lowest first; empty where the rung has no height. */
  readonly heightsCm: readonly number[];
  /** How much of the movement, least first, as far as it was reached; empty where the rung has no such places. */
  readonly withins: readonly NonNullable<Level['within']>[];
  /** Most first. */
  readonly doses: readonly Dose[];
  readonly loadsKg: readonly (number | null)[];
  /** Of a rung above what the rules give: what keeps it by the rules, and the word stands in for. */
  readonly passes: readonly string[];
}

export interface HandChoices {
  /** At and under what the rules give, highest first. */
  readonly lower: readonly HandChoice[];
  /** Above it, lowest first. */
  readonly higher: readonly HandChoice[];
  /** Above it, and nobody’s word opens it. */
  readonly closed: readonly { readonly rung: number; readonly name: string; readonly blockers: readonly Blocker[] }[];
}

/** What was chosen on a rung; a number of `heightCm` only where it has one. */
export interface HandWish {
  readonly rung: number;
  readonly support: Support;
  readonly heightCm: number | null;
  /** The place in the list of the rung; left out as far as it was reached. */
  readonly within?: number | null;
  /** As it is printed in a code: `4x2`. */
  readonly dose: string;
  readonly loadKg: number | null;
}

/** Stands for a reason while none is written: what would be given does not hang on its words. */
const anyReason = 'by hand';

/** The facts without a word on a ladder: what the rules give by themselves. */
export const withoutWord = (facts: Facts, pattern: Pattern): Facts => ({
  ...facts,
  setByHand: facts.setByHand.filter((s) => s.pattern !== pattern),
});

/**
 * All that an instructor may set on a ladder. Less is always free; more stops at limiters, at the floor transfer, at
 * balance and at what the hall has.
 * @param given what the rules give by themselves
 */
export function handChoices(rules: LevelRules, facts: Facts, ladder: Ladder, given: Level | ClosedLadder): HandChoices {
  const { pattern } = ladder;
  const own = withoutWord(facts, pattern);
  const top = isOpen(given) ? given.rung : 0;
  const lower = ladder.rungs.filter((r) => r.rung <= top).map((r) => levelAt(rules, own, pattern, r.rung, null));
  const above = ladder.rungs.filter((r) => r.rung > top);
  const higher = above.map((r) => ({ ...r, at: levelAt(rules, own, pattern, r.rung, anyReason) }));
  const choice = (level: Level) => choiceOn(rules, own, ladder, given, level);
  return {
    lower: lower
      .filter(isOpen)
      .map((l) => choice(isOpen(given) && l.rung === top ? given : l))
      .reverse(),
    higher: higher.flatMap(({ at }) => (isOpen(at) ? [choice(at)] : [])),
    closed: higher.flatMap(({ rung, name, at }) => (isOpen(at) ? [] : [{ rung, name, blockers: at.blockers }])),
  };
}

function choiceOn(
  rules: LevelRules,
  facts: Facts,
  ladder: Ladder,
  given: Level | ClosedLadder,
  level: Level,
): HandChoice {
  const rung = ladder.rungs.find((r) => r.rung === level.rung);
  const least = supports.indexOf(rung ? askedOf(rung) : '2');
  const free = supports.slice(least, supports.indexOf(level.support) + 1).reverse();
  return {
    level,
    supports: rung?.support ? [level.support] : free,
    heightsCm: level.targetCm === null ? [] : heightsFrom(rules, facts, rung?.target, level.targetCm),
    withins: withinsUnder(rung, facts, level, isOpen(given) ? given.rung : 0),
    doses: dosesUnder(level.dose),
    loadsKg: level.loadKg === null ? [null] : [level.loadKg, null],
    passes: given.blockers.filter((b) => b.rung === level.rung).map((b) => b.text),
  };
}

/** All of it on a rung under what is given; on that one as far as it was reached, above it only the least. */
function withinsUnder(
  rung: Rung | undefined,
  { lastConfirmed }: Facts,
  level: Level,
  top: number,
): HandChoice['withins'] {
  const all = (rung?.within ?? []).map(({ words }, step) => ({ step, words }));
  if (level.rung < top) return all;
  const said = lastConfirmed.find((l) => l.pattern === level.pattern && l.rung === level.rung);
  return all.slice(0, (said?.step ?? 0) + 1);
}

function heightsFrom(
  rules: LevelRules,
  facts: Facts,
  target: Ladder['rungs'][number]['target'],
  fromCm: number,
): number[] {
  if (target && 'lifts' in target) return target.lifts.filter((cm) => cm >= fromCm).reverse();
  const most = highestSeat(facts, rules);
  const built = seatHeights(facts.kit).map((s) => s.heightCm);
  return [fromCm, ...built.filter((cm) => cm > fromCm && cm <= most)];
}

/** As it is, fewer rounds, and half of it in each; each once. */
function dosesUnder(dose: Dose): Dose[] {
  const each = (d: Dose): Dose[] =>
    d.kind === 'reps' || d.kind === 'holds'
      ? Array.from({ length: d.sets }, (_, i) => ({ ...d, sets: d.sets - i }))
      : [d];
  const all = [...each(dose), ...each(halved(dose))];
  return [...new Map(all.map((d) => [printDose(d), d])).values()];
}

/** The level as it was wished; `null` where the wish is not among the choices. */
export function asWished(
  { level, supports: free, heightsCm, withins, doses, loadsKg }: HandChoice,
  wish: HandWish,
  facts: Pick<Facts, 'kit'>,
  byHand: ByHand,
): Level | null {
  const dose = doses.find((d) => printDose(d) === wish.dose);
  const height = heightsCm.length === 0 ? wish.heightCm === null : heightsCm.some((cm) => cm === wish.heightCm);
  if (wish.rung !== level.rung || !free.includes(wish.support) || !dose || !height) return null;
  if (!loadsKg.includes(wish.loadKg)) return null;
  const within = wish.within == null ? withins.at(-1) : withins.find((w) => w.step === wish.within);
  if (wish.within != null && !within) return null;
  const { pattern, rung } = level;
  const { support, heightCm, loadKg } = wish;
  const { carried, ...given } = level;
  const same = heightCm === level.targetCm;
  const built = seatHeights(facts.kit).find((s) => s.heightCm === heightCm)?.from ?? null;
  return {
    ...given,
    ...(carried && loadKg !== null ? { carried } : {}),
    ...(support === level.support ? {} : { support, supportWords: supportWords[support] }),
    ...{ targetCm: heightCm, targetFrom: same || level.targetFrom === null ? level.targetFrom : built },
    ...(within ? { within } : {}),
    ...{ dose, loadKg, byHand, code: printLevelCode({ pattern, rung, heightCm, support, loadKg, dose }) },
  };
}
