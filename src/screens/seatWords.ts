import { shortLengthWords, unitsOf } from '../core/math/units';
import type { UnitSystem } from '../core/shapes/person';
import type { SeatKind } from '../core/train/seats/problem';
import type { Thing } from '../core/train/seats/toBuy';

const footM = 0.3048;

/** Metres, or whole feet where the hall works in inches: rounded up, as it is what is needed. */
export const wallWords = (metres: number, units: UnitSystem): string =>
  units === 'us' ? `${Math.ceil(metres / footM)} ft` : `${metres.toFixed(1)} m`;

/** `chair of 43 cm`, `chair of 43 cm, pads of 5 and 3 cm: 51 cm`. */
export function seatWords({ chairCm, padsCm, heightCm, arms }: SeatKind, units: UnitSystem): string {
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const chair = `chair of ${cm(chairCm)}${arms ? ' with arms' : ''}`;
  if (padsCm.length === 0) return chair;
  return `${chair}, ${padsCm.length === 1 ? 'pad' : 'pads'} of ${padsCm.map(cm).join(' and ')}: ${cm(heightCm)}`;
}

/** `firm chair of 46 cm`, `pad of 3 cm`, `2.0 m of rail`. */
export const thingWords = ({ what, cm }: Thing, units: UnitSystem): string =>
  what === 'rail'
    ? `${wallWords(cm / 100, units)} of rail`
    : `${what === 'chair' ? 'firm chair' : 'pad'} of ${shortLengthWords(cm, unitsOf[units].length)}`;

/** Names as they are said: `Ada`, `Ada and Bo`, `Ada, Bo and Cleo`. */
export const namesWords = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
