import { roundTo } from '../../math/round';
import { cmPerInch } from '../../math/units';
import type { AttemptEvent } from '../../shapes/attempt';
import { allMarks, marksOf, triesIn } from '../marks';
import { bestOf } from '../tries';
import type { Try } from '../trial';
import type { Reader } from './seen';

/** What the tape said in cm; it is kept in the unit it was read in. */
export const inCm = ({ value, unit }: Extract<AttemptEvent, { readonly kind: 'reading' }>): number =>
  unit === 'in' ? roundTo(value * cmPerInch, 0.01) : value;

/** What the tape said in each try; one in which they stepped and were caught does not count. */
export const readDistance: Reader = (protocol, live) => {
  const tries = Array.from({ length: triesIn(live) }, (_, nth): Try => {
    const { marks } = marksOf(live, nth);
    const reading = marks.findLast((m) => m.kind === 'reading');
    if (marks.some((m) => m.kind === 'caught')) return { state: 'not-counted', value: null, atMs: [] };
    return reading ? { state: 'done', value: inCm(reading), atMs: [] } : { state: 'running', value: null, atMs: [] };
  });
  return {
    tries,
    value: bestOf(protocol, tries),
    handsUsed: allMarks(live).some((e) => e.kind === 'hands'),
    cleanBeforeHands: null,
    seconds: null,
  };
};
