import { askLoad } from '../core/load/ask';
import { mostFaults, type FieldError } from '../schemas/parse';
import type { Answered } from './askStateless';

/** Posture, moments and feasibility of a set-up that is kept nowhere: the input is checked by the model itself. */
export function askSetUp(input: unknown): Answered {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return { kind: 'rejected', errors: [{ path: '', code: 'E_INPUT', message: 'Send one set-up as an object.' }] };
  const answer = askLoad(input as Readonly<Record<string, unknown>>);
  if (answer.kind === 'answered') return { kind: 'answered', body: { ...answer.answer, note: setUpNote } };
  const errors: readonly FieldError[] = answer.faults.slice(0, mostFaults);
  return { kind: 'rejected', errors };
}

/** Goes with every answer, as numbers travel further than what was said beside them. */
export const setUpNote =
  'Compares set-ups of one person before they are tried: still postures seen from the side, by body height alone. Not a measurement, not a prescription; an infeasible posture is no advice.';
