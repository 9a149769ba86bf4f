import { symptomIds, type QuestionId } from '../shapes/intake';
import type { ReadinessReason, ReadinessRules } from '../shapes/readiness';

export type Branch =
  'symptoms' | 'inactive, known disease' | 'active, known disease' | 'inactive, no disease' | 'active, no disease';

/**
 * The published screening logic: active or not, known disease, symptoms.
 *
 * Symptoms: stop and ask, whatever else. Known disease: ask first when inactive; moderate effort may go on when
 * active. No disease: light to moderate when inactive, go on when active. A question that was not put is read as the
 * answer that asks for more care.
 * @see rules.screeningSource (Riebe et al. 2015)
 */
export function branchOf(answers: Partial<Record<QuestionId, boolean>>): Branch {
  if (symptomsOf(answers).length > 0) return 'symptoms';
  const active = answers.active ?? false;
  if (answers.disease ?? false) return active ? 'active, known disease' : 'inactive, known disease';
  return active ? 'active, no disease' : 'inactive, no disease';
}

/** The symptoms somebody said yes to, one at a time or in one breath. */
const symptomsOf = (answers: Partial<Record<QuestionId, boolean>>): QuestionId[] =>
  ([...symptomIds, 'symptoms'] as const).filter((id) => answers[id] === true);

/** What the branch allows only so far, in words. */
export const branchLimits: Readonly<Record<Branch, string | null>> = {
  symptoms: null,
  'inactive, known disease': null,
  'active, known disease': 'Moderate effort only; ask a licensed professional before hard work.',
  'inactive, no disease': 'Begin light to moderate and build up slowly.',
  'active, no disease': null,
};

/**
 * Reasons that the answers give, each since the moment it was first answered so.
 * @param since for a question, the moment that began the unbroken run of the same answer
 */
export function screeningReasons(
  answers: Partial<Record<QuestionId, boolean>>,
  since: (id: QuestionId) => string,
  rules: ReadinessRules,
): ReadinessReason[] {
  const branch = branchOf(answers);
  const rows = [...rules.questions, rules.symptomsAtOnce];
  const why = (id: QuestionId) => rows.find((q) => q.id === id)?.why ?? id;
  const asks = (id: QuestionId, text: string, source: ReadinessReason['source']): ReadinessReason => ({
    id,
    outcome: 'ask-first',
    text,
    nextStep: 'Print the note and have a licensed professional answer it.',
    since: since(id),
    source,
    ...(id === 'operation' || id === 'disease' ? { askFirst: id } : {}),
  });
  const published =
    branch === 'symptoms'
      ? symptomsOf(answers).map((id) => asks(id, why(id), rules.screeningSource))
      : branch === 'inactive, known disease'
        ? [asks('disease', `${why('disease')}, and not active so far`, rules.screeningSource)]
        : [];
  const others = rules.questions
    .filter((q) => q.role === 'asks-first' && answers[q.id] === true)
    .map((q) => asks(q.id, q.why, q.source));
  return [...published, ...others];
}
