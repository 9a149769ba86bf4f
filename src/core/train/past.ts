import type { WrittenLine } from '../shapes/classLog';
import type { Dose } from '../shapes/dose';
import type { IsoDate, Pattern } from '../shapes/facts';
import type { LoadedJoint } from '../shapes/ladder';
import type { Grade } from '../shapes/progress';
import type { PersonId } from '../shapes/person';
import { gradeOf } from './grade';
import { presentIn, sessionOf, type Session } from './log';
import { isVariant, type BlockDoing, type Variant } from './variant';

/** A class that was held, as far as the rules of progress read it. */
export interface HeldClass {
  readonly key: string;
  readonly day: IsoDate;
  readonly people: readonly PersonId[];
  readonly doing: readonly BlockDoing[];
  readonly lines: readonly WrittenLine[];
  /** Whose dial went up from it, and in which pattern; left out where it was not read. */
  readonly ups?: readonly { readonly personId: PersonId; readonly pattern: Pattern }[];
}

/** What one person did of one pattern in one class. */
export interface PastSession {
  readonly key: string;
  readonly day: IsoDate;
  readonly rung: number;
  readonly code: string;
  readonly dose: Dose;
  /** `null` where it does not count: not done, swapped, or folded. */
  readonly grade: Grade | null;
  readonly seen: boolean;
  readonly variant: Variant;
  readonly session: Session;
}

/** What somebody did of a pattern in a class; a pattern done twice is one session. */
export function variantOf({ doing }: Pick<HeldClass, 'doing'>, personId: PersonId, pattern: Pattern): Variant | null {
  const all = doing.flatMap((b) => b.parts.flatMap((part) => part.filter(isVariant)));
  const theirs = all.filter((v) => v.personId === personId && v.pattern === pattern);
  // Their own before what stood in for something else.
  return theirs.find((v) => v.folded === null) ?? theirs[0] ?? null;
}

/**
 * The sessions of one person and pattern, newest first. A heavy one after two heavy ones is a down-sign; what was told of
 * the day after stands in the class that followed.
 * @param classes oldest first
 * @param classesBefore how many they were in before the first of these
 * @param loadOf how much a movement asks of a joint; without it a worse day after counts for every pattern
 */
export function pastSessions(
  classes: readonly HeldClass[],
  personId: PersonId,
  pattern: Pattern,
  classesBefore: number,
  loadOf: LoadOf = () => 0,
): PastSession[] {
  const theirs = classes.filter((c) => presentIn(c.people, c.lines).includes(personId));
  const past: PastSession[] = [];
  for (const [i, one] of theirs.entries()) {
    const variant = variantOf(one, personId, pattern);
    if (!variant) continue;
    const session = sessionOf(
      one.lines,
      personId,
      pattern,
      classesBefore + i,
      worseOf(theirs.slice(0, i), one, variant, theirs[i + 1]?.lines ?? [], loadOf),
    );
    const before = past.filter((s) => s.grade !== null && s.rung === variant.rung).slice(0, 2);
    const heavyBefore = before.length === 2 && before.every((s) => s.grade === 'H');
    // Done otherwise twice running because it hurt is a down-sign; once it says nothing of the own level.
    const swappedAgain = isSwappedForPain(session) && past[0] !== undefined && isSwappedForPain(past[0].session);
    const counts = session.kind === 'counts' && variant.folded === null;
    past.unshift({
      ...{ key: one.key, day: one.day, rung: variant.rung, code: variant.code, dose: variant.dose, variant, session },
      grade: swappedAgain ? 'D' : counts ? gradeOf(session.facts, heavyBefore) : null,
      seen: session.kind === 'counts' && session.facts.looked === 'seen',
    });
  }
  return past;
}

/** How much a movement asks of a joint: nothing, some, much. */
export type LoadOf = (variant: Variant, joint: LoadedJoint) => 0 | 1 | 2;

/**
 * What was told of the day after that belongs to a movement: a worse joint goes to what loaded it most that day, of equals to
 * the one whose dial last went up (to each, where none did); where nobody said which joint, to all.
 * @param before the classes before it, oldest first
 */
function worseOf(
  before: readonly HeldClass[],
  { doing }: HeldClass,
  variant: Variant,
  told: readonly WrittenLine[],
  loadOf: LoadOf,
): readonly WrittenLine[] {
  const all = doing.flatMap((b) => b.parts.flatMap((part) => part.filter(isVariant)));
  const theirs = all.filter((v) => v.personId === variant.personId);
  const lastUp = ({ pattern, personId }: Variant): number =>
    before.findLastIndex((c) => c.ups?.some((up) => up.personId === personId && up.pattern === pattern));
  return told.filter(({ content }) => {
    if (content.kind !== 'next-day' || content.joint === null) return true;
    const { joint } = content;
    const most = Math.max(...theirs.map((v) => loadOf(v, joint)));
    if (loadOf(variant, joint) < most) return false;
    const equals = theirs.filter((v) => loadOf(v, joint) === most);
    return lastUp(variant) >= Math.max(...equals.map(lastUp));
  });
}

const isSwappedForPain = (session: Session): boolean =>
  session.kind === 'not' &&
  session.why === 'swapped' &&
  session.lines.some((l) => l.content.kind === 'swap' && l.content.forPain);

/** The sessions of one pattern, oldest first. */
export interface TrainedPattern {
  readonly pattern: Pattern;
  readonly sessions: readonly Pick<PastSession, 'key' | 'day' | 'rung' | 'code' | 'grade'>[];
}

/** All that somebody trained in these classes, a row a pattern in the order of the ladders. */
export function trainedIn(
  classes: readonly HeldClass[],
  personId: PersonId,
  order: readonly Pattern[],
  before: number,
  loadOf: LoadOf = () => 0,
): TrainedPattern[] {
  return order.flatMap((pattern) => {
    const sessions = pastSessions(classes, personId, pattern, before, loadOf).reverse();
    return sessions.length > 0
      ? [{ pattern, sessions: sessions.map(({ key, day, rung, code, grade }) => ({ key, day, rung, code, grade })) }]
      : [];
  });
}
