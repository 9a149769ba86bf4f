import type { Level } from '../../core/level/answer';
import { massWords, shortLengthWords, unitsOf } from '../../core/math/units';
import type { Support } from '../../core/shapes/facts';
import type { UnitSystem } from '../../core/shapes/person';

/** How the hands help, as short as it can be said. */
export const handWords: Readonly<Record<Support, string>> = {
  '2': 'both hands',
  '1': 'one hand',
  f: 'fingertips',
  h: 'hands just above the rail',
  '0': 'no hands',
};

/** A level in words: `Seat tap, 48 cm, hands just above the rail`; its code stands behind it, small. */
export const levelWords = (
  { name, targetCm, support, loadKg, carried }: Pick<Level, 'name' | 'targetCm' | 'support' | 'loadKg' | 'carried'>,
  units: UnitSystem,
): string =>
  [
    name,
    ...(targetCm === null ? [] : [shortLengthWords(targetCm, unitsOf[units].length)]),
    ...(handsAreNamed(name) ? [] : [handWords[support]]),
    ...(loadKg === null ? [] : [loadWords({ loadKg, carried }, units)]),
  ].join(', ');

/** A rung whose own name says where the hands are says it once. */
export const handsAreNamed = (name: string): boolean => /\bhands?\b/i.test(name);

/** A weight, and where it is: held close, in each hand, in what is lifted. */
export function loadWords(
  { loadKg, carried }: { readonly loadKg: number; readonly carried?: Level['carried'] | undefined },
  units: UnitSystem,
): string {
  const { mass } = unitsOf[units];
  switch (carried) {
    case 'each-hand':
      return `${massWords(loadKg / 2, mass)} in each hand`;
    case 'in-box':
      return `${massWords(loadKg, mass)} in the box`;
    case undefined:
      return `${massWords(loadKg, mass)} held close`;
  }
}
