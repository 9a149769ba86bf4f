import { string, type InferType } from 'yup';
import { styleQuestionIds, type Coaching } from '../core/shapes/style';
import { exactly, oneOf } from './building';
import { parse } from './parse';

/** One question answered for the hall. */
export const coachingForm = exactly({
  question: oneOf(styleQuestionIds).required('Choose a question.'),
  option: string().max(40).required('Choose one.'),
});

export type CoachingForm = InferType<typeof coachingForm>;

const coaching = exactly(Object.fromEntries(styleQuestionIds.map((id) => [id, string().max(40)])));

/** Where a device keeps how its instructor coaches. */
export const coachingCookie = 'coaching';

/** What a device keeps, as it comes with a request; what cannot be read is nothing chosen. */
export function deviceCoaching(value: string | undefined): Coaching {
  if (value === undefined) return {};
  try {
    const parsed = parse(coaching, JSON.parse(value));
    return parsed.kind === 'ok' ? parsed.value : {};
  } catch (error) {
    if (error instanceof SyntaxError) return {};
    throw error;
  }
}
