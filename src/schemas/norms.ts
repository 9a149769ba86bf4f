import { string } from 'yup';
import { exactly } from './building';

const words = (asked: string, most: number) => string().trim().required(asked).max(most, `At most ${most} letters.`);

/** A change of a norm set: the table as CSV, or `null` to go back to the shipped one. */
export const normsForm = exactly({
  table: string().max(20_000, 'At most 20,000 letters.').nullable().defined(),
  cite: words('Write where the figures come from.', 200),
  who: words('Write who changes them.', 80),
  why: words('Write why.', 200),
});
