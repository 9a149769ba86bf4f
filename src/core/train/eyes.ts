import type { Pattern } from '../shapes/facts';
import type { PersonId } from '../shapes/person';
import type { PastSession } from './past';

/** Why somebody is worth a look in a block. */
export const eyeReasons = ['second', 'new', 'long'] as const;
export type EyeReason = (typeof eyeReasons)[number];

export interface Eye {
  readonly personId: PersonId;
  readonly pattern: Pattern;
  readonly why: EyeReason;
}

/** So many are named at once: more nobody looks at. Common practice, no published source. */
export const mostEyes = 4;
/** Classes without a look, after which somebody is named again. */
const longClasses = 3;

/**
 * Why somebody is to be looked at in a pattern: their second clean session would be due, they are new on the rung, or nobody
 * looked for three classes. `null` where none holds.
 * @param past of this person and pattern, newest first
 * @param rung the one they are on
 */
export function eyeOn(past: readonly PastSession[], rung: number): EyeReason | null {
  const onIt = past.filter((s) => s.rung === rung);
  if (onIt[0]?.grade === 'C') return 'second';
  if (onIt.length === 0) return 'new';
  const seen = past.findIndex((s) => s.seen);
  return seen === -1 ? (past.length >= longClasses ? 'long' : null) : seen >= longClasses ? 'long' : null;
}

/** Those to look at in a block, the most telling first, without whom was seen already. */
export const eyesFor = (eyes: readonly Eye[], pattern: Pattern, seen: ReadonlySet<PersonId>): Eye[] =>
  eyeReasons
    .flatMap((why) => eyes.filter((e) => e.why === why && e.pattern === pattern && !seen.has(e.personId)))
    .slice(0, mostEyes);
