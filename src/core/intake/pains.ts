import { daysBetween } from '../math/days';
import type { IsoDate, Limiter, Side } from '../shapes/facts';
import { limiterKinds } from '../shapes/facts';
import type { Entry, Joint } from '../shapes/intake';
import type { ReadinessRules } from '../shapes/readiness';
import { ofKind } from './entries';

/** What hurts at one joint, as the answers so far say. */
export interface PainNow {
  readonly joint: Joint;
  readonly side: Side | null;
  /** The newest answer, 0 to 10. */
  readonly level: number;
  /** What the rules reckon with: the newest answer, or the worst of the last ones once that is stale. */
  readonly reckoned: number;
  readonly since: IsoDate | null;
  readonly askedOn: IsoDate;
  /** Asked too long ago: ask again. */
  readonly stale: boolean;
  /** The last answers, oldest first. */
  readonly answers: readonly { readonly on: IsoDate; readonly level: number }[];
}

/**
 * Every joint that hurts or did lately. A pain that is gone leaves the list once it was answered with 0 and all the
 * remembered answers are 0 or it is still fresh.
 * @param entries those known on the day, see `entriesUntil`
 */
export function painsOn(entries: readonly Entry[], day: IsoDate, rules: ReadinessRules): PainNow[] {
  const byJoint = new Map<string, ReturnType<typeof ofKind<'pain'>>>();
  for (const entry of ofKind(entries, 'pain')) {
    const key = `${entry.content.joint}/${entry.content.side ?? ''}`;
    byJoint.set(key, [...(byJoint.get(key) ?? []), entry]);
  }
  return [...byJoint.values()].flatMap((answers) => painAt(answers, day, rules) ?? []);
}

function painAt(answers: ReturnType<typeof ofKind<'pain'>>, day: IsoDate, rules: ReadinessRules): PainNow | null {
  const newest = answers.at(-1);
  if (!newest) return null;
  const stale = daysBetween(newest.on, day) > rules.painAgainAfterDays;
  const all = answers.map((a) => ({ on: a.on, level: a.content.level }));
  const reckoned = reckonedPain(all, day, rules);
  if (reckoned === 0) return null;
  const { joint, side, level, since } = newest.content;
  return {
    joint,
    side,
    level,
    reckoned,
    since: strongSince(answers, rules) ?? since,
    askedOn: newest.on,
    stale,
    answers: all.slice(-rules.painsRemembered),
  };
}

/** The day from which a pain has been strong without a break: tests before it are no longer true. */
function strongSince(answers: ReturnType<typeof ofKind<'pain'>>, { strongPain }: ReadinessRules): IsoDate | null {
  const lastMild = answers.findLastIndex((a) => a.content.level < strongPain);
  const first = answers[lastMild + 1];
  if (!first) return null;
  return lastMild >= 0 ? first.on : (first.content.since ?? first.on);
}

/**
 * Of answers to one pain, oldest first, what the rules reckon with: the newest, or the worst of the last ones once it is
 * stale.
 */
export function reckonedPain(
  answers: readonly { readonly on: IsoDate; readonly level: number }[],
  day: IsoDate,
  { painsRemembered, painAgainAfterDays }: ReadinessRules,
): number {
  const remembered = answers.slice(-painsRemembered);
  const newest = remembered.at(-1);
  if (!newest) throw new RangeError('reckonedPain: no answer');
  const stale = daysBetween(newest.on, day) > painAgainAfterDays;
  return stale ? Math.max(...remembered.map((a) => a.level)) : newest.level;
}

/** Pains as the limiter table knows them; a joint without a row there is noted, and closes nothing by rule. */
export function painLimiters(pains: readonly PainNow[]): Limiter[] {
  return pains.flatMap(({ joint, side, reckoned, since }) => {
    const kind = limiterKinds.find((k) => k === `${joint}-pain`);
    return kind ? [{ kind, side, pain: reckoned, since }] : [];
  });
}
