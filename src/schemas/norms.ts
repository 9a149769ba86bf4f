import { string } from 'yup';
import { exactly, words } from './building';

const written = (asked: string, most: number) => words(1, asked).defined(asked).max(most, `At most ${most} letters.`);

/** A change of a norm set: the table as CSV, or `null` to go back to the shipped one. */
export const normsForm = exactly({
  table: string().max(20_000, 'At most 20,000 letters.').nullable().defined(),
  cite: written('Write where the figures come from.', 200),
  who: written('Write who changes them.', 80),
  why: written('Write why.', 200),
});
