import type { HallNeeds } from '../../core/card/needs';
import { massWords, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';

/** `chairs 48 cm x 5, 43 cm x 2; rail for 3; mats 2`. */
export function needsWords(
  { seats, chairs, rail, mats, surfaces, steps, boxes, pads, straps, bands, weights }: HallNeeds,
  units: UnitSystem,
): string {
  const { length, mass } = unitsOf[units];
  const count = (n: number, words: string) => (n > 0 ? [`${words} ${n}`] : []);
  const list = [
    ...(seats.length > 0
      ? [`seats ${seats.map((s) => `${shortLengthWords(s.cm, length)} × ${s.count}`).join(', ')}`]
      : []),
    ...count(chairs, 'other firm chairs'),
    ...count(rail, 'places at a rail'),
    ...count(mats, 'mats'),
    ...count(surfaces, 'raised surfaces'),
    ...count(steps, 'steps'),
    ...count(boxes, 'boxes to lift'),
    ...count(pads, 'pads under a knee'),
    ...count(straps, 'straps'),
    ...count(bands, 'bands'),
    ...(weights.length > 0
      ? [`weights ${weights.map((w) => `${massWords(w.kg, mass)} × ${w.count}`).join(', ')}`]
      : []),
  ];
  return list.length === 0 ? 'nothing' : list.join('; ');
}
