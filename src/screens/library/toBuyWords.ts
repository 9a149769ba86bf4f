import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { helps } from '../../core/train/seats/oneMore';
import {
  railPlacesBought,
  tokenOf,
  type Buy,
  type GroupNow,
  type Thing,
  type ToBuy,
} from '../../core/train/seats/toBuy';
import { namesWords, thingWords } from '../seatWords';

/** The address of the page with so many of a thing counted as bought besides. */
export const withMore = (counted: readonly Thing[], thing: Thing, times: number): string =>
  addressOf([...counted, ...Array.from({ length: times }, () => thing)]);

/** The same with one of it less. */
export function withLess(counted: readonly Thing[], thing: Thing): string {
  const at = counted.findIndex((c) => tokenOf(c) === tokenOf(thing));
  return addressOf(counted.filter((_c, i) => i !== at));
}

const addressOf = (counted: readonly Thing[]): string => {
  const query = new URLSearchParams(counted.map((c) => ['with', tokenOf(c)])).toString();
  return query === '' ? '/library/buy' : `/library/buy?${query}`;
};

/** What is counted as bought, each thing once with how many. */
export const countsOf = (counted: readonly Thing[]): { readonly thing: Thing; readonly n: number }[] =>
  [...new Map(counted.map((c) => [tokenOf(c), c])).values()].map((thing) => ({
    thing,
    n: counted.filter((c) => tokenOf(c) === tokenOf(thing)).length,
  }));

/** `One firm chair of 46 cm more`, `2.0 m of rail more (2 places)`. */
const oneMore = (thing: Thing, units: UnitSystem): string =>
  thing.what === 'rail'
    ? `${thingWords(thing, units)} more (${railPlacesBought} places)`
    : `One ${thingWords(thing, units)} more`;

/** The answer in a sentence or two: to sit on, and to hold on to; what is all right is said as well. */
export function answerWords({ now, things }: ToBuy, units: UnitSystem): string[] {
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const [seat] = things.filter(helps);
  const hold = [...things].sort((a, b) => b.holds - a.holds)[0];
  const unseated = now.reduce((sum, g) => sum + g.sitting - g.seated, 0);
  const tooHigh = now.reduce((sum, g) => sum + g.overCm, 0);
  const turns = now.some((g) => g.held.some((h) => h.turns !== 1));
  const inGroups = (t: Buy) => `in ${namesWords(t.groups)}`;
  return [
    seat && seat.seats > 0
      ? `${oneMore(seat, units)} seats ${seat.seats === 1 ? 'one more' : `${seat.seats} more`} at their height${seat.fewerCm > 0 ? ` and brings others ${cm(seat.fewerCm)} nearer to it` : ''}, ${inGroups(seat)}.`
      : seat
        ? `Everybody has a seat. ${oneMore(seat, units)} brings people ${cm(seat.fewerCm)} nearer to their own height, ${inGroups(seat)}.`
        : unseated > 0
          ? 'No one thing seats more: a chair and its pads are needed together.'
          : tooHigh > 0
            ? 'Everybody has a seat; no one thing brings anybody nearer to their own height.'
            : 'Everybody sits at their own height.',
    hold && hold.holds > 0
      ? `${oneMore(hold, units)} lets ${hold.holds === 1 ? 'one more' : `${hold.holds} more`} hold on at once, ${inGroups(hold)}.`
      : turns
        ? 'Not all hold on at once, and no one thing here changes it: it is free wall that is short, or several chairs.'
        : 'All hold on at once.',
  ];
}

/** `2 cm nearer`, `3 cm higher`, nothing of no change. */
export const nearerWords = ({ fewerCm }: Pick<Buy, 'fewerCm'>, units: UnitSystem): string =>
  fewerCm === 0
    ? ''
    : `${shortLengthWords(Math.abs(fewerCm), unitsOf[units].length)} ${fewerCm > 0 ? 'nearer' : 'higher'}`;

/** How a group stands: whether all sit, and where not all hold on. */
export function groupWords({ sitting, seated, overCm, held }: GroupNow, units: UnitSystem): string[] {
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const short = held.filter((h) => h.turns !== 1);
  return [
    sitting === 0 ? 'nobody has a seat in their levels' : `${seated} of ${sitting} sit at once`,
    ...(overCm > 0 ? [`${cm(overCm)} higher than theirs, all together`] : []),
    ...short.map((h) => `${h.title.toLowerCase()}: ${h.atOnce} of ${h.who.length} hold on at once`),
  ];
}
