import { amount } from '../../../core/math/amount';
import { shortLengthWords, unitsOf } from '../../../core/math/units';
import type { UnitSystem } from '../../../core/shapes/person';
import type { OneMore } from '../../../core/train/seats/oneMore';
import type { SeatKind } from '../../../core/train/seats/problem';
import { namesWords, seatWords, thingWords } from '../../seatWords';

/** Which chair stands at which lane, as the server found it. */
export interface ChairsFound {
  readonly stations: readonly { readonly staff: string; readonly seats: readonly (SeatKind | null)[] }[];
  readonly more: OneMore | null;
  readonly atWall: number | null;
}

/** What stands at a station, by lane: `lanes 1 and 2: chair of 43 cm`; of a single lane the chair alone. */
export function chairsAt(seats: readonly (SeatKind | null)[], units: UnitSystem): string[] {
  const words = seats.map((kind) => (kind ? seatWords(kind, units) : 'no chair of this height is left'));
  if (words.length === 1) return words;
  return [...new Set(words)].map((one) => {
    const lanes = words.flatMap((w, i) => (w === one ? String(i + 1) : []));
    return `${lanes.length === 1 ? 'lane' : 'lanes'} ${namesWords(lanes)}: ${one}`;
  });
}

/** How all are said to be tested: the height of the seat, and so many pads of it. */
export interface AllSit {
  readonly seatCm: number;
  readonly pads: number;
}

/** What is not as it should be with the chairs; empty where every lane has its own. */
export function chairsTold(
  { stations, more, atWall }: ChairsFound,
  { seatCm, pads }: AllSit,
  units: UnitSystem,
): string[] {
  const seats = stations.flatMap((s) => s.seats);
  const without = seats.filter((s) => s === null).length;
  const there = seats.length - without;
  const other = seats.find((s) => s !== null && s.heightCm === Math.round(seatCm) && s.padsCm.length !== pads)?.padsCm
    .length;
  const cm = shortLengthWords(Math.round(seatCm), unitsOf[units].length);
  return [
    ...(without === 0
      ? []
      : there === 0
        ? [`No chair that stands firm makes ${cm} here: write another seat, or add one under Library, Cupboard.`]
        : [
            `${amount(without, 'lanes')} ${without === 1 ? 'has' : 'have'} no chair: one after the other there${more ? `, or with one ${thingWords(more, units)} more` : ''}.`,
          ]),
    ...(other === undefined
      ? []
      : [
          `Of what is here this height takes ${other === 0 ? 'no pad' : amount(other, 'pads')} on some chairs, and ${pads} is noted for all: write it under With pads, or for who sits there.`,
        ]),
    ...(atWall !== null && there > atWall
      ? [
          `There is free wall for ${amount(atWall, 'chairs')} of ${there}: whoever is tested sits with the back of the chair to the wall, one after the other.`,
        ]
      : []),
  ];
}
