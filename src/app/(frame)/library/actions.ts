'use server';
import { args, form, id, text, truth } from '../../../schemas/door';
import { importOwn, putOwnAside, saveOwn, tryOwn } from '../../../use-cases/ownExercises';
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

/** The id is made with the form; with the version it was opened with. */
export const saveOwnExercise = action(args([id(), form(), text(20)]), saveOwn, [['/library/exercises']]);

/** What would close it and for whom it would be open, while it is written. */
export const tryOwnExercise = action(args([form()]), tryOwn);

export const putExerciseAside = action(args([id(), truth()]), putOwnAside, [['/library/exercises']]);

export const takeInExercises = action(args([form()]), importOwn, [['/library/exercises']]);
