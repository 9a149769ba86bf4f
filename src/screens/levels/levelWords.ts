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
  { name, targetCm, support, loadKg }: Pick<Level, 'name' | 'targetCm' | 'support' | 'loadKg'>,
  units: UnitSystem,
): string =>
  [
    name,
    ...(targetCm === null ? [] : [shortLengthWords(targetCm, unitsOf[units].length)]),
    ...(handsAreNamed(name) ? [] : [handWords[support]]),
    ...(loadKg === null ? [] : [massWords(loadKg, unitsOf[units].mass)]),
  ].join(', ');

/** A rung whose own name says where the hands are says it once. */
export const handsAreNamed = (name: string): boolean => /\bhands?\b/i.test(name);
