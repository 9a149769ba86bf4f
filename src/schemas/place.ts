import { string, type InferType } from 'yup';
import { things, unitSystems } from '../core/shapes/person';
import { words, exactly, listOf, numberIn, oneOf, wholeIn, yesNo } from './building';

/** A height as it was typed. */
const typed = () => string().max(20).optional();
const count = () => wholeIn(0, 200).required();

/** The hall: its name, the number to call, and what there is to sit on, hold and lift. */
export const placeForm = exactly({
  name: words(2, 'Write the name of the hall.').max(80).required('Write the name of the hall.'),
  town: string().max(80).defined(),
  emergencyNumber: words(2, 'Write the number to call.').max(20).required('Write the number to call.'),
  units: oneOf(unitSystems).required(),
  cupboard: exactly({
    chairs: listOf(
      exactly({
        heightCm: wholeIn(25, 80, 'cm').required('Write the height of the seat.'),
        typed: typed(),
        arms: yesNo().required(),
        stable: yesNo().required(),
        count: count(),
      }),
      30,
    ).required(),
    pads: listOf(
      exactly({ thickCm: wholeIn(1, 20, 'cm').required('Write how thick it is.'), typed: typed(), count: count() }),
      12,
    ).required(),
    bars: count(),
    railPlaces: count(),
    straps: count(),
    wedges: count(),
    bands: count(),
    mats: count(),
    tables: count(),
    weightsKg: listOf(numberIn(0.1, 50, 'kg').required(), 30).required(),
    raisedSurface: yesNo().required(),
    boxes: listOf(
      exactly({
        heightCm: wholeIn(5, 80, 'cm').nullable().defined('Write the height of its top, or leave it empty.'),
        typed: typed(),
        count: count(),
      }),
      12,
    ).required(),
    steps: listOf(
      exactly({ heightCm: wholeIn(1, 60, 'cm').required('Write how high it is.'), typed: typed(), count: count() }),
      12,
    ).required(),
    floors: listOf(
      exactly({
        where: words(2, 'Write which floor.').max(40).required('Write which floor.'),
        slides: yesNo().required(),
      }),
      12,
    ).required(),
    walkwayM: numberIn(1, 100, 'm').nullable().defined(),
    wallM: numberIn(1, 200, 'm').nullable().defined(),
    things: listOf(oneOf(things).required(), things.length).required(),
  }).required(),
});

export type PlaceForm = InferType<typeof placeForm>;

export const groupForm = exactly({
  name: words(2, 'Write a name, such as “Tuesday 10:00”.').max(60).required('Write a name.'),
  /** 0: nobody has said which. */
  weekday: wholeIn(0, 7).required('Choose a day.'),
  time: string()
    .matches(/^(([01]\d|2[0-3]):[0-5]\d)?$/, 'Write the time as 10:00.')
    .defined('Write the time as 10:00.'),
});

export type GroupForm = InferType<typeof groupForm>;

/** What tells chairs, boxes, pads and floors of a cupboard apart. */
export function cupboardItem(item: Readonly<Record<string, unknown>>): string | null {
  const { heightCm, arms, thickCm, where } = item;
  if (typeof arms === 'boolean') return `chair ${Number(heightCm)}${arms ? ' with arms' : ''}`;
  if (heightCm !== undefined) return typeof heightCm === 'number' ? `box ${heightCm}` : 'box of unknown height';
  if (typeof thickCm === 'number') return `pad ${thickCm}`;
  return typeof where === 'string' ? `floor ${where}` : null;
}
