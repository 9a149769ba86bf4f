import type { InferType } from 'yup';
import { helperTasks } from '../core/shapes/helper';
import { exactly, oneOf, words, yesNo } from './building';
import { id } from './door';

/** Somebody new who helps in the hall. */
export const helperForm = exactly({
  name: words(2, 'Write their name.').max(80, 'must have at most 80 letters').required('Write their name.'),
});

/** What is said of a helper: that they may do something or may not, or that they help no more. */
export const helperDeed = exactly({
  id: id(),
  task: oneOf(helperTasks).optional(),
  may: yesNo().optional(),
  gone: yesNo().optional(),
});

export type HelperDeed = InferType<typeof helperDeed>;
