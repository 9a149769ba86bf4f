import type { ValidationError } from 'yup';
import { string, type InferType } from 'yup';
import { limiterKinds, patterns, setPatterns, supports, type Pattern } from '../core/shapes/facts';
import { loadedJoints } from '../core/shapes/ladder';
import { formCheckCodes } from '../core/shapes/move';
import { ownLoads, ownPlaces, ownStances } from '../core/shapes/own';
import { exactly, listOf, numberIn, oneOf, wholeIn, words, yesNo } from './building';

/** What a movement of a hall's own may ask for, and how many rungs each ladder has. */
export interface OwnChoices {
  readonly facts: readonly string[];
  readonly rungs: Readonly<Partial<Record<Pattern, number>>>;
}

const loads = Object.fromEntries(loadedJoints.map((joint) => [joint, oneOf(ownLoads)]));

const fields = ({ facts }: OwnChoices) => ({
  name: words(2, 'Write a name.').max(24, 'Keep the name under 25 letters.').required('Write a name.'),
  does: words(5, 'Write in one line what is done.').max(200).required('Write in one line what is done.'),
  pattern: oneOf(patterns).required('Choose a ladder or the set.'),
  beside: wholeIn(1, 9).nullable().defined('Choose the rung it stands beside.'),
  stance: oneOf(ownStances).required('Choose how one stands, sits or lies.'),
  hands: oneOf(supports).required('Choose how free the hands are at most.'),
  aSide: yesNo().required(),
  dose: oneOf(['reps', 'holds']).required('Choose repetitions or holds.'),
  floor: yesNo().required(),
  slides: yesNo().required(),
  impact: yesNo().required(),
  weight: yesNo().required(),
  trains: string().max(100).defined(),
  loads: exactly(loads).required('is needed'),
  needs: listOf(
    exactly({
      fact: oneOf(facts).required('Choose what it asks for.'),
      atLeast: numberIn(0, 1000).required('Write how much is asked for, as a number.'),
    }),
    12,
  ).required('is needed'),
  places: listOf(oneOf(ownPlaces).required(), ownPlaces.length).required('is needed'),
  closedBy: listOf(oneOf(limiterKinds).required(), limiterKinds.length).required('is needed'),
  checks: listOf(oneOf(formCheckCodes).required(), 3).required('is needed'),
});

/** Beside a rung of a ladder that has it, or in a set beside none. */
function standsSomewhere({ rungs }: OwnChoices) {
  return function (
    this: { createError: (of: { path: string; message: string }) => ValidationError; path: string },
    value: object,
  ) {
    const { pattern, beside } = value as { pattern?: Pattern; beside?: number | null };
    if (pattern === undefined || beside === undefined) return true;
    const path = this.path === '' ? 'beside' : `${this.path}.beside`;
    if (setPatterns.has(pattern))
      return (
        beside === null ||
        this.createError({ path, message: 'In the set nothing stands beside anything: leave it empty.' })
      );
    const most = rungs[pattern] ?? 0;
    if (beside !== null && beside <= most) return true;
    return this.createError({ path, message: `Choose a rung of ${pattern}, 1 to ${most}.` });
  };
}

/** One as it is written in the form. */
export const ownForm = (choices: OwnChoices) =>
  exactly(fields(choices)).test('stands-somewhere', standsSomewhere(choices));

export type OwnForm = InferType<ReturnType<typeof ownForm>>;

export const ownFormat = 'own-exercises';
export const ownFormatVersion = 1;

/** A file of them, as it is given out and taken in. */
export const ownFile = (choices: OwnChoices) =>
  exactly({
    format: oneOf([ownFormat]).required('is needed'),
    formatVersion: wholeIn(1, ownFormatVersion).required('is needed'),
    exercises: listOf(
      exactly({
        ...fields(choices),
        id: string()
          .matches(/^[A-Za-z0-9-]{8,64}$/, 'must be 8 to 64 letters, digits or -')
          .required('is needed'),
        version: wholeIn(1, 100_000).required('is needed'),
        aside: yesNo().required('is needed'),
      }).test('stands-somewhere', standsSomewhere(choices)),
      500,
    ).required('is needed'),
  });
