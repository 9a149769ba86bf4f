import { string, type InferType } from 'yup';
import { exactly, numberIn, oneOf, wholeIn, words } from './building';

/** Something put right of an attempt that was taken down: an event left out, the result set, whose it is, a yes to what a device counted,
 * or which of two taken at once is kept. */
export const correctionForm = exactly({
  kind: oneOf(['strike', 'add', 'move', 'agree', 'prefer'] as const).required(),
  ofSeq: wholeIn(0, 100_000).optional(),
  value: numberIn(-200, 1000).optional(),
  toPersonId: string().max(64).optional(),
  reason: words(3, 'Say why, in a few words: the old result stays visible with it.')
    .max(300, 'must have at most 300 letters')
    .required('Say why, in a few words: the old result stays visible with it.'),
});

export type CorrectionForm = InferType<typeof correctionForm>;
