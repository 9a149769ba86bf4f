import { scoreResult, type Score } from '../core/score/scoreResult';
import type { IsoDate } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import type { Protocol } from '../core/shapes/protocol';
import { bodyLimits } from '../schemas/requests';

interface Calculated {
  readonly asked: { readonly ageYears: number | null; readonly sex: NormTable; readonly value: number | null };
  readonly score: Score | null;
}

/** Scores a result out of an address; nothing is kept. What does not fit is left out, as the form says what does. */
export function calculate(
  protocol: Protocol,
  question: Readonly<Record<string, string | undefined>>,
  today: IsoDate,
): Calculated {
  const [youngest, oldest] = bodyLimits.ageYears;
  const ageYears = numberIn(question['age'], youngest, oldest);
  const value = numberIn(question['value'], protocol.range.min, protocol.range.max);
  const sex = question['sex'] === 'female' || question['sex'] === 'male' ? question['sex'] : null;
  const score =
    ageYears === null || value === null
      ? null
      : scoreResult(protocol, { test: protocol.id, testedOn: today, outcome: 'done', value }, { ageYears, sex });
  return { asked: { ageYears, sex, value }, score };
}

function numberIn(text: string | undefined, min: number, max: number): number | null {
  if (text === undefined || text.trim() === '') return null;
  const n = Number(text.replace(',', '.'));
  return n >= min && n <= max ? n : null;
}
