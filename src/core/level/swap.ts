import type { Facts, LimiterKind, Pattern, Support } from '../shapes/facts';
import { setPatterns } from '../shapes/facts';
import type { LevelRules, LoadedJoint, Rung } from '../shapes/ladder';
import type { SwapDial, SwapDialId, SwapGrade, SwapOffer, SwapTable } from '../shapes/swap';
import type { Level } from './answer';
import { assignLevels, levelAt, withAccessories } from './assign';
import { withoutWord } from './byHand';
import { printLevelCode } from './code';
import { seatHeights } from './seat';
import { isOpen, type Standing } from './standing';
import { back1, lessFree, supportWords } from './support';
import { highestSeat } from './target';

/** Something to do today instead of a movement that hurts. */
export interface Swapped {
  readonly level: Level;
  /** What is changed, in words; nothing where another movement is done as it is given. */
  readonly changes: readonly string[];
  /** The same movement, changed; or how much another one loads the joint beside it. */
  readonly why: 'same' | 'less' | 'no-more';
}

export type SwapAnswer =
  | { readonly kind: 'offers'; readonly offers: readonly Swapped[] }
  /**
   * Nothing is offered: it is sharp, it hurts too much, it hurts again though it was swapped, it is not what the movement
   * loads, or nothing that spares the joint is open.
   */
  | { readonly kind: 'nothing'; readonly why: 'sharp' | 'much' | 'again' | 'not-loaded' | 'none-open' };

export interface SwapAsked {
  /** The level somebody trains on. */
  readonly level: Level;
  readonly joint: LoadedJoint;
  readonly grade: SwapGrade;
  readonly sharp: boolean;
  /** It was swapped for this joint today already. */
  readonly again: boolean;
}

/** What is known of a person besides the facts: what somebody’s word holds lower, or leaves out. */
export type StandingsOn = readonly Pick<Standing, 'pattern' | 'state' | 'inForce'>[];

const most = 3;

/**
 * At most three things to do today instead of a movement that hurts, in the order of the table: only what is open today with
 * the pain that was just told, and loads the joint no more.
 * @param standings what is in force: nothing is offered over a word that holds it lower
 */
export function findSwaps(
  table: SwapTable,
  rules: LevelRules,
  facts: Facts,
  standings: StandingsOn,
  { level, joint, grade, sharp, again }: SwapAsked,
): SwapAnswer {
  if (sharp) return { kind: 'nothing', why: 'sharp' };
  if (grade === '5+') return { kind: 'nothing', why: 'much' };
  if (again) return { kind: 'nothing', why: 'again' };
  const offers = table.byRung[level.pattern][level.rung]?.[joint] ?? [];
  if (offers.length === 0) return { kind: 'nothing', why: 'not-loaded' };
  const one = caseOf(table, rules, withPain(facts, joint, grade), standings);
  const found = offers.flatMap((offer) => {
    const swapped = offer.same ? changed(level, offer.dials, one) : another(level, joint, offer, one);
    return swapped ? [swapped] : [];
  });
  const once = [...new Map(found.map((s) => [`${s.level.code} ${s.changes.join()}`, s])).values()].slice(0, most);
  return once.length > 0 ? { kind: 'offers', offers: once } : { kind: 'nothing', why: 'none-open' };
}

/** The pain of a grade as the limiters read it: the highest number of the grade. */
const painOf: Readonly<Record<SwapGrade, number>> = { '0-2': 2, '3-4': 4, '5+': 10 };

const withPain = (facts: Facts, joint: LoadedJoint, grade: SwapGrade): Facts => {
  const kind: LimiterKind = `${joint}-pain`;
  const known = facts.limiters.filter((l) => l.kind === kind).map((l) => l.pain ?? 10);
  const pain = Math.max(painOf[grade], ...known);
  return { ...facts, limiters: [...facts.limiters.filter((l) => l.kind !== kind), { kind, pain }] };
};

interface Case {
  readonly table: SwapTable;
  readonly rules: LevelRules;
  readonly facts: Facts;
  /** The level on a rung as it may be done today; `null` where it may not. */
  readonly openAt: (pattern: Pattern, rung: number) => Level | null;
}

function caseOf(table: SwapTable, given: LevelRules, facts: Facts, standings: StandingsOn): Case {
  const rules = withAccessories(given);
  const { levels } = assignLevels(rules, facts);
  const openAt = (pattern: Pattern, rung: number): Level | null => {
    const isItem = setPatterns.has(pattern);
    const mine = standings.filter((s) => s.pattern === pattern && (!isItem || s.inForce?.level.rung === rung));
    if (mine.some((s) => s.state === 'aside' || s.state === 'closed')) return null;
    const top = levels.find((l) => l.pattern === pattern && (!isItem || l.rung === rung));
    if (!top || rung > top.rung) return null;
    const at = rung === top.rung ? top : levelAt(rules, withoutWord(facts, pattern), pattern, rung, null);
    if (!isOpen(at)) return null;
    const held = mine.find((s) => s.inForce?.level.byHand?.word === 'lower')?.inForce?.level;
    if (!held) return at;
    return rung > held.rung ? null : withHands(at, lessFree(at.support, held.support));
  };
  return { table, rules, facts, openAt };
}

const rungOf = ({ rules }: Case, pattern: Pattern, rung: number): Rung | undefined =>
  rules.ladders.find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung);

/** The same movement with something changed; `null` where it is closed with this pain, or nothing can be changed here. */
function changed(level: Level, dials: readonly SwapDialId[], one: Case): Swapped | null {
  const open = one.openAt(level.pattern, level.rung);
  if (!open) return null;
  const start = strictest(level, open);
  const turned = turn(start, dials, one, 'same');
  return turned && turned.changes.length > 0 ? { ...turned, why: 'same' } : null;
}

/** As somebody trains it, but with no lower seat, freer hands or heavier weight than is open with this pain. */
function strictest(level: Level, open: Level): Level {
  const seat = (open.targetCm ?? 0) > (level.targetCm ?? 0) ? open : level;
  const { targetCm, targetFrom, missing } = seat;
  const loadKg = level.loadKg === null || open.loadKg === null ? null : Math.min(level.loadKg, open.loadKg);
  return recoded(withHands({ ...level, targetCm, targetFrom, missing, loadKg }, lessFree(level.support, open.support)));
}

function another(
  level: Level,
  joint: LoadedJoint,
  { rungs, dials }: Extract<SwapOffer, { same: false }>,
  one: Case,
): Swapped | null {
  const now = loadOn(rungOf(one, level.pattern, level.rung), joint);
  for (const code of rungs) {
    const [pattern, rung] = [code[0] as Pattern, Number(code[1])];
    const open = one.openAt(pattern, rung);
    const load = loadOn(rungOf(one, pattern, rung), joint);
    if (!open || load > now) continue;
    const hands = pattern === level.pattern ? lessFree(open.support, level.support) : open.support;
    const fixed = rungOf(one, pattern, rung)?.support !== undefined;
    const turned = turn(fixed ? open : recoded(withHands(open, hands)), dials, one, 'other');
    if (turned) return { ...turned, why: load < now ? 'less' : 'no-more' };
  }
  return null;
}

const loadOn = (rung: Rung | undefined, joint: LoadedJoint): number => {
  const load = rung?.loads[joint];
  return load === 'much' ? 2 : load === 'some' ? 1 : 0;
};

/** A level with its dials turned, and what that is in words; `null` where a height that is asked for cannot be built. */
function turn(
  level: Level,
  dials: readonly SwapDialId[],
  one: Case,
  as: 'same' | 'other',
): Pick<Swapped, 'level' | 'changes'> | null {
  let now = level;
  const changes: string[] = [];
  for (const id of dials) {
    const dial = one.table.dials.find((d) => d.id === id);
    if (!dial) throw new RangeError(`findSwaps: no dial is called ${id}`);
    if (dial.moves) {
      const higher = raised(now, dial.moves, one, as);
      if (!higher) return null;
      now = higher;
      changes.push(`${dial.words}: ${higher.targetCm ?? 0} cm`);
    } else if (isThere(dial, now, one)) {
      now = byDial(now, id);
      changes.push(dial.words);
    }
  }
  const doneSo = [...(now.doneSo ?? []), ...changes];
  return { level: recoded({ ...now, doneSo }), changes };
}

/** So much higher; of another movement, where that cannot be built, the highest seat there is over its own. */
function raised(level: Level, moves: NonNullable<SwapDial['moves']>, one: Case, as: 'same' | 'other'): Level | null {
  const { targetCm } = level;
  if (targetCm === null) return null;
  if ('liftCm' in moves) {
    const target = rungOf(one, level.pattern, level.rung)?.target;
    const lifts = target && 'lifts' in target ? target.lifts : [];
    const higher = lifts.findLast((cm) => cm >= targetCm + moves.liftCm);
    return higher === undefined ? null : { ...level, targetCm: higher };
  }
  const top = highestSeat(one.facts, one.rules);
  const seats = seatHeights(one.facts.kit).filter((s) => s.heightCm > targetCm && s.heightCm <= top);
  const seat = seats.find((s) => s.heightCm >= targetCm + moves.seatCm) ?? (as === 'other' ? seats.at(-1) : undefined);
  return seat ? { ...level, targetCm: seat.heightCm, targetFrom: seat.from, missing: null } : null;
}

function isThere({ needs }: SwapDial, level: Level, one: Case): boolean {
  const { kit, style } = one.facts;
  const rung = rungOf(one, level.pattern, level.rung);
  switch (needs) {
    case undefined:
      return true;
    case 'wedge':
      return kit.wedge;
    case 'step':
      return kit.stepsCm.length > 0;
    case 'pad':
      return kit.padsCm.length > 0;
    case 'two-pads':
      return kit.padsCm.length > 1;
    case 'loaded':
      return level.loadKg !== null;
    case 'hands':
      return rung?.support === undefined && level.support !== '2';
    case 'slides':
      return rung?.slides !== undefined;
    default:
      return style !== needs.notStyle;
  }
}

function byDial(level: Level, id: SwapDialId): Level {
  if (id === 'no-load') return { ...level, loadKg: null };
  if (id === 'hands+1') return withHands(level, back1(level.support, '2'));
  if (id === 'mark-form') return { ...level, form: 'mark' };
  return level;
}

const withHands = (level: Level, support: Support): Level =>
  support === level.support ? level : { ...level, support, supportWords: supportWords[support] };

const recoded = (level: Level): Level => ({
  ...level,
  code: printLevelCode({ ...level, heightCm: level.targetCm }),
});
