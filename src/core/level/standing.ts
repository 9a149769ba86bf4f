import {
  ladderKey,
  setPatterns,
  supports,
  type IsoDate,
  type Pattern,
  type RungConfirmed,
  type SetByHand,
} from '../shapes/facts';
import type { Ladder } from '../shapes/ladder';
import type { ClosedLadder, Level, LevelsAnswer } from './answer';
import { printDose, printLevelCode } from './code';
import { cappedDose } from './dose';
import { carriedWithin } from './within';

/** What a decision was made of: a test, what was seen in classes, the instructor’s own word, or a day’s swap. */
export const decisionKinds = ['test', 'class', 'hand', 'swap'] as const;
export type DecisionKind = (typeof decisionKinds)[number];

/** A level that somebody decided. */
export interface Decided {
  readonly decidedOn: IsoDate;
  readonly kind: DecisionKind;
  /** Whose yes or word it was. */
  readonly by: string;
  readonly level: Level;
}

export const standingStates = ['none', 'waits', 'holds', 'more', 'over', 'closed', 'aside'] as const;
/**
 * `none`: nothing in force, nothing open · `waits`: open, and nobody said yes since the newest test · `holds`: in force ·
 * `more`: in force, and something new says more · `over`: in force over what may be done now, not to be trained on ·
 * `closed`: in force, and the whole ladder is closed today · `aside`: left out by somebody’s word.
 */
export type StandingState = (typeof standingStates)[number];

/** The one answer for a person and a ladder. */
export interface Standing {
  readonly pattern: Pattern;
  /** The most that results, limiters and the hall allow today. */
  readonly ceiling: Level | ClosedLadder;
  readonly inForce: Decided | null;
  readonly state: StandingState;
}

export const isOpen = (ceiling: Level | ClosedLadder): ceiling is Level => 'rung' in ceiling;

/**
 * Where somebody stands on each ladder, in the order of the ladders. Tests move the ceiling; a decision moves what is in
 * force below it, and one below the ceiling is not offered back until a newer test.
 * @param ladders of a set each item by itself
 * @param answer what the rules allow today
 * @param decided oldest first
 * @param lastTestedOn the newest day of a test that counts; before it nothing waits
 */
export function standingsOf(
  ladders: readonly Ladder[],
  answer: Pick<LevelsAnswer, 'levels' | 'closed'>,
  decided: readonly Decided[],
  lastTestedOn: IsoDate | null,
): Standing[] {
  return ladders.map(({ pattern, rungs }) => {
    const isMine = (l: Pick<Level, 'pattern' | 'rung' | 'own'>): boolean =>
      !l.own && l.pattern === pattern && (!setPatterns.has(pattern) || rungs.some((r) => r.rung === l.rung));
    const shut = answer.closed.find((l) => l.pattern === pattern)?.blockers ?? [];
    const said = decided.findLast((d) => isMine(d.level)) ?? null;
    const given = answer.levels.find(isMine);
    const inForce = said && given ? { ...said, level: cappedTo(said.level, given.doseCaps) } : said;
    const ceiling = given
      ? carriedWithin(given, inForce?.level)
      : { pattern, blockers: shut.filter((b) => isMine({ pattern, ...b })) };
    return { pattern, ceiling, inForce, state: stateOf(ceiling, inForce, lastTestedOn) };
  });
}

/** A level with its dose as far as today's caps let it: no log and nobody's yes passes them. */
export function cappedTo(level: Level, doseCaps: Level['doseCaps']): Level {
  const { doseCaps: then, ...own } = level;
  if (!doseCaps) return then ? own : level;
  const dose = cappedDose(level.dose, doseCaps);
  const same = printDose(dose) === printDose(level.dose);
  return {
    ...{ ...own, dose, doseCaps },
    code: same ? level.code : printLevelCode({ ...level, heightCm: level.targetCm, dose }),
  };
}

function stateOf(ceiling: Level | ClosedLadder, inForce: Decided | null, lastTestedOn: IsoDate | null): StandingState {
  if (!isOpen(ceiling)) return inForce ? 'closed' : 'none';
  if (!inForce) return lastTestedOn === null ? 'none' : 'waits';
  const word = inForce.level.byHand?.word;
  if (word === 'not-this') return 'aside';
  if (isOver(inForce.level, ceiling)) return 'over';
  // Somebody’s word stays over the next test: less always, more until the rules give as much.
  if (word === 'lower' || (word === 'higher' && ceiling.rung <= inForce.level.rung)) return 'holds';
  const newTest = lastTestedOn !== null && inForce.decidedOn < lastTestedOn;
  const same = inForce.level.code === ceiling.code;
  if (newTest) return same ? 'waits' : 'more';
  // Below the ceiling by somebody’s word, or by what classes showed: it stays until a test.
  return same || inForce.kind !== 'test' ? 'holds' : 'more';
}

/** Whether a level asks more than another allows: a higher rung, freer hands, a lower seat or more weight. */
export function isOver(level: Level, ceiling: Level): boolean {
  if (level.rung !== ceiling.rung) return level.rung > ceiling.rung;
  return (
    isFreerForm(level.form, ceiling.form) ||
    supports.indexOf(level.support) > supports.indexOf(ceiling.support) ||
    (level.targetCm !== null && ceiling.targetCm !== null && level.targetCm < ceiling.targetCm) ||
    (level.loadKg ?? 0) > (ceiling.loadKg ?? 0)
  );
}

/** Sliding asks more than stepping to a mark, standing more than sitting. */
const isFreerForm = (form: Level['form'], allowed: Level['form']): boolean =>
  (form === 'slide' && allowed === 'mark') || (form === 'standing' && allowed === 'seated');

/** Why what is in force may not be trained on any more, in sentences. */
export function whyOver({ ceiling, inForce }: Standing): string[] {
  if (!inForce) return [];
  const { rung } = inForce.level;
  if (!isOpen(ceiling) || ceiling.rung < rung)
    return ceiling.blockers.filter((b) => b.rung === rung).map((b) => b.text);
  const about = ceiling.support === inForce.level.support ? 'target' : 'support';
  const told = ceiling.reasons.filter((r) => r.fact === about || r.fact === 'dial');
  return told.map((r) => r.text);
}

/** The level that waits for a yes. */
export const waitingLevel = ({ state, ceiling }: Standing): Level | null =>
  (state === 'waits' || state === 'more' || state === 'over') && isOpen(ceiling) ? ceiling : null;

export const waitingLevels = (standings: readonly Standing[]): Level[] =>
  standings.flatMap((s) => waitingLevel(s) ?? []);

/**
 * The level that is shown of a ladder: what holds below the rules, with what keeps the rungs over it today; else what the rules
 * give, with the reasons of today. `null` where nothing is open.
 */
export function shownLevel({ state, ceiling, inForce }: Standing): Level | null {
  if (!isOpen(ceiling)) return null;
  const held = state === 'holds' ? inForce?.level : undefined;
  return held && held.code !== ceiling.code ? { ...held, blockers: ceiling.blockers } : ceiling;
}

/** The level to train on today; `null` where none is in force, or what is must not be done today. */
export const trainedLevel = ({ state, inForce }: Standing): Level | null =>
  inForce && state !== 'over' && state !== 'closed' && state !== 'aside' ? inForce.level : null;

export const trainedLevels = (standings: readonly Standing[]): Level[] =>
  standings.flatMap((s) => trainedLevel(s) ?? []);

/** The levels to go by today: each that waits for a yes, else the one in force; nothing where somebody may not today. */
export const levelsOfToday = ({
  levels,
  standings,
}: {
  readonly levels: Pick<LevelsAnswer, 'refused'>;
  readonly standings: readonly Standing[];
}): Level[] =>
  levels.refused === null
    ? standings.flatMap((s) => (isOpen(s.ceiling) ? (waitingLevel(s) ?? trainedLevel(s) ?? []) : []))
    : [];

/** The newest level that was decided on each ladder. */
const newestOf = (decided: readonly Decided[]): Level[] => [
  ...new Map(decided.map(({ level }) => [ladderKey(level), level])).values(),
];

/** What was said before, as the rules read it: the newest level of each ladder, and what was set above the rules. */
export function saidBefore(decided: readonly Decided[]): {
  readonly lastConfirmed: readonly RungConfirmed[];
  readonly setByHand: readonly SetByHand[];
} {
  // A movement of the hall’s own stands beside a ladder and confirms nothing on it.
  const onLadders = decided.filter((d) => !d.level.own);
  const done = onLadders.filter((d) => d.level.byHand?.word !== 'not-this');
  return {
    lastConfirmed: newestOf(done).map(({ pattern, rung, support, within, loadKg }) => ({
      ...{ pattern, rung, support },
      ...(within && within.step > 0 ? { step: within.step } : {}),
      ...(loadKg === null ? {} : { kg: loadKg }),
    })),
    setByHand: newestOf(onLadders).flatMap(({ pattern, rung, support, byHand }) =>
      byHand?.word === 'higher' ? [{ pattern, rung, support, reason: byHand.why }] : [],
    ),
  };
}

/** Whether the newest level of a ladder asks less than the one before it. */
export function isSteppedBack(decided: readonly Decided[]): boolean {
  const levels = decided.map((d) => d.level);
  return newestOf(decided).some((level) => {
    const before = levels.filter((l) => ladderKey(l) === ladderKey(level)).at(-2);
    return before !== undefined && isOver(before, level);
  });
}
