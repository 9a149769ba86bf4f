import type { Limiter, Pattern } from '../shapes/facts';
import type { Entry } from '../shapes/intake';
import type { FormCheckCode } from '../shapes/move';
import type { Coaching, StyleOption, StyleQuestion } from '../shapes/style';
import { ofKind } from '../intake/entries';

/** Whose choice it is: of the person with a reason, of the instructor on this device, of the hall, or the one shipped. */
export const coachingFroms = ['person', 'device', 'hall', 'shipped'] as const;
export type CoachingFrom = (typeof coachingFroms)[number];

/** How one question is answered for somebody, or for the hall. */
export interface Coached {
  readonly question: StyleQuestion;
  readonly option: StyleOption;
  readonly from: CoachingFrom;
  /** Of a choice for the person: why, and the entry that holds it. */
  readonly reason: string | null;
  readonly entryId: string | null;
  /** Another one that is proposed, with why; nobody takes it but the instructor. */
  readonly proposed: { readonly option: StyleOption; readonly because: string } | null;
}

interface Chosen {
  readonly hall: Coaching;
  readonly device: Coaching;
  /** Entries and limiters of the person it is asked for; of nobody none. */
  readonly entries: readonly Entry[];
  readonly limiters: readonly Limiter[];
}

/**
 * How somebody is coached, question by question: what was chosen for the person over what the instructor chose on this device,
 * over the hall's, over the shipped one. A knee that hurts or is replaced proposes what spares it. A choice that is none of
 * the question's own is passed over.
 */
export function coachedBy(questions: readonly StyleQuestion[], { hall, device, entries, limiters }: Chosen): Coached[] {
  const soreKnee = limiters.some(
    (l) => !l.unasked && (l.kind === 'knee-replaced' || (l.kind === 'knee-pain' && (l.pain ?? 10) > 0)),
  );
  return questions.map((question): Coached => {
    const named = (id: string | undefined): StyleOption | undefined => question.options.find((o) => o.id === id);
    const own = ofKind(entries, 'coaching').findLast(
      (e) => e.content.question === question.id && named(e.content.option) !== undefined,
    );
    const chosen = [
      ['person', named(own?.content.option)],
      ['device', named(device[question.id])],
      ['hall', named(hall[question.id])],
      ['shipped', named(question.shipped)],
    ] as const;
    const found = chosen.find(([, option]) => option !== undefined);
    const option = found?.[1];
    if (!found || !option) throw new RangeError(`coachedBy: ${question.id} ships with none of its own options`);
    const spares = soreKnee ? named(question.forSoreKnee) : undefined;
    const [from] = found;
    return {
      ...{ question, option, from },
      ...{ reason: from === 'person' ? (own?.content.reason ?? null) : null, entryId: own?.id ?? null },
      // What was chosen for the person, knee and all, is not proposed against.
      proposed:
        spares && spares !== option && from !== 'person'
          ? { option: spares, because: 'a knee that hurts or is replaced' }
          : null,
    };
  });
}

/** Those that bear on a rung. */
export const coachedOn = (coached: readonly Coached[], pattern: Pattern, rung: number): Coached[] =>
  coached.filter(({ question }) =>
    question.on.some((on) => on.pattern === pattern && on.from <= rung && rung <= on.to),
  );

/** The checks of a rung with those first that its coaching looks at first; as many as before, at most three. */
export function checksFirst(checks: readonly FormCheckCode[], coached: readonly Coached[]): FormCheckCode[] {
  const first = coached.flatMap((c) => c.option.first);
  return [...new Set([...first, ...checks])].slice(0, Math.max(checks.length, Math.min(3, first.length)));
}
