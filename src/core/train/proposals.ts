import type { Level } from '../level/answer';
import { parseLevelCode, printLevelCode } from '../level/code';
import type { Ladder } from '../shapes/ladder';
import { patterns, type Pattern } from '../shapes/facts';
import type { OutcomeKind, OutcomeRow } from '../shapes/progress';
import type { PersonId } from '../shapes/person';
import { daysBetween } from '../math/days';
import { doseUp, halfDose, isTopDose, lessDose } from './doseSteps';
import type { NextDial } from './dials';
import { outcomeOf } from './outcome';
import { restsUntil, undone, wholeAgain, type Moved } from './moves';
import type { PastSession } from './past';

/** What follows for one person and pattern from a class. */
export interface Proposal {
  readonly pattern: Pattern;
  readonly row: OutcomeRow;
  readonly kind: OutcomeKind;
  /** Of a way back: for so many sessions the dose is half; left out of those kept before. */
  readonly halfDoseFor?: 0 | 1 | 2;
  /** From this one. */
  readonly from: Level;
  /** What it becomes; `null` where it stays. */
  readonly to: Level | null;
  /** The one test that would decide. */
  readonly test: string | null;
  /** Why, in words: what keeps the next dial closed, or how long somebody is on this level. */
  readonly why: string;
  readonly today: PastSession;
}

/** Those that hold at once, and are taken back with one key: nobody is asked before less, or before a step of the dose. */
export const holdsAtOnce: ReadonlySet<OutcomeKind> = new Set(['back', 'less', 'dose-set', 'dose-up']);

/** All that is known of one person and pattern after a class. */
export interface OnPattern {
  readonly level: Level;
  readonly ladder: Ladder;
  /** Newest first; the first is of this class. */
  readonly past: readonly PastSession[];
  readonly next: NextDial;
  readonly back: Level;
  /** What they trained on after weeks away, easier than what is in force. */
  readonly eased: Level | null;
  /** What classes turned of this ladder and stands, newest first. */
  readonly moves: readonly Moved[];
}

/** A session before counts as the one before on a level for so long. */
const beforeDays = 28;

/**
 * What follows for one person: at most one dial goes up, that of the pattern that was clean the longest; the others wait for
 * the next class. Nothing of a person who is held back today.
 */
export function proposalsFor(all: readonly OnPattern[], firstTwoClasses: boolean): Proposal[] {
  const waited = (one: OnPattern): number => {
    const run = one.past.findIndex((s) => s.rung !== one.level.rung || (s.grade !== 'C' && s.grade !== 'U'));
    return run === -1 ? one.past.length : run;
  };
  const inOrder = [...all].sort(
    (a, b) => waited(b) - waited(a) || patterns.indexOf(a.level.pattern) - patterns.indexOf(b.level.pattern),
  );
  let wentUp = false;
  const made = inOrder.flatMap((one) => {
    const proposal = proposalOn(one, firstTwoClasses, wentUp);
    if (proposal?.kind === 'up') wentUp = true;
    return proposal ?? [];
  });
  return made.sort((a, b) => patterns.indexOf(a.pattern) - patterns.indexOf(b.pattern));
}

function proposalOn(
  { level, ladder, past, next: found, back: general, moves, eased }: OnPattern,
  firstTwoClasses: boolean,
  wentUp: boolean,
): Proposal | null {
  const [today, ...earlier] = past;
  if (!today) return null;
  if (eased && today.variant.folded === 'away')
    return {
      ...{ pattern: level.pattern, row: 'G4', kind: 'back', halfDoseFor: 2, from: level, to: eased, today },
      ...{ test: null, why: 'some weeks away; the whole dose comes back after two sessions' },
    };
  if (today.grade === null) return null;
  const before = earlier.find(
    (s) => s.grade !== null && s.rung === today.rung && daysBetween(s.day, today.day) <= beforeDays,
  );
  const rung = ladder.rungs.find((r) => r.rung === level.rung);
  const rests = found.dial && restsUntil(found.dial, moves, today.day);
  const next: NextDial = rests
    ? { ...found, state: 'need', level: null, why: `it went up and back twice: not again before ${rests}` }
    : found;
  const { row, kind, halfDoseFor } = outcomeOf({
    ...{ today: today.grade, before: before?.grade ?? null, firstTwoClasses, wentUp },
    ...{
      topDose: isTopDose(level, rung),
      topBefore: before !== undefined && isTopDose({ ...level, dose: ownDose(before) }, rung),
    },
    ...{ dial: next.state, riskDial: next.risk },
  });
  const whole = kind === 'dose-up' ? wholeAgain(level, moves, past) : null;
  const to = whole ?? changedBy(kind, level, rung, next, undone(level, moves, past) ?? general);
  const sessions = past.filter((s) => s.rung === level.rung).length;
  return {
    ...{ pattern: level.pattern, row, kind, halfDoseFor, from: level, to, today },
    test: kind === 'test' ? next.test : null,
    why: [
      ...(row === 'P11' || row === 'P12' || row === 'P13' ? [next.why ?? ''] : []),
      ...(whole ? ['the lighter sessions are over'] : []),
      // Of who goes on nobody asks how long they stay.
      ...(kind === 'stay' ? [howLong(sessions)] : []),
    ]
      .filter(Boolean)
      .join('; '),
  };
}

/** The dose of the own level then; a class may have asked for less of it. */
const ownDose = ({ code, dose }: PastSession): Level['dose'] => parseLevelCode(code)?.dose ?? dose;

function changedBy(
  kind: OutcomeKind,
  level: Level,
  rung: Ladder['rungs'][number] | undefined,
  next: NextDial,
  back: Level,
): Level | null {
  const dosed = (dose: Level['dose']): Level => ({
    ...level,
    dose,
    code: printLevelCode({ ...level, heightCm: level.targetCm, dose }),
  });
  switch (kind) {
    case 'back':
      return back.code === level.code ? dosed(halfDose(level.dose)) : back;
    case 'less':
    case 'dose-set':
      return dosed(lessDose(level.dose));
    case 'dose-up':
      return dosed(doseUp(level, rung));
    case 'up':
      return next.level;
    case 'queued':
    case 'stay':
    case 'test':
      return null;
  }
}

/** The first four sessions on a level say nothing; a level that is held is a success. Common practice, no published source. */
export function howLong(sessions: number): string {
  if (sessions >= 9) return 'this is your level; the other style may be tried';
  if (sessions >= 5) return `${sessions} sessions on it: see whether the dose is at its top`;
  return sessions === 2 ? 'second session on it: usual' : '';
}

/** A rung seen clean in two classes at most four weeks apart, with enough repetitions in each. */
export interface ShownByLog {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly heldS: number | null;
  /** The seat of a squat that goes by one; the higher of the two. */
  readonly seatCm: number | null;
}

/**
 * What the two newest counted sessions show: clean and seen twice, each with ten repetitions in all rounds together (six a
 * side), or a hold of the length that counts.
 */
export function shownBy(past: readonly PastSession[], ladder: Ladder): ShownByLog | null {
  const [today, before] = past.filter((s) => s.grade !== null);
  if (!today || !before || today.grade !== 'C' || before.grade !== 'C' || today.rung !== before.rung) return null;
  if (daysBetween(before.day, today.day) > beforeDays) return null;
  const rung = ladder.rungs.find((r) => r.rung === today.rung);
  if (!rung || ![today, before].every((s) => isEnough(s, rung))) return null;
  const held = [today, before].map((s) => (s.dose.kind === 'holds' ? s.dose.holdS : null));
  const [a, b] = held;
  return {
    ...{ pattern: ladder.pattern, rung: today.rung },
    seatCm: ladder.pattern === 'S' ? seatOf(today, before) : null,
    heldS: typeof a === 'number' && typeof b === 'number' ? Math.min(a, b) : null,
  };
}

const seatOf = (...sessions: readonly PastSession[]): number | null => {
  const seats = sessions.map((s) => s.variant.targetCm);
  return seats.every((cm) => cm !== null) ? Math.max(...seats) : null;
};

/** Holds that count from ten seconds on; the others from fifteen. */
const shortHolds: readonly string[] = ['S1', 'B1', 'W1', 'W2', 'K1'];

function isEnough({ dose, variant }: PastSession, rung: Ladder['rungs'][number]): boolean {
  switch (dose.kind) {
    case 'reps':
      return dose.reps * dose.sets >= (rung.aSide ? 6 : 10);
    case 'holds':
      return dose.holdS >= (shortHolds.includes(`${variant.pattern}${variant.rung}`) ? 10 : 15);
    case 'half-minute':
      return dose.reps * dose.rounds >= 10;
    case 'intervals':
      // Two rounds of half a minute at a slow tempo are ten; the daily minute never shows a rung.
      return dose.restS > 0 && dose.rounds >= 2;
  }
}

/** What followed from a class, and what became of it. */
export interface ProposalNow {
  readonly seq: number;
  readonly personId: PersonId;
  readonly proposal: Proposal;
  /** Holds already · waits for a yes · was said yes to · was taken back · nothing changes. */
  readonly state: 'holds' | 'waits' | 'confirmed' | 'taken-back' | 'stays';
}

/** What became of them after a yes or a way back; `changed` where one is no longer allowed. */
export type SayProposals =
  | { readonly kind: 'confirmed'; readonly proposals: readonly ProposalNow[] }
  | { readonly kind: 'changed'; readonly proposals: readonly ProposalNow[] };
