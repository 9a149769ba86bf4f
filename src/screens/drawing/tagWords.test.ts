import { expect, test } from 'vitest';
import { limiterRows } from '../../catalogue/limiters/limiters';
import { measuredFacts } from '../../catalogue/rules/margins';
import { wordsWidth } from './pack';
import { tagWords } from './tagWords';

/** In the narrowest bay there is. */
const fits = (words: string) => wordsWidth(words, 14) + 28 <= 190;
const tags = [
  ...limiterRows.map((row) => row.title),
  ...measuredFacts.flatMap(({ short }) => [`${short} not tested`, `${short} 8, now 5`, `${short} to be tested again`]),
  ...['heels seen to stay down', 'L6 seen twice', 'after two classes', 'heel wedge', 'seat of 43 cm'],
];

test.each([0, 1, 4])('with %i others no tag is cut in a phrase, and each fits', (more) => {
  for (const tag of tags) {
    const words = tagWords(tag, more, fits);
    expect([tag, words, fits(words)]).toEqual([tag, words, true]);
    expect(words).not.toMatch(/…|, now$| under$| in the last$/);
  }
});

test('what fits is said in full; else it says less, and how many more', () => {
  expect(tagWords('L6 seen twice', 0, fits)).toBe('L6 seen twice');
  expect(tagWords('heel wedge', 2, () => true)).toBe('heel wedge · and 2 more');
  expect(tagWords('heel wedge', 2, fits)).toBe('heel wedge +2');
  expect(tagWords('floor transfer not tested', 0, fits)).toBe('floor transfer?');
  expect(tagWords('stands with hands 8, now 5', 0, fits)).toBe('stands with hands 8');
});
