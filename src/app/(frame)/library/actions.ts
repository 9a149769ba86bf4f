'use server';
import { args, form, id, text } from '../../../schemas/door';
import { changeNorms } from '../../../use-cases/norms';
import { chooseForHall } from '../../../use-cases/coaching';
import { action } from '../../doors';

/**
 * The id is made when the form was sent first, so that a form sent twice is one change; the last is the newest change
 * when the form was opened.
 */
export const saveNorms = action(args([text(64), id(), form(), text(64).nullable()]), changeNorms);

/** How the hall coaches, one question. */
export const saveHallCoaching = action(args([form()]), chooseForHall);
