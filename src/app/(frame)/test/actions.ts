'use server';
import { args, form } from '../../../schemas/door';
import { chairsOut } from '../../../use-cases/dayChairs';
import { action } from '../../doors';

/** Which chair stands at which lane; nothing is kept. */
export const findChairs = action(args([form()]), chairsOut);
