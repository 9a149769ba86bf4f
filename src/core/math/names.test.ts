import fc from 'fast-check';
import { expect, test } from 'vitest';
import { compareNames, foldName, nameOrder, shortNames } from './names';

test('accents and capitals decide nothing unless all else is equal', () => {
  const names = ['Zoë', 'ångström', 'Agnes', 'Åse', 'agnes', 'Tverrå', 'Tverra', 'Éva'];
  expect([...names].sort(compareNames)).toEqual([
    ...['Agnes', 'agnes', 'ångström', 'Åse', 'Éva', 'Tverra', 'Tverrå', 'Zoë'],
  ]);
  expect([foldName('ÅSE'), foldName('Tverrå'), foldName('plain Name')]).toEqual(['ase', 'tverra', 'plain name']);
});
test('the order of a long list is that of any two of its names', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ unit: 'grapheme', maxLength: 8 }), { maxLength: 30 }), (names) => {
      expect([...names].sort(nameOrder())).toEqual([...names].sort((a, b) => compareNames(a, b)));
    }),
  );
});

test('names to be read across a hall: first name and a letter, more letters where two would be equal', () => {
  expect(shortNames(['Odile Brandt', 'Tomasz Rekkedal'])).toEqual(['Odile B.', 'Tomasz R.']);
  expect(shortNames(['Odile Brandt', 'Odile Bremer'])).toEqual(['Odile Bra.', 'Odile Bre.']);
  expect(shortNames(['Odile Bran', 'Odile Brandt'])).toEqual(['Odile Bran', 'Odile Brand.']);
  expect(shortNames(['Odile Brandt', 'Odile Brandt'])).toEqual(['Odile B. 1', 'Odile B. 2']);
  expect(shortNames(['Odile', 'Ana María Ruiz'])).toEqual(['Odile', 'Ana R.']);
});
