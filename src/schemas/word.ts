import { string, type InferType } from 'yup';
import { patterns, supports } from '../core/shapes/facts';
import { exactly, numberIn, oneOf, wholeIn, words } from './building';

/** What an instructor may say of the level on a ladder. */
export const saidWords = ['as-it-is', 'lower', 'not-this', 'higher'] as const;
export type SaidWord = (typeof saidWords)[number];

const wordFields = {
  word: oneOf(saidWords).required('Choose one.'),
  pattern: oneOf(patterns).required('Choose a ladder.'),
  /** Of a set: which item. */
  item: wholeIn(1, 9).nullable().optional(),
  /** Of a movement of the hall’s own: which. */
  own: string().max(64).nullable().optional(),
  /** The code of what the rules give there; empty where they give nothing. */
  seen: string().max(80).defined(),
  rung: wholeIn(1, 9).nullable().defined(),
  support: oneOf(supports).nullable().defined(),
  heightCm: wholeIn(5, 80, 'cm').nullable().defined(),
  /** How much of the movement: the place in the list of the rung. */
  within: wholeIn(0, 9).nullable().optional(),
  dose: string().max(20).nullable().defined(),
  loadKg: numberIn(0, 50, 'kg').nullable().defined(),
  why: string()
    .max(200, 'Keep it under 200 letters.')
    .defined()
    .when('word', ([word], schema) =>
      word === 'higher' ? schema.concat(words(3, 'Write why, in a few words.')) : schema,
    ),
};

/** A word as it is sent: of which ladder, what stood on the screen, and what was chosen instead. */
export const wordForm = exactly(wordFields);

export type WordForm = InferType<typeof wordForm>;

/** The same as it is sent over HTTP, with whose level it is. */
export const sentWord = exactly({ ...wordFields, personId: string().max(64).required('is needed') });

export type SentWord = InferType<typeof sentWord>;
