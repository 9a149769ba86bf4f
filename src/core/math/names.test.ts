import fc from 'fast-check';
import { expect, test } from 'vitest';
import { compareNames, foldName, nameOrder } from './names';

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
