import { mixed, string, type AnyObject, type InferType } from 'yup';
import { floors } from '../core/shapes/attempt';
import type { DayEvent, DayEventKind } from '../core/shapes/day';
import { day, exactly, listOf, numberIn, oneOf, wholeIn, within, words, yesNo } from './building';
import { id } from './door';
import { bodyLimits } from './requests';

const who = () => string().typeError('must be text').min(1, 'is needed').max(64).required('is needed');
const some = (most: number) => listOf(who(), most).required('is needed');
const people = { people: some(60) };
const person = { personId: who() };
const tests = { tests: some(30) };

const put = () =>
  exactly({
    seatCm: numberIn(...bodyLimits.seatCm, 'cm'),
    pads: wholeIn(0, 2),
    shoes: oneOf(['flat', 'cushioned', 'barefoot']),
    floor: oneOf(floors),
    assessor: string().typeError('must be text').max(80, 'must have at most 80 letters'),
    warmUp: yesNo(),
  }).required('is needed');

/** What each kind of note carries. */
const carries = {
  plan: { ...tests, staff: some(41), minutes: wholeIn(10, 240, 'minutes').required('is needed') },
  conditions: { personId: string().min(1).max(64), put: put() },
  call: { staff: who(), ...people, ...tests },
  'not-now': person,
  paper: { ...person, ...tests },
  left: { ...person, why: words(0, '').max(200, 'must have at most 200 letters').defined() },
  back: person,
  'walk-in': person,
  also: { ...person, ...tests },
  later: { ...person, ...tests },
  together: people,
  apart: people,
  close: { staff: who() },
  open: { staff: who() },
  drop: { drop: who() },
  keep: { drop: who() },
  hold: {},
  'let-go': {},
} as const satisfies Record<DayEventKind, object>;

export const dayEventKinds = Object.keys(carries) as DayEventKind[];
const schemas = new Map(
  dayEventKinds.map((kind) => [kind, exactly({ kind: oneOf([kind]).required(), ...carries[kind] })]),
);

/** One note of a testing day, checked by the schema of its own kind. */
export const dayNoteBody = exactly({
  wallMs: numberIn(0, 1e14, 'ms').required('is needed'),
  event: mixed<DayEvent>()
    .required('is needed')
    .test('event', function (value: unknown) {
      const schema = schemas.get((value as AnyObject | null)?.['kind'] as DayEventKind);
      if (!schema)
        return this.createError({ path: `${this.path}.kind`, message: `must be one of: ${dayEventKinds.join(', ')}` });
      try {
        schema.validateSync(value, { strict: true, abortEarly: false });
        return true;
      } catch (fault) {
        return within(this.path, fault);
      }
    }),
});

export type DayNoteBody = InferType<typeof dayNoteBody>;

export const pathDay = exactly({ day: day().required() });
export const pathDayNote = exactly({ day: day().required(), key: id() });
