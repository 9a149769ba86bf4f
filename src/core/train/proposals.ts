import type { Level } from '../level/answer';
import { parseLevelCode, printLevelCode } from '../level/code';
import type { Ladder } from '../shapes/ladder';
import { patterns, type Pattern } from '../shapes/facts';
import type { OutcomeKind, OutcomeRow } from '../shapes/progress';
import type { PersonId } from '../shapes/person';
import { daysBetween } from '../math/days';
import { doneDose, doseUp, halfDose, isTopDose, lessDose } from './doseSteps';
import type { NextDial } from './dials';
import { awayFrom } from './away';
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
  /** The question of style of which another answer may be tried; left out of those kept before. */
  readonly style?: string | null;
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
  /** The question of style of this rung; `null` where good instructors do it alike. */
  readonly style: string | null;
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
  { level, ladder, past, next: found, back: general, moves, eased, style }: OnPattern,
  firstTwoClasses: boolean,
  wentUp: boolean,
): Proposal | null {
  const [today, ...earlier] = past;
  if (!today) return null;
  if (eased && today.variant.folded === 'away') {
    const [last] = earlier;
    const long = !last || daysBetween(last.day, today.day) >= 7 * awayFrom.firstDose;
    return {
      ...{ pattern: level.pattern, row: 'G4', kind: 'back', from: level, to: eased, today, test: null },
      halfDoseFor: long ? 0 : 2,
      why: long
        ? 'months away; it begins again with the first dose'
        : 'some weeks away; the whole dose comes back after two sessions',
    };
  }
  if (today.grade === null) return null;
  const before = earlier.find(
    (s) => s.grade !== null && s.rung === today.rung && daysBetween(s.day, today.day) <= beforeDays,
  );
  const rests = found.dial && restsUntil(found.dial, moves, today.day);
  const next: NextDial = rests
    ? { ...found, state: 'need', level: null, why: `it went up and back twice: not again before ${rests}` }
    : found;
  const { row, kind, halfDoseFor } = outcomeOf({
    ...{ today: today.grade, before: before?.grade ?? null, firstTwoClasses, wentUp },
    ...{
      topDose: isTopDose(level, ladder),
      topBefore: before !== undefined && isTopDose({ ...level, dose: ownDose(before) }, ladder),
    },
    ...{ dial: next.state, riskDial: next.risk },
  });
  const whole = kind === 'dose-up' ? wholeAgain(level, moves, past) : null;
  const to = whole ?? changedBy(kind, level, ladder, next, undone(level, moves, past) ?? general, today);
  // Of who goes on nobody asks how long they stay.
  const stays = kind === 'stay' ? stuckOn(sessionsOn(level, past, moves), next.decides, style) : null;
  return {
    ...{ pattern: level.pattern, row, kind, halfDoseFor, from: level, to, today },
    ...{ test: kind === 'test' ? next.test : (stays?.test ?? null), style: stays?.style ?? null },
    why: [
      ...(row === 'P11' || row === 'P12' || row === 'P13' ? [next.why ?? ''] : []),
      ...(whole ? ['the lighter sessions are over'] : []),
      ...(stays ? [stays.why] : []),
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
  ladder: Ladder,
  next: NextDial,
  back: Level,
  today: PastSession,
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
      return dosed(lessDose(level.dose));
    case 'dose-set':
      return dosed(asDone(level.dose, today));
    case 'dose-up':
      return dosed(doseUp(level, ladder));
    case 'up':
      return next.level;
    case 'queued':
    case 'stay':
    case 'test':
      return null;
  }
}

/** A dose as it was done today; a round less where nobody counted, or the class asked for it in another way. */
function asDone(dose: Level['dose'], { session, dose: asked }: PastSession): Level['dose'] {
  const counted = session.lines.flatMap(({ content: c }) => (c.kind === 'fewer' && c.done ? [c.done] : []));
  return counted.length === 0 || asked.kind !== dose.kind ? lessDose(dose) : counted.reduce(doneDose, dose);
}

/** The sessions on a level as it is: since its rung was begun, and since its last dial went up. */
function sessionsOn(level: Level, past: readonly PastSession[], moves: readonly Moved[]): readonly PastSession[] {
  const up = moves.find((m) => m.way === 'up')?.day ?? '';
  return past.filter((s) => s.rung === level.rung && s.day > up);
}

/** From so many sessions, or days, on a level is theirs. Common practice, no published source. */
const stuckFrom = { told: 5, sessions: 9, days: 56 } as const;

interface Stuck {
  readonly why: string;
  readonly test: string | null;
  readonly style: string | null;
}

/**
 * What is said of who stays on a level: at first nothing; then whether the dose is at its top; after nine sessions or eight
 * weeks the one test that would decide, else another style, else that it is their level, which is a success.
 * @param on the sessions on it, newest first
 */
export function stuckOn(on: readonly Pick<PastSession, 'day'>[], decides: string | null, style: string | null): Stuck {
  const nothing = { test: null, style: null };
  const [newest, oldest] = [on[0], on.at(-1)];
  const days = newest && oldest ? daysBetween(oldest.day, newest.day) : 0;
  if (on.length >= stuckFrom.sessions || days >= stuckFrom.days) {
    if (decides !== null) return { ...nothing, test: decides, why: 'long on this level: this test would decide' };
    const own = 'this is your level, and holding it is a success';
    return style === null ? { ...nothing, why: own } : { ...nothing, style, why: `${own}; another style may be tried` };
  }
  if (on.length >= stuckFrom.told)
    return { ...nothing, why: `${on.length} sessions on it: see whether the dose is at its top` };
  return { ...nothing, why: on.length === 2 ? 'second session on it: usual' : '' };
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
