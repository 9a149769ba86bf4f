import { string } from 'yup';
import { cardKinds } from '../core/shapes/card';
import { exactly, oneOf } from './building';

/** Which card went to the printer, and what it held when it was shown. */
export const cardForm = exactly({
  kind: oneOf(cardKinds).required(),
  fingerprint: string().required(),
});
